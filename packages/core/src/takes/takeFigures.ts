import { hitOf, isKeptTake, isSimulated, isUsable } from './said.js';
import type { Take } from './take.js';
import type { TurnFigures } from './turnFigures.js';

/** Count, sum and sum of squares: mean and spread follow, and several takes add up. */
export interface Sums {
  readonly count: number;
  readonly sum: number;
  readonly squares: number;
}

/** What statistics need from a take. */
export interface TakeFigures {
  /** null if nobody said so and no track shows it */
  readonly isKept: boolean | null;
  readonly isSimulated: boolean;
  readonly isUsable: boolean;
  readonly isRepaired: boolean;
  /** Lateness of pulls in s; landing error in ring degrees; subjects' distance from their marks in mm */
  readonly late: Sums;
  readonly off: Sums;
  readonly markMisses: Sums;
  readonly turns: TurnSums;
}

/** Turns that a track shows, added up. */
export interface TurnSums {
  readonly count: number;
  readonly smoothSum: number;
  /** Those that stayed, and the time in s that they took to stay */
  readonly settledCount: number;
  readonly settlingSum: number;
  readonly pastZoneCount: number;
}

export function takeFigures(take: Omit<Take, 'track'>): TakeFigures {
  return {
    isKept: isKeptTake(take),
    isSimulated: isSimulated(take),
    isUsable: isUsable(take),
    isRepaired: take.repairs.length > 0,
    late: sumsOf(take.hits.flatMap(({ lateS }) => lateS ?? [])),
    // a pull that was searched says nothing about landing errors
    off: sumsOf(take.hits.flatMap((one) => (hitOf(one) === 'searched' ? [] : (one.offDeg ?? [])))),
    markMisses: sumsOf(take.markMisses.map(({ byMm }) => byMm)),
    turns: turnSums(take.hits.flatMap(({ turn }) => turn ?? [])),
  };
}

function turnSums(turns: readonly TurnFigures[]): TurnSums {
  const settled = turns.flatMap(({ settlingS }) => settlingS ?? []);
  return {
    count: turns.length,
    smoothSum: sumsOf(turns.map(({ smoothness }) => smoothness)).sum,
    settledCount: settled.length,
    settlingSum: sumsOf(settled).sum,
    pastZoneCount: turns.filter(({ isPastZone }) => isPastZone).length,
  };
}

export function sumsOf(values: readonly number[]): Sums {
  return {
    count: values.length,
    sum: values.reduce((total, value) => total + value, 0),
    squares: values.reduce((total, value) => total + value * value, 0),
  };
}

export function addedSums(all: readonly Sums[]): Sums {
  const add = (of: (one: Sums) => number) => all.reduce((total, one) => total + of(one), 0);
  return { count: add(({ count }) => count), sum: add(({ sum }) => sum), squares: add(({ squares }) => squares) };
}

/** Mean and spread with their number of values. */
export interface MeasuredError {
  readonly count: number;
  readonly mean: number;
  /** One standard deviation about the mean */
  readonly sigma: number;
}

/** Minimum number of values that justify changing a plan. */
const MIN_VALUES = 5;

/** @returns null for too few values */
export function measuredError({ count, sum, squares }: Sums): MeasuredError | null {
  if (count < MIN_VALUES) return null;
  const mean = sum / count;
  return { count, mean, sigma: Math.sqrt(Math.max(0, (squares - count * mean * mean) / (count - 1))) };
}

/** Measured errors of a plan; null where too few takes tell. */
export interface MeasuredErrors {
  /** Lateness of the start, or of the landing for a late landing, in s */
  readonly late: MeasuredError | null;
  /** Landing error in ring degrees, positive towards near */
  readonly off: MeasuredError | null;
  /** Distance beyond the mark in mm, negative if nearer */
  readonly markMisses: MeasuredError | null;
}
