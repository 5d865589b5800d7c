import type { RehearsalRun, RehearsalTap, RehearsedEvent } from '../floor/index.js';
import { changeRack } from './edit/racks.js';
import { changeStay } from './edit/subjects.js';
import { nextId, withItem } from './edit/ids.js';
import { PLAN_LIMITS as LIMITS } from './planLimits.js';
import type { ShotPlan } from './shotPlan.js';

/** An event to tap during a rehearsal, as planned. */
export interface PlannedEvent {
  readonly of: RehearsedEvent;
  readonly timeS: number;
  /** For example "Ines comes to B" or "the pull to B starts" */
  readonly words: string;
}

/** Events that can be tapped, in plan order: arrivals, departures, and cues of pulls. */
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

/** An event over all runs: mean time and spread. */
export interface RehearsedTime extends PlannedEvent {
  readonly count: number;
  /** null if it was never tapped */
  readonly meanS: number | null;
  /** One standard deviation between runs; null if it was tapped less than twice */
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

/** Adds a run; if the plan is full, the oldest run is dropped. A run without taps is ignored. */
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
 * Applies mean times of the runs to the plan. The spread of a subject's arrivals and departures becomes its timing spread, the
 * spread of a cue the timing spread of its pull. Times keep their order: one that would pass its neighbour stops there.
 */
export function takeRehearsedTimes(plan: ShotPlan): ShotPlan {
  const times = rehearsedTimes(plan).filter(({ meanS }) => meanS !== null);
  // forwards and then backwards, so that neighbours make room for each other in both directions
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

/** Pooled spread of several events, weighted by their number of taps minus one; null if none was tapped twice. */
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
