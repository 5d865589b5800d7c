import type { AimKey, FloorPlan, PathKey, Subject } from '../../floor/index.js';
import { easingReversed } from '../../hand/index.js';
import { widestStopAt } from '../../kit/index.js';
import { lightSpans, meteredStopAt } from '../lightAlong.js';
import { focalLengthAt } from '../opticsOverTime.js';
import { nextId } from './ids.js';
import { withDerivedDistances, withTapingTimes } from './withDerivedDistances.js';
import {
  type Beat,
  type FocusTrackPlan,
  type FocusTarget,
  type LightReading,
  type OpticsChange,
  type Pull,
  pullEndS,
  type ShotExposure,
  type ShotOptics,
  type ShotPlan,
} from '../shotPlan.js';

/**
 * The same shot played backwards: all times are mirrored, and subjects, camera and pulls run the other way. Applying it twice
 * restores the shot. A pull that ran into a walking subject leaves the subject where they met. A pull to a mark uses the
 * distance of that mark in the new order.
 */
export function reversed(plan: ShotPlan): ShotPlan {
  const back = (timeS: number) => Math.max(0, plan.durationS - timeS);
  const lastsS = (pullId: string) => plan.focusTrack.pulls.find(({ id }) => id === pullId)?.durationS ?? 0;
  return withDerivedDistances({
    ...plan,
    isReversed: !plan.isReversed,
    ...reversedMethods(plan, back),
    exposure: reversedLight(plan, back),
    optics: reversedOptics(plan.optics, back),
    floor: plan.floor && reversedFloor(plan.floor, back),
    subjects: plan.subjects.map((subject) => reversedWay(subject, back)),
    // a tape holds for the camera's place that it was taken from, which the shot passes at another time
    marks: withTapingTimes(plan.marks, back),
    beats: plan.beats.map((beat) => reversedBeat(beat, back, plan.captureFps)),
    focusTrack: reversedLine(plan.focusTrack, back),
    alternates: plan.alternates && { ...plan.alternates, other: reversedLine(plan.alternates.other, back) },
    rehearsals: plan.rehearsals.map((run) => ({
      ...run,
      taps: [...run.taps].reverse().map(({ event, timeS }) => ({
        event:
          event.kind === 'cue' ? event : { ...event, kind: event.kind === 'leaves' ? ('arrives' as const) : ('leaves' as const) },
        // a cue comes at the start of a pull, which backwards is where the pull landed
        timeS: back(timeS + (event.kind === 'cue' ? lastsS(event.pullId) : 0)),
      })),
    })),
  });
}

type Back = (timeS: number) => number;

function reversedBeat(beat: Beat, back: Back, captureFps: number): Beat {
  const toS = back(beat.fromS);
  // a beat far shorter than a frame must not vanish through rounding
  const fromS = Math.min(back(beat.toS), toS - 1e-6);
  // the key moment lasts one frame: backwards it starts where that frame ended
  const keyMomentS = beat.keyMomentS === null ? null : Math.min(Math.max(back(beat.keyMomentS + 1 / captureFps), fromS), toS);
  return { ...beat, fromS, toS, keyMomentS };
}

function reversedLine({ start, pulls }: FocusTrackPlan, back: Back): FocusTrackPlan {
  if (start === null) return { start, pulls };
  const targets = [start, ...pulls.map(({ target }) => target)].map((target) => reversedTarget(target, back));
  return {
    start: targets[targets.length - 1]!,
    pulls: pulls
      .map((pull, index): Pull => ({
        ...pull,
        startS: back(pull.startS + pull.durationS),
        easing: easingReversed(pull.easing),
        target: targets[index]!,
      }))
      .reverse(),
  };
}

/** A positive lead becomes a lag: backwards, the ring is where the subject is going to be. */
function reversedTarget(target: FocusTarget, back: Back): FocusTarget {
  if (target.kind === 'subject') return { ...target, leadS: target.leadS === 0 ? 0 : -target.leadS };
  if (target.kind !== 'course') return target;
  return { ...target, points: [...target.points].reverse().map((point) => ({ ...point, timeS: back(point.timeS) })) };
}

/** The pace of a walk is stored with its end, which backwards is its start. */
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
  // an aim lasts until the next pan, which backwards runs from its other end
  const aims = floor.aims.map((_, index): AimKey => {
    const shown = floor.aims[floor.aims.length - 1 - index]!;
    const left = floor.aims[floor.aims.length - index];
    if (left === undefined) return { ...shown, timeS: 0, panS: 0 };
    // of a pan that began before the shot, the part within it
    const panS = Math.min(left.panS, left.timeS);
    return { ...shown, timeS: back(left.timeS - panS), panS };
  });
  return { ...floor, camera, aims };
}

function reversedMethods({ method, laterMethods }: ShotPlan, back: Back): Pick<ShotPlan, 'method' | 'laterMethods'> {
  const methods = [method, ...laterMethods.map((part) => part.method)];
  return {
    method: methods.at(-1)!,
    laterMethods: laterMethods.map((part, index) => ({ ...part, fromS: back(part.fromS), method: methods[index]! })).reverse(),
  };
}

/** The light of the end is that of the start, and what was metered at the start is a reading at the end. */
function reversedLight(plan: ShotPlan, back: Back): ShotExposure {
  const { exposure, durationS } = plan;
  const { meteredStop, lightReadings } = exposure;
  if (lightReadings.length === 0) return exposure;
  const spans = lightSpans(plan);
  const mirrored = lightReadings.flatMap((reading): LightReading[] => {
    if (reading.at.kind === 'mark') return [reading];
    // what was metered at the end is the meter at the start
    return reading.at.timeS >= durationS ? [] : [{ ...reading, at: { kind: 'time', timeS: back(reading.at.timeS) } }];
  });
  const isStartHeld = meteredStop === null || mirrored.some(({ at }) => at.kind === 'time' && at.timeS >= durationS);
  const start: LightReading[] = isStartHeld
    ? []
    : [{ id: nextId('light', lightReadings), at: { kind: 'time', timeS: durationS }, meteredStop }];
  const atEnd = meteredStop === null ? null : meteredStopAt(spans, durationS);
  return { ...exposure, meteredStop: atEnd, lightReadings: [...mirrored, ...start] };
}

function reversedOptics(optics: ShotOptics, back: Back): ShotOptics {
  const [focalLengthMm, zooms] = reversedTurns(optics.focalLengthMm, optics.zooms, back);
  const [stop, irisPulls] = reversedTurns(optics.stop, optics.irisPulls, back);
  const turned = { ...optics, focalLengthMm, zooms };
  // a zoom lens that is slower at the long end can't be opened there as far as it was at the wide end
  const open = (to: number, timeS: number) => Math.max(to, widestStopAt(optics.lens, focalLengthAt(turned, timeS)));
  return { ...turned, stop: open(stop, 0), irisPulls: irisPulls.map((move) => ({ ...move, to: open(move.to, pullEndS(move)) })) };
}

function reversedTurns(start: number, moves: readonly OpticsChange[], back: Back): [number, OpticsChange[]] {
  const values = [start, ...moves.map(({ to }) => to)];
  const turned = moves.map((move, index) => ({ ...move, startS: back(move.startS + move.durationS), to: values[index]! }));
  return [values[values.length - 1]!, turned.reverse()];
}
