import { PLAN_LIMITS as LIMITS } from '../planLimits.js';
import { type FocusTarget, type FocusTrackPlan, type OpticsChange, pullEndS, type ShotPlan } from '../shotPlan.js';
import { type Anchor, asRehearsed } from './asRehearsed.js';
import { MIN_BEAT_S } from './beats.js';
import { clamp, withItem } from './ids.js';
import { changePull } from './pulls.js';
import { type RehearsalEvent, rehearsedEvents, type RehearsedTime, rehearsedTimes } from './rehearsal.js';
import { setDuration } from './shot.js';
import { changeStay } from './subjects.js';
import { withTargets } from './targets.js';
import { withTapingTimes } from './withDerivedDistances.js';

/** A plan with the times of its rehearsals. */
export interface RehearsedPlan {
  readonly plan: ShotPlan;
  /** Events that can't be at their rehearsed time, because another one is in the way; with the time that they have now */
  readonly limited: readonly (RehearsedTime & { readonly nowS: number })[];
}

/** A smaller difference is not shown. */
const SHOWN_S = 0.05;
/** An end of a beat within this of an event lies at the event. */
const SAME_S = 0.001;

/**
 * Applies mean times of the runs to the plan. What was not tapped moves with what was: walks, pulls, beats, camera, iris pulls and zooms keep
 * their place between the events around them, and what comes after the last event moves as much as that one, with the end of the shot. The
 * spread of a subject's arrivals and departures becomes its timing spread, the spread of a cue the timing spread of its pull.
 */
export function withRehearsedTimes(plan: ShotPlan): RehearsedPlan {
  const times = rehearsedTimes(plan);
  const tapped = times.filter(({ meanS }) => meanS !== null);
  if (tapped.length === 0) return { plan, limited: [] };
  const newTimeS = asRehearsed(tapped.map(anchorOf));
  const endS = clamp(newTimeS(plan.durationS), LIMITS.durationS.min, LIMITS.durationS.max);
  const longer = setDuration(plan, Math.max(endS, plan.durationS));
  const moved = withEvents(withSurroundings(longer, newTimeS), times, (time) => time.meanS ?? newTimeS(time.timeS));
  const beats = withBeats(plan, moved, newTimeS);
  const done = setDuration(withSpreads({ ...moved, beats }, tapped), endS);
  const nowS = timesByEvent(done);
  return {
    plan: done,
    limited: tapped.flatMap((time) => {
      const now = nowS.get(keyOf(time))!;
      return Math.abs(now - time.meanS!) > SHOWN_S ? [{ ...time, nowS: now }] : [];
    }),
  };
}

export function applyRehearsedTimes(plan: ShotPlan): ShotPlan {
  return withRehearsedTimes(plan).plan;
}

const anchorOf = ({ timeS, meanS }: RehearsedTime): Anchor => ({ fromS: timeS, toS: meanS! });
const timesByEvent = (plan: ShotPlan) => new Map(rehearsedEvents(plan).map((event) => [keyOf(event), event.timeS]));
const keyOf = ({ event }: RehearsalEvent): string => JSON.stringify(event);

/** Moves arrivals, departures and pulls. Times keep their order: one that would pass its neighbour stops there. */
function withEvents(plan: ShotPlan, times: readonly RehearsedTime[], targetS: (time: RehearsedTime) => number): ShotPlan {
  // forwards and then backwards, so that neighbours make room for each other in both directions
  return [...times, ...[...times].reverse()].reduce((now, time) => {
    const { event } = time;
    const timeS = targetS(time);
    if (event.kind === 'cue') return changePull(now, event.pullId, { startS: timeS });
    return changeStay(now, event.subjectId, event.stayId, event.kind === 'arrives' ? { fromS: timeS } : { untilS: timeS });
  }, plan);
}

/** Moves what nobody taps: camera, aims, iris pulls, zooms and courses. */
function withSurroundings(plan: ShotPlan, newTimeS: (timeS: number) => number): ShotPlan {
  const at = (timeS: number) => clamp(newTimeS(timeS), 0, plan.durationS);
  const change = (move: OpticsChange): OpticsChange => {
    const startS = at(move.startS);
    return { ...move, startS, durationS: Math.max(at(pullEndS(move)) - startS, LIMITS.pullS.min) };
  };
  const course = (target: FocusTarget): FocusTarget =>
    target.kind === 'course'
      ? { ...target, points: target.points.map((point) => ({ ...point, timeS: at(point.timeS) })) }
      : target;
  const { floor, optics } = plan;
  const targets = withTargets(plan, course);
  return {
    ...targets,
    // a tape holds for the camera's place that it was taken from
    marks: withTapingTimes(plan.marks, at),
    alternates: targets.alternates && { ...targets.alternates, other: withOtherPulls(targets.alternates.other, at) },
    optics: { ...optics, zooms: optics.zooms.map(change), irisPulls: optics.irisPulls.map(change) },
    floor: floor && {
      ...floor,
      camera: floor.camera.map((key) => ({ ...key, timeS: at(key.timeS) })),
      aims: floor.aims.map((aim) => ({ ...aim, timeS: at(aim.timeS), panS: at(aim.timeS) - at(aim.timeS - aim.panS) })),
    },
  };
}

/** The pulls of the other alternate: each starts as rehearsed, and is shorter if it would reach the next one. */
function withOtherPulls(other: FocusTrackPlan, at: (timeS: number) => number): FocusTrackPlan {
  const starts = other.pulls.map(({ startS }) => at(startS));
  const pulls = other.pulls.map((pull, index) => {
    const roomS = (starts[index + 1] ?? Infinity) - starts[index]!;
    return { ...pull, startS: starts[index]!, durationS: Math.max(Math.min(pull.durationS, roomS), LIMITS.pullS.min) };
  });
  return { ...other, pulls };
}

/** Beats of a plan after its events have moved: an end that lies at an event of its own subject moves exactly with it. */
function withBeats(plan: ShotPlan, moved: ShotPlan, newTimeS: (timeS: number) => number): ShotPlan['beats'] {
  const { beats, marks } = plan;
  const nowS = timesByEvent(moved);
  const events = rehearsedEvents(plan).map((event) => ({ event, subjectId: subjectOf(event, marks) }));
  return beats.map((beat) => {
    const own = events.flatMap(({ event, subjectId }) => (subjectId === beat.subjectId ? event : []));
    const at = (timeS: number) => {
      const awayS = (event: RehearsalEvent) => Math.abs(event.timeS - timeS);
      const [nearest] = [...own].sort((a, b) => awayS(a) - awayS(b));
      const isAtEvent = nearest !== undefined && awayS(nearest) < SAME_S;
      return clamp(isAtEvent ? nowS.get(keyOf(nearest))! : newTimeS(timeS), 0, moved.durationS);
    };
    const fromS = Math.min(at(beat.fromS), moved.durationS - MIN_BEAT_S);
    const toS = Math.max(at(beat.toS), fromS + MIN_BEAT_S);
    const keyMomentS = beat.keyMomentS === null ? null : clamp(at(beat.keyMomentS), fromS, toS);
    return { ...beat, fromS, toS, keyMomentS };
  });
}

/** Whose event it is; for a pull, who stands at its mark. */
function subjectOf({ event, markId }: RehearsalEvent, marks: ShotPlan['marks']): string | null | undefined {
  return event.kind === 'cue' ? marks.find(({ id }) => id === markId)?.subjectId : event.subjectId;
}

function withSpreads(plan: ShotPlan, tapped: readonly RehearsedTime[]): ShotPlan {
  const subjects = plan.subjects.map((subject) => {
    const sigmaS = pooled(tapped.filter(({ event }) => event.kind !== 'cue' && event.subjectId === subject.id));
    return sigmaS === null ? subject : { ...subject, timingSigmaS: sigmaS };
  });
  const pulls = tapped.reduce(
    (now, { event, spreadS }) =>
      event.kind === 'cue' && spreadS !== null
        ? withItem(now, event.pullId, (pull) => ({ ...pull, cueSigmaS: Math.min(spreadS, LIMITS.sigmaS.max) }))
        : now,
    plan.focusTrack.pulls,
  );
  return { ...plan, subjects, focusTrack: { ...plan.focusTrack, pulls } };
}

/** Pooled spread of several events, weighted by their number of taps minus one; null if none was tapped twice. */
function pooled(times: readonly RehearsedTime[]): number | null {
  const known = times.filter(({ spreadS }) => spreadS !== null);
  const weight = known.reduce((sum, { count }) => sum + count - 1, 0);
  if (weight === 0) return null;
  const squares = known.reduce((sum, { spreadS, count }) => sum + spreadS! ** 2 * (count - 1), 0);
  return Math.min(Math.sqrt(squares / weight), LIMITS.sigmaS.max);
}
