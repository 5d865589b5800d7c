import type { UsableSpan } from '../usableSpan.js';

/** A stretch of a take at one playback speed. */
export interface Retimed extends UsableSpan {
  readonly isSoft: boolean;
  /** Playback speed relative to real time; above 1 is faster */
  readonly speed: number;
  readonly screenS: number;
}

/** A retimed take: its soft parts pass quickly. */
export interface Retiming {
  readonly stretches: readonly Retimed[];
  readonly screenTimeS: number;
  /** Soft part of that */
  readonly softScreenS: number;
  /** Missing time on screen, even with all sharp parts at the slowest speed; 0 if the requested length is reached */
  readonly missingS: number;
}

export interface RetimeLimits {
  /** Highest playback speed, at least 1 */
  readonly fastest: number;
  /** Lowest playback speed before frames are shown twice; above 0, at most 1 */
  readonly slowest: number;
}

/**
 * Speeds up soft parts to the limit, and slows down sharp parts as far as the requested length needs.
 *
 * @param durationS - duration of the take
 * @param usable - in any order; parts outside the take are cut off
 * @param wantedScreenS - null for sharp parts in real time
 */
export function retime(
  durationS: number,
  usable: readonly UsableSpan[],
  wantedScreenS: number | null,
  { fastest, slowest }: RetimeLimits,
): Retiming {
  const parts = partsOf(durationS, usable);
  const lengthOf = (isSoft: boolean) =>
    parts.filter((part) => part.isSoft === isSoft).reduce((sum, { fromS, toS }) => sum + toS - fromS, 0);
  const [softS, sharpS] = [lengthOf(true), lengthOf(false)];
  const softScreenS = softS / fastest;
  const room = wantedScreenS === null ? sharpS : Math.max(wantedScreenS - softScreenS, 0);
  const speed = sharpS === 0 ? 1 : Math.min(Math.max(room === 0 ? fastest : sharpS / room, slowest), fastest);
  const stretches = parts.map((part): Retimed => {
    const at = part.isSoft ? fastest : speed;
    return { ...part, speed: at, screenS: (part.toS - part.fromS) / at };
  });
  const screenS = stretches.reduce((sum, stretch) => sum + stretch.screenS, 0);
  const missingS = (wantedScreenS ?? screenS) - screenS;
  return { stretches, screenTimeS: screenS, softScreenS, missingS: missingS > 1e-9 ? missingS : 0 };
}

/** The take from start to end, split where it turns soft or sharp. */
function partsOf(durationS: number, usable: readonly UsableSpan[]): { fromS: number; toS: number; isSoft: boolean }[] {
  const parts: { fromS: number; toS: number; isSoft: boolean }[] = [];
  let atS = 0;
  for (const span of [...usable].sort((a, b) => a.fromS - b.fromS)) {
    const [fromS, toS] = [Math.max(span.fromS, atS), Math.min(span.toS, durationS)];
    if (toS <= fromS) continue;
    if (fromS > atS) parts.push({ fromS: atS, toS: fromS, isSoft: true });
    parts.push({ fromS, toS, isSoft: false });
    atS = toS;
  }
  if (atS < durationS) parts.push({ fromS: atS, toS: durationS, isSoft: true });
  return parts;
}
