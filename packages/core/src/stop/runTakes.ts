import { drawInPlace } from './draws.js';
import { type FlatTakes, flattened } from './flatTakes.js';
import type { PreparedTakes } from './prepareTakes.js';
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
  const flat = flattened(prepared);
  const { frameCount, required, lostIn } = flat;
  const beatsKept = new Uint32Array(flat.beatCount);
  const sharp = new Uint32Array(frameCount);
  let kept = 0;
  for (let take = firstTake; take < firstTake + takes; take++) {
    drawInPlace(seed, take, flat.draws);
    placeEverything(flat);
    let isKept = true;
    for (let beat = 0; beat < beatsKept.length && (isKept || !countOnly); beat++) {
      if (keepsBeat(flat, beat, countOnly, take)) beatsKept[beat]!++;
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

/** Puts what a take has drawn where it belongs: everyone's miss, every setting of the ring, every pull's start. */
function placeEverything(flat: FlatTakes): void {
  const { draws, captureFps, subjectDrawsAt, settingDrawsAt, missMm, lateFrames, markSigmaMm, timingSigmaFrames } = flat;
  for (let k = 0; k < flat.subjectCount; k++) {
    const at = subjectDrawsAt[k]!;
    missMm[k] = draws[at]! * markSigmaMm[k]!;
    lateFrames[k] = draws[at + 1]! * timingSigmaFrames[k]!;
  }
  const { measureSigmaMm, landSigmaDeg, plannedDeg, settingMm, offDeg, stillDeg, lagFrames, lagSigmaFrames } = flat;
  const { plannedStartS, cueSigmaS, durationS, startS, startFrame, endFrame, fromDeg, lowDeg, highDeg } = flat;
  let freeS = -Infinity;
  for (let k = 0; k < flat.settingCount; k++) {
    const at = settingDrawsAt[k]!;
    const sigmaMm = measureSigmaMm[k]!;
    const targetDeg = sigmaMm === 0 ? plannedDeg[k]! : setDeg(flat, settingMm[k]! + draws[at]! * sigmaMm);
    offDeg[k] = draws[at + 1]! * landSigmaDeg[k]!;
    stillDeg[k] = within(targetDeg + offDeg[k]!, lowDeg, highDeg);
    // one that goes on draws how it follows in place of how its mark was measured
    if (lagSigmaFrames[k] !== 0) lagFrames[k] = Math.round(draws[at]! * lagSigmaFrames[k]!);
    if (k === 0) continue;
    // a hand that is late with one pull begins the next when it has landed
    const drawnS = plannedStartS[k]! + draws[at + 2]! * cueSigmaS[k]!;
    const beginsS = drawnS > freeS ? drawnS : freeS;
    freeS = beginsS + durationS[k]!;
    startS[k] = beginsS;
    startFrame[k] = frameAfter(beginsS * captureFps);
    endFrame[k] = frameAfter(freeS * captureFps);
    fromDeg[k] = flat.goesOnAt[k - 1]! < 0 ? stillDeg[k - 1]! : goingOnDeg(flat, k - 1, startFrame[k]!);
  }
}

/** The first frame at or after a time in frames; rounding forgiven. */
function frameAfter(frames: number): number {
  return frames <= 0 ? 0 : Math.ceil(frames - 1e-6) | 0;
}

function within(value: number, low: number, high: number): number {
  return value < low ? low : value > high ? high : value;
}

/** What the ring is set to for a distance as it was measured. */
function setDeg({ angleDegs, anglesPerPerMm, stepDeg, lowDeg, highDeg }: FlatTakes, mm: number): number {
  const at = within(anglesPerPerMm / (mm > NEAREST_MM ? mm : NEAREST_MM), 0, ENTRIES);
  const entry = at < ENTRIES - 1 ? at | 0 : ENTRIES - 1;
  const deg = angleDegs[entry]! + (at - entry) * (angleDegs[entry + 1]! - angleDegs[entry]!);
  return within(stepDeg === 0 ? deg : lowDeg + Math.round((deg - lowDeg) / stepDeg) * stepDeg, lowDeg, highDeg);
}

/** Where a setting that goes on stands at a frame, as the hand follows it in this take. */
function goingOnDeg(flat: FlatTakes, setting: number, frame: number): number {
  const at = within(frame - flat.lagFrames[setting]!, 0, flat.frameCount - 1);
  return within(flat.goesOnDeg[flat.goesOnAt[setting]! + at]! + flat.offDeg[setting]!, flat.lowDeg, flat.highDeg);
}

/**
 * Whether a beat is kept, counting the frames it loses up to what it may; all of them where they are wanted by frame. In short, by frame: `isWithin(zone of the ring's angle, 1 / (where they are + how far they
 * miss))`. What its loop reads is taken out of the columns first, and a stretch in which nothing changes is asked once.
 */
function keepsBeat(flat: FlatTakes, beat: number, countOnly: boolean, take: number): boolean {
  const { settingCount, startFrame, endFrame, captureFps, frameCount, startS, durationS, fromDeg, stillDeg, easing, goesOnAt } =
    flat;
  const { distancesMm, zones, tableAt, tableLowDeg, tablePerDeg } = flat;
  const toFrame = flat.beatTo[beat]!;
  const mayLose = flat.beatMayLose[beat]!;
  const keyFrame = flat.beatKey[beat]!;
  const isSoft = flat.beatIsSoft[beat] === 1;
  const isStill = flat.beatIsStill[beat] === 1;
  const stands = flat.beatStands[beat] === 1;
  const subject = flat.beatSubject[beat]!;
  const distancesAt = subject * frameCount;
  const missMm = flat.missMm[subject]!;
  const lateFrames = flat.lateFrames[subject]!;
  const zonesAt = flat.beatZoneAt[beat]!;
  const tablesAt = flat.beatTablesAt[beat]!;
  let lost = 0;
  let isKeyLost = false;
  let frame = flat.beatFrom[beat]!;
  for (let setting = 0; setting < settingCount && frame < toFrame; setting++) {
    // turning into the setting, then standing at it, up to where the next turn begins
    const ends = setting === 0 ? frame : endFrame[setting]!;
    const turnTo = ends < toFrame ? ends : toFrame;
    const begins = setting < settingCount - 1 ? startFrame[setting + 1]! : toFrame;
    const standsTo = begins < toFrame ? begins : toFrame;
    const stays = goesOnAt[setting]! < 0;
    while (frame < turnTo || frame < standsTo) {
      let deg = stays ? stillDeg[setting]! : goingOnDeg(flat, setting, frame);
      let next = frame + 1;
      if (frame < turnTo) {
        const share = easedShare(easing[setting]!, within((frame / captureFps - startS[setting]!) / durationS[setting]!, 0, 1));
        deg = fromDeg[setting]! + (deg - fromDeg[setting]!) * share;
      } else if (isStill && stays) next = standsTo;
      let mm = distancesMm[distancesAt + frame]!;
      if (!stands) {
        const at = within(frame - lateFrames, 0, frameCount - 1);
        const before = at < frameCount - 2 ? at | 0 : frameCount - 2;
        const from = distancesMm[distancesAt + before]!;
        mm = from + (at - before) * (distancesMm[distancesAt + before + 1]! - from);
      }
      mm += missMm;
      const perMm = mm < NEAREST_MM ? 1 / NEAREST_MM : 1 / mm;
      const at = within((deg - tableLowDeg) * tablePerDeg, 0, ENTRIES);
      const entry = at < ENTRIES - 1 ? at | 0 : ENTRIES - 1;
      // near and far limits stand side by side
      const cell = zonesAt + (tablesAt < 0 ? 0 : tableAt[tablesAt + frame]! * ZONE_LENGTH) + 2 * entry;
      const near = zones[cell]! + (at - entry) * (zones[cell + 2]! - zones[cell]!);
      const far = zones[cell + 1]! + (at - entry) * (zones[cell + 3]! - zones[cell + 1]!);
      if ((perMm <= near * LOOSE && perMm >= far / LOOSE) === isSoft) {
        lost += next - frame;
        if (keyFrame >= frame && keyFrame < next) isKeyLost = true;
        if (countOnly) {
          if (lost > mayLose || isKeyLost) return false;
        } else if (!isSoft) flat.lostIn.fill(take, frame, next);
      }
      frame = next;
    }
  }
  return lost <= mayLose && !isKeyLost;
}

/** As `eased`, by its place among the easings. */
function easedShare(easing: number, tau: number): number {
  if (easing === 0) return jerk(tau);
  if (easing === 1) return 2 * jerk(tau / 2);
  if (easing === 2) return 1 - 2 * jerk((1 - tau) / 2);
  return tau;
}

function jerk(tau: number): number {
  return tau * tau * tau * (10 + tau * (6 * tau - 15));
}

/** Numbers of one table: both limits at every entry. */
const ZONE_LENGTH = 2 * (ENTRIES + 1);
