/**
 * Runs and judges trials, in AssemblyScript. Budget: under 1 µs per trial. `node tools/loop.mjs` compiles it to
 * `src/trials/loopBytes.ts`.
 *
 * It reads the columns described in `src/trials/trialColumns.ts`. Their addresses are at address 0, in the order of `Columns`.
 */
import { ENTRIES, LOOSE, NEAREST_MM, angleAt, easedShare, isInMovingZone, setDeg, trackingDegAt } from './angles';
import { floorOf, within } from './arithmetic';
import { columns, put, putWhole, real, seenBy, whole } from './columns';
import { depthAt, placeCamera } from './depths';
import { draw, drawSetup } from './draws';
import { keepsWatchedBeat } from './watched';

export { draw } from './draws';

/** As in `trialColumns.ts`. */
const TAKES_PER_SETUP: u32 = 20;
/**
 * Runs trials and returns how many are kept. Adds to `beatsKept` and `sharp`; with `countOnly` it leaves a trial as soon as it
 * is lost.
 */
export function run(seed: u32, firstTrial: u32, takes: i32, countOnly: bool): i32 {
  const beatsKept = columns.beatsKept;
  let kept = 0;
  let keptBefore = 0;
  let drawnSetup: u32 = 0xffffffff;
  let isWholeSetup = false;
  for (let n = 0; n < takes; n++) {
    const take = firstTrial + n;
    const setup = take / TAKES_PER_SETUP;
    if (setup != drawnSetup) {
      drawSetup(seed, setup, columns.setupSteps, columns.setupDraws, columns.setupDrawCount);
      placeStops();
      drawnSetup = setup;
      isWholeSetup = take % TAKES_PER_SETUP == 0;
      keptBefore = kept;
    }
    draw(seed, take, columns.draws, columns.drawCount);
    placeCamera(seed, take);
    placeEverything();
    let isKept = true;
    for (let beat = 0; beat < columns.beatCount && (isKept || !countOnly); beat++) {
      const isPlain = columns.correctFrames == 0 && whole(columns.beatTolerated, beat) == 0;
      if (isPlain ? keepsBeat(beat, countOnly, take) : keepsWatchedBeat(beat, countOnly, take, seed))
        putWhole(beatsKept, beat, whole(beatsKept, beat) + 1);
      else isKept = false;
    }
    if (isKept) kept++;
    if (isWholeSetup && take % TAKES_PER_SETUP == TAKES_PER_SETUP - 1) {
      const keptOfSetup = kept - keptBefore;
      putWhole(columns.setupsKept, keptOfSetup, whole(columns.setupsKept, keptOfSetup) + 1);
    }
    if (countOnly) continue;
    for (let frame = 0; frame < columns.frameCount; frame++)
      if (load<u8>(columns.required + frame) && whole(columns.lostIn, frame) != take)
        putWhole(columns.sharp, frame, whole(columns.sharp, frame) + 1);
  }
  return kept;
}

/** Hard stops are set by the same reading as their marks, and err with it. */
function placeStops(): void {
  const low = columns.lowStopMark;
  const high = columns.highStopMark;
  if (low >= 0) columns.lowDeg = angleAt(columns.lowStopMm + real(columns.setupDraws, low) * columns.lowStopSigmaMm);
  if (high >= 0) columns.highDeg = angleAt(columns.highStopMm + real(columns.setupDraws, high) * columns.highStopSigmaMm);
  // the second stop can't be set beyond the first
  if (columns.lowDeg > columns.highDeg) columns.highDeg = columns.lowDeg;
}

/** Applies the drawn errors: misses of subjects, ring angles of holds, starts of pulls. */
function placeEverything(): void {
  const draws = columns.draws;
  for (let k = 0; k < columns.subjectCount; k++) {
    const at = whole(columns.subjectDrawsAt, k);
    put(columns.missMm, k, real(draws, at) * real(columns.markSigmaMm, k));
    put(columns.lateFrames, k, real(draws, at + 1) * real(columns.timingSigmaFrames, k));
  }
  let freeS = -Infinity;
  for (let k = 0; k < columns.holdCount; k++) {
    const at = whole(columns.holdDrawsAt, k);
    const sigmaMm = real(columns.measureSigmaMm, k);
    let targetDeg = real(columns.plannedDeg, k);
    // a mark is measured once a set-up, for every pull to it
    if (sigmaMm != 0)
      targetDeg = setDeg(real(columns.holdMm, k) + real(columns.setupDraws, whole(columns.setupMark, k)) * sigmaMm);
    const offDeg = real(draws, at + 1) * real(columns.landSigmaDeg, k);
    put(columns.offDeg, k, offDeg);
    put(columns.stillDeg, k, within(targetDeg + offDeg, columns.lowDeg, columns.highDeg));
    const lagSigmaFrames = real(columns.lagSigmaFrames, k);
    if (lagSigmaFrames != 0) putWhole(columns.lagFrames, k, <i32>Math.round(real(draws, at) * lagSigmaFrames));
    if (k == 0) continue;
    // a hand that is late with one pull starts the next after landing
    const drawnS = real(columns.plannedStartS, k) + real(draws, at + 2) * real(columns.cueSigmaS, k);
    const beginsS = drawnS > freeS ? drawnS : freeS;
    freeS = beginsS + real(columns.durationS, k);
    const startFrame = frameAfter(beginsS * columns.captureFps);
    put(columns.startS, k, beginsS);
    putWhole(columns.startFrame, k, startFrame);
    putWhole(columns.endFrame, k, frameAfter(freeS * columns.captureFps));
    put(
      columns.fromDeg,
      k,
      whole(columns.trackingColumn, k - 1) < 0 ? real(columns.stillDeg, k - 1) : trackingDegAt(k - 1, startFrame),
    );
  }
}

/** First frame at or after a time given in frames, with tolerance for rounding. */
function frameAfter(frames: f64): i32 {
  return frames <= 0 ? 0 : <i32>Math.ceil(frames - 1e-6);
}

/**
 * Whether a beat is kept. Counts its lost frames up to the allowed number, or all of them unless `countOnly`. Per frame it
 * computes `isWithin(zone at the ring angle, 1 / distance)`. Loop variables are read first, and constant stretches are
 * checked once.
 */
function keepsBeat(beat: i32, countOnly: bool, take: u32): bool {
  const holdCount = columns.holdCount;
  const captureFps = columns.captureFps;
  const tableLowDeg = columns.tableLowDeg;
  const tablePerDeg = columns.tablePerDeg;
  const toFrame = whole(columns.beatTo, beat);
  const allowedLostFrames = whole(columns.beatAllowedLost, beat);
  const keyFrame = whole(columns.beatKey, beat);
  const seenAt = whole(columns.beatSeenAt, beat);
  const isSoft = whole(columns.beatIsSoft, beat) == 1;
  const stands = whole(columns.beatStands, beat) == 1;
  const subject = whole(columns.beatSubject, beat);
  const zones = columns.zones + ((<usize>whole(columns.beatZoneAt, beat)) << 3);
  const lensMoves = whole(columns.beatLensMoves, beat) == 1;
  const blurMm = real(columns.beatBlurMm, beat);
  let lost = 0;
  let isKeyLost = false;
  let frame = whole(columns.beatFrom, beat);
  // a distance that cannot change is computed once
  const stillMm = stands ? depthAt(subject, frame) : 0;
  for (let hold = 0; hold < holdCount && frame < toFrame; hold++) {
    // the turn into the hold, then the hold itself up to the next turn
    const turnTo = hold == 0 ? frame : min(whole(columns.endFrame, hold), toFrame);
    const standsTo = hold < holdCount - 1 ? min(whole(columns.startFrame, hold + 1), toFrame) : toFrame;
    if (frame >= turnTo && frame >= standsTo) continue;
    const stays = whole(columns.trackingColumn, hold) < 0;
    const stillDeg = real(columns.stillDeg, hold);
    const fromDeg = real(columns.fromDeg, hold);
    const startS = real(columns.startS, hold);
    const durationS = real(columns.durationS, hold);
    const easing = whole(columns.easing, hold);
    while (frame < turnTo || frame < standsTo) {
      let deg = stays ? stillDeg : trackingDegAt(hold, frame);
      let next = frame + 1;
      if (frame < turnTo) {
        deg = fromDeg + (deg - fromDeg) * easedShare(easing, within((<f64>frame / captureFps - startS) / durationS, 0, 1));
      } else if (stands && stays) next = lensMoves ? min(whole(columns.lensUntil, frame), standsTo) : standsTo;
      const mm = stands ? stillMm : depthAt(subject, frame);
      const perMm = mm < NEAREST_MM ? 1 / NEAREST_MM : 1 / mm;
      const at = within((deg - tableLowDeg) * tablePerDeg, 0, ENTRIES);
      const entry = min(floorOf(at), ENTRIES - 1);
      const share = at - <f64>entry;
      let isInside: bool;
      if (lensMoves) isInside = isInMovingZone(perMm, entry, share, frame, blurMm);
      else {
        // near and far limits alternate
        const cell = zones + ((<usize>entry) << 4);
        const near = load<f64>(cell) + share * (load<f64>(cell, 16) - load<f64>(cell));
        const far = load<f64>(cell, 8) + share * (load<f64>(cell, 24) - load<f64>(cell, 8));
        isInside = perMm <= near * LOOSE && perMm * LOOSE >= far;
      }
      if (isInside == isSoft) {
        lost += seenAt < 0 ? next - frame : seenBy(seenAt, next) - seenBy(seenAt, frame);
        if (keyFrame >= frame && keyFrame < next) isKeyLost = true;
        if (countOnly) {
          if (lost > allowedLostFrames || isKeyLost) return false;
        } else if (!isSoft) {
          for (let k = frame; k < next; k++)
            if (seenAt < 0 || seenBy(seenAt, k + 1) > seenBy(seenAt, k)) putWhole(columns.lostIn, k, take);
        }
      }
      frame = next;
    }
  }
  return lost <= allowedLostFrames && !isKeyLost;
}
