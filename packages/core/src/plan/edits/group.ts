import type { Landmark, Mark, Place, Stay, Subject } from '../../floor/index.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { removeCameraKey } from './cameraPath.js';
import { nextId, nextLetter } from './ids.js';
import { removeLandmark } from './landmarks.js';
import { markDrawnAt, removeMark } from './marks.js';
import { withDerivedDistances } from './withDerivedDistances.js';
import { clampedPlace } from './withFloor.js';

/** A selectable thing on the floor. */
export interface FloorItem {
  readonly kind: 'mark' | 'camera' | 'landmark';
  readonly id: string;
}

/** Moves several things by the same amount as one step. Things that are not on the floor are ignored. */
export function moveOnFloor(plan: ShotPlan, items: readonly FloorItem[], { xMm, yMm }: Place): ShotPlan {
  if (plan.floor === null || items.length === 0) return plan;
  const isMoved = (kind: FloorItem['kind'], id: string) => items.some((item) => item.kind === kind && item.id === id);
  const moved = <T extends Place>(place: T): T => ({
    ...place,
    ...clampedPlace({ xMm: place.xMm + xMm, yMm: place.yMm + yMm }),
  });
  return withDerivedDistances({
    ...plan,
    marks: plan.marks.map((mark) => (mark.place && isMoved('mark', mark.id) ? { ...mark, place: moved(mark.place) } : mark)),
    floor: {
      ...plan.floor,
      camera: plan.floor.camera.map((key) => (isMoved('camera', key.id) ? moved(key) : key)),
      landmarks: plan.floor.landmarks.map((item) => (isMoved('landmark', item.id) ? moved(item) : item)),
    },
  });
}

export function removeFromFloor(plan: ShotPlan, items: readonly FloorItem[]): ShotPlan {
  return items.reduce((now, { kind, id }) => {
    if (kind === 'camera') return removeCameraKey(now, id);
    return kind === 'landmark' ? removeLandmark(now, id) : removeMark(now, id);
  }, plan);
}

/**
 * Copies things, offset from the originals. If a selected mark belongs to a subject, the whole subject is copied with its path
 * and times. The camera has only one path and is not copied.
 *
 * @returns the plan and the ids of the copies; the same plan if there is no room for all of them
 */
export function copyOnFloor(
  plan: ShotPlan,
  items: readonly FloorItem[],
  by: Place,
): { readonly plan: ShotPlan; readonly copies: readonly FloorItem[] } {
  if (plan.floor === null) return { plan, copies: [] };
  const owners = plan.subjects.filter(({ id }) =>
    items.some((item) => item.kind === 'mark' && plan.marks.find((mark) => mark.id === item.id)?.subjectId === id),
  );
  const things = plan.floor.landmarks.filter(({ id }) => items.some((item) => item.kind === 'landmark' && item.id === id));
  const moved = (place: Place) => clampedPlace({ xMm: place.xMm + by.xMm, yMm: place.yMm + by.yMm });
  const marks: Mark[] = [...plan.marks];
  const subjects: Subject[] = [...plan.subjects];
  const landmarks: Landmark[] = [...plan.floor.landmarks];
  const copies: FloorItem[] = [];
  for (const owner of owners) {
    const id = nextId('subject', subjects);
    const newMarks = new Map<string, string>();
    for (const mark of plan.marks.filter(({ subjectId }) => subjectId === owner.id)) {
      // a tape reading does not apply at the new place
      const there = mark.place && mark.distanceMm !== null ? markDrawnAt(mark, moved(mark.place)) : mark;
      const copy: Mark = { ...there, id: nextId('mark', marks), letter: nextLetter(marks), subjectId: id };
      newMarks.set(mark.id, copy.id);
      marks.push(copy);
      copies.push({ kind: 'mark', id: copy.id });
    }
    const stays = owner.stays.flatMap((stay): Stay[] => {
      const markId = newMarks.get(stay.markId);
      return markId === undefined ? [] : [{ ...stay, markId }];
    });
    subjects.push({ ...owner, id, name: copyName(owner.name, subjects), stays });
  }
  for (const thing of things) {
    const id = nextId('landmark', landmarks);
    landmarks.push({ ...thing, ...moved(thing), id, name: copyName(thing.name, landmarks) });
    copies.push({ kind: 'landmark', id });
  }
  const fits =
    marks.length <= LIMITS.marks.max && subjects.length <= LIMITS.subjects.max && landmarks.length <= LIMITS.landmarks.max;
  if (!fits || copies.length === 0) return { plan, copies: [] };
  return { plan: withDerivedDistances({ ...plan, marks, subjects, floor: { ...plan.floor, landmarks } }), copies };
}

/** “gate post” becomes “gate post 2”, which becomes “gate post 3”. */
function copyName(name: string, items: readonly { readonly name: string }[]): string {
  const [, stem = name, count] = /^(.*?)(?: (\d+))?$/.exec(name)!;
  for (let number = Number(count ?? 1) + 1; ; number++) {
    const requested = `${stem.slice(0, LIMITS.name.max - 4)} ${number}`;
    if (!items.some((item) => item.name === requested)) return requested;
  }
}
