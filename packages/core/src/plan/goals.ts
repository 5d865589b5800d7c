/** Default target keep rates of a repeatable shot and of a one-chance shot. */
export const DEFAULT_TARGET_KEEP_RATE = { repeatable: 0.8, oneChance: 0.95 } as const;

/** Goals of the shot: what the stop is chosen by. */
export interface ShotGoals {
  /** The shot happens only once */
  readonly isOneChance: boolean;
  /** Share of takes that should be kept, below 1 */
  readonly targetKeepRate: number;
  /** Background whose blur shows the look; `distanceMm` is null for infinity */
  readonly background: { readonly name: string; readonly distanceMm: number | null };
  /** Minimum blur of the background in percent of the picture's width; null for no requirement */
  readonly blurPercent: number | null;
  /** Wanted time on screen without a cut, at the delivery rate; null for the whole shot */
  readonly screenTimeS: number | null;
}

export const DEFAULT_GOALS: ShotGoals = {
  isOneChance: false,
  targetKeepRate: DEFAULT_TARGET_KEEP_RATE.repeatable,
  background: { name: '', distanceMm: null },
  blurPercent: null,
  screenTimeS: null,
};

/** Time that the shot takes. */
export interface Schedule {
  /** Shooting day, from 1 */
  readonly day: number;
  /** Set-up time before the first take */
  readonly setUpMin: number;
  /** From the end of one take to the start of the next */
  readonly betweenTakesS: number;
  /** Planned number of takes; null to derive it from the keep rate */
  readonly takes: number | null;
  /** What the edit cuts to if no take is kept */
  readonly cover: string;
  /** Shot that the edit cuts to then; null for none. It may have been deleted since */
  readonly coverShotId: string | null;
}

/** Assumed values of a new shot; shown as assumptions. */
export const DEFAULT_SCHEDULE: Schedule = { day: 1, setUpMin: 20, betweenTakesS: 90, takes: null, cover: '', coverShotId: null };
