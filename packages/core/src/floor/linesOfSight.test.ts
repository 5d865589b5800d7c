import {
  activeBeats,
  addLandmark,
  addSubjectAt,
  changeLandmark,
  changeSubject,
  DEFAULT_PULL,
  evaluatePull,
  unjudgedFramesOf,
  hiddenRunsOf,
  keepRate,
  moveCameraTo,
  newPlan,
  planDistances,
  type Pull,
  setDuration,
  setSubjectHeight,
  type ShotPlan,
  startFloor,
  tubeOf,
  walkTo,
} from '../index';
import { numbersFrom } from '../../test/randomPlans';
import { meetsAt, type Solid } from './solids';

const at = (xMm: number, yMm: number, heightMm: number) => ({ xMm, yMm, heightMm });

describe('a line meets a solid', () => {
  const post: Solid = { shape: 'round', xMm: 2000, yMm: 0, radiusMm: 150, tallMm: 1700 };
  const wall: Solid = { shape: 'square', xMm: 2000, yMm: 0, halfWidthMm: 1000, halfDepthMm: 50, turnedDeg: 90, tallMm: 2500 };

  test.each<[string, Solid, ReturnType<typeof at>, ReturnType<typeof at>, number]>([
    ['through its middle', post, at(0, 0, 1500), at(4000, 0, 1600), 1850 / 4000],
    ['past it', post, at(0, 0, 1500), at(4000, 310, 1600), Infinity],
    ['over it', post, at(0, 0, 1800), at(4000, 0, 1800), Infinity],
    ['down into it from above', post, at(0, 0, 3000), at(4000, 0, 100), 1850 / 4000],
    ['over it, down to what lies behind', post, at(0, 0, 6000), at(4000, 0, 100), Infinity],
    ['that ends before it', post, at(0, 0, 1500), at(1800, 0, 1500), Infinity],
    ['that begins behind it', post, at(2200, 0, 1500), at(4000, 0, 1500), Infinity],
    ['that begins inside it', post, at(2000, 0, 1500), at(4000, 0, 1500), 0],
    ['straight down beside it', post, at(2000, 200, 3000), at(2000, 200, 0), Infinity],
    ['straight down into it', post, at(2000, 0, 3000), at(2000, 0, 0), 1300 / 3000],
    ['through a wall across the way', wall, at(0, 0, 1500), at(4000, 0, 1500), 1950 / 4000],
    ['past its end', wall, at(0, 1100, 1500), at(4000, 1100, 1500), Infinity],
    ['over a wall', wall, at(0, 0, 2600), at(4000, 0, 2600), Infinity],
    ['through track, which hides nobody', { ...wall, tallMm: 0 }, at(0, 0, 0), at(4000, 0, 0), Infinity],
  ])('%s', (_, solid, from, to, share) => {
    expect(meetsAt(solid, from, to)).toBeCloseTo(share, 9);
  });
});

/** Tells whether a point is in a solid that is so much larger each way, without the arithmetic of lines. */
function insideOf(solid: Solid, moreMm: number): (x: number, y: number, z: number) => boolean {
  const { xMm, yMm } = solid;
  const topMm = solid.tallMm + moreMm;
  if (solid.shape === 'round') {
    const reach = (solid.radiusMm + moreMm) ** 2;
    return (x, y, z) => z <= topMm && (x - xMm) ** 2 + (y - yMm) ** 2 < reach;
  }
  const [ux, uy] = [Math.cos((solid.turnedDeg * Math.PI) / 180), Math.sin((solid.turnedDeg * Math.PI) / 180)];
  const [halfWidth, halfDepth] = [solid.halfWidthMm + moreMm, solid.halfDepthMm + moreMm];
  return (x, y, z) => {
    if (z > topMm) return false;
    const [dx, dy] = [x - xMm, y - yMm];
    return Math.abs(dx * ux + dy * uy) < halfWidth && Math.abs(dy * ux - dx * uy) < halfDepth;
  };
}

/** Walks along a line in steps. */
function isMet(solids: readonly Solid[], from: ReturnType<typeof at>, to: ReturnType<typeof at>, moreMm: number): boolean {
  const steps = Math.ceil(Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm, to.heightMm - from.heightMm) / STEP_MM);
  const [wayX, wayY, wayZ] = [(to.xMm - from.xMm) / steps, (to.yMm - from.yMm) / steps, (to.heightMm - from.heightMm) / steps];
  return solids.some((solid) => {
    const isInside = insideOf(solid, moreMm);
    for (let k = 0; k <= steps; k++)
      if (isInside(from.xMm + wayX * k, from.yMm + wayY * k, from.heightMm + wayZ * k)) return true;
    return false;
  });
}

/** Short enough that no solid which is larger by the margin is stepped over. */
const STEP_MM = 20;
const MARGIN_MM = 12;

const FPS = 2;

/** A set of people who walk, a camera that travels, and things between them. */
function randomSet(seed: number): ShotPlan {
  const next = numbersFrom(seed);
  const between = (low: number, high: number) => low + (high - low) * next();
  const place = (far: number) => ({ xMm: between(1500, far), yMm: between(-2500, 2500) });
  let plan = { ...startFloor(setDuration(newPlan(), 6)), captureFps: FPS };
  for (let k = 1; k <= 3; k++) {
    plan = addSubjectAt(plan, `Someone ${k}`, place(8000));
    if (next() < 0.7) plan = walkTo(plan, `subject-${k}`, place(8000), between(3, 6));
    plan = setSubjectHeight(plan, `subject-${k}`, between(900, 1750));
    plan = changeSubject(plan, `subject-${k}`, { widthMm: between(250, 700) });
  }
  for (const shape of ['post', 'box', 'wall', 'door'] as const) {
    plan = addLandmark(plan, shape, shape, place(6000));
    const { id } = plan.floor!.landmarks.at(-1)!;
    const size = { widthMm: between(100, 2000), depthMm: between(50, 900), turnedDeg: between(-180, 180) };
    plan = changeLandmark(plan, id, { ...size, tallMm: between(400, 2600) });
  }
  return next() < 0.6 ? moveCameraTo(plan, { xMm: between(-1000, 1000), yMm: between(-2000, 2000) }, between(2, 6)) : plan;
}

test('two hundred seeded sets against walking along every line, frame by frame', () => {
  const wrong: string[] = [];
  let [hidden, seen] = [0, 0];
  for (let seed = 1; seed <= 200; seed++) {
    const plan = randomSet(seed);
    const { cameraAt, scenePlaceAt } = planDistances(plan);
    for (const subject of plan.subjects) {
      const column = unjudgedFramesOf(plan, subject.id);
      for (let frame = 0; frame < 6 * FPS; frame++) {
        const timeS = frame / FPS;
        const eyes = { ...scenePlaceAt(subject, timeS).place!, heightMm: subject.heightMm };
        const solids = [
          ...plan.floor!.landmarks.map(({ shape, widthMm, depthMm, ...rest }): Solid =>
            shape === 'post'
              ? { shape: 'round', radiusMm: widthMm / 2, ...rest }
              : { shape: 'square', halfWidthMm: widthMm / 2, halfDepthMm: depthMm / 2, ...rest },
          ),
          ...plan.subjects
            .filter((other) => other !== subject)
            .filter((other) => {
              const place = scenePlaceAt(other, timeS).place!;
              return Math.hypot(place.xMm - eyes.xMm, place.yMm - eyes.yMm) > other.widthMm / 2;
            })
            .flatMap((other): Solid[] => {
              const { xMm, yMm } = scenePlaceAt(other, timeS).place!;
              // shoulders, and a head of 18 cm
              return [
                { shape: 'round', xMm, yMm, radiusMm: other.widthMm / 2, tallMm: other.tallMm - 360 },
                { shape: 'round', xMm, yMm, radiusMm: 90, tallMm: other.tallMm },
              ];
            }),
        ];
        const { camera } = cameraAt(timeS)!;
        const isHidden = column?.[frame] === 1;
        if (isHidden) hidden++;
        else seen++;
        // at the very edge of a solid either answer will do
        const isWrong = isHidden ? !isMet(solids, camera, eyes, MARGIN_MM) : isMet(solids, camera, eyes, -MARGIN_MM);
        if (isWrong) wrong.push(`set ${seed}, ${subject.name}, frame ${frame}`);
      }
    }
  }
  expect(wrong).toEqual([]);
  // both happen often
  expect(hidden).toBeGreaterThan(1000);
  expect(seen).toBeGreaterThan(1000);
});

describe('a carter crosses before Ines', () => {
  const ines = addSubjectAt(setDuration(newPlan(), 8), 'Ines', { xMm: 4000, yMm: 0 });
  const carter = addSubjectAt(ines, 'Carter', { xMm: 2000, yMm: -1500 });
  const crossing = { ...walkTo(carter, 'subject-2', { xMm: 2000, yMm: 1500 }, 6), captureFps: 200 };

  test('she is hidden while he is on the line, neither sharp nor soft', () => {
    const [run, ...others] = hiddenRunsOf(crossing, 'subject-1');
    expect(others).toEqual([]);
    expect(run!.by).toEqual({ kind: 'subject', id: 'subject-2' });
    const verdict = evaluatePull(crossing);
    if (verdict.status !== 'judged') throw new Error(verdict.status);
    const count = run!.toFrame - run!.fromFrame;
    // half way to her his head of 18 cm passes at 1.5 to 2.8 m/s
    expect(count / crossing.captureFps).toBeGreaterThan(0.06);
    expect(count / crossing.captureFps).toBeLessThan(0.13);
    expect(verdict.hiddenSpans).toEqual([
      {
        beatId: 'beat-1',
        subjectId: 'subject-1',
        by: run!.by,
        fromS: run!.fromFrame / crossing.captureFps,
        toS: run!.toFrame / crossing.captureFps,
      },
    ]);
    expect(verdict.beats[0]).toMatchObject({ unjudgedFrames: count, frames: verdict.frameCount - count, share: 1, kept: true });
    expect(verdict.requiredFrames).toBe(verdict.frameCount - count);
    expect(verdict.softSpans).toEqual([]);
    expect(tubeOf(crossing).required[run!.fromFrame]).toBe(0);
    expect(tubeOf(crossing).required[run!.fromFrame - 1]).toBe(1);
  });

  test('focus that is elsewhere while she is hidden costs nothing, and takes are kept', () => {
    const [run] = hiddenRunsOf(crossing, 'subject-1');
    const [fromS, toS] = [run!.fromFrame / crossing.captureFps, run!.toFrame / crossing.captureFps];
    const away = (plan: ShotPlan, times: readonly [number, number]) => {
      const pull = { ...DEFAULT_PULL, durationS: 0.01 };
      const pulls: Pull[] = [
        { ...pull, id: 'away', startS: times[0], target: { kind: 'distance', distanceMm: 2500 } },
        { ...pull, id: 'back', startS: times[1] - 0.01, target: { kind: 'mark', markId: 'mark-1' } },
      ];
      return { ...plan, focusTrack: { ...plan.focusTrack, pulls } };
    };
    const softOf = (plan: ShotPlan) => {
      const verdict = evaluatePull(plan);
      return verdict.status === 'judged' ? verdict.softSpans.length : -1;
    };
    expect(softOf(away(crossing, [fromS, toS]))).toBe(0);
    expect(softOf(away(crossing, [fromS - 1, toS]))).toBe(1);
    const [seenAlways, hiddenOnce] = [ines, crossing].map((plan) => keepRate(plan, { takes: 1000, seed: 1 }));
    expect(hiddenOnce!.keepRate).toBeCloseTo(seenAlways!.keepRate, 1);
    // nor does it lower the share of the time that is sharp
    expect(hiddenOnce!.sharpShare).toBeCloseTo(seenAlways!.sharpShare, 1);
    expect(hiddenOnce!.frames[run!.fromFrame]).toBeNaN();
  });

  test('her key moment behind him is not kept, and no take is', () => {
    const [run] = hiddenRunsOf(crossing, 'subject-1');
    const keyMomentS = (run!.fromFrame + 1) / crossing.captureFps;
    const keyed = { ...crossing, beats: [{ ...activeBeats(crossing)[0]!, keyMomentS }] };
    const verdict = evaluatePull(keyed);
    expect(verdict.status === 'judged' && verdict.beats[0]).toMatchObject({ isKeyMomentKept: false, kept: false });
    expect(keepRate(keyed, { takes: 200, seed: 1 }).keepRate).toBe(0);
  });

  test('a lens at his shoulders meets all of his width', () => {
    const low = { ...crossing, floor: { ...crossing.floor!, lensHeightMm: 900 } };
    const [wide, narrow] = [low, crossing].map((plan) => unjudgedFramesOf(plan, 'subject-1')!.reduce((sum, one) => sum + one, 0));
    expect(wide! / narrow!).toBeGreaterThan(2);
    expect(wide! / narrow!).toBeLessThan(3);
  });

  test('a lens above his head sees her; sitting down she is lower, and a box hides her then', () => {
    const high = { ...crossing, floor: { ...crossing.floor!, lensHeightMm: 2600 } };
    expect(hiddenRunsOf(high, 'subject-1')).toEqual([]);
    const box = addLandmark(ines, 'box', 'chest', { xMm: 3000, yMm: 0 });
    expect(hiddenRunsOf(box, 'subject-1')).toEqual([]);
    const seated = setSubjectHeight(box, 'subject-1', 600);
    expect(seated.subjects[0]!.tallMm).toBe(710);
    expect(hiddenRunsOf(seated, 'subject-1')).toMatchObject([{ fromFrame: 0, by: { kind: 'landmark', id: 'landmark-1' } }]);
  });

  test('hidden the whole time, a beat is not kept; what she holds is not hidden by her', () => {
    const behind = addLandmark(ines, 'wall', 'screen', { xMm: 2000, yMm: 0 });
    const turned = changeLandmark(behind, 'landmark-1', { turnedDeg: 90 });
    const verdict = evaluatePull(turned);
    expect(verdict.status === 'judged' && verdict.beats[0]).toMatchObject({ frames: 0, kept: false });
    expect(keepRate(turned, { takes: 100, seed: 1 }).keepRate).toBe(0);
    const letter = addSubjectAt(ines, 'Letter', { xMm: 4050, yMm: 0 });
    expect(hiddenRunsOf(letter, 'subject-2')).toEqual([]);
  });
});
