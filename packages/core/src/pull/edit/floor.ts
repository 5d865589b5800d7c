import {
  type AimKey,
  type FloorPlan,
  type Landmark,
  type Mark,
  type PathKey,
  type Place,
  STANDING_EYES_MM,
  type Stay,
} from '../../floor/index.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';
import { redrawn } from './redrawn.js';
import { addSubject, markFor } from './subjects.js';

/** Height of the lens on legs, at the eyes of someone standing: until it is said otherwise. */
const LENS_HEIGHT_MM = STANDING_EYES_MM;

/** People who are put on the floor by their taped distance stand so many degrees beside each other, so that they can be told apart; the depth is then 0.3 % short of the tape at most for the first three. */
const BESIDE_DEG = 4;

/** What a new walk takes until its times are set. */
const WALK_S = 2;

/**
 * Begins the plan from above: the camera looks along x, and everyone stands where the tape has them, beside each other. What is at infinity is not drawn.
 *
 * @returns the same plan when it has one
 */
export function startFloor(plan: ShotPlan): ShotPlan {
  if (plan.floor !== null) return plan;
  const floor: FloorPlan = {
    camera: [{ id: 'camera-1', timeS: 0, xMm: 0, yMm: 0, pace: 'eased' }],
    lensHeightMm: LENS_HEIGHT_MM,
    aims: [{ id: 'aim-1', timeS: 0, panS: 0, at: { kind: 'heading', deg: 0 } }],
    landmarks: [],
  };
  const marks = plan.marks.map((mark): Mark => {
    if (mark.distanceMm === null) return mark;
    const index = Math.max(
      plan.subjects.findIndex(({ id }) => id === mark.subjectId),
      0,
    );
    const rad = ((index % 2 === 0 ? 1 : -1) * Math.ceil(index / 2) * BESIDE_DEG * Math.PI) / 180;
    return { ...mark, place: clampedPlace({ xMm: mark.distanceMm * Math.cos(rad), yMm: mark.distanceMm * Math.sin(rad) }) };
  });
  return redrawn({ ...plan, floor, marks });
}

/** Takes the plan from above away. Distances that were only drawn stay, as if judged by eye. */
export function clearFloor(plan: ShotPlan): ShotPlan {
  return {
    ...plan,
    floor: null,
    marks: plan.marks.map((mark) => ({ ...mark, place: null, method: mark.method === 'drawn' ? 'eye' : mark.method })),
  };
}

/** Puts a mark somewhere on the floor. What is taped there stays as taped; what is drawn is drawn anew. */
export function placeMark(plan: ShotPlan, markId: string, place: Place): ShotPlan {
  return redrawn({ ...plan, marks: withItem(plan.marks, markId, (mark) => ({ ...mark, place: clampedPlace(place) })) });
}

/** Goes by the drawing at a mark, whatever was taped there. */
export function goByDrawing(plan: ShotPlan, markId: string): ShotPlan {
  return redrawn({
    ...plan,
    marks: withItem(plan.marks, markId, (mark) =>
      mark.place === null ? mark : { ...mark, method: 'drawn', stale: null, distanceMm: LIMITS.distanceMm.min },
    ),
  });
}

/** Someone new, standing at a place on the floor. */
export function addSubjectAt(plan: ShotPlan, name: string, place: Place): ShotPlan {
  if (plan.subjects.length >= LIMITS.subjects.max || plan.marks.length >= LIMITS.marks.max) return plan;
  const added = addSubject(startFloor(plan), { name, distanceMm: 1000 });
  const mark = added.marks[added.marks.length - 1]!;
  return redrawn({
    ...added,
    marks: withItem(added.marks, mark.id, (item) => ({ ...item, method: 'drawn', place: clampedPlace(place) })),
  });
}

/** Lets someone walk on to a place: they arrive at a time and stay, and leave where they were early enough for a walk. */
export function walkTo(plan: ShotPlan, subjectId: string, place: Place, atS: number): ShotPlan {
  const subject = plan.subjects.find(({ id }) => id === subjectId);
  if (!subject || subject.stays.length === 0 || plan.marks.length >= LIMITS.marks.max || subject.stays.length >= LIMITS.stays.max)
    return plan;
  const mark: Mark = { ...markFor(plan, subjectId, 1000), method: 'drawn', place: clampedPlace(place) };
  const before = subject.stays[subject.stays.length - 1]!;
  const fromS = clamp(atS, before.fromS, plan.durationS);
  const untilS = Math.min(before.untilS, Math.max(before.fromS, fromS - WALK_S));
  const added: Stay = { id: nextId('stay', subject.stays), markId: mark.id, fromS, untilS: plan.durationS };
  const stays = [...subject.stays.slice(0, -1), { ...before, untilS }, added];
  return redrawn({
    ...plan,
    marks: [...plan.marks, mark],
    subjects: withItem(plan.subjects, subjectId, (item) => ({ ...item, stays })),
  });
}

/** Lets the camera go on to a place, arriving at a time. A time that is taken moves that key instead. */
export function moveCameraTo(plan: ShotPlan, place: Place, atS: number): ShotPlan {
  return withFloor(plan, (floor) => {
    const timeS = clamp(atS, 0, plan.durationS);
    const taken = floor.camera.find((key) => Math.abs(key.timeS - timeS) < SAME_TIME_S);
    if (taken) return { ...floor, camera: withItem(floor.camera, taken.id, (key) => ({ ...key, ...clampedPlace(place) })) };
    if (floor.camera.length >= LIMITS.cameraKeys.max) return floor;
    const key: PathKey = { id: nextId('camera', floor.camera), timeS, ...clampedPlace(place), pace: 'eased' };
    return { ...floor, camera: inTime([...floor.camera, key]) };
  });
}

/** Keys closer than this are one. */
const SAME_TIME_S = 0.02;

/** Moves a key of the camera in place or time (between its neighbours), or changes its pace. */
export function changeCameraKey(plan: ShotPlan, id: string, changes: Partial<Omit<PathKey, 'id'>>): ShotPlan {
  return withFloor(plan, (floor) => {
    const at = floor.camera.findIndex((key) => key.id === id);
    const lowS = at > 0 ? floor.camera[at - 1]!.timeS + SAME_TIME_S : 0;
    const highS = at >= 0 && at < floor.camera.length - 1 ? floor.camera[at + 1]!.timeS - SAME_TIME_S : plan.durationS;
    return {
      ...floor,
      camera: withItem(floor.camera, id, (key) => {
        const wanted = { ...key, ...changes };
        // between two keys that leave no room it stays where it is
        const timeS = lowS > highS ? key.timeS : clamp(wanted.timeS, lowS, highS);
        return { ...wanted, ...clampedPlace(wanted), timeS };
      }),
    };
  });
}

/** Takes a key of the camera away; the last one stays. */
export function removeCameraKey(plan: ShotPlan, id: string): ShotPlan {
  return withFloor(plan, (floor) => (floor.camera.length > 1 ? { ...floor, camera: without(floor.camera, id) } : floor));
}

/** Sets what the camera looks at from a time on: the aim that holds then is changed, or with `isNew` another one follows it. */
export function setAim(plan: ShotPlan, at: AimKey['at'], atS = 0, isNew = false): ShotPlan {
  return withFloor(plan, (floor) => {
    const timeS = clamp(atS, 0, plan.durationS);
    const held = [...floor.aims].reverse().find((aim) => aim.timeS <= timeS + SAME_TIME_S) ?? floor.aims[0]!;
    const isSame = !isNew || Math.abs(held.timeS - timeS) < SAME_TIME_S;
    if (isSame) return { ...floor, aims: withItem(floor.aims, held.id, (aim) => ({ ...aim, at: clampedAim(at) })) };
    if (floor.aims.length >= LIMITS.aims.max) return floor;
    const panS = Math.min(1, timeS - held.timeS);
    return { ...floor, aims: inTime([...floor.aims, { id: nextId('aim', floor.aims), timeS, panS, at: clampedAim(at) }]) };
  });
}

/** Takes an aim away; the last one stays. */
export function removeAim(plan: ShotPlan, id: string): ShotPlan {
  return withFloor(plan, (floor) => (floor.aims.length > 1 ? { ...floor, aims: without(floor.aims, id) } : floor));
}

export function setLensHeight(plan: ShotPlan, heightMm: number): ShotPlan {
  return withFloor(plan, (floor) => ({ ...floor, lensHeightMm: clamp(heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max) }));
}

/** Of what is focused on, above the floor. */
export function setSubjectHeight(plan: ShotPlan, subjectId: string, heightMm: number): ShotPlan {
  const height = clamp(heightMm, LIMITS.heightMm.min, LIMITS.heightMm.max);
  return redrawn({ ...plan, subjects: withItem(plan.subjects, subjectId, (subject) => ({ ...subject, heightMm: height })) });
}

/** Sizes that things on a set have, until they are said. */
const SIZES = { post: [300, 300], box: [1200, 700], wall: [4000, 120] } as const;

export function addLandmark(plan: ShotPlan, shape: Landmark['shape'], name: string, place: Place): ShotPlan {
  return withFloor(startFloor(plan), (floor) => {
    if (floor.landmarks.length >= LIMITS.landmarks.max) return floor;
    const [widthMm, depthMm] = SIZES[shape];
    const landmark: Landmark = {
      id: nextId('landmark', floor.landmarks),
      name,
      shape,
      ...clampedPlace(place),
      widthMm,
      depthMm,
      turnedDeg: 0,
    };
    return { ...floor, landmarks: [...floor.landmarks, landmark] };
  });
}

export function changeLandmark(plan: ShotPlan, id: string, changes: Partial<Omit<Landmark, 'id'>>): ShotPlan {
  return withFloor(plan, (floor) => ({
    ...floor,
    landmarks: withItem(floor.landmarks, id, (item) => {
      const wanted = { ...item, ...changes };
      const size = (mm: number) => clamp(mm, LIMITS.sizeMm.min, LIMITS.sizeMm.max);
      return {
        ...wanted,
        ...clampedPlace(wanted),
        widthMm: size(wanted.widthMm),
        depthMm: size(wanted.depthMm),
        turnedDeg: clamp(wanted.turnedDeg, LIMITS.headingDeg.min, LIMITS.headingDeg.max),
      };
    }),
  }));
}

export function removeLandmark(plan: ShotPlan, id: string): ShotPlan {
  return withFloor(plan, (floor) => ({ ...floor, landmarks: without(floor.landmarks, id) }));
}

function withFloor(plan: ShotPlan, change: (floor: FloorPlan) => FloorPlan): ShotPlan {
  return plan.floor === null ? plan : redrawn({ ...plan, floor: change(plan.floor) });
}

function inTime<T extends { readonly timeS: number }>(keys: readonly T[]): T[] {
  return [...keys].sort((a, b) => a.timeS - b.timeS);
}

function clampPlace(mm: number): number {
  return clamp(mm, LIMITS.placeMm.min, LIMITS.placeMm.max);
}

function clampedPlace({ xMm, yMm }: Place): Place {
  return { xMm: clampPlace(xMm), yMm: clampPlace(yMm) };
}

function clampedAim(at: AimKey['at']): AimKey['at'] {
  if (at.kind === 'subject') return at;
  if (at.kind === 'point') return { kind: 'point', ...clampedPlace(at) };
  return { kind: 'heading', deg: clamp(at.deg, LIMITS.headingDeg.min, LIMITS.headingDeg.max) };
}
