import { withinReach } from '../kit/index.js';
import { eased } from '../pull/index.js';
import { drawsFrom } from './draws.js';
import type { PreparedBeat, PreparedTakes } from './prepareTakes.js';
import { isWithin } from './zoneTables.js';

/** What came of some takes, as counts: those of several runs add up to that of all of them, in whatever order. */
export interface TakeCounts {
  readonly takes: number;
  readonly kept: number;
  /** By beat, in how many takes it is kept */
  readonly beatsKept: Uint32Array;
  /** By frame, in how many takes everyone who must be sharp is */
  readonly sharp: Uint32Array;
}

/**
 * Takes of a prepared plan, from one number on. Every take draws anew how far each person misses and how late they are, how each mark was measured, when each pull starts and where it lands.
 *
 * @param countOnly - leaves a take as soon as it is lost: then only \`takes\` and \`kept\` are counted
 */
export function runTakes(prepared: PreparedTakes, seed: number, firstTake: number, takes: number, countOnly = false): TakeCounts {
  const { beats, frameCount } = prepared;
  const one = oneTake(prepared, seed);
  const beatsKept = new Uint32Array(beats.length);
  const sharp = new Uint32Array(frameCount);
  const required = new Uint8Array(frameCount);
  for (const { isSoft, fromFrame, toFrame } of beats) if (!isSoft) required.fill(1, fromFrame, toFrame);
  const lostIn = new Int32Array(frameCount).fill(-1);
  let kept = 0;
  for (let take = firstTake; take < firstTake + takes; take++) {
    one.draw(take);
    let isKept = true;
    for (let index = 0; index < beats.length && (isKept || !countOnly); index++) {
      const beat = beats[index]!;
      if (one.keeps(beat, countOnly, take, lostIn)) beatsKept[index]!++;
      else isKept = false;
    }
    if (isKept) kept++;
    if (countOnly) continue;
    for (let frame = 0; frame < frameCount; frame++) if (required[frame] && lostIn[frame] !== take) sharp[frame]!++;
  }
  return { takes, kept, beatsKept, sharp };
}

/** Counts of several runs as one. */
export function mergedCounts(runs: readonly TakeCounts[]): TakeCounts {
  const sum = (of: (run: TakeCounts) => Uint32Array) =>
    runs.map(of).reduce((total, values) => total.map((value, index) => value + values[index]!));
  return {
    takes: runs.reduce((total, { takes }) => total + takes, 0),
    kept: runs.reduce((total, { kept }) => total + kept, 0),
    beatsKept: sum(({ beatsKept }) => beatsKept),
    sharp: sum(({ sharp }) => sharp),
  };
}

/** Nearer than this nobody stands, however far they miss. */
const NEAREST_MM = 1;

/** The state of one take at a time, drawn anew for each: what the loops below read is kept in typed arrays, because a take has only microseconds. */
function oneTake(prepared: PreparedTakes, seed: number) {
  const { captureFps, frameCount, ring, lowDeg, highDeg, nearest, settings, moves, subjects } = prepared;
  const draws = drawsFrom(seed);
  const missMm = new Float64Array(subjects.length);
  const lateFrames = new Float64Array(subjects.length);
  const offDeg = new Float64Array(settings.length);
  const stillDeg = new Float64Array(settings.length);
  const startS = new Float64Array(moves.length);
  const fromDeg = new Float64Array(moves.length);
  const endFrame = new Int32Array(moves.length);
  const startFrame = new Int32Array(moves.length);
  const clamp = (deg: number) => (deg < lowDeg ? lowDeg : deg > highDeg ? highDeg : deg);

  const settingDeg = (setting: number, frame: number): number => {
    const { degs } = settings[setting]!;
    return degs === null
      ? stillDeg[setting]!
      : clamp(degs[frame < 0 ? 0 : frame >= frameCount ? frameCount - 1 : frame]! + offDeg[setting]!);
  };

  function draw(take: number): void {
    draws.startTake(take);
    for (let k = 0; k < subjects.length; k++) {
      missMm[k] = draws.normal() * subjects[k]!.markSigmaMm;
      lateFrames[k] = draws.normal() * subjects[k]!.timingSigmaS * captureFps;
    }
    let freeS = -Infinity;
    for (let k = 0; k < settings.length; k++) {
      const { mm, measureSigmaMm, stillDeg: plannedDeg } = settings[k]!;
      const measured = draws.normal();
      const landed = draws.normal();
      const started = draws.normal();
      offDeg[k] = k === 0 ? 0 : landed * moves[k - 1]!.ringSigmaDeg;
      const setDeg =
        measureSigmaMm === 0
          ? plannedDeg
          : nearest(ring.angleAt(withinReach(ring, Math.max(mm + measured * measureSigmaMm, NEAREST_MM))));
      stillDeg[k] = clamp(setDeg + offDeg[k]!);
      if (k === 0) continue;
      const move = moves[k - 1]!;
      // a hand that is late with one pull begins the next when it has landed
      startS[k - 1] = Math.max(move.startS + move.reactionS + started * move.cueSigmaS, freeS);
      freeS = startS[k - 1]! + move.durationS;
      startFrame[k - 1] = Math.max(0, Math.ceil(startS[k - 1]! * captureFps - 1e-6));
      endFrame[k - 1] = Math.max(0, Math.ceil(freeS * captureFps - 1e-6));
      fromDeg[k - 1] = settingDeg(k - 1, startFrame[k - 1]!);
    }
  }

  /** Whether a beat is kept, counting the frames it loses up to what it may; all of them where they are wanted by frame. */
  function keeps(beat: PreparedBeat, countOnly: boolean, take: number, lostIn: Int32Array): boolean {
    let lost = 0;
    let isKeyLost = false;
    let frame = beat.fromFrame;
    const lose = (from: number, to: number) => {
      lost += to - from;
      if (beat.keyFrame >= from && beat.keyFrame < to) isKeyLost = true;
      if (!countOnly && !beat.isSoft) lostIn.fill(take, from, to);
    };
    const isLost = () => countOnly && (lost > beat.mayLose || isKeyLost);
    for (let setting = 0; setting < settings.length && frame < beat.toFrame; setting++) {
      // turning into the setting, then standing at it, up to where the next turn begins
      if (setting > 0) {
        const turnTo = Math.min(endFrame[setting - 1]!, beat.toFrame);
        for (; frame < turnTo; frame++) {
          if (!isAsAsked(beat, turningDeg(setting, frame), frame)) lose(frame, frame + 1);
          if (isLost()) return false;
        }
      }
      const standsTo = setting < moves.length ? Math.min(startFrame[setting]!, beat.toFrame) : beat.toFrame;
      if (frame >= standsTo) continue;
      if (beat.isStill && beat.tableAt === null && settings[setting]!.degs === null) {
        if (!isAsAsked(beat, stillDeg[setting]!, frame)) lose(frame, standsTo);
        frame = standsTo;
      } else
        for (; frame < standsTo && !isLost(); frame++)
          if (!isAsAsked(beat, settingDeg(setting, frame), frame)) lose(frame, frame + 1);
      if (isLost()) return false;
    }
    return lost <= beat.mayLose && !isKeyLost;
  }

  function turningDeg(setting: number, frame: number): number {
    const { durationS, easing } = moves[setting - 1]!;
    const share = eased(easing, (frame / captureFps - startS[setting - 1]!) / durationS);
    return fromDeg[setting - 1]! + (settingDeg(setting, frame) - fromDeg[setting - 1]!) * share;
  }

  function isAsAsked(beat: PreparedBeat, ringDeg: number, frame: number): boolean {
    const table = beat.tables[beat.tableAt === null ? 0 : beat.tableAt[frame]!]!;
    const { distancesMm } = subjects[beat.subject]!;
    let mm: number;
    if (beat.isStill) mm = distancesMm[frame]!;
    else {
      const at = Math.min(Math.max(frame - lateFrames[beat.subject]!, 0), frameCount - 1);
      const before = Math.min(at | 0, frameCount - 2);
      mm = distancesMm[before]! + (at - before) * (distancesMm[before + 1]! - distancesMm[before]!);
    }
    mm += missMm[beat.subject]!;
    return isWithin(table, ringDeg, mm < NEAREST_MM ? 1 / NEAREST_MM : 1 / mm) !== beat.isSoft;
  }

  return { draw, keeps };
}
