import type { Mark, Subject } from '../../floor/index.js';
import { frameCount as countFrames } from '../../units/index.js';
import { lightSpans, meteredStopAt } from '../lightAlong.js';
import { methodAt } from '../methodParts.js';
import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS } from '../planLimits.js';
import {
  type Beat,
  type FocusTrackPlan,
  type LightReading,
  type OpticsChange,
  pullEndS,
  type ShotExposure,
  type ShotPlan,
} from '../shotPlan.js';
import { MIN_BEAT_S } from './beats.js';
import { nextId } from './ids.js';
import { withDerivedDistances } from './withDerivedDistances.js';

/** Why a shot can't be cut at a time: what would have to begin in the middle. */
export type SplitObstacle =
  | { readonly kind: 'too-short'; readonly minS: number }
  | { readonly kind: 'pull' | 'iris' | 'zoom' | 'camera' | 'course' }
  | { readonly kind: 'walk'; readonly subjectId: string };

/** Times this near to a start or an end are at it. */
const TOUCH_S = 1e-6;

/** What is in the way of a cut; null for a time at which everything rests. */
export function splitObstacle(plan: ShotPlan, atS: number): SplitObstacle | null {
  const minS = PLAN_LIMITS.durationS.min;
  if (atS < minS || plan.durationS - atS < minS) return { kind: 'too-short', minS };
  const isIn = (fromS: number, toS: number) => fromS < atS - TOUCH_S && toS > atS + TOUCH_S;
  const runs = (change: Pick<OpticsChange, 'startS' | 'durationS'>) => isIn(change.startS, pullEndS(change));
  const tracks = [plan.focusTrack, ...(plan.alternates ? [plan.alternates.other] : [])];
  if (tracks.some(({ pulls }) => pulls.some(runs))) return { kind: 'pull' };
  if (tracks.some((track) => targetAt(track, atS)?.kind === 'course')) return { kind: 'course' };
  if (plan.optics.irisPulls.some(runs)) return { kind: 'iris' };
  if (plan.optics.zooms.some(runs)) return { kind: 'zoom' };
  if (isCameraUnderWay(plan, isIn)) return { kind: 'camera' };
  const walker = plan.subjects.find(({ stays }) =>
    stays.some(({ untilS, markId }, index) => {
      const next = stays[index + 1];
      return next !== undefined && next.markId !== markId && isIn(untilS, next.fromS);
    }),
  );
  return walker ? { kind: 'walk', subjectId: walker.id } : null;
}

function isCameraUnderWay({ floor }: ShotPlan, isIn: (fromS: number, toS: number) => boolean): boolean {
  if (floor === null) return false;
  const moves = floor.camera.some((key, index) => {
    const next = floor.camera[index + 1];
    const isSame = next && next.xMm === key.xMm && next.yMm === key.yMm && next.heightMm === key.heightMm;
    return next !== undefined && !isSame && isIn(key.timeS, next.timeS);
  });
  return moves || floor.aims.some(({ timeS, panS }) => isIn(timeS - panS, timeS));
}

function targetAt({ start, pulls }: FocusTrackPlan, atS: number): FocusTrackPlan['start'] {
  return pulls.findLast((pull) => pullEndS(pull) <= atS + TOUCH_S)?.target ?? start;
}

/** Number of cuts that are offered. */
const MAX_OFFERED = 4;

/** Times at which a shot can be cut: the middle of each rest, those first that share the pulls most evenly. */
export function splitTimes(plan: ShotPlan): number[] {
  const frames = countFrames(plan.durationS, plan.captureFps);
  const middles: number[] = [];
  let from = -1;
  for (let frame = 1; frame <= frames; frame++) {
    const isFree = frame < frames && splitObstacle(plan, frame / plan.captureFps) === null;
    if (isFree && from < 0) from = frame;
    if (isFree || from < 0) continue;
    middles.push(Math.floor((from + frame - 1) / 2) / plan.captureFps);
    from = -1;
  }
  const { pulls } = plan.focusTrack;
  const unevenness = (atS: number) => {
    const before = pulls.filter((pull) => pullEndS(pull) <= atS + TOUCH_S).length;
    return Math.abs(2 * before - pulls.length) + Math.abs(2 * atS - plan.durationS) / plan.durationS;
  };
  return middles
    .sort((a, b) => unevenness(a) - unevenness(b))
    .slice(0, MAX_OFFERED)
    .sort((a, b) => a - b);
}

/**
 * Cuts a shot in two. Marks, people, floor and gear go along; each half has its beats and pulls, with times from its own start. Rehearsals
 * are of the whole shot and stay behind. The second half sets the ring afresh: to its mark as the camera meets it from there.
 *
 * @param atS - a time without an obstacle
 * @returns null if there is one
 */
export function splitShot(plan: ShotPlan, atS: number): readonly [ShotPlan, ShotPlan] | null {
  if (splitObstacle(plan, atS) !== null) return null;
  return [half(plan, 0, atS), half(plan, atS, plan.durationS)];
}

/** The part of a plan between two times at which everything rests. */
function half(plan: ShotPlan, fromS: number, toS: number): ShotPlan {
  const durationS = toS - fromS;
  const within = (timeS: number) => Math.min(Math.max(timeS - fromS, 0), durationS);
  const isWhole = (change: Pick<OpticsChange, 'startS' | 'durationS'>) =>
    change.startS >= fromS - TOUCH_S && pullEndS(change) <= toS + TOUCH_S;
  const moved = <T extends Pick<OpticsChange, 'startS' | 'durationS'>>(changes: readonly T[]): T[] =>
    changes.filter(isWhole).map((change) => ({ ...change, startS: within(change.startS) }));
  const track = (line: FocusTrackPlan): FocusTrackPlan => ({
    start: fromS === 0 ? line.start : targetAt(line, fromS),
    pulls: moved(line.pulls),
  });
  const valueAt = (start: number, changes: readonly OpticsChange[]) =>
    changes.findLast((change) => pullEndS(change) <= fromS + TOUCH_S)?.to ?? start;
  const { optics } = plan;
  return withDerivedDistances({
    ...plan,
    durationS,
    ...methodsWithin(plan, fromS, toS),
    exposure: lightWithin(plan, fromS, toS),
    optics: {
      ...optics,
      focalLengthMm: valueAt(optics.focalLengthMm, optics.zooms),
      zooms: moved(optics.zooms),
      stop: valueAt(optics.stop, optics.irisPulls),
      irisPulls: moved(optics.irisPulls),
    },
    floor: plan.floor && {
      ...plan.floor,
      camera: keysWithin(plan.floor.camera, fromS, toS),
      aims: keysWithin(plan.floor.aims, fromS, toS).map((aim, index) => (index === 0 ? { ...aim, panS: 0 } : aim)),
    },
    subjects: plan.subjects.map((subject) => wayWithin(subject, fromS, toS)),
    marks: plan.marks.map((mark) => tapedWithin(plan, mark, fromS, toS)),
    beats: plan.beats.flatMap((beat) => beatWithin(beat, fromS, toS)),
    focusTrack: track(plan.focusTrack),
    alternates: plan.alternates && { ...plan.alternates, other: track(plan.alternates.other) },
    rehearsals: [],
    goals: { ...plan.goals, screenTimeS: null },
  });
}

/** Methods of a part of the shot. It begins with the one that holds then. */
function methodsWithin(plan: ShotPlan, fromS: number, toS: number): Pick<ShotPlan, 'method' | 'laterMethods'> {
  const later = plan.laterMethods.filter((part) => part.fromS > fromS + TOUCH_S && part.fromS < toS - TOUCH_S);
  return {
    method: methodAt(plan, fromS + TOUCH_S),
    laterMethods: later.map((part) => ({ ...part, fromS: part.fromS - fromS })),
  };
}

/** Meter readings of a part of the shot. It begins with the light of its start. */
function lightWithin(plan: ShotPlan, fromS: number, toS: number): ShotExposure {
  const { exposure } = plan;
  const { lightReadings, meteredStop } = exposure;
  if (lightReadings.length === 0) return exposure;
  const light = lightSpans(plan);
  const within = lightReadings.flatMap((reading): LightReading[] => {
    if (reading.at.kind === 'mark') return [reading];
    const { timeS } = reading.at;
    return timeS >= fromS && timeS <= toS ? [{ ...reading, at: { kind: 'time', timeS: timeS - fromS } }] : [];
  });
  const ends: LightReading = {
    id: nextId('light', lightReadings),
    at: { kind: 'time', timeS: toS - fromS },
    meteredStop: meteredStopAt(light, toS) ?? exposure.meteredStop ?? 1,
  };
  const isEndRead = toS >= plan.durationS || meteredStop === null;
  return {
    ...exposure,
    meteredStop: fromS === 0 ? meteredStop : meteredStopAt(light, fromS),
    lightReadings: isEndRead ? within : [...within, ends],
  };
}

/** Keys of a part. It begins with the key that holds then. */
function keysWithin<T extends { readonly timeS: number }>(keys: readonly T[], fromS: number, toS: number): T[] {
  const first = Math.max(
    keys.findLastIndex(({ timeS }) => timeS <= fromS + TOUCH_S),
    0,
  );
  return keys
    .slice(first)
    .filter(({ timeS }, index) => index === 0 || timeS <= toS + TOUCH_S)
    .map((key) => ({ ...key, timeS: Math.min(Math.max(key.timeS - fromS, 0), toS - fromS) }));
}

/** Stays that a part of the shot touches; who is nowhere else stays at the nearest one. */
function wayWithin(subject: Subject, fromS: number, toS: number): Subject {
  const { stays } = subject;
  const within = (timeS: number) => Math.min(Math.max(timeS - fromS, 0), toS - fromS);
  const touched = stays.filter(
    (stay, index) =>
      (stay.untilS >= fromS - TOUCH_S || index === stays.length - 1) && (stay.fromS <= toS + TOUCH_S || index === 0),
  );
  return { ...subject, stays: touched.map((stay) => ({ ...stay, fromS: within(stay.fromS), untilS: within(stay.untilS) })) };
}

/** A mark that was taped at a time of the other part: the same correction, from where the camera is at the cut. */
function tapedWithin(plan: ShotPlan, mark: Mark, fromS: number, toS: number): Mark {
  const { taping, reading } = mark;
  if (taping === null || mark.distanceMm === null) return mark;
  if (taping.timeS >= fromS && taping.timeS <= toS) return { ...mark, taping: { ...taping, timeS: taping.timeS - fromS } };
  const cutS = taping.timeS < fromS ? fromS : toS;
  const distances = planDistances(plan);
  const drawn = distances.drawnSightAt(mark.id, cutS);
  if (!drawn || reading !== null) return { ...mark, taping: { ...taping, timeS: cutS - fromS } };
  return { ...mark, distanceMm: distances.tapeAt(mark.id, cutS), taping: { timeS: cutS - fromS, drawnMm: drawn.tapeMm } };
}

function beatWithin(beat: Beat, fromS: number, toS: number): Beat[] {
  const [from, to] = [Math.max(beat.fromS, fromS), Math.min(beat.toS, toS)];
  if (to - from < MIN_BEAT_S) return [];
  const { keyMomentS } = beat;
  const isKeyHere = keyMomentS !== null && keyMomentS >= from && keyMomentS < to;
  return [{ ...beat, fromS: from - fromS, toS: to - fromS, keyMomentS: isKeyHere ? keyMomentS - fromS : null }];
}
