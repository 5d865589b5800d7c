import { applyBlockingMove, BLOCKING_MOVES, type BlockingMoveFigure, newPlan } from '@still-heron/core';
import { BLOCKING_MOVE_WORDS, blockingMoveLabel, directionLabel } from './blockingMoveText';
import { moveFigureLabel, moveFigureValue } from './moveFigureText';

const AT = { subjectId: null, atS: 0 };

describe.each(BLOCKING_MOVES.map((move) => [move.id, move] as const))('%s', (id, move) => {
  test('has a name, a purpose, and a label for each parameter', () => {
    expect(BLOCKING_MOVE_WORDS[id].description).toMatch(/^[A-Z].*[.?]$/);
    for (const { key, choices } of move.params(newPlan(), AT)) {
      expect(blockingMoveLabel(id, key)).not.toBe(key);
      if (choices) expect(new Set(choices.map((value) => directionLabel(id, value))).size).toBe(choices.length);
    }
    expect(Object.keys(BLOCKING_MOVE_WORDS[id].params).sort()).toEqual(
      move
        .params(newPlan(), AT)
        .map(({ key }) => key)
        .sort(),
    );
  });

  test('every figure has a label and a value, in either unit', () => {
    const { plan, figures } = applyBlockingMove(move, newPlan(), AT);
    for (const units of ['metric', 'imperial'] as const)
      for (const figure of figures) {
        expect(moveFigureLabel(figure, plan)).toMatch(/\w/);
        expect(moveFigureValue(figure, units, 'T')).not.toMatch(/NaN|undefined|^$/);
      }
  });
});

test('figures are printed in the units of the production', () => {
  const figure = (unit: BlockingMoveFigure['unit'], value: number): BlockingMoveFigure => ({
    code: 'radius',
    unit,
    value,
    tone: 'plain',
  });
  expect(moveFigureValue(figure('speed', 1250), 'metric', 'T')).toBe('1.25 m/s');
  expect(moveFigureValue(figure('speed', 1524), 'imperial', 'T')).toBe('5.0 ft/s');
  expect(moveFigureValue(figure('percent', 3.26), 'metric', 'T')).toBe('3.3 %');
  expect(moveFigureValue(figure('percent', Infinity), 'metric', 'T')).toBe('more than 100 %');
  expect(moveFigureValue(figure('stop', 4), 'metric', 'f')).toBe('f/4');
  expect(moveFigureValue(figure('times', 12.4), 'metric', 'f')).toBe('12 ×');
  expect(moveFigureValue(figure('time', Infinity), 'metric', 'f')).toBe('no limit');
  expect(moveFigureLabel({ ...figure('degrees', 3), markId: 'mark-1' }, { marks: [] })).toBe('a mark: radius');
});
