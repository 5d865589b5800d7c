import {
  addBeat,
  addStay,
  addSubject,
  changeBeat,
  changeMark,
  changeStay,
  newPlan,
  planDistances,
  setStop,
  type ShotPlan,
} from '../../plan/index';
import { defaultWheel } from '../../kit/index';
import { evaluatePull } from '../../verdict/index';
import { smallestChanges } from './smallestChanges';
import { solveTrack } from './solveTrack';

const keyAt = (plan: ShotPlan, beatId: string, keyMomentS: number | null): ShotPlan => ({
  ...plan,
  beats: plan.beats.map((beat) => (beat.id === beatId ? { ...beat, keyMomentS } : beat)),
});

/** Three people of whom two stand at the hard stops of the ring, and the third beyond them. */
function behindTheStops(): ShotPlan {
  let plan: ShotPlan = {
    ...setStop(newPlan(), 2.8),
    durationS: 8,
    wheel: defaultWheel({ name: 'Hand wheel', hasEndStops: true }),
  };
  for (const [name, distanceMm] of [
    ['Ines', 2000],
    ['Old Tam', 2900],
    ['Bohdan', 8000],
  ] as const)
    plan = addSubject(plan, { name, distanceMm });
  plan = changeBeat(plan, 'beat-1', { fromS: 1, toS: 8 });
  plan = changeBeat(addBeat(plan, 'subject-2', 6), 'beat-2', { fromS: 6, toS: 8 });
  plan = changeBeat(addBeat(plan, 'subject-3', 0), 'beat-3', { fromS: 0, toS: 1 });
  return changeMark(changeMark(plan, 'mark-1', { hasHardStop: true }), 'mark-2', { hasHardStop: true });
}

test('fixed: a key moment beyond the hard stops can’t be reached, and the rest is kept as without it', () => {
  const plan = behindTheStops();
  const without = solveTrack(plan, 'fixed')!.plan.focusTrack;
  expect(solveTrack(keyAt(plan, 'beat-3', 0.5), 'fixed')!.plan.focusTrack).toEqual(without);
  // one within reach counts for more than all other frames
  const key = solveTrack(keyAt(plan, 'beat-2', 7), 'fixed')!.plan;
  const verdict = evaluatePull(key);
  expect(verdict.status === 'judged' && verdict.beats.find(({ beatId }) => beatId === 'beat-2')!.isKeyMomentKept).toBe(true);
});

test('follow: at the key moment the track keeps more room than elsewhere', () => {
  const alone = addSubject(setStop({ ...newPlan(), durationS: 10 }, 4), { name: 'Ines', distanceMm: 4000 });
  const walking = changeStay(addStay(alone, 'subject-1', { distanceMm: 2500, fromS: 9 }), 'subject-1', 'stay-1', { untilS: 1 });
  const roomAt = (plan: ShotPlan, timeS: number): number => {
    const solution = solveTrack(plan, 'follow', { roomShare: 0.3 })!;
    const verdict = evaluatePull(solution.plan);
    if (verdict.status !== 'judged') throw new Error('incomplete');
    expect(verdict.beats.every(({ kept }) => kept)).toBe(true);
    return verdict.subjects[0]!.marginMm[Math.floor(timeS * plan.captureFps)]!;
  };
  // where the least turn runs along the side of the zone
  const timeS = 5;
  expect(roomAt(keyAt(walking, 'beat-1', timeS), timeS)).toBeGreaterThan(1.5 * roomAt(walking, timeS));
});

test('someone is asked to stand at a distance that can be taped, and read off the tape it does', () => {
  let plan: ShotPlan = { ...setStop(newPlan(), 2.8), durationS: 8 };
  plan = addSubject(addSubject(plan, { name: 'Ines', distanceMm: 2000 }), { name: 'Old Tam', distanceMm: 2437 });
  plan = changeBeat(addBeat(plan, 'subject-2', 0), 'beat-2', { fromS: 0, toS: 8 });
  const change = smallestChanges(plan).find(({ kind }) => kind === 'stand');
  if (change?.kind !== 'stand') throw new Error('nobody is asked to stand elsewhere');
  expect(Math.abs(change.toMm / 10 - Math.round(change.toMm / 10))).toBeLessThan(1e-6);
  expect(planDistances(change.plan).arrivalFocusMm.get(change.markId)).toBeCloseTo(change.toMm, 6);
  // as shown in inches it may be 6 mm off
  for (const offMm of [-6, 0, 6])
    expect(smallestChanges(changeMark(plan, change.markId, { distanceMm: change.toMm + offMm }))).toEqual([]);
  const later = smallestChanges(plan).find(({ kind }) => kind === 'later' || kind === 'until');
  if (later && 'byS' in later) expect(Math.abs(later.byS * 100 - Math.round(later.byS * 100))).toBeLessThan(1e-6);
});
