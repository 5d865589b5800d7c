import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkPlan, type ShotPlan, upgradePlan } from './index';

test.each([1, 2, 3, 4, 5, 6])('a plan saved in form %d is read, and stays what it was', (schema) => {
  const saved = JSON.parse(readFileSync(join(__dirname, `../../test/samples/plan-${schema}.json`), 'utf8')) as ShotPlan;
  expect(checkPlan(saved)).not.toEqual([]);
  const upgraded = upgradePlan(saved) as ShotPlan;
  expect(checkPlan(upgraded)).toEqual([]);
  expect(upgraded).toMatchObject({ optics: { stop: 2.2, focalLengthMm: 65 }, beats: saved.beats });
  expect(upgraded.line.start).toEqual(saved.line.start);
  for (const [index, { cueKind: _, ...move }] of saved.line.moves.entries())
    expect(upgraded.line.moves[index]).toMatchObject(move);
  expect(upgradePlan(upgraded)).toBe(upgraded);
  for (const broken of [
    null,
    7,
    {},
    { schema: 1 },
    { schema: 1, optics: 3, marks: 'no' },
    { schema: 2 },
    { schema: 4, line: 7, beats: [null] },
    { schema: 2, marks: [7], subjects: 'x' },
    { schema: 6, wanted: 7 },
    { schema: 99 },
  ])
    expect(checkPlan(upgradePlan(broken)).length).toBeGreaterThan(0);
});
