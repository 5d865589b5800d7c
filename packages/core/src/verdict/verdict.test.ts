import fc from 'fast-check';
import { longShot, twoPeople } from '../../test/plans';
import { blurDiameterMm, depthOfField } from '../optics/index';
import { defaultWheel, fNumberOf, ringOf } from '../kit/index';
import {
  addStay,
  addSubject,
  addSubjectAt,
  changeBeat,
  changeMark,
  changePull,
  moveCameraTo,
  newPlan,
  planCircleMm,
  removeBeat,
  removePull,
  setDuration,
  setStop,
  type ShotPlan,
  walkTo,
} from '../plan/index';
import { evaluatePull } from './evaluatePull';
import { handSpeeds } from './peakSpeed';
import type { CompleteVerdict } from './pullVerdict';
import { caseCount } from '../../test/caseCount';

function judge(plan: ShotPlan): CompleteVerdict {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(`not judged: ${verdict.missing.join()}`);
  return verdict;
}

/** Old Tam must be sharp until 4 s and Ines from 5 s. */
const required = twoPeople();
const sharp = changeBeat(required, 'beat-2', { fromS: 5 });

describe('before there is anything to judge', () => {
  test('it says what is missing', () => {
    expect(evaluatePull(newPlan())).toEqual({ status: 'incomplete', missing: ['distance'] });
    const nobody = removeBeat(removeBeat(required, 'beat-1'), 'beat-2');
    expect(evaluatePull(nobody)).toEqual({ status: 'incomplete', missing: ['beat'] });
  });
});

describe('two people and one pull', () => {
  test('sharp when the pull leaves after the one and lands before the other', () => {
    const verdict = judge(sharp);
    expect(verdict.outcome).toBe('tight');
    expect(judge(setStop(sharp, 8)).outcome).toBe('sharp');
    expect(verdict.frameCount).toBe(240);
    expect(verdict.requiredFrames).toBe(96 + 120);
    expect(verdict.sharpFrames).toBe(verdict.requiredFrames);
  });

  test('frame by frame it agrees with the formulas', () => {
    const verdict = judge(sharp);
    const { lens, stop } = sharp.optics;
    const optics = { focalLengthMm: lens.focalLengthMm, fNumber: fNumberOf(lens, stop) };
    const ring = ringOf(lens);
    for (const i of [0, 50, 96, 100, 107, 108, 119, 120, 239]) {
      const focusDistanceMm = ring.distanceAt(verdict.track.ringDeg[i]!);
      expect(verdict.track.focusMm[i]).toBeCloseTo(focusDistanceMm, 6);
      const zone = depthOfField({ ...optics, circleOfConfusionMm: planCircleMm(sharp.optics), focusDistanceMm });
      expect(verdict.track.nearMm[i]).toBeCloseTo(zone.nearMm, 6);
      expect(verdict.track.farMm[i]).toBeCloseTo(zone.farMm, 6);
      for (const subject of verdict.subjects) {
        const blur = blurDiameterMm({ ...optics, focusDistanceMm, subjectDistanceMm: subject.distanceMm[i]! });
        expect(subject.blurCircles[i]).toBeCloseTo(blur / verdict.circleOfConfusionMm, 9);
        expect(subject.sharp[i] === 1).toBe(subject.blurCircles[i]! <= 1 + 1e-9);
        expect(subject.sharp[i] === 1).toBe(subject.marginMm[i]! >= -1e-6);
      }
    }
    expect(verdict.track.ringDeg[108]).toBeCloseTo((verdict.track.ringDeg[0]! + verdict.track.ringDeg[239]!) / 2, 6);
  });

  test('too late a pull: from when, by how much, on which side, and which move', () => {
    const late = changePull(sharp, 'pull-1', { startS: 6 });
    const verdict = judge(late);
    expect(verdict.outcome).toBe('soft');
    expect(verdict.softSpans).toHaveLength(1);
    expect(verdict.softSpans[0]).toMatchObject({
      fromFrame: 120,
      subjectId: 'subject-2',
      side: 'in front',
      cause: { kind: 'starts-too-late', pullId: 'pull-1' },
    });
    // the gap is what lies between her and the near limit of the zone around Old Tam
    expect(verdict.softSpans[0]!.worstGapMm).toBeCloseTo(verdict.track.nearMm[120]! - 2050, 6);
  });

  test('under way when she must be sharp', () => {
    const underWay = changePull(sharp, 'pull-1', { startS: 4.5 });
    expect(judge(underWay).softSpans[0]!.cause).toEqual({ kind: 'under-way', pullId: 'pull-1' });
  });

  test('too soon a pull leaves the first one behind it', () => {
    const soon = changePull(sharp, 'pull-1', { startS: 2 });
    expect(judge(soon).softSpans[0]).toMatchObject({
      subjectId: 'subject-1',
      side: 'behind',
      cause: { kind: 'left-too-soon', pullId: 'pull-1' },
    });
  });

  test('no pull at all', () => {
    const none = removePull(sharp, 'pull-1');
    expect(judge(none).softSpans[0]!.cause).toEqual({ kind: 'no-pull' });
  });

  test('she walks and nothing follows', () => {
    const walks = addStay(sharp, 'subject-2', { distanceMm: 1200, fromS: 9 });
    const verdict = judge(walks);
    expect(verdict.softSpans[0]).toMatchObject({ subjectId: 'subject-2', cause: { kind: 'walks' } });
    expect(verdict.softSpans[0]!.fromS).toBeGreaterThan(7);
  });

  test('nearer than the lens focuses', () => {
    const close = changeMark(sharp, 'mark-2', { distanceMm: 400 });
    const verdict = judge(close);
    expect(verdict.pulls[0]!.to).toMatchObject({ requestedMm: 400, distanceMm: 650, reachable: false });
    expect(verdict.softSpans[0]!.cause).toEqual({ kind: 'out-of-reach' });
  });

  test('a mark at infinity', () => {
    const far = changeMark(sharp, 'mark-2', { distanceMm: null });
    const verdict = judge(far);
    expect(verdict.track.focusMm[239]).toBe(Infinity);
    expect(verdict.subjects[1]!.blurCircles[239]).toBe(0);
  });

  test('a beat may allow some softness', () => {
    const late = changePull(sharp, 'pull-1', { startS: 4.5 });
    const lenient = changeBeat(late, 'beat-2', { requiredShare: 0.8 });
    expect(judge(late).outcome).toBe('soft');
    expect(judge(lenient).outcome).toBe('tight');
  });

  test('sharp on paper, but no hand is that fast', () => {
    const rushed = changePull(sharp, 'pull-1', { startS: 4.4, durationS: 0.2 });
    const verdict = judge(rushed);
    expect(verdict.pulls[0]!.grade).toBe('too-hard');
    expect(verdict.outcome).toBe('too-hard');
  });

  test('one soft frame in nine seconds does not read as nine of nine', () => {
    // Old Tam must be sharp until the frame at which the pull has just taken him out of the zone
    const lost = judge(changeBeat(sharp, 'beat-1', { toS: 5 })).softSpans[0]!.fromFrame;
    const oneFrame = changeBeat(sharp, 'beat-1', { toS: (lost + 1) / 24 });
    expect(judge(oneFrame).requiredFrames - judge(oneFrame).sharpFrames).toBe(1);
  });
});

describe('each move as a hand meets it', () => {
  test('travel, window, bits and time hang together', () => {
    const [pull] = judge(sharp).pulls;
    const ring = ringOf(sharp.optics.lens);
    expect(pull!.travelDeg).toBeCloseTo(ring.angleAt(2050) - ring.angleAt(2900), 9);
    expect(pull!.nearRoomDeg + pull!.farRoomDeg).toBeCloseTo(pull!.windowDeg, 9);
    expect(pull!.bits).toBeCloseTo(Math.log2(pull!.travelDeg / pull!.windowDeg + 1), 12);
    expect(pull!.neededS).toBeCloseTo(0.15 + 0.22 * pull!.bits, 12);
    expect(pull!.peakDegPerS).toBeCloseTo(1.875 * pull!.travelDeg, 9);
    expect(pull!.towards).toBe('near');
  });

  test('in metres the far mark forgives more; for the hand the window is about the same near and far', () => {
    const near = judge(changeMark(sharp, 'mark-2', { distanceMm: 1500 })).pulls[0]!;
    const far = judge(changeMark(sharp, 'mark-2', { distanceMm: 6000 })).pulls[0]!;
    expect(far.windowDeg / near.windowDeg).toBeGreaterThan(0.85);
    expect(far.windowDeg / near.windowDeg).toBeLessThan(1.15);
  });

  test('a rack to the current distance takes no time', () => {
    const [pull] = judge(changeMark(sharp, 'mark-2', { distanceMm: 2900 })).pulls;
    expect(pull).toMatchObject({ travelDeg: 0, towards: 'nowhere', neededS: 0, grade: 'comfortable' });
  });
});

describe('whatever the plan', () => {
  const plans = fc
    .record({
      tam: fc.double({ min: 700, max: 20_000, noNaN: true }),
      ines: fc.double({ min: 700, max: 20_000, noNaN: true }),
      startS: fc.double({ min: 0, max: 8, noNaN: true }),
      durationS: fc.double({ min: 0.1, max: 4, noNaN: true }),
      stop: fc.double({ min: 2.2, max: 22, noNaN: true }),
    })
    .map(({ tam, ines, startS, durationS, stop }) =>
      setStop(
        changePull(changeMark(changeMark(sharp, 'mark-1', { distanceMm: tam }), 'mark-2', { distanceMm: ines }), 'pull-1', {
          startS,
          durationS,
        }),
        stop,
      ),
    );

  test('nothing is NaN, the zone holds focus, and spans are exactly the soft frames of the beats', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const verdict = judge(plan);
        for (const values of [
          ...Object.values(verdict.track),
          ...verdict.subjects.flatMap((s) => [s.distanceMm, s.blurCircles, s.marginMm]),
        ]) {
          expect((values as Float64Array).some(Number.isNaN)).toBe(false);
        }
        for (let i = 0; i < verdict.frameCount; i++) {
          const { nearMm, focusMm, farMm } = verdict.track;
          if (!(nearMm[i]! <= focusMm[i]! && focusMm[i]! <= farMm[i]!)) throw new Error(`zone at frame ${i}`);
        }
        for (const beat of verdict.beats) {
          const softFrames = verdict.softSpans
            .filter((span) => span.beatId === beat.beatId)
            .reduce((sum, span) => sum + span.toFrame - span.fromFrame, 0);
          expect(softFrames).toBe(beat.frames - beat.keptFrames);
        }
      }),
      { seed: 8, numRuns: caseCount(150) },
    );
  });

  test('a narrower stop never makes a sharp frame soft', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const wide = judge(plan);
        const narrow = judge(setStop(plan, plan.optics.stop * 1.4));
        expect(narrow.sharpFrames).toBeGreaterThanOrEqual(wide.sharpFrames);
      }),
      { seed: 9, numRuns: caseCount(80) },
    );
  });

  test('a reversed order of people gives the same verdict for each', () => {
    const flipped = { ...sharp, subjects: [...sharp.subjects].reverse() };
    const byId = (verdict: CompleteVerdict) => Object.fromEntries(verdict.subjects.map((s) => [s.subjectId, [...s.sharp]]));
    expect(byId(judge(flipped))).toEqual(byId(judge(sharp)));
  });
});

test('a minute with four people and six pulls is judged whole', () => {
  const verdict = judge(longShot());
  expect(verdict.frameCount).toBe(1440);
  expect(verdict.subjects).toHaveLength(4);
  expect(verdict.pulls).toHaveLength(6);
  expect(judge(setDuration(longShot(), 90)).frameCount).toBe(2160);
});

test('of someone who walks later, and whom the camera leaves while they stand, the camera is to blame', () => {
  let plan = addSubjectAt(newPlan(), 'Ines', { xMm: 3000, yMm: 0 });
  plan = walkTo(plan, 'subject-1', { xMm: 2000, yMm: 0 }, 9.5);
  plan = {
    ...moveCameraTo(plan, { xMm: -3000, yMm: 0 }, 4),
    focusTrack: { start: { kind: 'mark', markId: 'mark-1' }, pulls: [] },
  };
  expect(judge(plan).softSpans[0]).toMatchObject({ cause: { kind: 'camera-moves' } });
});

describe('the speed of the hand by frame', () => {
  test('is the turn from the frame before, at the wheel if there is one, and is nothing where the ring rests', () => {
    const plan = twoPeople();
    const { track, pulls } = judge(plan);
    const speeds = handSpeeds(track.ringDeg, plan);
    const middle = Math.round(((pulls[0]!.startS + pulls[0]!.endS) / 2) * plan.captureFps);
    // the peak of a smooth turn is 15 / 8 of its mean
    const { travelDeg, startS, endS } = pulls[0]!;
    expect(speeds[middle]! / ((travelDeg / (endS - startS)) * (15 / 8))).toBeCloseTo(1, 1);
    expect([speeds[0], speeds.at(-1)]).toEqual([0, 0]);
    const geared = { ...plan, wheel: defaultWheel({ name: 'Wheel', wheelPerRing: 2 }) };
    expect(handSpeeds(track.ringDeg, geared)[middle]! / speeds[middle]!).toBeCloseTo(2, 9);
  });

  test('rises steeply as somebody comes close at a steady pace: as one over the distance squared', () => {
    const walk = addStay(addSubject(newPlan(), { name: 'Ines', distanceMm: 6000 }), 'subject-1', { distanceMm: 1500, fromS: 9 });
    const steady: ShotPlan = {
      ...walk,
      subjects: walk.subjects.map((one) => ({
        ...one,
        stays: one.stays.map((stay, index) => (index === 0 ? { ...stay, untilS: 0 } : { ...stay, pace: 'steady' as const })),
      })),
      focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: 0 }, pulls: [] },
    };
    const { track } = judge(steady);
    const speeds = handSpeeds(track.ringDeg, steady);
    const at = (mm: number) => speeds[track.focusMm.findIndex((focus) => focus <= mm)]!;
    expect(at(2000) / at(4000)).toBeGreaterThan(3.5);
    expect(at(2000) / at(4000)).toBeLessThan(4.8);
  });
});
