import {
  airyDiameterMm,
  type DepthOfField,
  depthOfField,
  fieldOf,
  markFocusMm,
  pictureSize,
  ringOf,
  type ShotPlan,
  withinReach,
  zoneLensOf,
} from '@still-heron/core';

/** All figures that Set-up shows for a focus distance. */
export interface ZoneFigures {
  readonly focusMm: number;
  readonly zone: DepthOfField;
  readonly fNumber: number;
  readonly circleMm: number;
  readonly closeFocusMm: number;
  readonly fieldPerDistance: number;
  /** Picture width at the focused plane; Infinity at infinity */
  readonly fieldWidthMm: number;
  readonly fieldHeightMm: number;
  readonly airyMm: number;
  readonly ringDeg: number;
}

/** @param focusMm - any distance; clamped to the ring's range */
export function zoneFigures(plan: ShotPlan, focusMm: number): ZoneFigures {
  const { optics } = plan;
  const ring = ringOf(optics.lens);
  const reachedMm = withinReach(ring, focusMm);
  const lens = zoneLensOf(optics);
  const zone = depthOfField({ ...lens, focusDistanceMm: reachedMm });
  const { magnification } = zone;
  const picture = pictureSize(optics.camera);
  const field = fieldOf(optics, reachedMm);
  return {
    focusMm: reachedMm,
    zone,
    fNumber: lens.fNumber,
    circleMm: lens.circleOfConfusionMm,
    closeFocusMm: ring.closeFocusMm,
    fieldPerDistance: picture.sensorHeightMm / lens.focalLengthMm,
    fieldWidthMm: field.widthMm,
    fieldHeightMm: field.heightMm,
    airyMm: airyDiameterMm(lens.fNumber, magnification),
    ringDeg: ring.angleAt(reachedMm),
  };
}

/** Initial focus distance of Set-up: start of the track, else the first mark, else 2.4 m. */
export function firstFocusMm(plan: ShotPlan): number {
  const { start } = plan.focusTrack;
  const startMark = start?.kind === 'mark' ? plan.marks.find(({ id }) => id === start.markId) : undefined;
  const mark = startMark ?? plan.marks[0];
  return mark ? markFocusMm(plan, mark.id) : 2400;
}
