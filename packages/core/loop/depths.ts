import { floorOf, within } from './arithmetic';
import { columns, put, real, whole } from './columns';
import { draw } from './draws';

const DRIFT_STREAM: u32 = 0x5bd1e995;
let cameraLateFrames: f64 = 0;
let cameraMiss: f64 = 0;
let cameraStart: f64 = 0;

/** Lateness of the camera along its path, its misses of the ends of its moves and of its start, and its drift along the axis: a first-order random process by frame. */
export function placeCamera(seed: u32, take: u32): void {
  cameraLateFrames = real(columns.draws, columns.cameraDrawsAt) * columns.cameraTimingSigmaFrames;
  cameraMiss = columns.cameraMisses > 0 ? real(columns.draws, columns.cameraDrawsAt + 1) : 0;
  cameraStart = columns.cameraStartDrawsAt < 0 ? 0 : real(columns.draws, columns.cameraStartDrawsAt);
  const sigmaMm = columns.driftSigmaMm;
  if (sigmaMm == 0) return;
  const keeps = columns.driftKept;
  const fresh = Math.sqrt(1 - keeps * keeps);
  // a stream of its own: the other numbers stay the same with and without a drift
  draw(seed ^ DRIFT_STREAM, take, columns.driftMm, columns.frameCount);
  let drift = 0.0;
  for (let frame = 0; frame < columns.frameCount; frame++) {
    const drawn = real(columns.driftMm, frame);
    drift = frame == 0 ? drawn : keeps * drift + fresh * drawn;
    put(columns.driftMm, frame, drift * sigmaMm);
  }
}

/** Frames by time: the one before, and the share of the way to the next. */
let before: i32 = 0;
let after: i32 = 0;
let share: f64 = 0;

function seek(frames: f64): void {
  const at = within(frames, 0, <f64>(columns.frameCount - 1));
  before = floorOf(at);
  after = min(before + 1, columns.frameCount - 1);
  share = at - <f64>before;
}

/** Value at the time sought. Someone at infinity stays there: ∞ − ∞ and 0 · ∞ have no value. */
function between(column: usize): f64 {
  const from = real(column, before);
  const to = real(column, after);
  return share == 0 || from == to || from == Infinity ? from : from + share * (to - from);
}

/**
 * Focus distance of a subject at a frame of this trial. The subject stands where its path is at its own time, the camera where
 * its path is at the camera's. An axis that is aimed at a subject follows that subject as it really is.
 */
export function depthAt(subject: i32, frame: i32): f64 {
  const row = (<usize>subject * columns.frameCount) << 3;
  const missMm = real(columns.missMm, subject);
  const driftMm = columns.driftSigmaMm == 0 ? 0 : real(columns.driftMm, frame);
  seek(<f64>frame - real(columns.lateFrames, subject));
  if (load<u8>(columns.hasPlace + <usize>(subject * columns.frameCount + before)) == 0)
    return between(columns.placeFocus + row) + missMm - driftMm;
  const x = between(columns.placeX + row);
  const y = between(columns.placeY + row);
  const shiftMm = between(columns.placeShift + row);
  seek(<f64>frame - cameraLateFrames);
  let cameraX = between(columns.cameraX);
  let cameraY = between(columns.cameraY);
  if (cameraMiss != 0) {
    cameraX += cameraMiss * between(columns.cameraMissX);
    cameraY += cameraMiss * between(columns.cameraMissY);
  }
  if (cameraStart != 0) {
    cameraX += cameraStart * between(columns.cameraStartX);
    cameraY += cameraStart * between(columns.cameraStartY);
  }
  const dx = x - cameraX;
  const dy = y - cameraY;
  const cameraZ = between(columns.cameraZ);
  const up = real(columns.placeZ, subject) - cameraZ;
  const tapeMm = Math.sqrt(dx * dx + dy * dy + up * up);
  const aimed = whole(columns.aimedAt, before);
  // the axis goes through the subject itself
  if (aimed == subject) return tapeMm + shiftMm + missMm - driftMm;
  let forwardX = between(columns.forwardX);
  let forwardY = between(columns.forwardY);
  let forwardZ = between(columns.forwardZ);
  if (aimed >= 0) {
    const aimedRow = (<usize>aimed * columns.frameCount) << 3;
    seek(<f64>frame - real(columns.lateFrames, aimed));
    const toX = between(columns.placeX + aimedRow) - cameraX;
    const toY = between(columns.placeY + aimedRow) - cameraY;
    const toZ = real(columns.placeZ, aimed) - cameraZ;
    const length = Math.sqrt(toX * toX + toY * toY + toZ * toZ);
    if (length > 0) {
      forwardX = toX / length;
      forwardY = toY / length;
      forwardZ = toZ / length;
    }
  }
  const depthMm = dx * forwardX + dy * forwardY + up * forwardZ;
  return depthMm + shiftMm * (tapeMm > 0 ? depthMm / tapeMm : 1) + missMm - driftMm;
}
