import type { AimKey, FloorPlan, PathKey, Subject } from '../../floor/index.js';
import { planDistances } from '../planDistances.js';
import { redrawn } from './redrawn.js';
import { easingReversed } from '../easing.js';
import type { Beat, FocusLinePlan, LineTarget, OpticsMove, Rack, ShotOptics, ShotPlan } from '../shotPlan.js';

/**
 * The same shot played backwards: every time is mirrored, people and camera go their ways back, pulls go from where they landed to where they left. Done twice it is the shot it was.
 * A pull that ran into someone who walks leaves them where it met them; one to a mark goes where the mark is read in that order, with the camera where it then is.
 */
export function reversed(plan: ShotPlan): ShotPlan {
  const back = (timeS: number) => Math.max(0, plan.durationS - timeS);
  const lastsS = (moveId: string) => plan.line.moves.find(({ id }) => id === moveId)?.durationS ?? 0;
  return withTapes(plan, {
    ...plan,
    isReversed: !plan.isReversed,
    optics: reversedOptics(plan.optics, back),
    floor: plan.floor && reversedFloor(plan.floor, back),
    subjects: plan.subjects.map((subject) => reversedWay(subject, back)),
    beats: plan.beats.map((beat) => reversedBeat(beat, back, plan.captureFps)),
    line: reversedLine(plan.line, back),
    alternates: plan.alternates && { ...plan.alternates, other: reversedLine(plan.alternates.other, back) },
    rehearsals: plan.rehearsals.map((run) => ({
      ...run,
      taps: [...run.taps].reverse().map(({ of, timeS }) => ({
        of: of.kind === 'cue' ? of : { ...of, kind: of.kind === 'leaves' ? ('arrives' as const) : ('leaves' as const) },
        // a cue sets a pull off, which backwards begins where it landed
        timeS: back(timeS + (of.kind === 'cue' ? lastsS(of.moveId) : 0)),
      })),
    })),
  });
}

/** A tape is read where the camera stands when someone first comes to a mark: backwards that is another place, and what the tape says more than the drawing is kept. */
function withTapes(plan: ShotPlan, back: ShotPlan): ShotPlan {
  if (plan.floor === null) return back;
  const [was, is] = [planDistances(plan).markSight, planDistances(back).markSight];
  const marks = back.marks.map((mark) => {
    const [before, after] = [was.get(mark.id), is.get(mark.id)];
    if (mark.method === 'drawn' || mark.distanceMm === null || !before || !after) return mark;
    return { ...mark, distanceMm: mark.distanceMm + after.tapeMm - before.tapeMm };
  });
  return redrawn({ ...back, marks });
}

type Back = (timeS: number) => number;

function reversedBeat(beat: Beat, back: Back, captureFps: number): Beat {
  const toS = back(beat.fromS);
  // a beat far shorter than a frame is not to vanish in the last digit
  const fromS = Math.min(back(beat.toS), toS - 1e-6);
  // a key moment is a frame, which lasts: played backwards it begins where it ended
  const keyS = beat.keyS === null ? null : Math.min(Math.max(back(beat.keyS + 1 / captureFps), fromS), toS);
  return { ...beat, fromS, toS, keyS };
}

function reversedLine({ start, moves }: FocusLinePlan, back: Back): FocusLinePlan {
  if (start === null) return { start, moves };
  const targets = [start, ...moves.map(({ target }) => target)].map((target) => reversedTarget(target, back));
  return {
    start: targets[targets.length - 1]!,
    moves: moves
      .map((move, index): Rack => ({
        ...move,
        startS: back(move.startS + move.durationS),
        easing: easingReversed(move.easing),
        target: targets[index]!,
      }))
      .reverse(),
  };
}

/** Someone who was led is lagged behind: the ring is where they will have been. */
function reversedTarget(target: LineTarget, back: Back): LineTarget {
  if (target.kind === 'subject') return { ...target, leadS: target.leadS === 0 ? 0 : -target.leadS };
  if (target.kind !== 'course') return target;
  return { ...target, points: [...target.points].reverse().map((point) => ({ ...point, timeS: back(point.timeS) })) };
}

/** The pace of a way is kept with where it ends: played backwards that is where it began. */
function reversedWay(subject: Subject, back: Back): Subject {
  const last = subject.stays.length - 1;
  const stays = subject.stays
    .map((stay, index) => ({
      ...stay,
      fromS: back(stay.untilS),
      untilS: back(stay.fromS),
      pace: subject.stays[index === last ? 0 : index + 1]!.pace,
    }))
    .reverse();
  return { ...subject, stays };
}

function reversedFloor(floor: FloorPlan, back: Back): FloorPlan {
  const keys = floor.camera;
  const camera = keys
    .map((key, index): PathKey => ({
      ...key,
      timeS: back(key.timeS),
      pace: keys[index === keys.length - 1 ? 0 : index + 1]!.pace,
    }))
    .reverse();
  // each look lasts to the next pan, which then is gone through from its other end
  const aims = floor.aims.map((_, index): AimKey => {
    const shown = floor.aims[floor.aims.length - 1 - index]!;
    const left = floor.aims[floor.aims.length - index];
    return left === undefined
      ? { ...shown, timeS: 0, panS: 0 }
      : { ...shown, timeS: back(left.timeS - left.panS), panS: left.panS };
  });
  return { ...floor, camera, aims };
}

function reversedOptics(optics: ShotOptics, back: Back): ShotOptics {
  const [focalLengthMm, zooms] = reversedTurns(optics.focalLengthMm, optics.zooms, back);
  const [stop, stopPulls] = reversedTurns(optics.stop, optics.stopPulls, back);
  return { ...optics, focalLengthMm, zooms, stop, stopPulls };
}

function reversedTurns(start: number, moves: readonly OpticsMove[], back: Back): [number, OpticsMove[]] {
  const values = [start, ...moves.map(({ to }) => to)];
  const turned = moves.map((move, index) => ({ ...move, startS: back(move.startS + move.durationS), to: values[index]! }));
  return [values[values.length - 1]!, turned.reverse()];
}
