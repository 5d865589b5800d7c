import type { RehearsalRun, RehearsalTap, RehearsedEvent } from '../floor/index.js';
import { changeRack } from './edit/racks.js';
import { changeStay } from './edit/subjects.js';
import { nextId, withItem } from './edit/ids.js';
import { PLAN_LIMITS as LIMITS } from './planLimits.js';
import type { ShotPlan } from './shotPlan.js';

/** Something to tap at while the action is run, as it stands in the plan. */
export interface PlannedEvent {
  readonly of: RehearsedEvent;
  readonly timeS: number;
  /** "Ines comes to B", "the pull to B starts" */
  readonly words: string;
}

/** What is tapped in a run, in the order of the plan: who leaves a mark, who comes to one, and the cues of the pulls. */
export function rehearsedEvents(plan: ShotPlan): PlannedEvent[] {
  const letterOf = (markId: string) => plan.marks.find(({ id }) => id === markId)?.letter ?? 'a place';
  const stays = plan.subjects.flatMap(({ id: subjectId, name, stays }) =>
    stays.flatMap((stay, index): PlannedEvent[] => {
      const of = { subjectId, stayId: stay.id };
      const letter = letterOf(stay.markId);
      return [
        ...(index > 0
          ? [{ of: { kind: 'arrives' as const, ...of }, timeS: stay.fromS, words: `${name} comes to ${letter}` }]
          : []),
        ...(index < stays.length - 1
          ? [{ of: { kind: 'leaves' as const, ...of }, timeS: stay.untilS, words: `${name} leaves ${letter}` }]
          : []),
      ];
    }),
  );
  const cues = plan.line.moves.map((move): PlannedEvent => {
    const to = move.target.kind === 'mark' ? ` to ${letterOf(move.target.markId)}` : '';
    return { of: { kind: 'cue', moveId: move.id }, timeS: move.startS, words: move.cue || `the pull${to} starts` };
  });
  return [...stays, ...cues].sort((a, b) => a.timeS - b.timeS);
}

/** An event over all runs: when it came on the average, and how much that varied. */
export interface RehearsedTime extends PlannedEvent {
  readonly count: number;
  /** null until it was tapped once */
  readonly meanS: number | null;
  /** One standard deviation between runs; null until it was tapped twice */
  readonly spreadS: number | null;
}

export function rehearsedTimes(plan: ShotPlan): RehearsedTime[] {
  return rehearsedEvents(plan).map((event) => {
    const times = plan.rehearsals.flatMap(({ taps }) => taps.filter(({ of }) => isSame(of, event.of)).map(({ timeS }) => timeS));
    const count = times.length;
    if (count === 0) return { ...event, count, meanS: null, spreadS: null };
    const meanS = times.reduce((sum, timeS) => sum + timeS, 0) / count;
    const squares = times.reduce((sum, timeS) => sum + (timeS - meanS) ** 2, 0);
    return { ...event, count, meanS, spreadS: count < 2 ? null : Math.sqrt(squares / (count - 1)) };
  });
}

/** Keeps a run; of more than a plan holds, the oldest goes. A run without a tap is none. */
export function addRun(plan: ShotPlan, taps: readonly RehearsalTap[]): ShotPlan {
  if (taps.length === 0) return plan;
  const within = taps
    .slice(0, LIMITS.taps.max)
    .map((tap) => ({ ...tap, timeS: Math.min(Math.max(tap.timeS, 0), LIMITS.timeS.max) }));
  const run: RehearsalRun = { id: nextId('run', plan.rehearsals), taps: within };
  return { ...plan, rehearsals: [...plan.rehearsals, run].slice(-LIMITS.rehearsals.max) };
}

export function removeRun(plan: ShotPlan, id: string): ShotPlan {
  return { ...plan, rehearsals: plan.rehearsals.filter((run) => run.id !== id) };
}

/**
 * Takes the averages of the runs as the times of the plan. The spread of someone's comings and goings becomes how early or late they are, the spread of a
 * cue how early or late the pull is set off. Times keep their order: one that would pass its neighbour, or the end of the shot, stops there.
 */
export function takeRehearsedTimes(plan: ShotPlan): ShotPlan {
  const times = rehearsedTimes(plan).filter(({ meanS }) => meanS !== null);
  // once forward and once back, so that neighbours make room for each other whichever way they move
  const moved = [...times, ...[...times].reverse()].reduce((now, { of, meanS }) => {
    if (of.kind === 'cue') return changeRack(now, of.moveId, { startS: meanS! });
    return changeStay(now, of.subjectId, of.stayId, of.kind === 'arrives' ? { fromS: meanS! } : { untilS: meanS! });
  }, plan);
  const subjects = moved.subjects.map((subject) => {
    const sigmaS = pooled(times.filter(({ of }) => of.kind !== 'cue' && of.subjectId === subject.id));
    return sigmaS === null ? subject : { ...subject, timingSigmaS: sigmaS };
  });
  const moves = times.reduce(
    (now, { of, spreadS }) =>
      of.kind === 'cue' && spreadS !== null
        ? withItem(now, of.moveId, (move) => ({ ...move, cueSigmaS: Math.min(spreadS, LIMITS.sigmaS.max) }))
        : now,
    moved.line.moves,
  );
  return { ...moved, subjects, line: { ...moved.line, moves } };
}

/** One spread of several events, each weighing as much as it was tapped more than once; null while none was tapped twice. */
function pooled(times: readonly RehearsedTime[]): number | null {
  const known = times.filter(({ spreadS }) => spreadS !== null);
  const weight = known.reduce((sum, { count }) => sum + count - 1, 0);
  if (weight === 0) return null;
  const squares = known.reduce((sum, { spreadS, count }) => sum + spreadS! ** 2 * (count - 1), 0);
  return Math.min(Math.sqrt(squares / weight), LIMITS.sigmaS.max);
}

function isSame(a: RehearsedEvent, b: RehearsedEvent): boolean {
  if (a.kind === 'cue') return b.kind === 'cue' && a.moveId === b.moveId;
  return b.kind === a.kind && a.subjectId === b.subjectId && a.stayId === b.stayId;
}
