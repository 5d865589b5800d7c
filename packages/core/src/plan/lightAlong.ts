import { tStopOf } from '../kit/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { stopAt } from './opticsOverTime.js';
import type { LightReading, ShotPlan } from './shotPlan.js';

/** A span in which the meter shows one stop: while a mark's subject is there, or one instant. */
export interface LightSpan {
  readonly fromS: number;
  readonly untilS: number;
  /** T-stop of the meter, for the shot's settings */
  readonly meteredStop: number;
}

type Lit = Pick<ShotPlan, 'exposure' | 'subjects' | 'durationS'>;

/** What the meter says along the way, by start time: the reading at the start, and one for each later time and each stay at a metered mark. */
export function lightSpans({ exposure, subjects, durationS }: Lit): LightSpan[] {
  const { meteredStop: atStart, lightReadings } = exposure;
  const spans = lightReadings.flatMap(({ at, meteredStop }): LightSpan[] => {
    if (at.kind === 'time') return [{ fromS: at.timeS, untilS: at.timeS, meteredStop }];
    return subjects.flatMap(({ stays }) =>
      stays.flatMap(({ markId, fromS, untilS }, index) => {
        if (markId !== at.markId) return [];
        // before the first stay, and after the last, a subject stands there as well
        const span = { fromS: index === 0 ? 0 : fromS, untilS: index === stays.length - 1 ? durationS : untilS };
        return [{ ...span, meteredStop }];
      }),
    );
  });
  const start = atStart === null || spans.some(({ fromS }) => fromS <= 0) ? [] : [{ fromS: 0, untilS: 0, meteredStop: atStart }];
  return [...start, ...spans].sort((a, b) => a.fromS - b.fromS);
}

/** Readings at marks to which nobody comes: they say nothing about any time of the shot. */
export function idleLightReadings({ exposure, subjects }: Lit): readonly LightReading[] {
  const reached = new Set(subjects.flatMap(({ stays }) => stays.map(({ markId }) => markId)));
  return exposure.lightReadings.filter(({ at }) => at.kind === 'mark' && !reached.has(at.markId));
}

/**
 * T-stop that the meter would show at a time. Between two readings it changes evenly in stops; before the first and after the last it stays. Where
 * two people stand at metered marks, the one who came last counts.
 *
 * @param spans - as from `lightSpans`
 * @returns null if nothing was metered
 */
export function meteredStopAt(spans: readonly LightSpan[], timeS: number): number | null {
  const inside = spans.findLast(({ fromS, untilS }) => fromS <= timeS && timeS <= untilS);
  if (inside) return inside.meteredStop;
  const after = spans.find(({ fromS }) => fromS > timeS);
  const before = spans.reduce<LightSpan | null>(
    (last, span) => (span.untilS < timeS && span.untilS >= (last?.untilS ?? 0) ? span : last),
    null,
  );
  if (!before || !after) return (before ?? after)?.meteredStop ?? null;
  const share = (timeS - before.untilS) / (after.fromS - before.untilS);
  return before.meteredStop * (after.meteredStop / before.meteredStop) ** share;
}

/** How much too dark the picture is at a time, in stops; negative if it is too bright, 0 if nothing was metered. */
export function missingStopsAt(plan: ShotPlan, spans: readonly LightSpan[], timeS: number): number {
  const metered = meteredStopAt(spans, timeS);
  return metered === null ? 0 : 2 * Math.log2(tStopOf(plan.optics.lens, stopAt(plan.optics, timeS)) / metered);
}

/** A run of frames in which the exposure is off by more than the shot tolerates, to one side. */
export interface ExposureSpan {
  readonly fromS: number;
  readonly toS: number;
  readonly isDark: boolean;
  /** By how much where it is worst, in stops, > 0 */
  readonly stops: number;
}

/** Where the exposure leaves its tolerance, in order of time. Empty if nothing was metered along the way. */
export function exposureSpans(plan: ShotPlan): ExposureSpan[] {
  const { exposure, durationS, captureFps } = plan;
  if (exposure.lightReadings.length === 0) return [];
  const light = lightSpans(plan);
  const spans: ExposureSpan[] = [];
  let isOpen = false;
  for (let frame = 0; frame < countFrames(durationS, captureFps); frame++) {
    const missing = missingStopsAt(plan, light, frame / captureFps);
    const [stops, isDark] = [Math.abs(missing), missing > 0];
    const last = spans.at(-1);
    if (stops <= exposure.toleranceStops + ROUNDING_STOPS) isOpen = false;
    else {
      const toS = Math.min((frame + 1) / captureFps, durationS);
      if (isOpen && last?.isDark === isDark) spans[spans.length - 1] = { ...last, toS, stops: Math.max(last.stops, stops) };
      else spans.push({ fromS: frame / captureFps, toS, isDark, stops });
      isOpen = true;
    }
  }
  return spans;
}

/** At exactly the tolerance it is kept. */
const ROUNDING_STOPS = 1e-6;
