/** A turn of the ring from one angle to another, as planned. Times in s, angles in ring degrees. */
export interface PlannedTurn {
  readonly fromDeg: number;
  readonly toDeg: number;
  readonly startS: number;
  readonly endS: number;
}

/** A ring angle over time, evenly sampled from time 0. */
export interface Samples {
  readonly hz: number;
  readonly degs: Float64Array;
}

/** Where to look for a turn. */
export interface TurnSearch {
  /** Sample from which on it can begin: the halfway sample of the turn before */
  readonly after: number;
  /** Time after which its halfway angle is not looked for */
  readonly latestS: number;
  /** What a resting hand moves, in ring degrees */
  readonly restDeg: number;
}

/** When the ring left for a turn, by sample. */
export interface Departure {
  /** Last sample at rest before the turn, or before its false start */
  readonly restsUntil: number;
  /** First sample that is farther from the resting angle than a resting hand moves */
  readonly begins: number;
  /** Half the way */
  readonly halfway: number;
  /** The ring left before, and came back */
  readonly isFalseStart: boolean;
}

/** A ring that has not turned for this long is at rest. */
export const REST_S = 0.1;
/** A rest beyond this share of the way is a pause of the turn, not the rest before it. */
const PAUSE_AFTER_SHARE = 0.25;
/** A false start goes at least this share of the way. */
const FALSE_START_SHARE = 0.1;

/**
 * Finds when the ring left for a turn: from the halfway angle back to the last rest. Of several crossings of the halfway angle, the one
 * nearest in time to the planned one counts.
 *
 * @returns null if the ring never gets half the way
 */
export function departureOf(samples: Samples, turn: PlannedTurn, search: TurnSearch): Departure | null {
  const { hz, degs } = samples;
  const { after, restDeg } = search;
  const halfway = halfwayOf(samples, turn, search);
  if (halfway === null) return null;
  const direction = Math.sign(turn.toDeg - turn.fromDeg);
  const travelDeg = Math.abs(turn.toDeg - turn.fromDeg);
  const along = (k: number) => (degs[k]! - turn.fromDeg) * direction;
  const rest = Math.max(Math.round(REST_S * hz), 1);
  let rests = halfway;
  let lowest = halfway;
  for (; rests > after; rests--) {
    if (along(rests) < along(lowest)) lowest = rests;
    const isBefore = along(rests) < PAUSE_AFTER_SHARE * travelDeg;
    if (isBefore && isResting(degs, Math.max(rests - rest, after), rests, restDeg / 2)) break;
  }
  // without a rest the turn begins where the ring turned round
  if (rests <= after) rests = lowest;
  let begins = halfway;
  while (begins > rests + 1 && along(begins - 1) - along(rests) > restDeg) begins--;
  const leastDeg = Math.max(2 * restDeg, FALSE_START_SHARE * travelDeg);
  const left = falseStartOf(degs, { from: after, to: rests, rest: 2 * rest }, direction, leastDeg);
  return { restsUntil: left ?? rests, begins, halfway, isFalseStart: left !== null };
}

function halfwayOf(
  { hz, degs }: Samples,
  { fromDeg, toDeg, startS, endS }: PlannedTurn,
  { after, latestS }: TurnSearch,
): number | null {
  const direction = Math.sign(toDeg - fromDeg);
  const middleDeg = (fromDeg + toDeg) / 2;
  const plannedAt = ((startS + endS) / 2) * hz;
  const last = Math.min(Math.floor(latestS * hz), degs.length - 1);
  let found: number | null = null;
  for (let k = Math.max(after, 0) + 1; k <= last; k++) {
    const isCrossed = (degs[k - 1]! - middleDeg) * direction < 0 && (degs[k]! - middleDeg) * direction >= 0;
    if (isCrossed && (found === null || Math.abs(k - plannedAt) < Math.abs(found - plannedAt))) found = k;
  }
  return found;
}

/** Sample at which the ring left the rest after the turn before, went some way, and came back to it; null if it did not. */
function falseStartOf(
  degs: Float64Array,
  { from, to, rest }: { readonly from: number; readonly to: number; readonly rest: number },
  direction: number,
  leastDeg: number,
): number | null {
  let settled = from;
  while (settled + rest < to && !isResting(degs, settled, settled + rest, leastDeg / 4)) settled++;
  if (settled + rest >= to || Math.abs(degs[settled]! - degs[to]!) > leastDeg / 2) return null;
  let left = settled;
  for (let k = settled; k < to; k++) {
    const awayDeg = (degs[k]! - degs[settled]!) * direction;
    if (awayDeg < leastDeg / 4) left = k;
    if (awayDeg > leastDeg) return left;
  }
  return null;
}

function isResting(degs: Float64Array, from: number, to: number, rangeDeg: number): boolean {
  let [low, high] = [degs[from]!, degs[from]!];
  for (let k = from + 1; k <= to; k++) {
    low = Math.min(low, degs[k]!);
    high = Math.max(high, degs[k]!);
  }
  return high - low < rangeDeg;
}

/**
 * How far a ring turned in all, and how often it turned round. Less than what a resting hand moves does not count.
 *
 * @param degs - at least one
 */
export function pathOf(degs: Float64Array, restDeg: number): { readonly travelDeg: number; readonly reversals: number } {
  let [reversals, turning, turnedAt, travelDeg] = [0, 0, degs[0]!, 0];
  for (const deg of degs) {
    if (Math.abs(deg - turnedAt) < restDeg) continue;
    const way = Math.sign(deg - turnedAt);
    if (turning !== 0 && way !== turning) reversals++;
    travelDeg += Math.abs(deg - turnedAt);
    [turning, turnedAt] = [way, deg];
  }
  return { travelDeg: travelDeg + Math.abs(degs[degs.length - 1]! - turnedAt), reversals };
}
