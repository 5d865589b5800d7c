import { changeSubject, evaluatePull, placeMark, type ShotPlan, startFloor, walkTo } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { textOf } from '../sentence';
import { floorSentence } from './floorSentence';

/** Old Tam at 2.90 m and Ines at 2.05 m on the floor; focus on Old Tam until the pull at 4 s. */
const drawn = startFloor(twoPeople());

function sentence(plan: ShotPlan, subjectIndex: number, timeS: number): string {
  const verdict = evaluatePull(plan);
  return textOf(
    floorSentence(plan, verdict.status === 'judged' ? verdict : null, plan.subjects[subjectIndex] ?? null, {
      timeS,
      units: 'metric',
    }),
  );
}

test('an empty floor says what to do', () => {
  expect(sentence(drawn, 7, 0)).toBe('Nobody is on the floor yet. Choose Subject, and click where it stands.');
});

test('somebody with a taped distance only is not on the floor', () => {
  expect(sentence(twoPeople(), 0, 0)).toBe('Old Tam is not on the floor: at infinity, or with a tape distance only.');
});

test('a subject in focus has room, one before the zone has a distance to it', () => {
  expect(sentence(drawn, 0, 1)).toMatch(/^Old Tam is sharp, with [\d.]+ cm of room\. The distance does not change\.$/);
  expect(sentence(drawn, 1, 1)).toMatch(/^Ines is [\d.]+ cm in front of the zone, and may be soft now\./);
});

test('a walk towards the camera says how fast, and how fast the ring must turn', () => {
  const walks = walkTo(drawn, 'subject-1', { xMm: 1500, yMm: 0 }, 4);
  const moved = sentence(walks, 0, 2.5);
  expect(moved).toMatch(/ a second (nearer|farther)/);
  expect(moved).toMatch(/the ring must turn \d+(\.\d)?°\/s\.$/);
});

test('a subject behind the camera gets a remedy', () => {
  // the camera stands at the origin and looks along y
  const behind = placeMark(drawn, 'mark-1', { xMm: 0, yMm: -2000 });
  const found = sentence(changeSubject(behind, 'subject-1', { name: 'Tam' }), 0, 1);
  expect(found).toContain('Tam is behind the camera at 1.0 s: turn the camera, or move the subject in front of it.');
});
