import { formatStop, type LookStop, type ShotPlan } from '@still-heron/core';

/** How soft the background is beside what the look asks for, and which stop gives it. */
export function lookStopText({ stop, backgroundPercent, isEnough, nowPercent }: LookStop, { goals, optics }: ShotPlan): string {
  const now = `The background blurs to ${nowPercent.toFixed(2)} % of the picture’s width`;
  const look = `the look asks for ${goals.blurPercent} %`;
  if (nowPercent >= goals.blurPercent!) return `${now}, and ${look}.`;
  const print = formatStop(stop, optics.lens.stopScale);
  if (isEnough) return `${now}, and ${look}: ${print} gives it.`;
  return `${now}, and ${look}: this shot departs from it, by least at ${print} with ${backgroundPercent.toFixed(2)} %.`;
}
