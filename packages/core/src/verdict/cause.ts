import { isWalking, type Subject } from '../floor/index.js';
import type { LensRing } from '../kit/index.js';
import { depthOfField, type ZoneLens } from '../optics/index.js';
import type { FocusLine, LineSetting } from '../pull/index.js';
import type { Cause, SubjectFrames } from './pullVerdict.js';

/**
 * Finds which move is to blame for a soft subject. Asked of the first soft frame, in this order: does a move still to land go to where the subject is?
 * then it is late. Did the line stand right and leave? then that move went too soon. Otherwise the subject walks, is out of the ring's reach, or no move goes there.
 */
export function causeFinder(
  line: FocusLine,
  ring: LensRing,
  lens: ZoneLens,
  subject: Subject,
  distanceOfMark: ReadonlyMap<string, number>,
  frames: SubjectFrames,
  captureFps: number,
): (frame: number) => Cause {
  const zones = new Map<LineSetting, { nearMm: number; farMm: number }>();
  const keepsSharp = (setting: LineSetting, distanceMm: number): boolean => {
    let zone = zones.get(setting);
    if (!zone) zones.set(setting, (zone = depthOfField({ ...lens, focusDistanceMm: setting.distanceMm })));
    return distanceMm >= zone.nearMm && distanceMm <= zone.farMm;
  };
  return (frame) => {
    const timeS = frame / captureFps;
    const distanceMm = frames.distanceMm[frame]!;
    const late = line.moves.find((move) => move.endS > timeS && keepsSharp(move.to, distanceMm));
    if (late) return { kind: late.startS <= timeS ? 'under-way' : 'starts-too-late', moveId: late.moveId };
    const begun = line.moves.filter((move) => move.startS <= timeS);
    const lastBegun = begun[begun.length - 1];
    if (lastBegun && keepsSharp(lastBegun.from, distanceMm)) return { kind: 'left-too-soon', moveId: lastBegun.moveId };
    if (isWalking(subject, distanceOfMark, timeS)) return { kind: 'walks' };
    if (distanceMm < ring.closeFocusMm || distanceMm > ring.farthestMm) return { kind: 'out-of-reach' };
    return { kind: 'no-move' };
  };
}
