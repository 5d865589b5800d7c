import { easedWay } from './easedWay.js';
import type { FloorPlan, PathKey } from './floorPlan.js';
import { minimumJerk } from './minimumJerk.js';
import { between, headingDeg, type Place } from './place.js';

/** Camera place and lens height at a time, interpolated between two keys (eased or steady). */
export function cameraPlaceAt({ camera, lensHeightMm }: FloorPlan, timeS: number): EyesPlace {
  let next = 0;
  while (next < camera.length && timeS >= camera[next]!.timeS) next++;
  const from = camera[Math.max(next - 1, 0)]!;
  const fromMm = from.heightMm ?? lensHeightMm;
  const to = camera[next];
  if (to === undefined || to === from) return { xMm: from.xMm, yMm: from.yMm, heightMm: fromMm };
  const share = shareOfWay(from, to, timeS);
  const { xMm, yMm } = between(from, to, share);
  return { xMm, yMm, heightMm: fromMm + ((to.heightMm ?? lensHeightMm) - fromMm) * share };
}

function shareOfWay(from: PathKey, to: PathKey, timeS: number): number {
  const durationS = to.timeS - from.timeS;
  const progress = Math.max((timeS - from.timeS) / durationS, 0);
  return to.pace === 'steady' ? progress : easedWay(progress, durationS);
}

/**
 * How a miss of the ends of its moves shifts the camera at a time, by a miss of one standard deviation. A move that ends 30 mm too far along its
 * way leaves the camera there until the next move. How its start is missed is apart: see `cameraStartMissAt`.
 *
 * @param stopSigmaMm - spread at ends for which nothing else is typed
 */
export function cameraMissAt({ camera }: FloorPlan, timeS: number, stopSigmaMm: number): Place {
  let [from, miss] = [camera[0]!, STILL];
  for (const key of camera) {
    if (key === from) continue;
    const lengthMm = Math.hypot(key.xMm - from.xMm, key.yMm - from.yMm);
    const sigmaMm = key.missSigmaMm ?? stopSigmaMm;
    const next = lengthMm === 0 ? miss : scaled(key, from, sigmaMm / lengthMm);
    if (timeS < key.timeS) return between(miss, next, shareOfWay(from, key, timeS));
    [from, miss] = [key, next];
  }
  return miss;
}

/**
 * How a miss of the start mark shifts the camera at a time, by a miss of one standard deviation: along its first move, until that move ends. A camera
 * that stays is off along its lens axis.
 *
 * @param headingDeg - of the lens axis at the start
 */
export function cameraStartMissAt({ camera }: FloorPlan, timeS: number, headingDeg: number | null): Place {
  const [start] = camera;
  const sigmaMm = start?.missSigmaMm ?? 0;
  if (!start || sigmaMm === 0) return STILL;
  const at = camera.findIndex((key) => key.xMm !== start.xMm || key.yMm !== start.yMm);
  const [from, to] = [camera[at - 1], camera[at]];
  if (!from || !to) {
    const rad = ((headingDeg ?? 0) * Math.PI) / 180;
    return { xMm: Math.cos(rad) * sigmaMm, yMm: Math.sin(rad) * sigmaMm };
  }
  if (timeS >= to.timeS) return STILL;
  const miss = scaled(to, start, sigmaMm / Math.hypot(to.xMm - start.xMm, to.yMm - start.yMm));
  return timeS <= from.timeS ? miss : between(miss, STILL, shareOfWay(from, to, timeS));
}

/** Way from one place to another, by a factor. */
function scaled(to: Place, from: Place, factor: number): Place {
  return { xMm: (to.xMm - from.xMm) * factor, yMm: (to.yMm - from.yMm) * factor };
}

const STILL: Place = { xMm: 0, yMm: 0 };

/** Direction of the lens axis. */
export interface LensAxis {
  /** Degrees anticlockwise from the x axis */
  readonly headingDeg: number;
  /** Degrees upwards from level */
  readonly tiltDeg: number;
}

/** A place with the height of its point of focus above the floor. */
export interface EyesPlace extends Place {
  readonly heightMm: number;
}

const LEVEL_ALONG_X: LensAxis = { headingDeg: 0, tiltDeg: 0 };

/**
 * Direction of the lens axis at a time. An aim at a subject, or at a point with a height, tilts the axis to it. An aim by heading has
 * the tilt that was typed.
 *
 * @param eyesOf - where a subject's point of focus is at that time; null if the subject is not on the floor
 * @param camera - where the camera is at that time, if it is known already
 * @returns finite angles. An aim at the camera's own place keeps the direction of the aim before it; the first one looks along x.
 */
export function cameraAxisAt(
  floor: FloorPlan,
  timeS: number,
  eyesOf: EyesOf,
  camera: EyesPlace = cameraPlaceAt(floor, timeS),
): LensAxis {
  const { aims } = floor;
  let held = aims.length - 1;
  while (held > 0 && timeS < aims[held]!.timeS) held--;
  let now = heldAxis(aims, held, camera, eyesOf);
  for (let index = held + 1; index < aims.length; index++) {
    const aim = aims[index]!;
    if (timeS <= aim.timeS - aim.panS) continue;
    const progress = minimumJerk((timeS - (aim.timeS - aim.panS)) / aim.panS);
    const next = axisTo(aim.at, camera, eyesOf) ?? now;
    now = {
      headingDeg: now.headingDeg + shortestTurnDeg(now.headingDeg, next.headingDeg) * progress,
      tiltDeg: now.tiltDeg + (next.tiltDeg - now.tiltDeg) * progress,
    };
  }
  return now;
}

/**
 * Unit vector of the lens axis at a time: along x, along y, upwards. As `cameraAxisAt` has it, without angles while no pan is in progress: this runs
 * for every frame.
 */
export function cameraForwardAt(
  floor: FloorPlan,
  timeS: number,
  eyesOf: EyesOf,
  camera: EyesPlace,
): readonly [number, number, number] {
  const { aims } = floor;
  let held = aims.length - 1;
  while (held > 0 && timeS < aims[held]!.timeS) held--;
  const next = aims[held + 1];
  const isPanning = next !== undefined && timeS > next.timeS - next.panS;
  const target = targetOf(aims[held]!.at, eyesOf);
  if (!isPanning && target !== null) {
    const dx = target.xMm - camera.xMm;
    const dy = target.yMm - camera.yMm;
    const dz = (target.heightMm ?? camera.heightMm) - camera.heightMm;
    const length = Math.sqrt(dx * dx + dy * dy + dz * dz);
    if (dx !== 0 || dy !== 0) return [dx / length, dy / length, dz / length];
  }
  const { headingDeg: heading, tiltDeg } = cameraAxisAt(floor, timeS, eyesOf, camera);
  const tilt = (tiltDeg * Math.PI) / 180;
  const level = Math.cos(tilt);
  const rad = (heading * Math.PI) / 180;
  return [Math.cos(rad) * level, Math.sin(rad) * level, Math.sin(tilt)];
}

type EyesOf = (subjectId: string) => EyesPlace | null;

/** Axis of an aim that is reached; of the one before it if it has none of its own. */
function heldAxis(aims: FloorPlan['aims'], held: number, camera: EyesPlace, eyesOf: EyesOf): LensAxis {
  for (let index = held; index >= 0; index--) {
    const axis = axisTo(aims[index]!.at, camera, eyesOf);
    if (axis) return axis;
  }
  return LEVEL_ALONG_X;
}

/** Point that an aim goes through, level with the lens if it has no height; null for a heading, and for a subject who is not on the floor. */
function targetOf(at: FloorPlan['aims'][number]['at'], eyesOf: EyesOf): (Place & { readonly heightMm: number | null }) | null {
  if (at.kind === 'subject') return eyesOf(at.subjectId);
  return at.kind === 'point' ? at : null;
}

/** Direction to an aim; null for one at the camera's own place, or at a subject who is not on the floor. */
function axisTo(at: FloorPlan['aims'][number]['at'], camera: EyesPlace, eyesOf: EyesOf): LensAxis | null {
  if (at.kind === 'heading') return { headingDeg: at.deg, tiltDeg: at.tiltDeg ?? 0 };
  const target = targetOf(at, eyesOf);
  if (target === null) return null;
  const [dx, dy] = [target.xMm - camera.xMm, target.yMm - camera.yMm];
  if (dx === 0 && dy === 0) return null;
  const tilt = Math.atan2((target.heightMm ?? camera.heightMm) - camera.heightMm, Math.sqrt(dx * dx + dy * dy));
  return { headingDeg: headingDeg(camera, target), tiltDeg: (tilt * 180) / Math.PI };
}

/** Subject at which the camera is aimed at a time; null during a pan, and for an aim at a point or by heading. */
export function aimedSubjectAt({ aims }: FloorPlan, timeS: number): string | null {
  const index = Math.max(
    aims.findLastIndex((aim) => timeS >= aim.timeS),
    0,
  );
  const next = aims[index + 1];
  if (next && timeS > next.timeS - next.panS) return null;
  const { at } = aims[index]!;
  return at.kind === 'subject' ? at.subjectId : null;
}

/** Signed turn from one heading to another the short way round, −180 (included) to 180 degrees. */
export function shortestTurnDeg(fromDeg: number, toDeg: number): number {
  const turn = (((toDeg - fromDeg) % 360) + 540) % 360;
  return turn - 180;
}
