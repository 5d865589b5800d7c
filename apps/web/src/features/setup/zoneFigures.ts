import {
  airyDiameterMm,
  type DepthOfField,
  depthOfField,
  fieldOf,
  frameSize,
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
  const [picture, frame] = [pictureSize(optics.camera), frameSize(optics)];
  const field = fieldOf(optics, reachedMm);
  return {
    focusMm: reachedMm,
    zone,
    fNumber: lens.fNumber,
    circleMm: lens.circleOfConfusionMm,
    closeFocusMm: ring.closeFocusMm,
    // what is delivered of it
    fieldPerDistance: frame.sensorHeightMm / lens.focalLengthMm,
    fieldWidthMm: (field.widthMm * frame.sensorWidthMm) / picture.sensorWidthMm,
    fieldHeightMm: (field.heightMm * frame.sensorHeightMm) / picture.sensorHeightMm,
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
