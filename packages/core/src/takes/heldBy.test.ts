import { twoPeople } from '../../test/plans';
import { addStay, addSubject, changePull, changeStay, newPlan, setStop, type ShotPlan } from '../plan/index';
import { depthOfField } from '../optics/index';
import { zoneLensAt } from '../plan/index';
import { heldBy } from './heldBy';
import { newTake, type Take } from './index';

const take = (plan: ShotPlan, changes: Partial<Take>): Take => ({ ...newTake(plan, 1), ...changes });
const hit = (pullId: string, lateS: number, offDeg: number) => ({
  ...{ pullId, said: null, measured: 'late' as const, lateS, landsLateS: lateS, offDeg },
  turn: null,
});

/** Tam at 2.9 m and Ines at 2.05 m, at T22: one zone holds both. */
const deep = setStop(changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 }), 22);

test('a pull that was 0.8 s late is no loss where the zone holds both and nobody pulls', () => {
  const { optics } = deep;
  const between = depthOfField({ ...zoneLensAt(optics, 0), focusDistanceMm: 2400 });
  // so the situation is what it says
  expect([between.nearMm < 2050, between.farMm > 2900]).toEqual([true, true]);
  const found = heldBy(deep, take(deep, { hits: [hit('pull-1', 0.8, 0)] }))!;
  expect(found.find(({ method }) => method === 'fixed')).toEqual({ method: 'fixed', isHeld: true });
  expect(found.map(({ method }) => method)).not.toContain('rack');
});

test('at T2.2 no fixed focus holds both, whatever the hand did', () => {
  const shallow = setStop(deep, 2.2);
  const found = heldBy(shallow, take(shallow, { hits: [hit('pull-1', 0.8, 0)] }))!;
  expect(found.find(({ method }) => method === 'fixed')).toEqual({ method: 'fixed', isHeld: false });
});

describe('who stopped beside the mark', () => {
  /** Ines comes from 6 m to 2 m; focus waits there. At T2.2 the zone is some centimetres deep. */
  const walking = (): ShotPlan => {
    let plan = addSubject(setStop(newPlan(), 2.2), { name: 'Ines', distanceMm: 6000 });
    plan = addStay(plan, 'subject-1', { distanceMm: 2000, fromS: 5 });
    plan = changeStay(plan, 'subject-1', 'stay-1', { untilS: 1 });
    const beat = { ...plan.beats[0]!, requirement: 'sharp' as const, fromS: 5.5, toS: 8 };
    return {
      ...plan,
      beats: [beat],
      method: 'follow',
      focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: 0 }, pulls: [] },
    };
  };
  const plan = walking();
  const arrival = plan.subjects[0]!.stays[1]!.markId;
  const isHeld = (byMm: number) =>
    heldBy(plan, take(plan, { markMisses: [{ markId: arrival, byMm }] }))!.find(({ method }) => method === 'walk-in')!.isHeld;

  test('is lost by a focus that waits at the mark, and held if the zone reaches as far', () => {
    const { nearMm, farMm } = depthOfField({ ...zoneLensAt(plan.optics, 6), focusDistanceMm: 2000 });
    expect(isHeld((farMm - 2000) * 0.8)).toBe(true);
    expect(isHeld((farMm - 2000) * 1.3)).toBe(false);
    expect(isHeld((nearMm - 2000) * 0.8)).toBe(true);
    expect(isHeld((nearMm - 2000) * 1.3)).toBe(false);
  });
});

test('a take that shows no error says nothing, and a method that was used is not offered again', () => {
  expect(heldBy(deep, take(deep, {}))).toBeNull();
  expect(heldBy(deep, take(deep, { hits: [hit('pull-1', 0, 0)] }))).toBeNull();
  expect(heldBy(newPlan(), take(newPlan(), { markMisses: [{ markId: 'mark-1', byMm: 50 }] }))).toBeNull();
});
