/** What a turn of the ring was like. Angles in ring degrees. */
export interface TurnFigures {
  /** Everything that the ring turned from its start until it rested, and what the pull asked for */
  readonly travelDeg: number;
  readonly plannedDeg: number;
  /** Largest overshoot beyond the target, and whether it left the landing window beyond it */
  readonly overshootDeg: number;
  readonly isPastZone: boolean;
  /** Number of changes of direction */
  readonly reversals: number;
  /** 1 for one continuous turn in one direction; less for detours and pauses */
  readonly smoothness: number;
  /** From first reaching the window until it stays there; 0 if it stays at once, null if it never stays */
  readonly settlingS: number | null;
}

/** A word for each figure of a turn, from good to bad. */
export const TRAVEL_WORDS = ['direct', 'detour', 'long-way'] as const;
export const OVERSHOOT_WORDS = ['none', 'in-zone', 'past-zone'] as const;
export const REVERSAL_WORDS = ['none', 'one', 'many'] as const;
export const SMOOTHNESS_WORDS = ['even', 'uneven', 'broken'] as const;
export const SETTLING_WORDS = ['at-once', 'soon', 'slow', 'never'] as const;

export interface TurnWords {
  readonly travel: (typeof TRAVEL_WORDS)[number];
  readonly overshoot: (typeof OVERSHOOT_WORDS)[number];
  readonly reversals: (typeof REVERSAL_WORDS)[number];
  readonly smoothness: (typeof SMOOTHNESS_WORDS)[number];
  readonly settling: (typeof SETTLING_WORDS)[number];
}

/** Times the planned travel up to which a turn was direct, and a detour. */
const DIRECT_TIMES = 1.1;
const DETOUR_TIMES = 1.5;
/** An overshoot below this share of the way, or below this angle, is none. */
const OVERSHOOT_SHARE = 0.02;
const OVERSHOOT_DEG = 0.5;
const EVEN = 0.9;
const UNEVEN = 0.7;
/** Settling up to one frame at 24 a second is at once; up to half a second it is soon. */
const AT_ONCE_S = 1 / 24;
const SOON_S = 0.5;

/** A pull that asks for less is none to be judged: the ring is there already. */
const MIN_PLANNED_DEG = 1;

/** The figures of a turn that the log keeps, rounded; null for a pull to where the ring is already. */
export function turnFigures(turn: TurnFigures): TurnFigures | null {
  const { travelDeg, plannedDeg, overshootDeg, isPastZone, reversals, smoothness, settlingS } = turn;
  if (plannedDeg < MIN_PLANNED_DEG) return null;
  return {
    travelDeg: inHundredths(travelDeg),
    plannedDeg: inHundredths(plannedDeg),
    overshootDeg: inHundredths(overshootDeg),
    isPastZone,
    reversals,
    smoothness: inHundredths(smoothness),
    settlingS: settlingS === null ? null : inHundredths(settlingS),
  };
}

/** A word for each figure. */
export function turnWords({
  travelDeg,
  plannedDeg,
  overshootDeg,
  isPastZone,
  reversals,
  smoothness,
  settlingS,
}: TurnFigures): TurnWords {
  const overshootFromDeg = Math.max(OVERSHOOT_DEG, OVERSHOOT_SHARE * plannedDeg);
  return {
    travel: graded(
      travelDeg,
      [DIRECT_TIMES * plannedDeg + OVERSHOOT_DEG, DETOUR_TIMES * plannedDeg + OVERSHOOT_DEG],
      TRAVEL_WORDS,
    ),
    overshoot: isPastZone ? 'past-zone' : graded(overshootDeg, [overshootFromDeg], OVERSHOOT_WORDS),
    reversals: graded(reversals, [0, 1], REVERSAL_WORDS),
    smoothness: graded(-smoothness, [-EVEN, -UNEVEN], SMOOTHNESS_WORDS),
    settling: settlingS === null ? 'never' : graded(settlingS, [AT_ONCE_S, SOON_S], SETTLING_WORDS),
  };
}

/** The first word whose limit holds, or the one after the last limit. */
function graded<W>(value: number, limits: readonly number[], words: readonly W[]): W {
  const at = limits.findIndex((limit) => value <= limit);
  return words[at < 0 ? limits.length : at]!;
}

/** To two decimals, as the log keeps figures. */
export function inHundredths(value: number): number {
  return Math.round(value * 100) / 100;
}
