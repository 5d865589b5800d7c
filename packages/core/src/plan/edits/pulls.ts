import { ringOf, withinReach } from '../../kit/index.js';
import { type Hand, landingWindow, minPullTimeS } from '../../hand/index.js';
import { handAt } from '../secondJob.js';
import { targetDistanceMm } from '../targetPosition.js';
import { zoneLensAt } from '../opticsOverTime.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { fullList } from '../planRoom.js';
import {
  type Beat,
  activeBeats,
  type FocusTarget,
  DEFAULT_BEAT,
  DEFAULT_PULL,
  type Pull,
  pullEndS,
  type ShotPlan,
} from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';

/** Time available for a pull between its neighbours and the ends of the shot. */
export interface PullRoom {
  readonly earliestStartS: number;
  readonly latestEndS: number;
}

/** Duration of a new pull over the hand's minimum time. */
const COMFORT_FACTOR = 1.5;

/** @returns the whole shot if the pull is not in the plan */
export function pullRoom(plan: ShotPlan, pullId: string): PullRoom {
  const { pulls } = plan.focusTrack;
  const at = pulls.findIndex(({ id }) => id === pullId);
  const before = pulls[at - 1];
  const after = at < 0 ? undefined : pulls[at + 1];
  return { earliestStartS: before ? pullEndS(before) : 0, latestEndS: after ? after.startS : plan.durationS };
}

/**
 * Adds a pull to a mark at or after a time, with a comfortable duration. The mark's subject must be sharp from the landing on.
 * A subject that had to be sharp across the start of the pull must be sharp only until then. Other beats stay as they are.
 *
 * @returns the same plan if there is no room from `atS` on, if the track has no start, or if the plan is full of pulls or beats
 */
export function addPull(plan: ShotPlan, markId: string, atS: number): ShotPlan {
  if (fullList(plan, ['pulls', 'beats'])) return plan;
  const added = addPullTo(plan, { kind: 'mark', markId }, atS);
  return added === plan
    ? plan
    : withBeatsFor(
        added,
        added.focusTrack.pulls.find((pull) => !plan.focusTrack.pulls.includes(pull))!,
      );
}

/**
 * Adds a pull to a target at or after a time. Beats stay as they are.
 *
 * @param durationS - by default what a hand needs comfortably; limited by the room
 * @returns the same plan if there is no room from `atS` on, or if the track has no start
 */
export function addPullTo(plan: ShotPlan, target: FocusTarget, atS: number, lastsS?: number): ShotPlan {
  const gap = plan.focusTrack.start === null || fullList(plan, ['pulls']) ? null : freeGap(plan, atS);
  if (!gap) return plan;
  const { fromS, toS, before } = gap;
  const durationS = Math.min(lastsS ?? comfortableS(plan, before, target, fromS), toS - fromS);
  const id = nextId('pull', plan.focusTrack.pulls);
  const pull: Pull = { ...DEFAULT_PULL, id, startS: fromS, durationS, target };
  return {
    ...plan,
    focusTrack: { ...plan.focusTrack, pulls: [...plan.focusTrack.pulls, pull].sort((a, b) => a.startS - b.startS) },
  };
}

/** Start time that `addPull` would use, at or after a time; null if there is no room. */
export function pullStartFrom(plan: ShotPlan, atS: number): number | null {
  return plan.focusTrack.start === null ? null : (freeGap(plan, atS)?.fromS ?? null);
}

/**
 * Changes the times or the target of a pull. It can't overlap its neighbours or leave the shot: a moved pull stops there, a
 * stretched one ends there.
 */
export function changePull(
  plan: ShotPlan,
  id: string,
  changes: Partial<Pick<Pull, 'startS' | 'durationS' | 'easing' | 'target' | 'trigger' | 'cue' | 'countInS' | 'cueSigmaS'>>,
): ShotPlan {
  const { earliestStartS, latestEndS } = pullRoom(plan, id);
  const shortestS = PLAN_LIMITS.pullS.min;
  const pulls = withItem(plan.focusTrack.pulls, id, (pull) => {
    const wantedS = clamp(changes.durationS ?? pull.durationS, shortestS, latestEndS - earliestStartS);
    const isStretched = changes.durationS !== undefined;
    const latestStartS = latestEndS - (isStretched && changes.startS === undefined ? shortestS : wantedS);
    const startS = clamp(changes.startS ?? pull.startS, earliestStartS, latestStartS);
    // rounding may leave the duration slightly below the minimum
    return { ...pull, ...changes, startS, durationS: Math.max(Math.min(wantedS, latestEndS - startS), shortestS) };
  });
  return { ...plan, focusTrack: { ...plan.focusTrack, pulls } };
}

/** Moves one end of a pull; the other end stays. */
export function dragPullEdge(plan: ShotPlan, id: string, edge: 'start' | 'end', timeS: number): ShotPlan {
  const pull = plan.focusTrack.pulls.find((pull) => pull.id === id);
  if (!pull) return plan;
  const { earliestStartS, latestEndS } = pullRoom(plan, id);
  const shortestS = PLAN_LIMITS.pullS.min;
  const endS = pullEndS(pull);
  if (edge === 'end') return changePull(plan, id, { durationS: clamp(timeS, pull.startS + shortestS, latestEndS) - pull.startS });
  const startS = clamp(timeS, earliestStartS, endS - shortestS);
  return changePull(plan, id, { startS, durationS: endS - startS });
}

export function removePull(plan: ShotPlan, id: string): ShotPlan {
  return { ...plan, focusTrack: { ...plan.focusTrack, pulls: without(plan.focusTrack.pulls, id) } };
}

export function setTrackStart(plan: ShotPlan, start: FocusTarget): ShotPlan {
  return { ...plan, focusTrack: { ...plan.focusTrack, start } };
}

/** First gap between pulls, at or after a time, that fits the shortest pull, and the target held before it. */
function freeGap(plan: ShotPlan, atS: number): { fromS: number; toS: number; before: FocusTarget } | null {
  let before = plan.focusTrack.start!;
  let freeFromS = 0;
  for (const next of [...plan.focusTrack.pulls, null]) {
    const fromS = Math.max(atS, freeFromS);
    const toS = next ? next.startS : plan.durationS;
    if (toS - fromS >= 2 * PLAN_LIMITS.pullS.min) return { fromS, toS, before };
    if (next) {
      freeFromS = pullEndS(next);
      before = next.target;
    }
  }
  return null;
}

/** Time that a new pull takes without hurry, in tenths of a second, with what its puller has to do besides as it lands. */
function comfortableS(plan: ShotPlan, from: FocusTarget, to: FocusTarget, atS: number): number {
  const ring = ringOf(plan.optics.lens);
  const mmOf = (target: FocusTarget) => withinReach(ring, targetDistanceMm(plan, ring, target, atS));
  const angle = (target: FocusTarget) => ring.angleAt(mmOf(target));
  const window = landingWindow(zoneLensAt(plan.optics, atS), ring, mmOf(to));
  const travelDeg = Math.abs(angle(to) - angle(from));
  const lastsS = (hand: Hand) => {
    // a pull without travel still takes the hand's reaction time
    const minTimeS = Math.max(minPullTimeS({ ...plan, hand }, travelDeg, window.widthDeg), hand.reactionS);
    return Math.ceil(minTimeS * COMFORT_FACTOR * 10) / 10;
  };
  return lastsS(handAt(plan, atS + lastsS(plan.hand)));
}

function withBeatsFor(plan: ShotPlan, pull: Pull): ShotPlan {
  const { target } = pull;
  const subjectId = target.kind === 'mark' ? plan.marks.find((mark) => mark.id === target.markId)?.subjectId : null;
  const now = activeBeats(plan);
  if (!subjectId || now.some((beat) => beat.subjectId === subjectId && beat.toS > pullEndS(pull))) return plan;
  const nextMove = plan.focusTrack.pulls[plan.focusTrack.pulls.indexOf(pull) + 1];
  const added: Beat = {
    id: nextId('beat', plan.beats),
    subjectId,
    fromS: pullEndS(pull),
    toS: nextMove?.startS ?? plan.durationS,
    ...DEFAULT_BEAT,
    alternate: plan.alternates?.shown ?? null,
  };
  // a beat that belongs to both alternates is not shortened by a pull in one of them
  const isCut = (beat: Beat) =>
    now.includes(beat) &&
    beat.requirement === 'sharp' &&
    beat.alternate === added.alternate &&
    beat.fromS < pull.startS &&
    beat.toS > pull.startS;
  const trimmed = plan.beats.map((beat) =>
    isCut(beat)
      ? { ...beat, toS: pull.startS, keyMomentS: beat.keyMomentS === null ? null : Math.min(beat.keyMomentS, pull.startS) }
      : beat,
  );
  return { ...plan, beats: added.toS > added.fromS ? [...trimmed, added] : trimmed };
}
