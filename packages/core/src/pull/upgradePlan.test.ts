import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { checkPlan, type ShotPlan, upgradePlan } from './index';

test('plans saved in every form so far are read, and stay what they were', () => {
  const saved = JSON.parse(readFileSync(join(__dirname, '../../test/samples/plan-1.json'), 'utf8')) as ShotPlan;
  expect(checkPlan(saved)).not.toEqual([]);
  const upgraded = upgradePlan(saved) as ShotPlan;
  expect(checkPlan(upgraded)).toEqual([]);
  expect(upgraded).toMatchObject({ optics: { stop: 2.2, focalLengthMm: 65 }, line: saved.line, beats: saved.beats });
  expect(upgradePlan(upgraded)).toBe(upgraded);
  for (const broken of [null, 7, {}, { schema: 1 }, { schema: 1, optics: 3, marks: 'no' }, { schema: 99 }])
    expect(checkPlan(upgradePlan(broken)).length).toBeGreaterThan(0);
});
