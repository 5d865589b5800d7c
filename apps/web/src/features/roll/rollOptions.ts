/** How this device takes part in a roll: saved on it, not with the production. */
export interface RollOptions {
  /** What turns the ring, as far as the page knows: nobody it hears of; the stand-in wheel; the stand-in motor behind that wheel, or by itself along the line; something at the port for devices */
  readonly turnedBy: TurnedBy;
  readonly countInS: 0 | 3 | 5;
  readonly hasSound: boolean;
  readonly vibrates: boolean;
  /** Everything, or for one who does all alone only the next cue */
  readonly view: 'puller' | 'alone';
  /** Pulls that wait for an event are set off by the clock all the same */
  readonly isByClock: boolean;
  /** Whether the stand-in camera rolls along, with timecode */
  readonly hasCamera: boolean;
  readonly puller: string;
}

export const TURNED_BY = ['nobody', 'wheel', 'motor-wheel', 'motor-line', 'port'] as const;
export type TurnedBy = (typeof TURNED_BY)[number];

export const PLAIN_OPTIONS: RollOptions = {
  turnedBy: 'nobody',
  countInS: 3,
  hasSound: true,
  vibrates: true,
  view: 'puller',
  isByClock: false,
  hasCamera: true,
  puller: '',
};

const KEY = 'still-heron.roll';

/** What this device remembers; anything that can't be is as if it had never been set. */
export function readOptions(storage: Pick<Storage, 'getItem'>): RollOptions {
  let stored: Partial<RollOptions> = {};
  try {
    stored = (JSON.parse(storage.getItem(KEY) ?? '{}') as Partial<RollOptions> | null) ?? {};
  } catch {
    // a broken entry is replaced at the next change
  }
  const plain = PLAIN_OPTIONS;
  const flag = (value: unknown, usual: boolean) => (typeof value === 'boolean' ? value : usual);
  return {
    turnedBy: TURNED_BY.find((by) => by === stored.turnedBy) ?? plain.turnedBy,
    countInS: ([0, 3, 5] as const).find((seconds) => seconds === stored.countInS) ?? plain.countInS,
    hasSound: flag(stored.hasSound, plain.hasSound),
    vibrates: flag(stored.vibrates, plain.vibrates),
    view: stored.view === 'alone' ? 'alone' : 'puller',
    isByClock: flag(stored.isByClock, plain.isByClock),
    hasCamera: flag(stored.hasCamera, plain.hasCamera),
    puller: typeof stored.puller === 'string' ? stored.puller.slice(0, 60) : '',
  };
}

export function writeOptions(storage: Pick<Storage, 'setItem'>, options: RollOptions): void {
  storage.setItem(KEY, JSON.stringify(options));
}
