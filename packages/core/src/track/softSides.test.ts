import fc from 'fast-check';
import { caseCount } from '../../test/caseCount';
import { addBeat, addSubject, changeBeat, newPlan, type ShotPlan } from '../plan/index';
import { evaluatePull } from '../verdict/index';
import type { Tube } from './allowedBand';
import { softSides, type SoftSide, type SoftWindows } from './softSides';
import { findImpossible } from './solvers/tubeRoom';
import { solveTrack } from './solvers/solveTrack';

/** The tube with each beat on a side, as `tubeOf` lays it. */
function withSides({ lowDeg, highDeg, required }: Tube, beats: readonly SoftWindows[], sides: readonly SoftSide[]): Tube {
  const laid = { lowDeg: lowDeg.slice(), highDeg: highDeg.slice(), required };
  for (const [index, windows] of beats.entries())
    for (const [frame, window] of windows)
      if (sides[index] === 'below') laid.highDeg[frame] = Math.min(laid.highDeg[frame]!, window.lowDeg);
      else laid.lowDeg[frame] = Math.max(laid.lowDeg[frame]!, window.highDeg);
  return laid;
}

const FRAMES = 24;
const MAX_TURN_DEG = 8;

const beat = fc
  .record({
    from: fc.integer({ min: 0, max: FRAMES - 4 }),
    length: fc.integer({ min: 1, max: 10 }),
    middleDeg: fc.double({ min: 0, max: 100, noNaN: true }),
    halfDeg: fc.double({ min: 1, max: 30, noNaN: true }),
    driftDeg: fc.double({ min: -3, max: 3, noNaN: true }),
  })
  .map(({ from, length, middleDeg, halfDeg, driftDeg }): SoftWindows =>
    Array.from({ length: Math.min(length, FRAMES - from) }, (_, k) => {
      const deg = middleDeg + k * driftDeg;
      return [from + k, { lowDeg: deg - halfDeg, highDeg: deg + halfDeg }] as const;
    }),
  );
const sharp = fc.array(fc.tuple(fc.integer({ min: 0, max: FRAMES - 1 }), fc.double({ min: 5, max: 95, noNaN: true })), {
  maxLength: 3,
});

test('if some choice of sides can be kept by a ring of limited speed, the chosen one can', () => {
  fc.assert(
    fc.property(fc.array(beat, { minLength: 1, maxLength: 5 }), sharp, (beats, required) => {
      const tube: Tube = {
        lowDeg: new Float64Array(FRAMES).fill(0),
        highDeg: new Float64Array(FRAMES).fill(100),
        required: new Uint8Array(FRAMES),
      };
      for (const [frame, deg] of required) {
        tube.required[frame] = 1;
        [tube.lowDeg[frame], tube.highDeg[frame]] = [deg - 4, deg + 4];
      }
      const isKept = (sides: readonly SoftSide[]) => findImpossible(withSides(tube, beats, sides), MAX_TURN_DEG, 24) === null;
      const all = Array.from({ length: 2 ** beats.length }, (_, bits) =>
        beats.map((__, index): SoftSide => ((bits >> index) % 2 === 0 ? 'below' : 'above')),
      );
      expect(isKept(softSides(tube, beats, MAX_TURN_DEG))).toBe(all.some(isKept));
    }),
    { seed: 8, numRuns: caseCount(300) },
  );
});

test('of more beats than are tried together, each still lies on a side that can be kept', () => {
  const tube: Tube = { lowDeg: new Float64Array(60), highDeg: new Float64Array(60).fill(100), required: new Uint8Array(60) };
  // twelve beats close to the far end: only above them there is room
  const beats = Array.from({ length: 12 }, (_, index): SoftWindows =>
    Array.from({ length: 5 }, (__, k) => [5 * index + k, { lowDeg: -1, highDeg: 20 }] as const),
  );
  expect(softSides(tube, beats, MAX_TURN_DEG)).toEqual(beats.map(() => 'above'));
});

test('two who must be soft one after the other, with no time between: the ring stays on one side of both', () => {
  let plan: ShotPlan = { ...newPlan(), durationS: 6 };
  for (const [name, distanceMm] of [
    ['Ines', 2000],
    ['Bohdan', 3500],
  ] as const)
    plan = addSubject(plan, { name, distanceMm });
  plan = changeBeat(plan, 'beat-1', { requirement: 'soft', fromS: 0, toS: 3, blurPercent: 0.3 });
  plan = changeBeat(addBeat(plan, 'subject-2', 3), 'beat-2', { requirement: 'soft', fromS: 3, toS: 6, blurPercent: 0.3 });
  const solution = solveTrack(plan, 'follow', { roomShare: 0 })!;
  expect(solution.impossible).toBeNull();
  const verdict = evaluatePull(solution.plan);
  expect(verdict.status === 'judged' && verdict.beats.every(({ kept }) => kept)).toBe(true);
});
