/** A place on the floor, in millimetres; x to the right and y away from whoever draws. */
export interface Place {
  readonly xMm: number;
  readonly yMm: number;
}

export function between(from: Place, to: Place, progress: number): Place {
  return { xMm: from.xMm + (to.xMm - from.xMm) * progress, yMm: from.yMm + (to.yMm - from.yMm) * progress };
}

/** The heading from one place to another, in degrees anticlockwise from the x axis; 0 for one and the same place. */
export function headingDeg(from: Place, to: Place): number {
  return (Math.atan2(to.yMm - from.yMm, to.xMm - from.xMm) * 180) / Math.PI;
}

/** How one gets from place to place: smooth at both ends, or at one speed. */
export type Pace = 'eased' | 'steady';
