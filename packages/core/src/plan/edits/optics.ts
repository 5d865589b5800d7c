import { isDeepEqual } from '../../deepEqual.js';
import { type Camera, isZoom, type Lens, ringOf, widestStopAt } from '../../kit/index.js';
import { focalLengthAt } from '../opticsOverTime.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { type OpticsChange, pullEndS, type ShotOptics, type ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';
import { makeStale } from './marks.js';
import { withDerivedDistances } from './withDerivedDistances.js';

/** Which setting changes while rolling. */
export type OpticsSetting = 'irisPulls' | 'zooms';

/** Default duration of a new iris pull or zoom. */
const TURN_S = 2;

/** Sets the stop at the start, within the range of the lens. */
export function setStop(plan: ShotPlan, stop: number): ShotPlan {
  return withOptics(plan, { ...plan.optics, stop });
}

/** Sets the focal length at the start, within the zoom's range. Measured distances stay valid. */
export function setFocalLength(plan: ShotPlan, focalLengthMm: number): ShotPlan {
  return withOptics(plan, { ...plan.optics, focalLengthMm });
}

/**
 * Replaces or corrects the lens. Stop and focal length are clamped to its range, its close focus to what optics allow. What was
 * read off the ring becomes stale if the lens focuses differently. Scale points belong to the lens that they were read from: with another focal
 * length, close focus or separation, the ring is a helicoid of the same throw. Readings of a lens that is only corrected hold; distances that
 * follow from them follow again.
 *
 * @param isSameLens - false for another lens, even of the same name
 */
export function setLens(plan: ShotPlan, changes: Partial<Lens>, isSameLens = true): ShotPlan {
  const { lens: before } = plan.optics;
  const wasPrime = !isZoom(before);
  const requested = withOwnScale(before, changes);
  const longestMm =
    wasPrime && changes.longestMm === undefined
      ? requested.focalLengthMm
      : Math.max(requested.longestMm, requested.focalLengthMm);
  const isPrime = longestMm === requested.focalLengthMm;
  const lens = {
    ...requested,
    longestMm,
    closeFocusMm: Math.max(requested.closeFocusMm, 4 * longestMm + requested.principalSeparationMm),
    widestStopLong: isPrime ? requested.widestStop : requested.widestStopLong,
    narrowestStop: Math.max(requested.narrowestStop, requested.widestStop, isPrime ? 0 : requested.widestStopLong),
  };
  const changed = withOptics(plan, { ...plan.optics, lens });
  if (focusesAlike(before, lens)) return withDerivedDistances(changed);
  // what is stale no longer follows from its reading
  return withDerivedDistances(makeStale(changed, 'lens', isSameLens && isSameBarrel(before, lens)));
}

/** Whether a lens is the one before with other figures: what was read off its barrel still holds. */
function isSameBarrel(a: Lens, b: Lens): boolean {
  return a.name === b.name && a.focalLengthMm === b.focalLengthMm && a.longestMm === b.longestMm;
}

const FIGURES_OF_FIT = ['focalLengthMm', 'longestMm', 'principalSeparationMm'] as const;
const FIGURES_OF_SCALE = [...FIGURES_OF_FIT, 'closeFocusMm'] as const;

function withOwnScale(before: Lens, changes: Partial<Lens>): Lens {
  const requested = { ...before, ...changes };
  const figures = before.ring.kind === 'fitted' ? FIGURES_OF_FIT : FIGURES_OF_SCALE;
  const isOther = figures.some((figure) => requested[figure] !== before[figure]);
  if (changes.ring !== undefined || before.ring.kind === 'helicoid' || !isOther) return requested;
  return { ...requested, ring: { kind: 'helicoid', focusThrowDeg: Math.round(ringOf(before).throwDeg) } };
}

export function setCamera(plan: ShotPlan, camera: Camera): ShotPlan {
  return { ...plan, optics: { ...plan.optics, camera } };
}

/** Records that the camera has moved since the distances were measured. */
export function cameraMoved(plan: ShotPlan): ShotPlan {
  return makeStale(plan, 'camera');
}

/**
 * Adds an iris pull or a zoom in the first gap from a time on.
 *
 * @returns the same plan if there is no room from `atS` on, or if `track` is `zooms` and the lens is a prime
 */
export function addOpticsChange(plan: ShotPlan, track: OpticsSetting, atS: number, to: number): ShotPlan {
  const moves = plan.optics[track];
  if ((track === 'zooms' && !isZoom(plan.optics.lens)) || moves.length >= PLAN_LIMITS.opticsChanges.max) return plan;
  const shortestS = PLAN_LIMITS.pullS.min;
  let freeFromS = 0;
  for (const next of [...moves, null]) {
    const startS = Math.max(atS, freeFromS);
    const roomS = (next ? next.startS : plan.durationS) - startS;
    if (roomS >= 2 * shortestS) {
      const move: OpticsChange = {
        id: nextId(track === 'zooms' ? 'zoom' : 'iris', moves),
        startS,
        durationS: Math.min(TURN_S, roomS),
        to,
      };
      return withTrack(
        plan,
        track,
        [...moves, move].sort((a, b) => a.startS - b.startS),
      );
    }
    if (next) freeFromS = pullEndS(next);
  }
  return plan;
}

/** Changes the times or the end value of an iris pull or zoom, between its neighbours and within the shot. */
export function changeOpticsChange(
  plan: ShotPlan,
  track: OpticsSetting,
  id: string,
  changes: Partial<Pick<OpticsChange, 'startS' | 'durationS' | 'to'>>,
): ShotPlan {
  const moves = plan.optics[track];
  const at = moves.findIndex((move) => move.id === id);
  const before = moves[at - 1];
  const after = moves[at + 1];
  const earliestS = before ? pullEndS(before) : 0;
  const latestS = after ? after.startS : plan.durationS;
  return withTrack(
    plan,
    track,
    withItem(moves, id, (move) => {
      const requested = { ...move, ...changes };
      const durationS = clamp(requested.durationS, PLAN_LIMITS.pullS.min, latestS - earliestS);
      const startS = clamp(
        requested.startS,
        earliestS,
        latestS - (changes.startS === undefined ? PLAN_LIMITS.pullS.min : durationS),
      );
      return { ...requested, startS, durationS: Math.max(Math.min(durationS, latestS - startS), PLAN_LIMITS.pullS.min) };
    }),
  );
}

export function removeOpticsChange(plan: ShotPlan, track: OpticsSetting, id: string): ShotPlan {
  return withTrack(plan, track, without(plan.optics[track], id));
}

/** Replaces all iris pulls, in order of time. */
export function setIrisPulls(plan: ShotPlan, irisPulls: readonly OpticsChange[]): ShotPlan {
  return withTrack(plan, 'irisPulls', irisPulls);
}

function withTrack(plan: ShotPlan, track: OpticsSetting, moves: readonly OpticsChange[]): ShotPlan {
  return withOptics(plan, { ...plan.optics, [track]: moves });
}

/** Clamps every optics setting to what the lens offers. */
function withOptics(plan: ShotPlan, requested: ShotOptics): ShotPlan {
  const { lens } = requested;
  const inRange = (mm: number) => clamp(mm, lens.focalLengthMm, lens.longestMm);
  const zoomed: ShotOptics = {
    ...requested,
    focalLengthMm: inRange(requested.focalLengthMm),
    zooms: isZoom(lens) ? requested.zooms.map((move) => ({ ...move, to: inRange(move.to) })) : [],
  };
  const onLens = (stop: number, timeS: number) =>
    clamp(stop, widestStopAt(lens, focalLengthAt(zoomed, timeS)), lens.narrowestStop);
  const optics: ShotOptics = {
    ...zoomed,
    stop: onLens(zoomed.stop, 0),
    irisPulls: zoomed.irisPulls.map((move) => ({ ...move, to: onLens(move.to, pullEndS(move)) })),
  };
  return { ...plan, optics };
}

/** Whether two lenses map a distance to the same ring angle and have the same zone. Measured marks then stay valid. */
function focusesAlike(a: Lens, b: Lens): boolean {
  return (
    a.focalLengthMm === b.focalLengthMm &&
    a.longestMm === b.longestMm &&
    a.principalSeparationMm === b.principalSeparationMm &&
    a.closeFocusMm === b.closeFocusMm &&
    isDeepEqual(a.ring, b.ring)
  );
}
