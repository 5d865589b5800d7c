import type { ComparedSetup, UnitSystem } from '@still-heron/core';
import { scaleLinear } from 'd3-scale';
import { evenTicks } from '../../charts/ticks';

/** Zone of one set-up on the common scale, in pixels. The subject is at the same position in every row. */
export interface CompareRow {
  readonly cameraX: number;
  readonly nearX: number;
  readonly farX: number;
  readonly isFarBeyond: boolean;
  readonly isReached: boolean;
  /** The enlarged zone, to tell rows apart; null if it is infinite or can't be focused */
  readonly loupe: readonly [number, number] | null;
}

export interface CompareLayout {
  readonly subjectX: number;
  readonly backgroundX: number | null;
  /** Enlargement of the loupes */
  readonly loupeTimes: number;
  readonly rows: readonly CompareRow[];
  readonly ticks: readonly { readonly x: number; readonly label: string }[];
}

const PAD = 12;
/** Share of the drawing's width that the deepest zone takes in the loupe. */
const LOUPE_SHARE = 0.46;
/** Minimum share of the drawing's width behind the subject. */
const BEHIND_SHARE = 0.34;

/**
 * Lays set-ups out on one scale with a common subject position. The longest distance fits, and so does most of the zone behind.
 */
export function compareLayout(
  compared: readonly ComparedSetup[],
  { width, units, backgroundBehindMm }: { width: number; units: UnitSystem; backgroundBehindMm: number },
): CompareLayout {
  const longestMm = Math.max(...compared.map(({ distanceMm }) => distanceMm));
  const behindMm = Math.max(...compared.map(({ at }) => (at && at.zone.behindMm !== Infinity ? at.zone.behindMm : 0)));
  const shownBehindMm = Math.min(
    Math.max(
      behindMm * 1.15,
      longestMm * (BEHIND_SHARE / (1 - BEHIND_SHARE)),
      Math.min(backgroundBehindMm * 1.1, longestMm * 1.5),
    ),
    longestMm * 2,
  );
  const scale = scaleLinear([-longestMm, shownBehindMm], [PAD + 18, width - PAD]);
  const right = width - PAD;
  const pxPerMm = scale(1) - scale(0);
  const finite = compared.flatMap(({ at }) => (at && at.zone.totalMm !== Infinity ? [at.zone.totalMm] : []));
  const loupeTimes = Math.max(1, Math.min((width * LOUPE_SHARE) / (Math.max(...finite, 1) * pxPerMm), 400));
  return {
    subjectX: scale(0),
    backgroundX: scale(backgroundBehindMm) <= right ? scale(backgroundBehindMm) : null,
    loupeTimes,
    rows: compared.map(({ distanceMm, at }) => ({
      cameraX: scale(-distanceMm),
      nearX: at ? scale(-at.zone.inFrontMm) : scale(0),
      farX: at ? Math.min(scale(Math.min(at.zone.behindMm, shownBehindMm * 2)), right) : scale(0),
      isFarBeyond: at !== null && scale(Math.min(at.zone.behindMm, shownBehindMm * 2)) > right,
      isReached: at !== null,
      loupe:
        at && at.zone.totalMm !== Infinity
          ? [scale(0) - at.zone.inFrontMm * pxPerMm * loupeTimes, scale(0) + at.zone.behindMm * pxPerMm * loupeTimes]
          : null,
    })),
    ticks: evenTicks(units, longestMm, Math.max(2, width / 130))
      .map(({ mm, label }) => ({ x: scale(-mm), label }))
      // the subject's own word stands there
      .filter(({ x }) => scale(0) - x > 44),
  };
}
