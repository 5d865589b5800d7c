import {
  airyDiameterMm,
  type DepthOfField,
  depthOfField,
  fieldAt,
  fNumberOf,
  planCircleMm,
  ringOf,
  type ShotPlan,
} from '@still-heron/core';

/** Everything Set-up shows of a focus distance. Each figure comes from the core. */
export interface ZoneFigures {
  readonly focusMm: number;
  readonly zone: DepthOfField;
  readonly fNumber: number;
  readonly circleMm: number;
  readonly closeFocusMm: number;
  readonly fieldPerDistance: number;
  /** What the picture takes in at the focused plane; Infinity at infinity */
  readonly fieldWidthMm: number;
  readonly fieldHeightMm: number;
  readonly airyMm: number;
  readonly ringDeg: number;
}

/** @param focusMm - any distance; it is brought within the ring's reach */
export function zoneFigures(plan: ShotPlan, focusMm: number): ZoneFigures {
  const { lens, camera, stop } = plan.optics;
  const ring = ringOf(lens);
  const reachedMm = Math.min(Math.max(focusMm, ring.closeFocusMm), ring.farthestMm);
  const fNumber = fNumberOf(lens, stop);
  const circleMm = planCircleMm(plan.optics);
  const zone = depthOfField({
    focalLengthMm: lens.focalLengthMm,
    fNumber,
    circleOfConfusionMm: circleMm,
    focusDistanceMm: reachedMm,
    principalSeparationMm: lens.principalSeparationMm,
  });
  const { magnification } = zone;
  const field = fieldAt(camera, magnification);
  return {
    focusMm: reachedMm,
    zone,
    fNumber,
    circleMm,
    closeFocusMm: ring.closeFocusMm,
    fieldPerDistance: camera.sensorHeightMm / lens.focalLengthMm,
    fieldWidthMm: field.widthMm,
    fieldHeightMm: field.heightMm,
    airyMm: airyDiameterMm(fNumber, magnification),
    ringDeg: ring.angleAt(reachedMm),
  };
}

/** Where Set-up's focus stands at first: where the line starts, else at the first mark, else at 2.4 m. */
export function firstFocusMm(plan: ShotPlan): number {
  const { start } = plan.line;
  const startMark = start?.kind === 'mark' ? plan.marks.find(({ id }) => id === start.markId) : undefined;
  const mark = startMark ?? plan.marks[0];
  return mark ? (mark.distanceMm ?? Infinity) : 2400;
}
