import { isUsable } from './advice.js';
import type { Take } from './take.js';

/** Of several measured values what their mean and spread follow from: sums of several takes add up. */
export interface Sums {
  readonly count: number;
  readonly sum: number;
  readonly squares: number;
}

/** What a statistic asks of a take. */
export interface TakeFigures {
  readonly isUsable: boolean;
  readonly isRepaired: boolean;
  /** How late pulls were, in s; how far off the ring came to rest, in ring degrees; how far people were from their marks, in mm */
  readonly late: Sums;
  readonly off: Sums;
  readonly missed: Sums;
}

export function takeFigures(take: Omit<Take, 'track'>): TakeFigures {
  return {
    isUsable: isUsable(take),
    isRepaired: take.repairs.length > 0,
    late: sumsOf(take.hits.flatMap(({ lateS }) => lateS ?? [])),
    // what was searched for tells nothing of how a hand lands
    off: sumsOf(take.hits.flatMap(({ hit, offDeg }) => (hit === 'searched' ? [] : (offDeg ?? [])))),
    missed: sumsOf(take.missed.map(({ byMm }) => byMm)),
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

/** A mean and a spread, with how many values they come from. */
export interface Fitted {
  readonly count: number;
  readonly mean: number;
  /** One standard deviation around the mean */
  readonly sigma: number;
}

/** Fewer values than this are no reason to change a plan. */
const FEWEST = 5;

/** @returns null for too few values */
export function fitted({ count, sum, squares }: Sums): Fitted | null {
  if (count < FEWEST) return null;
  const mean = sum / count;
  return { count, mean, sigma: Math.sqrt(Math.max(0, (squares - count * mean * mean) / (count - 1))) };
}

/** The errors of a plan as takes showed them; null for what too few takes tell. */
export interface FittedErrors {
  /** Set off late, or of a pull that only landed late by how much; in s */
  readonly late: Fitted | null;
  /** Off the target at rest, towards near above 0; in ring degrees */
  readonly off: Fitted | null;
  /** Farther than the mark, nearer below 0; in mm */
  readonly missed: Fitted | null;
}

export function fitErrors(figures: readonly Pick<TakeFigures, 'late' | 'off' | 'missed'>[]): FittedErrors {
  return {
    late: fitted(addedSums(figures.map(({ late }) => late))),
    off: fitted(addedSums(figures.map(({ off }) => off))),
    missed: fitted(addedSums(figures.map(({ missed }) => missed))),
  };
}
