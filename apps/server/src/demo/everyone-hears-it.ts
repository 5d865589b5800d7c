import {
  addBeat,
  addRackTo,
  addStay,
  addSubject,
  changeBeat,
  changeRack,
  changeStay,
  changeSubject,
  type CueKind,
  type LineTarget,
  setLineStart,
  type ShotPlan,
} from '@still-heron/core';

/** Subjects on the casting floor, with their distances. */
const PEOPLE: readonly (readonly [name: string, distanceMm: number])[] = [
  ['Old Tam', 2900],
  ['Ines', 4550],
  ['Hand cart', 7200],
  ['Maren', 2250],
  ['Bohdan', 5600],
];

interface Pull {
  readonly target: LineTarget;
  readonly startS: number;
  readonly cueKind: CueKind;
  readonly cue: string;
}

const mark = (number: number): LineTarget => ({ kind: 'mark', markId: `mark-${number}` });

/** Eight pulls between five people; the fifth follows Ines while she walks. */
const PULLS: readonly Pull[] = [
  { target: mark(4), startS: 2.6, cueKind: 'hand', cue: 'Maren’s hand on the rope' },
  { target: mark(1), startS: 5.4, cueKind: 'line', cue: '“Now”' },
  { target: mark(5), startS: 8.4, cueKind: 'look', cue: 'he looks over' },
  { target: mark(2), startS: 11.2, cueKind: 'look', cue: 'she looks up' },
  { target: { kind: 'subject', subjectId: 'subject-2', leadS: 0 }, startS: 12.6, cueKind: 'hand', cue: 'she lifts the lantern' },
  { target: mark(3), startS: 17.8, cueKind: 'clock', cue: '' },
  { target: mark(1), startS: 22, cueKind: 'look', cue: 'the rope goes slack' },
  { target: mark(3), startS: 26, cueKind: 'clock', cue: '' },
];

/** Required subject in each hold, and why. */
const ASKED: readonly (readonly [subject: number, why: string])[] = [
  [1, 'he waits'],
  [4, 'the knot'],
  [1, 'his face'],
  [5, 'the answer'],
  [2, 'she hears'],
  [2, 'she comes'],
  [3, 'the bell'],
  [1, 'he knows'],
  [3, 'it rings'],
];

/** A long shot with many pulls between five people, one of whom walks. */
export function everyoneHearsIt(empty: ShotPlan): ShotPlan {
  let plan = empty;
  for (const [name, distanceMm] of PEOPLE) plan = addSubject(plan, { name, distanceMm });
  plan = changeSubject(plan, 'subject-3', { detail: 'rim of the bell' });
  plan = addStay(plan, 'subject-2', { distanceMm: 2050, fromS: 16.5 });
  plan = changeStay(plan, 'subject-2', 'stay-1', { untilS: 13 });
  plan = { ...setLineStart(plan, mark(1)), beats: [] };
  for (const { target, startS, cueKind, cue } of PULLS) {
    plan = addRackTo(plan, target, startS);
    const added = plan.line.moves[plan.line.moves.length - 1]!;
    plan = changeRack(plan, added.id, { cueKind, cue });
  }
  const { moves } = plan.line;
  ASKED.forEach(([subject, why], index) => {
    const before = moves[index - 1];
    const fromS = before ? before.startS + before.durationS : 0;
    const toS = moves[index]?.startS ?? plan.durationS;
    plan = addBeat(plan, `subject-${subject}`, fromS);
    plan = changeBeat(plan, `beat-${index + 1}`, { fromS, toS, why });
  });
  plan = changeBeat(plan, 'beat-6', { keyS: 16.5 });
  // a subject that must not be revealed yet
  plan = addBeat(plan, 'subject-3', 0);
  return changeBeat(plan, 'beat-10', { kind: 'soft', fromS: 0, toS: 8, blurPercent: 0.5, why: 'not the bell yet' });
}
