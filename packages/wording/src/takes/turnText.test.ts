import { defaultWheel, type TurnFigures } from '@still-heron/core';
import { turnCells, turnFiguresText } from './turnText';

const clean: TurnFigures = {
  travelDeg: 80.4,
  plannedDeg: 80,
  overshootDeg: 0.2,
  isPastZone: false,
  reversals: 0,
  smoothness: 0.96,
  settlingS: 0,
};

test('a clean turn has a figure and a good word for everything', () => {
  expect(turnFiguresText(clean)).toBe(
    'turned 80.4° for 80.0°, direct; overshoot 0.2°, none; turned round never; smooth 96 %, even; settled 0.00 s, at once',
  );
  expect(turnCells(clean).every(({ tone }) => tone === 'sharp')).toBe(true);
});

test('a turn that ran past the zone, was cranked and never stayed says so', () => {
  const bad = { ...clean, travelDeg: 140, overshootDeg: 9, isPastZone: true, reversals: 4, smoothness: 0.5, settlingS: null };
  expect(turnCells(bad).map(({ word }) => word)).toEqual(['a long way round', 'past the zone', 'to and fro', 'broken', 'never']);
  expect(turnFiguresText(bad)).toContain('; settled never');
  expect(turnFiguresText({ ...clean, overshootDeg: 3, reversals: 1, settlingS: 0.3 })).toContain(
    'overshoot 3.0°, inside the zone',
  );
});

test('with a wheel the angles are those in the hand', () => {
  const wheel = defaultWheel({ name: 'Large wheel', wheelPerRing: 2 });
  expect(
    turnCells(clean, wheel)
      .slice(0, 2)
      .map(({ figure }) => figure),
  ).toEqual(['160.8° for 160.0°', '0.4°']);
});
