/** A key of a page, as the keys panel lists it. */
export interface PageKey {
  readonly keys: readonly string[];
  readonly does: string;
}

const EVERYWHERE: readonly PageKey[] = [
  { keys: ['?'], does: 'show or hide the keys' },
  { keys: ['Ctrl', 'Z'], does: 'undo' },
  { keys: ['Ctrl', 'Shift', 'Z'], does: 'redo' },
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

/** Keys of the slider below a drawing over time. */
const PLAYHEAD: PageKey = {
  keys: ['←', '→'],
  does: 'on the playhead: one frame; with Shift ten; Page Up and Page Down one second',
};

/** Marks of Floor and Pull. */
const TAKE_RING: PageKey = { keys: ['G'], does: 'read the ring at the selected mark: the angle of the wheel or motor' };

/** Keys for logging the latest take. */
const TAKE_KEYS: readonly PageKey[] = [
  {
    keys: ['H', 'L', 'E', 'W', 'F', 'B', 'O', 'S'],
    does: 'on the chosen mark: hit, late, early, false start, in front, behind, overshot, searched',
  },
  {
    keys: ['F', 'B', 'Z', 'J', 'L', 'S', 'H'],
    does: 'on a span: drifted nearer, drifted farther, left the zone, camera jumped, settled late, searched, fine',
  },
  { keys: ['Y'], does: 'the rest was fine: every mark of which nothing is said hit, sharp, a good performance' },
  { keys: ['U'], does: 'focus: sharp, usable, soft, not said' },
  { keys: ['P'], does: 'performance: good, fair, poor, not said' },
  { keys: ['K'], does: 'circle the take' },
  { keys: ['N'], does: 'no good' },
  { keys: ['T'], does: 'log the take as it is shown, or save a logged one' },
  { keys: ['X'], does: 'apply the first correction to the next take' },
];

const FIELD: readonly PageKey[] = [
  { keys: ['↑', '↓'], does: 'in a number: one step of the last digit; with Shift ten' },
  { keys: ['Enter'], does: 'apply what was typed' },
  { keys: ['Esc'], does: 'cancel typing or dragging, or leave the field' },
];

export const PAGE_KEYS = {
  shots: [
    { keys: ['N'], does: 'new shot' },
    { keys: ['Enter'], does: 'open the focused shot' },
    { keys: ['Space', '↑', '↓', 'Space'], does: 'on the grip of a shot: lift it, move it, put it down' },
    { keys: ['D'], does: 'on a shot: duplicate it' },
    { keys: ['Del'], does: 'on a shot: delete it (Ctrl Z restores it)' },
    ...EVERYWHERE,
  ],
  network: [...EVERYWHERE.slice(0, 1)],
  backups: [{ keys: ['Esc'], does: 'restore nothing' }, ...EVERYWHERE.slice(0, 1)],
  setup: [
    { keys: ['←', '→'], does: 'on the plane of focus: move it; on the stop: change it' },
    ...FIELD,
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  kit: [
    { keys: ['F'], does: 'find by name' },
    { keys: ['N'], does: 'add something new' },
    { keys: ['←', '→'], does: 'on the ring: turn it one step; with Shift ten' },
    { keys: ['1', '–', '5'], does: 'lenses, cameras, wheels, rigs, zone calculator' },
    { keys: ['0'], does: 'back to Shots' },
    ...FIELD,
    ...EVERYWHERE,
  ],
  floor: [
    { keys: ['Space'], does: 'play or pause' },
    { keys: [',', '.'], does: 'one frame' },
    PLAYHEAD,
    { keys: ['←', '↑', '→', '↓'], does: 'on a mark, a camera position or a landmark: move it 10 cm; with Shift 1 m' },
    { keys: ['←', '↑', '→', '↓'], does: 'with nothing selected: move the view' },
    { keys: ['T'], does: 'tape to the selected mark: the simulated tape reads the drawn distance' },
    { keys: ['L'], does: 'the same with the simulated laser' },
    TAKE_RING,
    { keys: ['M'], does: 'blocking moves' },
    { keys: ['R'], does: 'in Rehearse: start the clock, then tap each event' },
    {
      keys: ['Shift', 'Enter'],
      does: 'on an item: add it to the selection; by pointer Shift and click, or drag a frame',
    },
    { keys: ['Ctrl', 'A'], does: 'select everything' },
    { keys: ['Ctrl', 'C'], does: 'copy the selection; Ctrl V pastes it beside' },
    { keys: ['Alt'], does: 'while dragging: do not snap' },
    { keys: ['+', '−'], does: 'zoom in or out' },
    { keys: ['F'], does: 'show the whole floor' },
    { keys: ['Del'], does: 'delete the selection' },
    { keys: ['Esc'], does: 'put the tool away; select nothing; cancel a drag' },
    ...FIELD.slice(0, 2),
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  pull: [
    { keys: ['Space'], does: 'play or pause' },
    { keys: [',', '.'], does: 'one frame' },
    { keys: ['N'], does: 'new subject: type its distance' },
    { keys: ['P'], does: 'pull to the next mark, at the playhead' },
    { keys: ['X'], does: 'apply the first fix' },
    { keys: ['L'], does: 'work out the pulls' },
    TAKE_RING,
    { keys: ['H'], does: 'swap the axis: ring angle or distance' },
    {
      keys: ['+', '−'],
      does: 'zoom the time around the playhead; Ctrl and the mouse wheel zoom under the pointer',
    },
    { keys: ['F'], does: 'show the whole shot' },
    { keys: ['Alt'], does: 'while dragging: do not snap' },
    { keys: ['←', '→'], does: 'on an end of a pull or a span, or on a key moment: one frame; with Shift ten' },
    { keys: ['↑', '↓'], does: 'on an end of a pull: change its distance' },
    { keys: ['Del'], does: 'delete the selection' },
    { keys: ['Esc'], does: 'select nothing; cancel a drag' },
    ...FIELD.slice(0, 2),
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  log: [...EVERYWHERE],
  roll: [
    { keys: ['Space'], does: 'start the take, and end it' },
    { keys: ['C'], does: 'the cue has come: start the waiting pull' },
    { keys: ['W'], does: 'hold while checking focus: that span is cut out later' },
    { keys: ['R'], does: 'while rehearsing: start the clock, then tap each event' },
    { keys: ['←', '→'], does: 'turn the simulated wheel, right is nearer; with Shift faster' },
    ...TAKE_KEYS.map(({ keys, does }) => ({ keys, does: `after a take: ${does}` })),
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
  takes: [...TAKE_KEYS, ...FIELD.slice(1), ...IN_A_SHOT, ...EVERYWHERE],
  stop: [
    { keys: ['←', '→'], does: 'on the stop: a third of a stop wider or narrower; with Shift a whole stop' },
    PLAYHEAD,
    { keys: ['W'], does: 'shoot at the widest stop that reaches the goal' },
    { keys: ['Space'], does: 'play or pause' },
    { keys: [',', '.'], does: 'one frame' },
    ...FIELD,
    ...IN_A_SHOT,
    ...EVERYWHERE,
  ],
} satisfies Record<string, readonly PageKey[]>;

export type PageName = keyof typeof PAGE_KEYS;
