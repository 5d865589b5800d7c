/** A key of a page, as the keys panel lists it. */
export interface PageKey {
  readonly keys: readonly string[];
  readonly does: string;
}

const EVERYWHERE: readonly PageKey[] = [
  { keys: ['?'], does: 'show or hide the keys' },
  { keys: ['Ctrl', 'Z'], does: 'take the last step back' },
  { keys: ['Ctrl', 'Shift', 'Z'], does: 'do it again after all' },
];

const IN_A_SHOT: readonly PageKey[] = [
  { keys: ['1'], does: 'go to Set-up' },
  { keys: ['2'], does: 'go to Floor' },
  { keys: ['3'], does: 'go to Pull' },
  { keys: ['4'], does: 'go to Stop' },
  { keys: ['6'], does: 'go to Roll' },
  { keys: ['7'], does: 'go to Takes' },
  { keys: ['0'], does: 'back to Shots' },
  { keys: ['V'], does: 'saved versions of the shot' },
];

/** Keys for logging the latest take. */
const TAKE_KEYS: readonly PageKey[] = [
  {
    keys: ['H', 'L', 'E', 'F', 'B', 'O', 'S'],
    does: 'of the mark that is pointed at: hit, late, early, in front, behind, overshot, searched',
  },
  { keys: ['K'], does: 'circle it' },
  { keys: ['T'], does: 'log the take as it is said' },
  { keys: ['X'], does: 'take the first correction for the next take' },
];

const FIELD: readonly PageKey[] = [
  { keys: ['↑', '↓'], does: 'in a figure: one step of its last digit; with Shift ten' },
  { keys: ['Enter'], does: 'take what was typed' },
  { keys: ['Esc'], does: 'give up what was typed, or a drag' },
];

export const PAGE_KEYS = {
  shots: [
    { keys: ['N'], does: 'new shot' },
    { keys: ['Enter'], does: 'open the shot that has the focus' },
    { keys: ['Space', '↑', '↓', 'Space'], does: 'on the grip of a shot: lift it, move it, set it down' },
    { keys: ['D'], does: 'on a shot: duplicate it' },
    { keys: ['Del'], does: 'on a shot: delete it (Ctrl Z brings it back)' },
    ...EVERYWHERE,
  ],
  setup: [
    { keys: ['←', '→'], does: 'on the plane of focus: move it; on the stop: turn it' },
    ...FIELD,
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  kit: [
    { keys: ['F'], does: 'find by name' },
    { keys: ['N'], does: 'put something new in' },
    { keys: ['←', '→'], does: 'on the ring: turn it one step; with Shift ten' },
    { keys: ['1', '–', '5'], does: 'lenses, cameras, wheels, rigs, the zone bench' },
    { keys: ['0'], does: 'back to Shots' },
    ...FIELD,
    ...EVERYWHERE,
  ],
  floor: [
    { keys: ['Space'], does: 'play and stop' },
    { keys: [',', '.'], does: 'step a frame' },
    { keys: ['←', '↑', '→', '↓'], does: 'on a mark, a camera key or a landmark: move it 10 cm; with Shift a metre' },
    { keys: ['←', '↑', '→', '↓'], does: 'with nothing under the keyboard: move the drawing' },
    { keys: ['T'], does: 'tape the selected mark: the stand-in reads the drawn distance' },
    { keys: ['L'], does: 'the same by laser' },
    { keys: ['M'], does: 'moves people make' },
    { keys: ['R'], does: 'in Rehearse: start the clock, then tap as each thing happens' },
    {
      keys: ['Shift', 'Enter'],
      does: 'on a thing: hold it together with what is held; by pointer Shift and a press, or a frame',
    },
    { keys: ['Ctrl', 'A'], does: 'hold everything' },
    { keys: ['Ctrl', 'C'], does: 'copy what is held; Ctrl V puts it down beside' },
    { keys: ['Alt'], does: 'while dragging: line up with nothing' },
    { keys: ['+', '−'], does: 'draw larger, or smaller' },
    { keys: ['F'], does: 'fit all of it in' },
    { keys: ['Del'], does: 'take away what is held' },
    { keys: ['Esc'], does: 'put the tool down; select nothing; give up a drag' },
    ...FIELD.slice(0, 2),
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  pull: [
    { keys: ['Space'], does: 'play and stop' },
    { keys: [',', '.'], does: 'step a frame' },
    { keys: ['N'], does: 'someone new: type their distance' },
    { keys: ['P'], does: 'pull to the next mark, at the playhead' },
    { keys: ['X'], does: 'take the first of what would mend it' },
    { keys: ['L'], does: 'lines that can be laid for what must be sharp' },
    { keys: ['H'], does: 'swap the hand’s axis and plain distance' },
    {
      keys: ['+', '−'],
      does: 'draw the time around the playhead larger, or smaller; Ctrl and the wheel do so under the pointer',
    },
    { keys: ['F'], does: 'fit the whole shot in' },
    { keys: ['Alt'], does: 'while dragging: snap to nothing' },
    { keys: ['←', '→'], does: 'on an end of a pull or a beat, or a key moment: one frame; with Shift ten' },
    { keys: ['↑', '↓'], does: 'on an end of a pull: another distance' },
    { keys: ['Del'], does: 'remove what is selected' },
    { keys: ['Esc'], does: 'select nothing; give up a drag' },
    ...FIELD.slice(0, 2),
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  log: [...EVERYWHERE],
  roll: [
    { keys: ['Space'], does: 'start the take, and end it' },
    { keys: ['C'], does: 'now: what a pull waits for has happened' },
    { keys: ['W'], does: 'hold while the ring is rocked to check: that span is cut out later' },
    { keys: ['R'], does: 'while rehearsing: start the clock, then tap as each thing happens' },
    { keys: ['←', '→'], does: 'turn the stand-in wheel, to the right nearer; with Shift faster' },
    ...TAKE_KEYS.map(({ keys, does }) => ({ keys, does: `after a take: ${does}` })),
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  takes: [...TAKE_KEYS, ...FIELD.slice(1), ...IN_A_SHOT, ...EVERYWHERE],
  stop: [
    { keys: ['←', '→'], does: 'on the stop: a third narrower, or wider; with Shift a whole stop' },
    { keys: ['W'], does: 'shoot at the widest stop that keeps what is wanted' },
    { keys: ['Space'], does: 'play and stop' },
    { keys: [',', '.'], does: 'step a frame' },
    ...FIELD,
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
} satisfies Record<string, readonly PageKey[]>;

export type PageName = keyof typeof PAGE_KEYS;
