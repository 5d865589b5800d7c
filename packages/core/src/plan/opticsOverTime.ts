import { minimumJerk } from '../floor/index.js';
import { widestStopAt, zoneLensOf } from '../kit/index.js';
import type { ZoneLens } from '../optics/index.js';
import { frameSize, type OpticsChange, pullEndS, type ShotOptics, type ShotPlan } from './shotPlan.js';

/** Whether stop and focal length stay constant for the whole shot. */
export function isSteady({ zooms, irisPulls }: ShotOptics): boolean {
  return zooms.length === 0 && irisPulls.length === 0;
}

/**
 * Stop at a time, as engraved. An iris pull is even in stops and smooth at both ends. A zoom that opens less at this focal length limits
 * it.
 */
export function stopAt(optics: ShotOptics, timeS: number): number {
  return Math.max(valueAt(optics.stop, optics.irisPulls, timeS), widestStopAt(optics.lens, focalLengthAt(optics, timeS)));
}

/** When a zoom limits the stop, and how much. */
export interface StopLimit {
  /** First frame in which the lens opens less than is set */
  readonly fromS: number;
  /** Widest stop of the lens where it limits most, as engraved */
  readonly stop: number;
  /** Light lost there, in stops */
  readonly stopsLost: number;
}

/** @returns null if the lens opens as far as is set throughout the shot */
export function stopLimit({
  optics,
  durationS,
  captureFps,
}: Pick<ShotPlan, 'optics' | 'durationS' | 'captureFps'>): StopLimit | null {
  if (optics.zooms.length === 0 || isClosedEnough(optics)) return null;
  let [fromS, stop, stopsLost] = [Infinity, 0, 0];
  for (let frame = 0; frame / captureFps < durationS; frame++) {
    const timeS = frame / captureFps;
    const lost = 2 * Math.log2(stopAt(optics, timeS) / valueAt(optics.stop, optics.irisPulls, timeS));
    if (lost < LEAST_LOSS_STOPS) continue;
    fromS = Math.min(fromS, timeS);
    if (lost > stopsLost) [stop, stopsLost] = [stopAt(optics, timeS), lost];
  }
  return fromS === Infinity ? null : { fromS, stop, stopsLost };
}

/** Whether no stop of the shot is wider than the lens opens at both ends of its range. */
function isClosedEnough({ lens, stop, irisPulls }: ShotOptics): boolean {
  const limit = Math.max(lens.widestStop, lens.widestStopLong);
  return [stop, ...irisPulls.map(({ to }) => to)].every((set) => set >= limit);
}

/** A smaller loss of light is not seen. */
const LEAST_LOSS_STOPS = 0.05;

/** Focal length at a time. A zoom is even in picture size and smooth at both ends. */
export function focalLengthAt({ focalLengthMm, zooms }: ShotOptics, timeS: number): number {
  return valueAt(focalLengthMm, zooms, timeS);
}

/** Focal length, f-number and circle of confusion at a time. */
export function zoneLensAt(optics: ShotOptics, timeS: number): ZoneLens {
  if (isSteady(optics)) return zoneLensOf(optics);
  return zoneLensOf({ ...optics, stop: stopAt(optics, timeS), focalLengthMm: focalLengthAt(optics, timeS) });
}

function valueAt(start: number, moves: readonly OpticsChange[], timeS: number): number {
  let value = start;
  for (const move of moves) {
    if (timeS <= move.startS) return value;
    if (timeS < pullEndS(move)) return value * (move.to / value) ** minimumJerk((timeS - move.startS) / move.durationS);
    value = move.to;
  }
  return value;
}

/** Half of the horizontal angle of view in degrees, as the viewer sees it: after the mode's crop, steadying and the delivered frame, unsqueezed. */
export function halfViewDeg(optics: ShotOptics, timeS: number): number {
  const halfWidthMm = (frameSize(optics).sensorWidthMm * optics.lens.squeeze) / 2;
  return (Math.atan(halfWidthMm / focalLengthAt(optics, timeS)) * 180) / Math.PI;
}
