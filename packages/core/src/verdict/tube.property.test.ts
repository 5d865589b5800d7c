import fc from 'fast-check';
import { longShot } from '../../test/plans';
import { addOpticsChange, setStop } from '../plan/index';
import { fewestHolds, tubeOf } from '../track/index';
import { evaluatePull } from './evaluatePull';
import { caseCount } from '../../test/caseCount';

/** This close to an edge of the tube rounding decides. */
const EDGE_DEG = 1e-7;

test('a track keeps a frame exactly where it runs inside the tube, also during an iris pull', () => {
  const cases = fc.tuple(fc.double({ min: 2.2, max: 22, noNaN: true }), fc.double({ min: 2.2, max: 22, noNaN: true }));
  fc.assert(
    fc.property(cases, ([stop, turnsTo]) => {
      const plan = addOpticsChange(setStop(longShot(), stop), 'irisPulls', 20, turnsTo);
      const verdict = evaluatePull(plan);
      if (verdict.status !== 'judged') throw new Error('not judged');
      const { lowDeg, highDeg, required } = tubeOf(plan);
      const soft = new Set(
        verdict.softSpans.flatMap(({ fromFrame, toFrame }) =>
          Array.from({ length: toFrame - fromFrame }, (_, k) => fromFrame + k),
        ),
      );
      const disagrees = [...verdict.track.ringDeg].flatMap((deg, frame) => {
        const [low, high] = [lowDeg[frame]!, highDeg[frame]!];
        if (!required[frame] || Math.abs(deg - low) < EDGE_DEG || Math.abs(deg - high) < EDGE_DEG) return [];
        return soft.has(frame) === (deg < low || deg > high) ? [] : frame;
      });
      expect(disagrees).toEqual([]);
      expect([...required].filter((flag) => flag).length).toBe(verdict.requiredFrames);
    }),
    { seed: 53, numRuns: caseCount(20) },
  );
});

test('fewest holds keep every frame sharp, when they are what the ring is set to', () => {
  const plan = longShot();
  const tube = tubeOf(plan);
  for (const { fromFrame, toFrame, ringDeg } of fewestHolds(tube))
    for (let frame = fromFrame; frame < toFrame; frame++)
      if (tube.required[frame]) expect(ringDeg >= tube.lowDeg[frame]! && ringDeg <= tube.highDeg[frame]!).toBe(true);
});
