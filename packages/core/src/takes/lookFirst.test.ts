import { twoPeople } from '../../test/plans';
import { ringOf } from '../kit/index';
import { changeBeat, changePull, type ShotPlan } from '../plan/index';
import { focusTrack } from '../track/index';
import { lookFirst } from './lookFirst';
import { newTake } from './newTake';
import type { Take } from './take';
import { packTrack } from './track';

// Tam until the pull at 4 s, then Ines; what Ines does at 7 s matters most
const plan = ((): ShotPlan => {
  const pulled = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
  const of = (subjectId: string) => pulled.beats.find((beat) => beat.subjectId === subjectId)!.id;
  const tam = changeBeat(pulled, of('subject-1'), { fromS: 0, toS: 4 });
  return changeBeat(tam, of('subject-2'), { fromS: 5, toS: 10, keyMomentS: 7 });
})();
const beatOf = (subjectId: string) => plan.beats.find((beat) => beat.subjectId === subjectId)!.id;
const take = (changes: Partial<Take> = {}): Take => ({ ...newTake(plan, 1), durationS: 10, ...changes });

test('the key moment first; then where the track was worst', () => {
  const line = focusTrack(plan, ringOf(plan.optics.lens))!;
  // the ring slips away from Tam between 2 and 3 s
  const ringDeg = Float64Array.from({ length: 1001 }, (_, k) => line.ringDegAt(k / 100) + (k > 200 && k < 300 ? 15 : 0));
  const [key, worst, ...more] = lookFirst(plan, take({ track: packTrack({ hz: 100, ringDeg }) }));
  expect(more).toEqual([]);
  expect(key).toEqual({ at: { kind: 'key-moment', beatId: beatOf('subject-2') }, timeS: 7 });
  expect(worst!.at).toEqual({ kind: 'beat', beatId: beatOf('subject-1') });
  expect(worst!.timeS).toBeGreaterThan(1.9);
  expect(worst!.timeS).toBeLessThan(3.1);
});

test('in the time of the take: a pull that waited for its cue makes everything after it later', () => {
  const waits = changePull(plan, 'pull-1', { trigger: 'look' });
  const [key] = lookFirst(waits, take({ durationS: 13, cues: [{ pullId: 'pull-1', timeS: 6 }] }));
  expect(key!.timeS).toBeCloseTo(9, 6);
});

test('a take that ended before its key moment is not asked about it', () => {
  expect(lookFirst(plan, take({ durationS: 3 })).map(({ at }) => at.kind)).not.toContain('key-moment');
});
