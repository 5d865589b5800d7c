import type { UsableSpan } from '../judgeTake.js';

/** A stretch of a take as it is shown: at one speed. */
export interface Retimed extends UsableSpan {
  readonly isSoft: boolean;
  /** Times real time; above 1 it is sped past */
  readonly speed: number;
  readonly screenS: number;
}

/** A take shown so that what is soft goes by fast. */
export interface Retiming {
  readonly stretches: readonly Retimed[];
  readonly screenS: number;
  /** Of that, soft */
  readonly softScreenS: number;
  /** What is missing to the wanted length, even with what is sharp drawn out as far as it goes; 0 where it is reached */
  readonly missingS: number;
}

export interface RetimeLimits {
  /** Nothing is sped up more, at least 1 */
  readonly fastest: number;
  /** Nothing is slowed down more: beyond it frames are shown twice; above 0 up to 1 */
  readonly slowest: number;
}

/**
 * Speeds past what is soft, as fast as is allowed, and draws out what is sharp as far as the wanted length asks.
 *
 * @param durationS - of the take
 * @param usable - in any order; parts outside the take are cut off
 * @param wantedScreenS - null for what is sharp in real time
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
  return { stretches, screenS, softScreenS, missingS: missingS > 1e-9 ? missingS : 0 };
}

/** The take from its beginning to its end, parted where it turns soft or sharp. */
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
