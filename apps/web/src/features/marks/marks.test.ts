import { TAPE_COLOURS, TAPE_SHAPES } from '@still-heron/core';
import { roomBar } from './roomLayout';
import { SHAPE_WORDS, tapeCss } from './tapes';

test('the room round a mark is drawn lopsided, as it is; the longer side fills its half', () => {
  expect(roomBar({ nearerMm: 100, fartherMm: 200 }, 200)).toEqual({ middle: 100, nearEnd: 50, farEnd: 200, isEndless: false });
  expect(roomBar({ nearerMm: 100, fartherMm: 100 }, 200)).toMatchObject({ nearEnd: 0, farEnd: 200 });
  const endless = roomBar({ nearerMm: 900, fartherMm: Infinity }, 200);
  expect(endless.isEndless).toBe(true);
  expect(endless.nearEnd).toBeCloseTo(100 - 100 / 3, 9);
  expect(roomBar({ nearerMm: Infinity, fartherMm: Infinity }, 200)).toMatchObject({ nearEnd: 0, farEnd: 200 });
});

test('every tape has its word and its colour', () => {
  expect(new Set(TAPE_SHAPES.map((shape) => SHAPE_WORDS[shape])).size).toBe(TAPE_SHAPES.length);
  expect(new Set(TAPE_COLOURS.map(tapeCss)).size).toBe(TAPE_COLOURS.length);
});
