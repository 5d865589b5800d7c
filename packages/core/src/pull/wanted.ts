/** How many takes of ten are wanted, of a shot that can be repeated and of one that can't: where a plan starts from. */
export const WANTED_SHARE = { repeatable: 0.8, oneChance: 0.95 } as const;

/** What the stop is chosen by. */
export interface Wanted {
  /** It happens once: what is lost is lost */
  readonly isOneChance: boolean;
  /** Share of takes that shall be kept, below 1 */
  readonly keepShare: number;
  /** What lies behind, by whose blur the look is judged; `distanceMm` is null for infinity */
  readonly background: { readonly name: string; readonly distanceMm: number | null };
  /** The least it shall blur, in percent of the picture's width; null for whatever it does */
  readonly blurPercent: number | null;
  /** How long it shall be on the screen, at delivery rate, in one go; null for as long as it is shot */
  readonly screenS: number | null;
}

export const PLAIN_WANTED: Wanted = {
  isOneChance: false,
  keepShare: WANTED_SHARE.repeatable,
  background: { name: '', distanceMm: null },
  blurPercent: null,
  screenS: null,
};

/** What the shot takes of the day. */
export interface Schedule {
  /** Of the shoot, from 1 on */
  readonly day: number;
  /** Before the first take */
  readonly setUpMin: number;
  /** From the end of one take to the start of the next */
  readonly betweenTakesS: number;
  /** Takes that are planned; null for as many as its chance asks for */
  readonly takes: number | null;
  /** What the edit cuts to if no take is kept */
  readonly cover: string;
}

/** Of a new shot: assumptions, shown as such. */
export const PLAIN_SCHEDULE: Schedule = { day: 1, setUpMin: 20, betweenTakesS: 90, takes: null, cover: '' };
