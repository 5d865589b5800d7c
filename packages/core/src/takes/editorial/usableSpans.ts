import type { UsableSpan } from '../usableSpan.js';
import { focusOf } from '../said.js';
import type { Take } from '../take.js';

/** A take with its number in the log. */
export interface NumberedTake {
  readonly number: number;
  readonly take: Omit<Take, 'track'>;
}

/** A usable span of one of several takes. */
export interface RankedSpan extends UsableSpan {
  readonly number: number;
  readonly lengthS: number;
  readonly isCircled: boolean;
}

/**
 * Usable spans of a take: as a person says, or else as its track shows; otherwise the whole take if somebody said that it is not soft. Focus
 * checks are cut out. One that is no good has none.
 */
export function usableSpansOf(take: Omit<Take, 'track'>): UsableSpan[] {
  const { usable, measured, durationS, focusChecks, isNoGood } = take;
  if (isNoGood) return [];
  const focus = focusOf(take);
  const whole = focus === null || focus === 'soft' || durationS <= 0 ? [] : [{ fromS: 0, toS: durationS }];
  return focusChecks
    .reduce<readonly UsableSpan[]>(
      (spans, focusCheck) => spans.flatMap((span) => without(span, focusCheck)),
      usable ?? measured?.usable ?? whole,
    )
    .slice();
}

function without(span: UsableSpan, { fromS, toS }: UsableSpan): UsableSpan[] {
  if (toS <= span.fromS || fromS >= span.toS) return [span];
  return [
    { fromS: span.fromS, toS: fromS },
    { fromS: toS, toS: span.toS },
  ].filter((left) => left.toS > left.fromS);
}

/** Usable spans of all takes, best first: circled takes, then takes without a poor performance, then longer spans. */
export function rankSpans(takes: readonly NumberedTake[]): RankedSpan[] {
  return takes
    .flatMap(({ number, take }) =>
      usableSpansOf(take).map((span) => ({
        ...span,
        number,
        lengthS: span.toS - span.fromS,
        isCircled: take.isCircled,
        isPoor: take.performance === 'poor',
      })),
    )
    .sort((a, b) => Number(b.isCircled) - Number(a.isCircled) || Number(a.isPoor) - Number(b.isPoor) || b.lengthS - a.lengthS)
    .map(({ isPoor: _, ...span }) => span);
}
