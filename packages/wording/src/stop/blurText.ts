import { formatDistance, type KeepRate, type SeparationWay, type UnitSystem } from '@still-heron/core';

/** How the blur of a subject is computed. @param circles - blur in circles of confusion */
export function blurLines(name: string, circles: number, circleOfConfusionMm: number): string[] {
  const micrometres = (mm: number) => `${(mm * 1000).toFixed(0)} µm`;
  return [
    `a point of ${name} becomes a disc ${micrometres(circles * circleOfConfusionMm)} wide on the sensor`,
    `circle of confusion ${micrometres(circleOfConfusionMm)}: ${circles.toFixed(2)} of it`,
    'drawn here at the same share of the width',
  ];
}

/** How a keep rate was found. */
export function keepRateLines({ keepRate, takes, low, high, seed }: KeepRate): string[] {
  const count = (number: number) => number.toLocaleString('en');
  return [
    `${count(Math.round(keepRate * takes))} of ${count(takes)} simulated takes keep everything that is required`,
    `95 % confidence interval: ${(100 * low).toFixed(1)} to ${(100 * high).toFixed(1)} %`,
    'each simulated take draws new errors: missed marks, late people, measuring, cues and landings',
    `the same simulated takes for every stop: seed ${seed}`,
  ];
}

/** A way to more blur behind the subject at the same stop. */
export function separationText({ kind, focalLengthMm, focusMm, backgroundMm }: SeparationWay, units: UnitSystem): string {
  switch (kind) {
    case 'longer-lens':
      return `${Math.ceil(focalLengthMm)} mm from ${formatDistance(focusMm, units)}, framed the same`;
    case 'nearer':
      return `this lens from ${formatDistance(focusMm, units)}`;
    case 'farther-background':
      return `background at ${formatDistance(backgroundMm, units)}`;
  }
}
