import { eased } from '../pull/index.js';
import { drawInPlace } from './draws.js';
import type { PreparedBeat, PreparedTakes } from './prepareTakes.js';
import { ENTRIES } from './zoneTables.js';

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
 * @param countOnly - leaves a take as soon as it is lost: then only `takes` and `kept` are counted
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
/** Rounding at the very edge of the zone is forgiven. */
const LOOSE = 1 + 1e-9;

/**
 * The state of one take at a time, drawn anew for each. A take has ten microseconds: what its loops read lies in typed arrays, the tables are read where they are needed, and a stretch in which nothing changes
 * is asked once. In short, by frame: `isWithin(zone of the ring's angle, 1 / (where they are + how far they miss))`.
 */
function oneTake(prepared: PreparedTakes, seed: number) {
  const { captureFps, frameCount, angles, lowDeg, highDeg, stepDeg, settings, moves, subjects, drawCount } = prepared;
  const [settingCount, subjectCount] = [settings.length, subjects.length];
  const draws = new Float64Array(drawCount);
  const column = <T>(items: readonly T[], of: (item: T) => number) => Float64Array.from(items, of);
  const markSigmaMm = column(subjects, (one) => one.markSigmaMm);
  const timingSigmaFrames = column(subjects, (one) => one.timingSigmaS * captureFps);
  const subjectDrawsAt = Int32Array.from(subjects, (one) => one.drawsAt);
  const settingDrawsAt = Int32Array.from(settings, (one) => one.drawsAt);
  const goingOn = settings.map(({ degs }) => degs);
  const easings = moves.map(({ easing }) => easing);
  const plannedDeg = column(settings, (one) => one.stillDeg);
  const settingMm = column(settings, (one) => one.mm);
  const measureSigmaMm = column(settings, (one) => one.measureSigmaMm);
  const followSigmaDeg = column(settings, (one) => one.followSigmaDeg);
  const lagSigmaFrames = column(settings, (one) => one.lagSigmaFrames);
  const plannedStartS = column(moves, (one) => one.startS + one.reactionS);
  const durationS = column(moves, (one) => one.durationS);
  const cueSigmaS = column(moves, (one) => one.cueSigmaS);
  const ringSigmaDeg = column(moves, (one) => one.ringSigmaDeg);
  const missMm = new Float64Array(subjectCount);
  const lateFrames = new Float64Array(subjectCount);
  const lagFrames = new Int32Array(settingCount);
  const offDeg = new Float64Array(settingCount);
  const stillDeg = new Float64Array(settingCount);
  const startS = new Float64Array(moves.length);
  const fromDeg = new Float64Array(moves.length);
  const startFrame = new Int32Array(moves.length);
  const endFrame = new Int32Array(moves.length);

  const clamp = (deg: number) => (deg < lowDeg ? lowDeg : deg > highDeg ? highDeg : deg);

  function settingDeg(setting: number, frame: number): number {
    const degs = goingOn[setting] ?? null;
    if (degs === null) return stillDeg[setting]!;
    const at = frame - lagFrames[setting]!;
    return clamp(degs[at < 0 ? 0 : at >= frameCount ? frameCount - 1 : at]! + offDeg[setting]!);
  }

  /** What the ring is set to for a distance as it was measured. */
  function setDeg(mm: number): number {
    const at = Math.min(angles.perPerMm / Math.max(mm, NEAREST_MM), ENTRIES);
    const entry = Math.min(at | 0, ENTRIES - 1);
    const deg = angles.degs[entry]! + (at - entry) * (angles.degs[entry + 1]! - angles.degs[entry]!);
    return stepDeg === null ? deg : lowDeg + Math.round((deg - lowDeg) / stepDeg) * stepDeg;
  }

  function draw(take: number): void {
    drawInPlace(seed, take, draws);
    for (let k = 0; k < subjectCount; k++) {
      const at = subjectDrawsAt[k]!;
      missMm[k] = draws[at]! * markSigmaMm[k]!;
      lateFrames[k] = draws[at + 1]! * timingSigmaFrames[k]!;
    }
    let freeS = -Infinity;
    for (let k = 0; k < settingCount; k++) {
      const at = settingDrawsAt[k]!;
      const measured = draws[at]!;
      const landed = draws[at + 1]!;
      const started = draws[at + 2]!;
      const sigmaMm = measureSigmaMm[k]!;
      // one that goes on draws how it follows in place of how its mark was measured
      lagFrames[k] = Math.round(measured * lagSigmaFrames[k]!);
      offDeg[k] = landed * (k === 0 ? followSigmaDeg[0]! : Math.max(ringSigmaDeg[k - 1]!, followSigmaDeg[k]!));
      stillDeg[k] = clamp((sigmaMm === 0 ? plannedDeg[k]! : clamp(setDeg(settingMm[k]! + measured * sigmaMm))) + offDeg[k]!);
      if (k === 0) continue;
      // a hand that is late with one pull begins the next when it has landed
      const beginsS = Math.max(plannedStartS[k - 1]! + started * cueSigmaS[k - 1]!, freeS);
      startS[k - 1] = beginsS;
      freeS = beginsS + durationS[k - 1]!;
      startFrame[k - 1] = Math.max(0, Math.ceil(beginsS * captureFps - 1e-6));
      endFrame[k - 1] = Math.max(0, Math.ceil(freeS * captureFps - 1e-6));
      fromDeg[k - 1] = settingDeg(k - 1, startFrame[k - 1]!);
    }
  }

  /** Whether a beat is kept, counting the frames it loses up to what it may; all of them where they are wanted by frame. */
  function keeps(beat: PreparedBeat, countOnly: boolean, take: number, lostIn: Int32Array): boolean {
    const { toFrame, mayLose, keyFrame, isStill, isSoft, tableAt } = beat;
    let lost = 0;
    let isKeyLost = false;
    let frame = beat.fromFrame;
    for (let setting = 0; setting < settingCount && frame < toFrame; setting++) {
      // turning into the setting, then standing at it, up to where the next turn begins
      const turnTo = setting === 0 ? frame : Math.min(endFrame[setting - 1]!, toFrame);
      const standsTo = setting < settingCount - 1 ? Math.min(startFrame[setting]!, toFrame) : toFrame;
      while (frame < turnTo || frame < standsTo) {
        const isTurning = frame < turnTo;
        const isLevel = !isTurning && isStill && tableAt === null && goingOn[setting] === null;
        const next = isLevel ? standsTo : frame + 1;
        const deg = isTurning ? turningDeg(setting, frame) : settingDeg(setting, frame);
        if (isWithinZone(beat, deg, frame) === isSoft) {
          lost += next - frame;
          if (keyFrame >= frame && keyFrame < next) isKeyLost = true;
          if (countOnly) {
            if (lost > mayLose || isKeyLost) return false;
          } else if (!isSoft) lostIn.fill(take, frame, next);
        }
        frame = next;
      }
    }
    return lost <= mayLose && !isKeyLost;
  }

  function turningDeg(setting: number, frame: number): number {
    const share = eased(easings[setting - 1]!, (frame / captureFps - startS[setting - 1]!) / durationS[setting - 1]!);
    return fromDeg[setting - 1]! + (settingDeg(setting, frame) - fromDeg[setting - 1]!) * share;
  }

  function isWithinZone(beat: PreparedBeat, ringDeg: number, frame: number): boolean {
    const { subject, isStill, tables, tableAt } = beat;
    const { distancesMm } = subjects[subject]!;
    let mm: number;
    if (isStill) mm = distancesMm[frame]!;
    else {
      const at = Math.min(Math.max(frame - lateFrames[subject]!, 0), frameCount - 1);
      const before = Math.min(at | 0, frameCount - 2);
      mm = distancesMm[before]! + (at - before) * (distancesMm[before + 1]! - distancesMm[before]!);
    }
    mm += missMm[subject]!;
    const perMm = mm < NEAREST_MM ? 1 / NEAREST_MM : 1 / mm;
    const table = tables[tableAt === null ? 0 : tableAt[frame]!]!;
    const { near, far } = table;
    const at = Math.min(Math.max((ringDeg - table.lowDeg) * table.perDeg, 0), ENTRIES);
    const entry = Math.min(at | 0, ENTRIES - 1);
    const share = at - entry;
    return (
      perMm <= (near[entry]! + share * (near[entry + 1]! - near[entry]!)) * LOOSE &&
      perMm >= (far[entry]! + share * (far[entry + 1]! - far[entry]!)) / LOOSE
    );
  }

  return { draw, keeps };
}
