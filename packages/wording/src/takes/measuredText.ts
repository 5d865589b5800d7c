import { type CrewFit, formatGap, type MeasuredError, type ShotPlan, type UnitSystem, wilsonInterval } from '@still-heron/core';
import { inHundred } from '../share.js';
import { pullTargetText } from './takeText.js';

/** Errors of a crew as its takes showed them, one per line; none for what was not measured. */
export function crewFitLines(fit: CrewFit, plan: ShotPlan, units: UnitSystem): string[] {
  const { late, off, markMisses, reactionS, hand } = fit;
  const own = late ? [...fit.cueSigmaS].filter(([, sigmaS]) => sigmaS !== late.sigma) : [];
  return [
    late && `pulls start ${meanText(late)} on average, ${spreadText(late, 's', 2)}`,
    ...own.map(([pullId, sigmaS]) => `the pull to ${pullTargetText(pullId, plan, units)} differs: ±${sigmaS.toFixed(2)} s`),
    reactionS === null ? null : `the puller reacts to a cue in ${reactionS.toFixed(2)} s`,
    off && `pulls land beside the mark by ${spreadText(off, '°', 1)}`,
    hand &&
      `a hand that is steady to ±${hand.steadyDeg.toFixed(1)}° and needs ${hand.perBitS.toFixed(2)} s per bit explains that`,
    markMisses && `people miss marks by ±${formatGap(markMisses.sigma, units)} (${markMisses.count} measured)`,
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

/**
 * How far predicted keep rates were right, with the interval in which the true share of kept takes lies, at 95 %.
 *
 * @param points - groups of takes with their predicted and actual share
 */
export function predictionText(
  points: readonly { readonly takes: number; readonly share: number; readonly predicted: number }[],
): string {
  const takes = points.reduce((sum, point) => sum + point.takes, 0);
  const kept = Math.round(points.reduce((sum, point) => sum + point.takes * point.share, 0));
  const predicted = points.reduce((sum, point) => sum + point.takes * point.predicted, 0) / takes;
  const off = kept / takes - predicted;
  const { low, high } = wilsonInterval(kept, takes);
  const interval = `As far as they can tell, ${inHundred(low)} to ${inHundred(high)} of 100 are kept.`;
  if (Math.abs(off) < SAME_SHARE) return `Predictions match, over ${takes} takes. ${interval}`;
  const by = `${Math.abs(Math.round(off * 100))} of 100`;
  const isChance = predicted >= low && predicted <= high;
  return `${off > 0 ? 'Better' : 'Worse'} than predicted by ${by}, over ${takes} takes${isChance ? '; that can be chance' : ''}. ${interval}`;
}
