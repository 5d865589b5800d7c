/** Roll options of this device; not part of the production. */
export interface RollOptions {
  /**
   * What turns the ring: nobody the page knows of; the simulated wheel; the simulated motor, driven by that wheel or by the
   * plan; or a device at the port
   */
  readonly turnedBy: TurnedBy;
  readonly countInS: 0 | 3 | 5;
  readonly hasSound: boolean;
  /** Ticks at the pace of the ring while somebody is followed, with the sound */
  readonly hasPaceTicks: boolean;
  readonly vibrates: boolean;
  /** Everything, or only the next cue for a person who works alone */
  readonly view: 'puller' | 'alone';
  /** The clock also triggers pulls that wait for an event */
  readonly isClockTriggered: boolean;
  /** Whether a simulated camera provides timecode */
  readonly hasCamera: boolean;
  readonly puller: string;
}

export const TURNED_BY = ['nobody', 'wheel', 'motor-wheel', 'motor-line', 'port'] as const;
export type TurnedBy = (typeof TURNED_BY)[number];

export const DEFAULT_ROLL_OPTIONS: RollOptions = {
  turnedBy: 'nobody',
  countInS: 3,
  hasSound: true,
  hasPaceTicks: true,
  vibrates: true,
  view: 'puller',
  isClockTriggered: false,
  hasCamera: true,
  puller: '',
};

const KEY = 'still-heron.roll';

/** Reads the options of this device. Unreadable values count as not set. */
export function readOptions(storage: Pick<Storage, 'getItem'>): RollOptions {
  let stored: Partial<RollOptions> = {};
  try {
    stored = (JSON.parse(storage.getItem(KEY) ?? '{}') as Partial<RollOptions> | null) ?? {};
  } catch {
    // a broken entry is replaced at the next change
  }
  const plain = DEFAULT_ROLL_OPTIONS;
  const flag = (value: unknown, usual: boolean) => (typeof value === 'boolean' ? value : usual);
  return {
    turnedBy: TURNED_BY.find((by) => by === stored.turnedBy) ?? plain.turnedBy,
    countInS: ([0, 3, 5] as const).find((seconds) => seconds === stored.countInS) ?? plain.countInS,
    hasSound: flag(stored.hasSound, plain.hasSound),
    hasPaceTicks: flag(stored.hasPaceTicks, plain.hasPaceTicks),
    vibrates: flag(stored.vibrates, plain.vibrates),
    view: stored.view === 'alone' ? 'alone' : 'puller',
    isClockTriggered: flag(stored.isClockTriggered, plain.isClockTriggered),
    hasCamera: flag(stored.hasCamera, plain.hasCamera),
    puller: typeof stored.puller === 'string' ? stored.puller.slice(0, 60) : '',
  };
}

export function writeOptions(storage: Pick<Storage, 'setItem'>, options: RollOptions): void {
  storage.setItem(KEY, JSON.stringify(options));
}
