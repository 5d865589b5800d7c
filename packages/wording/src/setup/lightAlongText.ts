import {
  type ExposureSpan,
  exposureSpans,
  formatStop,
  formatTime,
  formatTimeFigure,
  type LightReading,
  lightSpans,
  type ShotPlan,
} from '@still-heron/core';
import type { SentencePart } from '../sentence.js';

/** Where the picture is too dark or too bright along the way, worst first; that it is not; or that nothing was metered. */
export function lightAlongSentence(plan: ShotPlan): SentencePart[] {
  const { lightReadings, toleranceStops } = plan.exposure;
  if (lightReadings.length === 0) return [{ tone: 'plain', text: 'The light is taken to stay as it is at the start.' }];
  if (lightSpans(plan).length === 0)
    return [{ tone: 'plain', text: 'No reading along the way counts: nobody comes to its mark.' }];
  const [worst, ...others] = [...exposureSpans(plan)].sort((a, b) => b.stops - a.stops);
  if (!worst) return [{ tone: 'sharp', text: `The exposure stays within ${stopsText(toleranceStops)} throughout.` }];
  const again = others.length === 0 ? '' : ` It is off ${others.length === 1 ? 'once' : `${others.length} times`} more.`;
  return [{ tone: 'edge', text: `${exposureSpanText(worst)}${again}`, atS: worst.fromS }];
}

/** One span of a wrong exposure. */
export function exposureSpanText({ fromS, toS, isDark, stops }: ExposureSpan): string {
  return `From ${formatTimeFigure(fromS)} to ${formatTime(toS)} the picture is up to ${stopsText(stops)} too ${isDark ? 'dark' : 'bright'}.`;
}

/** Where a reading was taken, and what it says. */
export function lightReadingText({ at, meteredStop }: LightReading, { marks }: Pick<ShotPlan, 'marks'>): string {
  const where = at.kind === 'time' ? formatTime(at.timeS) : (marks.find(({ id }) => id === at.markId)?.letter ?? 'a mark');
  return `at ${where}, ${formatStop(meteredStop, 'T')}`;
}

/** What the iris does to follow the light. */
export function irisFollowText({ optics: { irisPulls, lens } }: ShotPlan): string {
  if (irisPulls.length === 0) return 'The iris stays.';
  const pulls = irisPulls.map(
    ({ startS, durationS, to }) =>
      `to ${formatStop(to, lens.stopScale)} from ${formatTimeFigure(startS)} to ${formatTime(startS + durationS)}`,
  );
  return `The iris turns ${pulls.join(', then ')}.`;
}

/** Stops as a meter shows them: to a tenth, and to a hundredth below one. */
function stopsText(stops: number): string {
  const figure = Number(stops.toFixed(stops < 1 ? 2 : 1));
  return `${figure} ${figure <= 1 ? 'stop' : 'stops'}`;
}
