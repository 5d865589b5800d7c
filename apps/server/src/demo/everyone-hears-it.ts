import {
  addBeat,
  addPullTo,
  addStay,
  addSubject,
  changeBeat,
  changePull,
  changeStay,
  changeSubject,
  type CueTrigger,
  type FocusTarget,
  setSubjectKind,
  setTrackStart,
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

interface DemoPull {
  readonly target: FocusTarget;
  readonly startS: number;
  readonly trigger: CueTrigger;
  readonly cue: string;
}

const mark = (number: number): FocusTarget => ({ kind: 'mark', markId: `mark-${number}` });

/** Eight pulls between five people; the fifth follows Ines while she walks. */
const PULLS: readonly DemoPull[] = [
  { target: mark(4), startS: 2.6, trigger: 'hand', cue: 'Maren’s hand on the rope' },
  { target: mark(1), startS: 5.4, trigger: 'spoken-line', cue: '“Now”' },
  { target: mark(5), startS: 8.4, trigger: 'look', cue: 'he looks over' },
  { target: mark(2), startS: 11.2, trigger: 'look', cue: 'she looks up' },
  { target: { kind: 'subject', subjectId: 'subject-2', leadS: 0 }, startS: 12.6, trigger: 'hand', cue: 'she lifts the lantern' },
  { target: mark(3), startS: 17.8, trigger: 'clock', cue: '' },
  { target: mark(1), startS: 22, trigger: 'look', cue: 'the rope goes slack' },
  { target: mark(3), startS: 26, trigger: 'clock', cue: '' },
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
  plan = changeSubject(setSubjectKind(plan, 'subject-3', 'object'), 'subject-3', { detail: 'rim of the bell' });
  plan = addStay(plan, 'subject-2', { distanceMm: 2050, fromS: 16.5 });
  plan = changeStay(plan, 'subject-2', 'stay-1', { untilS: 13 });
  plan = { ...setTrackStart(plan, mark(1)), beats: [] };
  for (const { target, startS, trigger, cue } of PULLS) {
    plan = addPullTo(plan, target, startS);
    const added = plan.focusTrack.pulls[plan.focusTrack.pulls.length - 1]!;
    plan = changePull(plan, added.id, { trigger, cue });
  }
  const { pulls } = plan.focusTrack;
  ASKED.forEach(([subject, why], index) => {
    const before = pulls[index - 1];
    const fromS = before ? before.startS + before.durationS : 0;
    const toS = pulls[index]?.startS ?? plan.durationS;
    plan = addBeat(plan, `subject-${subject}`, fromS);
    plan = changeBeat(plan, `beat-${index + 1}`, { fromS, toS, why });
  });
  plan = changeBeat(plan, 'beat-6', { keyMomentS: 16.5 });
  // a subject that must not be revealed yet
  plan = addBeat(plan, 'subject-3', 0);
  return changeBeat(plan, 'beat-10', { requirement: 'soft', fromS: 0, toS: 8, blurPercent: 0.5, why: 'not the bell yet' });
}
