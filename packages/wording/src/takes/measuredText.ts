import type { MeasuredError, measuredErrors } from '@still-heron/core';

/** Errors measured in takes, one per line; none for what was not measured. */
export function measuredErrorLines({ late, off, markMisses }: ReturnType<typeof measuredErrors>): string[] {
  return [
    late && `pulls start ${meanText(late)} on average, ${spreadText(late, 's', 2)}`,
    off && `pulls land beside the mark by ${spreadText(off, '°', 1)}`,
    markMisses && `people miss marks by ${spreadText(markMisses, 'mm', 0)}`,
  ].filter((line) => line !== null);
}

function spreadText({ sigma, count }: MeasuredError, unit: string, decimals: number): string {
  return `±${sigma.toFixed(decimals)} ${unit} (${count} measured)`;
}

function meanText({ mean }: MeasuredError): string {
  return `${Math.abs(mean).toFixed(2)} s ${mean >= 0 ? 'late' : 'early'}`;
}

/** Differences below this share are not told. */
const SAME_SHARE = 0.03;

/** How far predicted keep rates were right. @param points - groups of takes with their predicted and actual share */
export function predictionText(
  points: readonly { readonly takes: number; readonly share: number; readonly predicted: number }[],
): string {
  const takes = points.reduce((sum, point) => sum + point.takes, 0);
  const off = points.reduce((sum, point) => sum + point.takes * (point.share - point.predicted), 0) / takes;
  if (Math.abs(off) < SAME_SHARE) return `Predictions match, over ${takes} takes.`;
  const by = `${Math.abs(Math.round(off * 100))} of 100`;
  return `${off > 0 ? 'Better' : 'Worse'} than predicted by ${by}, over ${takes} takes.`;
}
