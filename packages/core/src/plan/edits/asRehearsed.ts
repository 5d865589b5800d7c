/** A planned time, and when it was in rehearsal. */
export interface Anchor {
  readonly fromS: number;
  readonly toS: number;
}

/** Two events one after the other stay at least this far apart, so that no time runs backwards. */
const MIN_GAP_S = 0.02;

/**
 * Planned times as rehearsed: linear between two events and from the start of the shot to the first one; after the last one as much later as
 * that one. Events that were planned at the same time count with their mean.
 *
 * @param anchors - at least one, in any order
 * @returns a function that never falls
 */
export function asRehearsed(anchors: readonly Anchor[]): (timeS: number) => number {
  const byTime = new Map<number, number[]>();
  for (const { fromS, toS } of anchors) byTime.set(fromS, [...(byTime.get(fromS) ?? []), toS]);
  const points: Anchor[] = [{ fromS: 0, toS: 0 }];
  for (const [fromS, times] of [...byTime].sort(([a], [b]) => a - b)) {
    const meanS = times.reduce((sum, timeS) => sum + timeS, 0) / times.length;
    const before = points[points.length - 1]!;
    if (fromS > before.fromS)
      points.push({ fromS, toS: Math.max(meanS, before.toS + Math.min(MIN_GAP_S, fromS - before.fromS)) });
  }
  return (timeS) => {
    const next = points.findIndex(({ fromS }) => fromS >= timeS);
    // before the start, or after the last event
    if (next <= 0) return timeS + laterS(points.at(next)!);
    const [a, b] = [points[next - 1]!, points[next]!];
    if (b.fromS === timeS) return b.toS;
    // in shifts, so that a plan that has these times already keeps its own to the last digit
    return timeS + laterS(a) + ((timeS - a.fromS) / (b.fromS - a.fromS)) * (laterS(b) - laterS(a));
  };
}

const laterS = ({ fromS, toS }: Anchor): number => toS - fromS;
