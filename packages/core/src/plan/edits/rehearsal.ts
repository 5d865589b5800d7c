import type { RehearsalRun, RehearsalTap, RehearsedEvent } from '../../floor/index.js';
import { nextId } from './ids.js';
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

function isSame(a: RehearsedEvent, b: RehearsedEvent): boolean {
  if (a.kind === 'cue') return b.kind === 'cue' && a.pullId === b.pullId;
  return b.kind === a.kind && a.subjectId === b.subjectId && a.stayId === b.stayId;
}
