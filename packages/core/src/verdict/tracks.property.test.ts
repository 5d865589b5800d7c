import fc from 'fast-check';
import { twoPeople } from '../../test/plans';
import { defaultLens, defaultWheel } from '../kit/index';
import { addOpticsChange, changeOpticsChange, checkPlan, chooseLens, chooseWheel, setFocalLength, setStop } from '../plan/index';
import { comparePlans } from './comparePlans';
import { evaluatePull } from './evaluatePull';
import { caseCount } from '../../test/caseCount';

const zoom = defaultLens({
  name: 'Zoom 25–100',
  focalLengthMm: 25,
  longestMm: 100,
  widestStop: 2.2,
  widestStopLong: 3.2,
  closeFocusMm: 900,
});
const seconds = fc.double({ min: 0, max: 10, noNaN: true });
const plans = fc
  .record({
    focalLengthMm: fc.double({ min: 25, max: 100, noNaN: true }),
    stop: fc.double({ min: 1, max: 22, noNaN: true }),
    turns: fc.array(
      fc.tuple(fc.constantFrom('irisPulls' as const, 'zooms' as const), seconds, fc.double({ min: 1, max: 120, noNaN: true })),
      {
        maxLength: 5,
      },
    ),
    lasts: seconds,
    gear: fc.option(fc.double({ min: 0.3, max: 6, noNaN: true })),
  })
  .map(({ focalLengthMm, stop, turns, lasts, gear }) => {
    let plan = setStop(setFocalLength(chooseLens(twoPeople(), 'z', zoom), focalLengthMm), stop);
    for (const [track, atS, to] of turns) plan = addOpticsChange(plan, track, atS, to);
    plan = changeOpticsChange(plan, 'irisPulls', 'iris-1', { durationS: lasts });
    return gear === null ? plan : chooseWheel(plan, 'w', defaultWheel({ name: 'W', wheelPerRing: gear }));
  });

test('whatever turns while it rolls: every frame has its figures, near < focus < far, and the sentence is whole', () => {
  fc.assert(
    fc.property(plans, (plan) => {
      expect(checkPlan(plan)).toEqual([]);
      const verdict = evaluatePull(plan);
      if (verdict.status !== 'judged') throw new Error('not judged');
      const { nearMm, focusMm, farMm, fNumber } = verdict.track;
      const frames = Array.from({ length: verdict.frameCount }, (_, frame) => frame);
      const isWrong = (frame: number) => {
        const [near, focus, far] = [nearMm[frame]!, focusMm[frame]!, farMm[frame]!];
        return !(near < focus && (focus < far || focus === Infinity) && fNumber[frame]! > 0);
      };
      expect(frames.filter(isWrong)).toEqual([]);
      for (const { blurCircles, marginMm, sharp } of verdict.subjects) {
        expect(frames.filter((frame) => !(blurCircles[frame]! >= 0))).toEqual([]);
        // inside the zone is sharp, and the other way round, but for the very edge
        const disagrees = (frame: number) => Math.abs(marginMm[frame]!) > 1e-6 && (sharp[frame] === 1) !== marginMm[frame]! > 0;
        expect(frames.filter(disagrees)).toEqual([]);
      }
      for (const pull of verdict.pulls) expect(pull.neededS).toBeGreaterThan(0);
    }),
    { seed: 73, numRuns: caseCount(30) },
  );
});

test('compared with itself nothing changes; with a finer gear the same time is sharp and the marks lie farther apart', () => {
  fc.assert(
    fc.property(plans, (plan) => {
      const same = comparePlans(plan, plan);
      expect(same.sharpAfterS).toBe(same.sharpBeforeS);
      expect(same.marks.every(({ beforeDeg, afterDeg }) => beforeDeg === afterDeg)).toBe(true);
      const geared = comparePlans(plan, chooseWheel(plan, 'w', defaultWheel({ name: 'Fine', wheelPerRing: 8 })));
      expect(geared.sharpAfterS).toBe(geared.sharpBeforeS);
      for (const { beforeDeg, afterDeg } of geared.marks) expect(Math.abs(afterDeg)).toBeGreaterThanOrEqual(Math.abs(beforeDeg));
    }),
    { seed: 79, numRuns: caseCount(30) },
  );
});
