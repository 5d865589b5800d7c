import type { AimKey, PathKey, Place } from '../../floor/index.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';
import { setCameraErrors } from './shot.js';
import { clampedPlace, inTime, withFloor } from './withFloor.js';

/** Adds a camera key: the camera arrives at `place` at `atS`. A key at that time already is moved instead. */
export function moveCameraTo(plan: ShotPlan, place: Place, atS: number): ShotPlan {
  return withFloor(plan, (floor) => {
    const timeS = clamp(atS, 0, plan.durationS);
    const taken = floor.camera.find((key) => Math.abs(key.timeS - timeS) < TIME_TOLERANCE_S);
    if (taken) return { ...floor, camera: withItem(floor.camera, taken.id, (key) => ({ ...key, ...clampedPlace(place) })) };
    if (floor.camera.length >= LIMITS.cameraKeys.max) return floor;
    // a camera that was raised stays raised
    const heightBefore = floor.camera.findLast((key) => key.timeS < timeS)?.heightMm ?? null;
    const key: PathKey = {
      id: nextId('camera', floor.camera),
      timeS,
      ...clampedPlace(place),
      pace: 'eased',
      heightMm: heightBefore,
      missSigmaMm: null,
    };
    return { ...floor, camera: inTime([...floor.camera, key]) };
  });
}

/** Two keys closer in time than this count as one. */
const TIME_TOLERANCE_S = 0.02;

/** Changes the place, time (between its neighbours), pace or lens height of a camera key. */
export function changeCameraKey(plan: ShotPlan, id: string, changes: Partial<Omit<PathKey, 'id'>>): ShotPlan {
  return withFloor(plan, (floor) => {
    const at = floor.camera.findIndex((key) => key.id === id);
    const lowS = at > 0 ? floor.camera[at - 1]!.timeS + TIME_TOLERANCE_S : 0;
    const highS = at >= 0 && at < floor.camera.length - 1 ? floor.camera[at + 1]!.timeS - TIME_TOLERANCE_S : plan.durationS;
    return {
      ...floor,
      camera: withItem(floor.camera, id, (key) => {
        const requested = { ...key, ...changes };
        // without room between its neighbours the key keeps its time
        const timeS = lowS > highS ? key.timeS : clamp(requested.timeS, lowS, highS);
        const heightMm = requested.heightMm === null ? null : clamp(requested.heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max);
        return { ...requested, ...clampedPlace(requested), timeS, heightMm };
      }),
    };
  });
}

/** Sets how far the operator misses the ends of the camera's moves, and every place for which something else was typed. */
export function setCameraMiss(plan: ShotPlan, mm: number): ShotPlan {
  const typed = (key: PathKey) => (key.missSigmaMm === null ? key : { ...key, missSigmaMm: mm });
  return withFloor(setCameraErrors(plan, { stopSigmaMm: mm }), (floor) => ({ ...floor, camera: floor.camera.map(typed) }));
}

/** Removes a camera key; the last one can't be removed. */
export function removeCameraKey(plan: ShotPlan, id: string): ShotPlan {
  return withFloor(plan, (floor) => (floor.camera.length > 1 ? { ...floor, camera: without(floor.camera, id) } : floor));
}

/** When to aim at something. */
export interface AimTime {
  /** 0 if absent */
  readonly atS?: number;
  /** Whether it is another aim, and not a change of the one that is active then */
  readonly isNew?: boolean;
  /** Duration of the pan to a new aim, 1 s if absent. The time since the previous aim limits it */
  readonly panS?: number;
}

/** Changes the aim that is active at a time, or adds another aim at that time. */
export function setAim(plan: ShotPlan, at: AimKey['at'], { atS = 0, isNew = false, panS = 1 }: AimTime = {}): ShotPlan {
  return withFloor(plan, (floor) => {
    const timeS = clamp(atS, 0, plan.durationS);
    const held = [...floor.aims].reverse().find((aim) => aim.timeS <= timeS + TIME_TOLERANCE_S) ?? floor.aims[0]!;
    if (!isNew || Math.abs(held.timeS - timeS) < TIME_TOLERANCE_S)
      return { ...floor, aims: withItem(floor.aims, held.id, (aim) => ({ ...aim, at: clampedAim(at) })) };
    if (floor.aims.length >= LIMITS.aims.max) return floor;
    return {
      ...floor,
      aims: inTime([
        ...floor.aims,
        { id: nextId('aim', floor.aims), timeS, panS: clamp(panS, 0, timeS - held.timeS), at: clampedAim(at) },
      ]),
    };
  });
}

/** Changes of an aim. A heading replaces a subject or a point; a tilt counts for a heading, a height for a point. */
export interface AimChanges {
  readonly timeS?: number;
  readonly panS?: number;
  readonly deg?: number;
  readonly tiltDeg?: number | null;
  readonly heightMm?: number | null;
}

/** Changes the time of an aim (between its neighbours), the duration of the pan to it, or where it points. */
export function changeAim(plan: ShotPlan, id: string, changes: AimChanges): ShotPlan {
  return withFloor(plan, (floor) => {
    const at = floor.aims.findIndex((aim) => aim.id === id);
    const lowS = at > 0 ? floor.aims[at - 1]!.timeS + TIME_TOLERANCE_S : 0;
    const highS = at >= 0 && at < floor.aims.length - 1 ? floor.aims[at + 1]!.timeS - TIME_TOLERANCE_S : plan.durationS;
    return {
      ...floor,
      aims: withItem(floor.aims, id, (aim) => {
        const timeS = lowS > highS ? aim.timeS : clamp(changes.timeS ?? aim.timeS, lowS, highS);
        const panS = clamp(changes.panS ?? aim.panS, 0, at > 0 ? timeS - floor.aims[at - 1]!.timeS : 0);
        return { ...aim, timeS, panS, at: clampedAim(changedTarget(aim.at, changes)) };
      }),
    };
  });
}

/** Removes an aim; the last one can't be removed. */
export function removeAim(plan: ShotPlan, id: string): ShotPlan {
  return withFloor(plan, (floor) => (floor.aims.length > 1 ? { ...floor, aims: without(floor.aims, id) } : floor));
}

function changedTarget(at: AimKey['at'], { deg, tiltDeg, heightMm }: AimChanges): AimKey['at'] {
  if (deg !== undefined) return { kind: 'heading', deg, tiltDeg: at.kind === 'heading' ? at.tiltDeg : null };
  if (at.kind === 'heading' && tiltDeg !== undefined) return { ...at, tiltDeg };
  return at.kind === 'point' && heightMm !== undefined ? { ...at, heightMm } : at;
}

function clampedAim(at: AimKey['at']): AimKey['at'] {
  const within = (value: number | null, { min, max }: { min: number; max: number }) =>
    value === null ? null : clamp(value, min, max);
  if (at.kind === 'subject') return at;
  if (at.kind === 'point') return { kind: 'point', ...clampedPlace(at), heightMm: within(at.heightMm, LIMITS.heightMm) };
  const { min, max } = LIMITS.headingDeg;
  return { kind: 'heading', deg: clamp(at.deg, min, max), tiltDeg: within(at.tiltDeg, LIMITS.tiltDeg) };
}
