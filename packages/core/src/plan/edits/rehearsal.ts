import type { RehearsalRun, RehearsalTap, RehearsedEvent } from '../../floor/index.js';
import { changePull } from './pulls.js';
import { changeStay } from './subjects.js';
import { nextId, withItem } from './ids.js';
import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';

/** An event to tap during a rehearsal, as planned. */
export interface RehearsalEvent {
  readonly event: RehearsedEvent;
  readonly timeS: number;
  /** The mark that a subject reaches or leaves; for a pull, the mark it goes to, or null */
  readonly markId: string | null;
}

/** Events that can be tapped, in plan order: arrivals, departures, and cues of pulls. */
export function rehearsedEvents(plan: ShotPlan): RehearsalEvent[] {
  const stays = plan.subjects.flatMap(({ id: subjectId, stays }) =>
    stays.flatMap(({ id: stayId, markId, fromS, untilS }, index): RehearsalEvent[] => [
      ...(index > 0 ? [{ event: { kind: 'arrives' as const, subjectId, stayId }, timeS: fromS, markId }] : []),
      ...(index < stays.length - 1 ? [{ event: { kind: 'leaves' as const, subjectId, stayId }, timeS: untilS, markId }] : []),
    ]),
  );
  const cues = plan.focusTrack.pulls.map(({ id, startS, target }): RehearsalEvent => ({
    event: { kind: 'cue', pullId: id },
    timeS: startS,
    markId: target.kind === 'mark' ? target.markId : null,
  }));
  return [...stays, ...cues].sort((a, b) => a.timeS - b.timeS);
}

/** An event over all runs: mean time and spread. */
export interface RehearsedTime extends RehearsalEvent {
  readonly count: number;
  /** null if it was never tapped */
  readonly meanS: number | null;
  /** One standard deviation between runs; null if it was tapped less than twice */
  readonly spreadS: number | null;
}

export function rehearsedTimes(plan: ShotPlan): RehearsedTime[] {
  return rehearsedEvents(plan).map((planned) => {
    const times = plan.rehearsals.flatMap(({ taps }) =>
      taps.filter((tap) => isSame(tap.event, planned.event)).map(({ timeS }) => timeS),
    );
    const count = times.length;
    if (count === 0) return { ...planned, count, meanS: null, spreadS: null };
    const meanS = times.reduce((sum, timeS) => sum + timeS, 0) / count;
    const squares = times.reduce((sum, timeS) => sum + (timeS - meanS) ** 2, 0);
    return { ...planned, count, meanS, spreadS: count < 2 ? null : Math.sqrt(squares / (count - 1)) };
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
export function applyRehearsedTimes(plan: ShotPlan): ShotPlan {
  const times = rehearsedTimes(plan).filter(({ meanS }) => meanS !== null);
  // forwards and then backwards, so that neighbours make room for each other in both directions
  const moved = [...times, ...[...times].reverse()].reduce((now, { event, meanS }) => {
    if (event.kind === 'cue') return changePull(now, event.pullId, { startS: meanS! });
    return changeStay(now, event.subjectId, event.stayId, event.kind === 'arrives' ? { fromS: meanS! } : { untilS: meanS! });
  }, plan);
  const subjects = moved.subjects.map((subject) => {
    const sigmaS = pooled(times.filter(({ event }) => event.kind !== 'cue' && event.subjectId === subject.id));
    return sigmaS === null ? subject : { ...subject, timingSigmaS: sigmaS };
  });
  const pulls = times.reduce(
    (now, { event, spreadS }) =>
      event.kind === 'cue' && spreadS !== null
        ? withItem(now, event.pullId, (pull) => ({ ...pull, cueSigmaS: Math.min(spreadS, LIMITS.sigmaS.max) }))
        : now,
    moved.focusTrack.pulls,
  );
  return { ...moved, subjects, focusTrack: { ...moved.focusTrack, pulls } };
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
  if (a.kind === 'cue') return b.kind === 'cue' && a.pullId === b.pullId;
  return b.kind === a.kind && a.subjectId === b.subjectId && a.stayId === b.stayId;
}
