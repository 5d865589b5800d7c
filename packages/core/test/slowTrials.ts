import {
  type CameraErrors,
  depthOfField,
  evaluatePull,
  focusTrack,
  frameCount,
  minimumJerk,
  pullErrors,
  ringOf,
  type ShotPlan,
  type Subject,
  type Watching,
  watchFigures,
  zoneLensAt,
} from '../src/index';

/** Normal numbers, by Box and Muller over a small generator. */
function normals(seed: number): () => number {
  const uniform = evenly(seed);
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

/** Numbers between 0 and 1. */
function evenly(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let x = Math.imul(state ^ (state >>> 15), state | 1);
    x = (x + Math.imul(x ^ (x >>> 7), x | 61)) ^ x;
    return (((x ^ (x >>> 14)) >>> 0) + 0.5) / 4294967296;
  };
}

type Point = readonly [number, number, number];

/** Share of an eased way at a share of its time: the speed, added up in small steps. */
function walked(share: number, durationS: number): number {
  const ways = wayTables.get(durationS) ?? addedUp(durationS);
  wayTables.set(durationS, ways);
  const at = share * STEPS;
  const step = Math.min(Math.floor(at), STEPS - 1);
  return (ways[step]! + (ways[step + 1]! - ways[step]!) * (at - step)) / ways[STEPS]!;
}

const STEPS = 4000;
const wayTables = new Map<number, number[]>();

function addedUp(durationS: number): number[] {
  const bump = (tau: number) => 30 * tau ** 2 * (1 - tau) ** 2;
  const rampsS = Math.min(2, durationS);
  const speedAt = (timeS: number) => {
    const fromEndS = Math.min(timeS, durationS - timeS);
    return bump(Math.min(fromEndS, rampsS / 2) / rampsS);
  };
  const ways = [0];
  for (let step = 0; step < STEPS; step++) ways.push(ways[step]! + speedAt(((step + 0.5) / STEPS) * durationS));
  return ways;
}

/** Where the point of focus of a subject is at a time of its own path. */
function pointOf(plan: ShotPlan, { stays, heightMm }: Subject, timeS: number): Point {
  const placeOf = (markId: string) => plan.marks.find(({ id }) => id === markId)!.place!;
  let from = stays[0]!;
  for (const stay of stays) {
    if (timeS < stay.fromS && stay !== stays[0]) {
      const share = (timeS - from.untilS) / (stay.fromS - from.untilS);
      if (share <= 0) break;
      const way = stay.pace === 'steady' ? share : walked(share, stay.fromS - from.untilS);
      const [a, b] = [placeOf(from.markId), placeOf(stay.markId)];
      return [a.xMm + (b.xMm - a.xMm) * way, a.yMm + (b.yMm - a.yMm) * way, heightMm];
    }
    from = stay;
  }
  const { xMm, yMm } = placeOf(from.markId);
  return [xMm, yMm, heightMm];
}

/**
 * Where the lens is at a time of the camera's path, of at most one move. It starts some mm too far along its way, and ends some mm too far; a camera
 * that stays is too far along its axis.
 */
function cameraOf(plan: ShotPlan, timeS: number, missMm: number, startMissMm: number): Point {
  const { floor } = plan;
  const [a, b] = floor!.camera;
  const height = (mm: number | null) => mm ?? floor!.lensHeightMm;
  const mark: Point = [a!.xMm, a!.yMm, height(a!.heightMm)];
  if (!b) {
    const [x, y] = axisOf(plan, 0, mark, (id) =>
      pointOf(
        plan,
        plan.subjects.find((one) => one.id === id)!,
        0,
      ),
    );
    const level = Math.hypot(x, y);
    return [mark[0] + (startMissMm * x) / level, mark[1] + (startMissMm * y) / level, mark[2]];
  }
  const lengthMm = Math.hypot(b.xMm - a!.xMm, b.yMm - a!.yMm);
  const from: Point = [
    mark[0] + (startMissMm * (b.xMm - a!.xMm)) / lengthMm,
    mark[1] + (startMissMm * (b.yMm - a!.yMm)) / lengthMm,
    mark[2],
  ];
  if (timeS <= a!.timeS) return from;
  const end: Point = [
    b.xMm + (missMm * (b.xMm - a!.xMm)) / lengthMm,
    b.yMm + (missMm * (b.yMm - a!.yMm)) / lengthMm,
    height(b.heightMm),
  ];
  const share = Math.min((timeS - a!.timeS) / (b.timeS - a!.timeS), 1);
  const way = b.pace === 'steady' ? share : walked(share, b.timeS - a!.timeS);
  return [from[0] + (end[0] - from[0]) * way, from[1] + (end[1] - from[1]) * way, from[2] + (end[2] - from[2]) * way];
}

/** Heading and tilt of an axis through a point, in degrees. */
function towards([x, y, z]: Point, [toX, toY, toZ]: Point): [number, number] {
  const across = Math.hypot(toX - x, toY - y);
  return [(Math.atan2(toY - y, toX - x) * 180) / Math.PI, (Math.atan2(toZ - z, across) * 180) / Math.PI];
}

/**
 * Direction of the axis at a time of the camera's path. In a pan it goes by the plan; between pans it follows the subject it is
 * aimed at.
 *
 * @param pointNow - where a subject really is
 */
function axisOf(plan: ShotPlan, timeS: number, camera: Point, pointNow: (subjectId: string) => Point): Point {
  const { aims } = plan.floor!;
  const angles = (index: number, isPlanned: boolean): [number, number] => {
    const { at } = aims[index]!;
    if (at.kind === 'heading') return [at.deg, at.tiltDeg ?? 0];
    if (at.kind === 'point') return towards(camera, [at.xMm, at.yMm, at.heightMm ?? camera[2]]);
    const subject = plan.subjects.find(({ id }) => id === at.subjectId)!;
    return towards(camera, isPlanned ? pointOf(plan, subject, timeS) : pointNow(at.subjectId));
  };
  let held = 0;
  for (let k = 1; k < aims.length; k++) if (timeS >= aims[k]!.timeS) held = k;
  const next = aims[held + 1];
  let [heading, tilt] = angles(held, next !== undefined && timeS > next.timeS - next.panS);
  if (next && timeS > next.timeS - next.panS) {
    const way = minimumJerk((timeS - next.timeS + next.panS) / next.panS);
    const [toHeading, toTilt] = angles(held + 1, true);
    heading += (((((toHeading - heading) % 360) + 540) % 360) - 180) * way;
    tilt += (toTilt - tilt) * way;
  }
  const [h, t] = [(heading * Math.PI) / 180, (tilt * Math.PI) / 180];
  return [Math.cos(h) * Math.cos(t), Math.sin(h) * Math.cos(t), Math.sin(t)];
}

/**
 * Keep rate in plain, slow code: everybody walks through the scene, take by take. For plans whose marks are all drawn, whose beats
 * must be sharp, and whose pulls go to marks.
 *
 * @param watching - what the puller looks at; softness that is noticed in a hold is corrected there
 */
export function slowKeepRate(
  plan: ShotPlan,
  { trials, seed, camera, watching }: { trials: number; seed: number; camera: CameraErrors; watching?: Watching | undefined },
): number {
  const draw = normals(seed);
  const guess = evenly(seed + 77);
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('not judged');
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring)!;
  const errors = pullErrors(plan, verdict.pulls);
  const circleMm = zoneLensAt(plan.optics, 0).circleOfConfusionMm;
  const figures = watching ? watchFigures(plan, watching) : null;
  const correctFrames = figures ? Math.max(1, Math.round(figures.sharpAgainS * plan.captureFps)) : 0;
  const fps = plan.captureFps;
  const frames = frameCount(plan.durationS, fps);
  const endS = (frames - 1) / fps;
  const within = (timeS: number) => Math.min(Math.max(timeS, 0), endS);
  const [lowDeg, highDeg] = [ring.angleAt(ring.farthestMm), ring.angleAt(ring.closeFocusMm)].sort((a, b) => a - b) as [
    number,
    number,
  ];
  const onRing = (deg: number) => Math.min(Math.max(deg, lowDeg), highDeg);
  const targets = [plan.focusTrack.start!, ...plan.focusTrack.pulls.map(({ target }) => target)];
  const planned = [track.start, ...track.pulls.map(({ to }) => to)];
  let tape = new Map<string, number>();
  let kept = 0;
  for (let trial = 0; trial < trials; trial++) {
    if (trial % 20 === 0) tape = new Map(plan.marks.map(({ id }) => [id, draw()]));
    const people = new Map(
      plan.subjects.map(({ id, markSigmaMm, timingSigmaS }) => [
        id,
        { missMm: draw() * markSigmaMm, lateS: draw() * timingSigmaS },
      ]),
    );
    const cameraLateS = draw() * camera.timingSigmaS;
    const [first, last] = plan.floor!.camera;
    const cameraMissMm = draw() * (last?.missSigmaMm ?? camera.stopSigmaMm);
    const startMissMm = draw() * (first!.missSigmaMm ?? 0);
    const keeps = Math.exp(-1 / (camera.driftTimeS * fps));
    let drift = draw();
    const driftMm = Array.from({ length: camera.driftSigmaMm > 0 ? frames : 0 }, (_, frame) => {
      if (frame > 0) drift = keeps * drift + Math.sqrt(1 - keeps * keeps) * draw();
      return drift * camera.driftSigmaMm;
    });
    const held = targets.map((target, k) => {
      const mark = target.kind === 'mark' ? plan.marks.find(({ id }) => id === target.markId)! : null;
      const mm = mark ? planned[k]!.requestedMm + tape.get(mark.id)! * mark.uncertaintyMm : NaN;
      const deg = mark ? onRing(ring.angleAt(Math.min(Math.max(mm, ring.closeFocusMm), ring.farthestMm))) : planned[k]!.ringDeg;
      return onRing(deg + (k === 0 ? 0 : draw() * errors[k - 1]!.ringSigmaDeg));
    });
    let freeS = -Infinity;
    const starts = plan.focusTrack.pulls.map(({ startS, durationS }, k) => {
      const at = Math.max(startS + errors[k]!.reactionS + draw() * errors[k]!.cueSigmaS, freeS);
      freeS = at + durationS;
      return at;
    });
    const degAt = (timeS: number): number => {
      let k = starts.length - 1;
      while (k >= 0 && timeS < starts[k]! - 1e-9) k--;
      if (k < 0) return held[0]!;
      const share = Math.min((timeS - starts[k]!) / plan.focusTrack.pulls[k]!.durationS, 1);
      return held[k]! + (held[k + 1]! - held[k]!) * minimumJerk(Math.max(share, 0));
    };
    const pointNow = (subjectId: string, timeS: number) =>
      pointOf(
        plan,
        plan.subjects.find(({ id }) => id === subjectId)!,
        within(timeS - people.get(subjectId)!.lateS),
      );
    const depthOf = (subjectId: string, frame: number): number => {
      const timeS = frame / fps;
      const cameraS = within(timeS - cameraLateS);
      const [x, y, z] = cameraOf(plan, cameraS, cameraMissMm, startMissMm);
      const axis = axisOf(plan, cameraS, [x, y, z], (id) => pointNow(id, timeS));
      const [px, py, pz] = pointNow(subjectId, timeS);
      const depth = (px - x) * axis[0] + (py - y) * axis[1] + (pz - z) * axis[2];
      return depth - (driftMm[frame] ?? 0) + people.get(subjectId)!.missMm;
    };
    /** Whether the blur at a distance is within a circle, with the ring at an angle. */
    const isWithin = (mm: number, deg: number, timeS: number, circleMm: number): boolean => {
      const lens = { ...zoneLensAt(plan.optics, timeS), circleOfConfusionMm: circleMm };
      const { nearMm, farMm } = depthOfField({ ...lens, focusDistanceMm: ring.distanceAt(deg) });
      return mm >= nearMm && mm <= farMm;
    };
    /** Hold in which a frame lies, and whether the ring still turns towards it. */
    const holdAt = (timeS: number): { hold: number; turns: boolean } => {
      let k = starts.length - 1;
      while (k >= 0 && timeS < starts[k]! - 1e-9) k--;
      return { hold: k + 1, turns: k >= 0 && timeS < starts[k]! + plan.focusTrack.pulls[k]!.durationS - 1e-9 };
    };
    const isKept = plan.beats.every(({ subjectId, fromS, toS, requiredShare, toleratedFrames }) => {
      const [from, to] = [Math.ceil(fromS * fps - 1e-6), Math.min(Math.ceil(toS * fps - 1e-6), frames)];
      // who is hidden is neither sharp nor soft
      const unjudged = verdict.subjects.find((one) => one.subjectId === subjectId)!.unjudged;
      let seen = 0;
      let lost = 0;
      let run = 0;
      let hold = -1;
      let correctedDeg: number | null = null;
      let noticed = 0;
      let needed = 0;
      const runs: number[] = [];
      for (let frame = from; frame < to; frame++) {
        const timeS = frame / fps;
        const now = holdAt(timeS);
        if (now.hold !== hold) {
          // another pull takes the ring from where the hold was planned
          hold = now.hold;
          correctedDeg = null;
          noticed = 0;
          needed = correctFrames * (figures && guess() > figures.rightWayShare ? 2 : 1);
        }
        const isHidden = unjudged?.[frame] === 1;
        if (!isHidden) seen++;
        const mm = depthOf(subjectId, frame);
        const deg = correctedDeg !== null && !now.turns ? correctedDeg : degAt(timeS);
        if (isHidden || isWithin(mm, deg, timeS, circleMm)) {
          runs.push(run);
          run = 0;
          noticed = 0;
          continue;
        }
        run++;
        if (!figures || now.turns || !canBeSeen(mm, deg, timeS)) continue;
        noticed++;
        if (noticed < needed) continue;
        correctedDeg = onRing(ring.angleAt(Math.min(Math.max(mm, ring.closeFocusMm), ring.farthestMm)));
        noticed = 0;
      }
      for (const frames of [...runs, run]) if (frames > toleratedFrames) lost += frames;
      if (seen === 0) return to === from;
      return lost <= Math.floor(seen * (1 - requiredShare) + 1e-9);
    });
    function canBeSeen(mm: number, deg: number, timeS: number): boolean {
      if (figures!.byDistance === null) return !isWithin(mm, deg, timeS, figures!.seenBlurMm);
      const focusMm = ring.distanceAt(deg);
      return mm < focusMm * (1 - figures!.byDistance) || mm > focusMm * (1 + figures!.byDistance);
    }
    if (isKept) kept++;
  }
  return kept / trials;
}
