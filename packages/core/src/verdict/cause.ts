import { type FloorDistances, isWalking, pathPositionAt, type Subject } from '../floor/index.js';
import type { LensRing } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import type { FocusTrack } from '../track/index.js';
import { focalLengthAt, isSteady, type ShotPlan, type TrackPosition, zoneLensAt } from '../plan/index.js';
import type { Cause, SubjectFrames } from './pullVerdict.js';

/** Smaller changes of a distance are ignored. */
const STILL_MM = 5;

/** The focus track with the ring and the distances that it follows. */
interface Focusing {
  readonly track: FocusTrack;
  readonly ring: LensRing;
  readonly distances: FloorDistances;
}

/**
 * Finds the cause of a soft span at its first frame. Checked in this order: a pull towards the subject is still under way; a
 * pull left the subject too early; a later pull towards it starts too late; an iris pull or zoom made the zone too thin;
 * tracking is off target. Otherwise the subject or the camera moves without a pull, the distance is out of the ring's range, or
 * no pull goes there.
 */
export function causeFinder(
  { optics, captureFps }: ShotPlan,
  { track, ring, distances }: Focusing,
  subject: Subject,
  frames: SubjectFrames,
): (frame: number) => Cause {
  const zones = new Map<TrackPosition, { nearMm: number; farMm: number }>();
  const steadily = isSteady(optics);
  const keepsSharp = (position: TrackPosition, distanceMm: number, timeS: number): boolean => {
    let zone = steadily ? zones.get(position) : undefined;
    if (!zone) zones.set(position, (zone = depthOfField({ ...zoneLensAt(optics, timeS), focusDistanceMm: position.distanceMm })));
    return distanceMm >= zone.nearMm && distanceMm <= zone.farMm;
  };
  return (frame) => {
    const timeS = frame / captureFps;
    const distanceMm = frames.distanceMm[frame]!;
    const lastBegun = track.pulls.findLast((pull) => pull.startS <= timeS);
    if (lastBegun && lastBegun.endS > timeS && keepsSharp(lastBegun.to, distanceMm, timeS))
      return { kind: 'under-way', pullId: lastBegun.pullId };
    if (lastBegun && keepsSharp(lastBegun.from, distanceMm, timeS)) return { kind: 'left-too-soon', pullId: lastBegun.pullId };
    const late = track.pulls.find((pull) => pull.startS > timeS && keepsSharp(pull.to, distanceMm, timeS));
    if (late) return { kind: 'starts-too-late', pullId: late.pullId };
    const standing = lastBegun?.to ?? track.start;
    if (standing.target.kind === 'subject' || standing.target.kind === 'course')
      return { kind: 'tracking-off', pullId: lastBegun?.pullId ?? null };
    if (!steadily && keepsSharp(standing, distanceMm, 0)) {
      const hasZoomed = focalLengthAt(optics, timeS) !== optics.focalLengthMm;
      return { kind: 'zone-shrinks', by: hasZoomed ? 'zoom' : 'stop' };
    }
    if (isWalking(subject, distances.arrivalFocusMm, timeS)) return { kind: 'walks' };
    const { from, to } = pathPositionAt(subject, timeS)!;
    if (Math.abs(distances.arrivalFocusMm.get(from.markId)! - distanceMm) > STILL_MM)
      return { kind: from === to ? 'camera-moves' : 'walks' };
    if (distanceMm < ring.closeFocusMm || distanceMm > ring.farthestMm) return { kind: 'out-of-reach' };
    return { kind: 'no-pull' };
  };
}
