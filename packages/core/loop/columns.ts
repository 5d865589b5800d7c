/** Addresses of the columns, and the scalars of the plan. `src/trials/trialLoop.ts` writes them to address 0 in this order. */
@unmanaged
export class Columns {
  captureFps: f64;
  lowDeg: f64;
  highDeg: f64;
  ringLowDeg: f64;
  ringHighDeg: f64;
  lowStopMm: f64;
  lowStopSigmaMm: f64;
  highStopMm: f64;
  highStopSigmaMm: f64;
  stepDeg: f64;
  anglesPerPerMm: f64;
  tableLowDeg: f64;
  tablePerDeg: f64;
  separationMm: f64;
  cameraTimingSigmaFrames: f64;
  driftSigmaMm: f64;
  driftKept: f64;
  rightWayShare: f64;
  frameCount: i32;
  subjectCount: i32;
  holdCount: i32;
  beatCount: i32;
  drawCount: i32;
  setupDrawCount: i32;
  cameraDrawsAt: i32;
  cameraMisses: i32;
  cameraStartDrawsAt: i32;
  lowStopMark: i32;
  highStopMark: i32;
  correctFrames: i32;
  angleDegs: usize;
  cameraX: usize;
  cameraY: usize;
  cameraZ: usize;
  cameraMissX: usize;
  cameraMissY: usize;
  cameraStartX: usize;
  cameraStartY: usize;
  forwardX: usize;
  forwardY: usize;
  forwardZ: usize;
  aimedAt: usize;
  placeX: usize;
  placeY: usize;
  placeZ: usize;
  placeShift: usize;
  placeFocus: usize;
  hasPlace: usize;
  subjectDrawsAt: usize;
  markSigmaMm: usize;
  timingSigmaFrames: usize;
  holdDrawsAt: usize;
  plannedDeg: usize;
  holdMm: usize;
  measureSigmaMm: usize;
  setupMark: usize;
  landSigmaDeg: usize;
  lagSigmaFrames: usize;
  trackingColumn: usize;
  trackingDeg: usize;
  plannedStartS: usize;
  durationS: usize;
  cueSigmaS: usize;
  easing: usize;
  beatSubject: usize;
  beatFrom: usize;
  beatTo: usize;
  beatAllowedLost: usize;
  beatKey: usize;
  beatTolerated: usize;
  beatSeenAt: usize;
  beatIsSoft: usize;
  beatStands: usize;
  beatZoneAt: usize;
  beatNoticeAt: usize;
  beatBlurMm: usize;
  beatNoticeBlurMm: usize;
  beatLensMoves: usize;
  zones: usize;
  focusPerMm: usize;
  lensMm: usize;
  lensStop: usize;
  lensUntil: usize;
  required: usize;
  seenBefore: usize;
  draws: usize;
  setupSteps: usize;
  setupDraws: usize;
  driftMm: usize;
  lostIn: usize;
  missMm: usize;
  lateFrames: usize;
  offDeg: usize;
  stillDeg: usize;
  lagFrames: usize;
  startS: usize;
  startFrame: usize;
  endFrame: usize;
  fromDeg: usize;
  beatsKept: usize;
  sharp: usize;
  setupsKept: usize;
}

export const columns = changetype<Columns>(0);

export function real(column: usize, k: i32): f64 {
  return load<f64>(column + ((<usize>k) << 3));
}

export function whole(column: usize, k: i32): i32 {
  return load<i32>(column + ((<usize>k) << 2));
}

export function put(column: usize, k: i32, value: f64): void {
  store<f64>(column + ((<usize>k) << 3), value);
}

export function putWhole(column: usize, k: i32, value: i32): void {
  store<i32>(column + ((<usize>k) << 2), value);
}

/** In how many frames before this one a subject was seen. */
export function seenBy(seenAt: i32, frame: i32): i32 {
  return whole(columns.seenBefore, seenAt + frame);
}
