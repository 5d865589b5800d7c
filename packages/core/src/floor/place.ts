/** A place on the floor in mm: x to the right, y away from the viewer of the drawing. */
export interface Place {
  readonly xMm: number;
  readonly yMm: number;
}

export function between(from: Place, to: Place, progress: number): Place {
  return { xMm: from.xMm + (to.xMm - from.xMm) * progress, yMm: from.yMm + (to.yMm - from.yMm) * progress };
}

/** Heading from one place to another, in degrees anticlockwise from the x axis; 0 if both are the same place. */
export function headingDeg(from: Place, to: Place): number {
  return (Math.atan2(to.yMm - from.yMm, to.xMm - from.xMm) * 180) / Math.PI;
}

/** Speed profile between two places: smooth at both ends, or constant speed. */
export type Pace = 'eased' | 'steady';
