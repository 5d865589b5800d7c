import { EYES_TO_CROWN_MM, type FloorPicture, type Landmark, type Place } from '../../floor/index.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { startFloor } from './floor.js';
import { clamp, nextId, withItem, without } from './ids.js';
import { clampedPlace, withFloor } from './withFloor.js';

/** Default sizes of landmarks in mm, across and along. */
const SIZES = { post: [300, 300], box: [1200, 700], wall: [4000, 120], door: [900, 40], track: [3000, 620] } as const;

/** Usual heights of things on a set in mm. Nobody is hidden by track. */
export const USUAL_TALL_MM: Readonly<Record<Landmark['shape'], number>> = {
  post: 2200,
  box: 800,
  wall: 2600,
  door: 2100,
  track: 0,
};

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
      tallMm: USUAL_TALL_MM[shape],
      turnedDeg: 0,
    };
    return { ...floor, landmarks: [...floor.landmarks, landmark] };
  });
}

export function changeLandmark(plan: ShotPlan, id: string, changes: Partial<Omit<Landmark, 'id'>>): ShotPlan {
  return withFloor(plan, (floor) => ({
    ...floor,
    landmarks: withItem(floor.landmarks, id, (item) => {
      const requested = { ...item, ...changes };
      const size = (mm: number) => clamp(mm, LIMITS.sizeMm.min, LIMITS.sizeMm.max);
      return {
        ...requested,
        ...clampedPlace(requested),
        widthMm: size(requested.widthMm),
        depthMm: size(requested.depthMm),
        tallMm: clamp(requested.tallMm, LIMITS.heightMm.min, LIMITS.heightMm.max),
        turnedDeg: clamp(requested.turnedDeg, LIMITS.headingDeg.min, LIMITS.headingDeg.max),
      };
    }),
  }));
}

/** Removes a landmark. Marks that used it as a focus reference lose it. */
export function removeLandmark(plan: ShotPlan, id: string): ShotPlan {
  const freed = {
    ...plan,
    marks: plan.marks.map((mark) => (mark.focusReferenceId === id ? { ...mark, focusReferenceId: null } : mark)),
  };
  return withFloor(freed, (floor) => ({ ...floor, landmarks: without(floor.landmarks, id) }));
}

/** Assumed width of a picture before it is scaled: a small stage. */
const ASSUMED_WIDTH_MM = 10_000;

/** Adds a picture under the drawing, centred at a place. Its size is assumed until a known length is drawn on it. */
export function layPicture(
  plan: ShotPlan,
  { pictureId, name, aspect }: { readonly pictureId: string; readonly name: string; readonly aspect: number },
  at: Place,
): ShotPlan {
  const picture: FloorPicture = {
    pictureId,
    name,
    ...clampedPlace(at),
    widthMm: ASSUMED_WIDTH_MM,
    heightMm: sized(ASSUMED_WIDTH_MM / aspect),
    turnedDeg: 0,
    isScaled: false,
  };
  return withFloor(startFloor(plan), (floor) => ({ ...floor, picture }));
}

export function changePicture(plan: ShotPlan, changes: Partial<Place & Pick<FloorPicture, 'turnedDeg'>>): ShotPlan {
  return withPicture(plan, (picture) => ({
    ...picture,
    ...clampedPlace({ ...picture, ...changes }),
    turnedDeg: clamp(changes.turnedDeg ?? picture.turnedDeg, LIMITS.headingDeg.min, LIMITS.headingDeg.max),
  }));
}

/**
 * Scales the picture so that the drawn line between two places has a known length. The first place stays where it is.
 *
 * @returns the same plan if both places are equal
 */
export function scalePicture(plan: ShotPlan, from: Place, to: Place, lengthMm: number): ShotPlan {
  const drawnMm = Math.hypot(to.xMm - from.xMm, to.yMm - from.yMm);
  if (drawnMm === 0) return plan;
  return withPicture(plan, (picture) => {
    const widthMm = sized((picture.widthMm * lengthMm) / drawnMm);
    const factor = widthMm / picture.widthMm;
    const about = (mm: number, fixedMm: number) => fixedMm + (mm - fixedMm) * factor;
    return {
      ...picture,
      ...clampedPlace({ xMm: about(picture.xMm, from.xMm), yMm: about(picture.yMm, from.yMm) }),
      widthMm,
      heightMm: sized(picture.heightMm * factor),
      isScaled: true,
    };
  });
}

export function removePicture(plan: ShotPlan): ShotPlan {
  return withFloor(plan, (floor) => ({ ...floor, picture: null }));
}

function withPicture(plan: ShotPlan, change: (picture: FloorPicture) => FloorPicture): ShotPlan {
  return withFloor(plan, (floor) => (floor.picture === null ? floor : { ...floor, picture: change(floor.picture) }));
}

function sized(mm: number): number {
  return clamp(mm, LIMITS.pictureMm.min, LIMITS.pictureMm.max);
}

/** People and things whose height nobody has typed: they hide nobody. */
export function withoutHeight({ subjects, floor }: Pick<ShotPlan, 'subjects' | 'floor'>): readonly { readonly name: string }[] {
  const things = floor?.landmarks.filter(({ shape, tallMm }) => tallMm === 0 && USUAL_TALL_MM[shape] > 0) ?? [];
  return floor === null ? [] : [...subjects.filter(({ tallMm }) => tallMm === 0), ...things];
}

/** Gives people and things without a height the usual one. */
export function withUsualHeights(plan: ShotPlan): ShotPlan {
  const subjects = plan.subjects.map((subject) => ({
    ...subject,
    tallMm: subject.tallMm || subject.heightMm + EYES_TO_CROWN_MM,
  }));
  return withFloor({ ...plan, subjects }, (floor) => ({
    ...floor,
    landmarks: floor.landmarks.map((landmark) => ({ ...landmark, tallMm: landmark.tallMm || USUAL_TALL_MM[landmark.shape] })),
  }));
}
