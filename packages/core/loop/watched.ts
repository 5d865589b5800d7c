import { ENTRIES, LOOSE, NEAREST_MM, angleAt, easedShare, isInMovingZone, trackingDegAt } from './angles';
import { floorOf, within } from './arithmetic';
import { columns, putWhole, real, seenBy, whole } from './columns';
import { depthAt } from './depths';
import { spread } from './draws';

/** Where the ring and the subject are in a frame. */
let entry: i32 = 0;
let share: f64 = 0;
let perMm: f64 = 0;

/** Softness of a frame without a break, up to the frame that is looked at, and how long it has been noticed. */
let run: i32 = 0;
let noticed: i32 = 0;
let lost: i32 = 0;

/**
 * Whether a beat is kept by who corrects what can be seen, frame by frame: softness that is noticed for `correctFrames` in a hold is gone after
 * that, or after twice as long where the first turn goes the wrong way. A soft run of at most `beatTolerated` frames is not lost.
 */
export function keepsWatchedBeat(beat: i32, countOnly: bool, take: u32, seed: u32): bool {
  const toFrame = whole(columns.beatTo, beat);
  const subject = whole(columns.beatSubject, beat);
  const isSoft = whole(columns.beatIsSoft, beat) == 1;
  const stands = whole(columns.beatStands, beat) == 1;
  const seenAt = whole(columns.beatSeenAt, beat);
  const keyFrame = whole(columns.beatKey, beat);
  const tolerated = whole(columns.beatTolerated, beat);
  const allowed = whole(columns.beatAllowedLost, beat);
  const watches = columns.correctFrames > 0 && !isSoft;
  let isKeyLost = false;
  run = 0;
  lost = 0;
  let frame = whole(columns.beatFrom, beat);
  const stillMm = stands ? depthAt(subject, frame) : 0;
  for (let hold = 0; hold < columns.holdCount && frame < toFrame; hold++) {
    const turnTo = hold == 0 ? frame : min(whole(columns.endFrame, hold), toFrame);
    const standsTo = hold < columns.holdCount - 1 ? min(whole(columns.startFrame, hold + 1), toFrame) : toFrame;
    const needed = columns.correctFrames * (goesWrong(seed, take, beat, hold) ? 2 : 1);
    let correctedDeg: f64 = 0;
    noticed = 0;
    for (; frame < turnTo || frame < standsTo; frame++) {
      const isTurning = frame < turnTo;
      const mm = stands ? stillMm : depthAt(subject, frame);
      const deg = isTurning ? turningDegAt(hold, frame) : heldDegAt(hold, frame) + correctedDeg;
      look(deg, mm);
      const isHidden = seenAt >= 0 && seenBy(seenAt, frame + 1) == seenBy(seenAt, frame);
      if (isHidden || isInside(beat, frame) != isSoft) {
        endRun(tolerated);
        noticed = 0;
        continue;
      }
      run++;
      if (frame == keyFrame) isKeyLost = true;
      if (!countOnly && !isSoft) putWhole(columns.lostIn, frame, take);
      if (countOnly && (isKeyLost || (run > tolerated && lost + run > allowed))) return false;
      if (!watches || isTurning || isNearlySharp(beat, frame)) continue;
      noticed++;
      if (noticed < needed) continue;
      correctedDeg += within(angleAt(mm), columns.lowDeg, columns.highDeg) - deg;
      noticed = 0;
    }
  }
  endRun(tolerated);
  return lost <= allowed && !isKeyLost;
}

function endRun(tolerated: i32): void {
  if (run > tolerated) lost += run;
  run = 0;
}

/** Whether the first correction of a hold goes the wrong way. */
function goesWrong(seed: u32, take: u32, beat: i32, hold: i32): bool {
  const mixed = spread(spread(seed + 0x632be59b) ^ spread(take * 0x9e3779b1 + <u32>(beat * 8191 + hold)));
  return (<f64>mixed + 0.5) / 4294967296 > columns.rightWayShare;
}

function heldDegAt(hold: i32, frame: i32): f64 {
  return whole(columns.trackingColumn, hold) < 0 ? real(columns.stillDeg, hold) : trackingDegAt(hold, frame);
}

function turningDegAt(hold: i32, frame: i32): f64 {
  const fromDeg = real(columns.fromDeg, hold);
  const tau = (<f64>frame / columns.captureFps - real(columns.startS, hold)) / real(columns.durationS, hold);
  return fromDeg + (heldDegAt(hold, frame) - fromDeg) * easedShare(whole(columns.easing, hold), within(tau, 0, 1));
}

function look(deg: f64, mm: f64): void {
  const at = within((deg - columns.tableLowDeg) * columns.tablePerDeg, 0, ENTRIES);
  entry = min(floorOf(at), ENTRIES - 1);
  share = at - <f64>entry;
  perMm = mm < NEAREST_MM ? 1 / NEAREST_MM : 1 / mm;
}

function isInside(beat: i32, frame: i32): bool {
  if (whole(columns.beatLensMoves, beat) == 1) return isInMovingZone(perMm, entry, share, frame, real(columns.beatBlurMm, beat));
  return isInTable(whole(columns.beatZoneAt, beat));
}

/** Whether softness is too small to be noticed. */
function isNearlySharp(beat: i32, frame: i32): bool {
  const table = whole(columns.beatNoticeAt, beat);
  return table >= 0 ? isInTable(table) : isInMovingZone(perMm, entry, share, frame, real(columns.beatNoticeBlurMm, beat));
}

/** Near and far limits of a table alternate. */
function isInTable(table: i32): bool {
  const cell = columns.zones + ((<usize>table) << 3) + ((<usize>entry) << 4);
  const near = load<f64>(cell) + share * (load<f64>(cell, 16) - load<f64>(cell));
  const far = load<f64>(cell, 8) + share * (load<f64>(cell, 24) - load<f64>(cell, 8));
  return perMm <= near * LOOSE && perMm * LOOSE >= far;
}
