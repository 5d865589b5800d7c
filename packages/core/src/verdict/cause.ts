import { type FloorDistances, isWalking, type Subject, whereAt } from '../floor/index.js';
import type { LensRing } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import { type FocusLine, focalLengthAt, isSteady, type LineSetting, type ShotOptics, zoneLensAt } from '../pull/index.js';
import type { Cause, SubjectFrames } from './pullVerdict.js';

/** A distance that changes by less than this does not change. */
const STILL_MM = 5;

/**
 * Finds which move is to blame for a soft subject. Asked of the first soft frame, in this order: does the move under way go to where the subject is?
 * then it is late. Did the line stand right and leave? then that move went too soon. Does a later one go there? then it starts too late. Would the zone as it was at the start still hold it? then the stop or
 * the zoom made it too thin. Does the line go on with someone, or along a course? then it is not where it should be. Otherwise the subject walks, is out of the ring's reach, or no move goes there.
 */
export function causeFinder(
  line: FocusLine,
  ring: LensRing,
  optics: ShotOptics,
  subject: Subject,
  distances: FloorDistances,
  frames: SubjectFrames,
  captureFps: number,
): (frame: number) => Cause {
  const zones = new Map<LineSetting, { nearMm: number; farMm: number }>();
  const steadily = isSteady(optics);
  const keepsSharp = (setting: LineSetting, distanceMm: number, timeS: number): boolean => {
    let zone = steadily ? zones.get(setting) : undefined;
    if (!zone) zones.set(setting, (zone = depthOfField({ ...zoneLensAt(optics, timeS), focusDistanceMm: setting.distanceMm })));
    return distanceMm >= zone.nearMm && distanceMm <= zone.farMm;
  };
  return (frame) => {
    const timeS = frame / captureFps;
    const distanceMm = frames.distanceMm[frame]!;
    const begun = line.moves.filter((move) => move.startS <= timeS);
    const lastBegun = begun[begun.length - 1];
    if (lastBegun && lastBegun.endS > timeS && keepsSharp(lastBegun.to, distanceMm, timeS))
      return { kind: 'under-way', moveId: lastBegun.moveId };
    if (lastBegun && keepsSharp(lastBegun.from, distanceMm, timeS)) return { kind: 'left-too-soon', moveId: lastBegun.moveId };
    const late = line.moves.find((move) => move.startS > timeS && keepsSharp(move.to, distanceMm, timeS));
    if (late) return { kind: 'starts-too-late', moveId: late.moveId };
    const standing = lastBegun?.to ?? line.start;
    if (standing.target.kind === 'subject' || standing.target.kind === 'course')
      return { kind: 'goes-on', moveId: lastBegun?.moveId ?? null };
    if (!steadily && keepsSharp(standing, distanceMm, 0)) {
      const hasZoomed = focalLengthAt(optics, timeS) !== optics.focalLengthMm;
      return { kind: 'zone-shrinks', by: hasZoomed ? 'zoom' : 'stop' };
    }
    if (isWalking(subject, distances.markFocusMm, timeS)) return { kind: 'walks' };
    const { from, to } = whereAt(subject, timeS)!;
    if (Math.abs(distances.markFocusMm.get(from.markId)! - distanceMm) > STILL_MM)
      return { kind: from === to ? 'camera-moves' : 'walks' };
    if (distanceMm < ring.closeFocusMm || distanceMm > ring.farthestMm) return { kind: 'out-of-reach' };
    return { kind: 'no-move' };
  };
}
