import { EASINGS } from '../hand/index.js';
import { beatColumns } from './beatColumns.js';
import { concatenated, reals, whole } from './numberColumns.js';
import type { PreparedTrials } from './preparedTrials.js';

/**
 * A prepared plan as the compiled loop reads it: scalars, counts, and columns of numbers, with working memory for one trial. A
 * column of holds and a column of pulls share their index: each hold has the pull that leads to it.
 */
export interface TrialColumns {
  /** Names of all numbers, counts and columns, in the order in which `loop/columns.ts` declares them; a test compares the two */
  readonly names: readonly string[];
  readonly numbers: readonly number[];
  readonly counts: readonly number[];
  readonly columns: readonly Column[];
  /** Index of a column by its name */
  readonly indexOf: (name: 'lostIn' | 'beatsKept' | 'sharp' | 'setupsKept') => number;
}

export type Column = Float64Array | Int32Array | Uint16Array | Uint8Array;

/**
 * Takes of one set-up: its marks are measured once, so that all of them share the errors of measuring. Runs are divided at whole
 * set-ups.
 */
export const TAKES_PER_SETUP = 20;

/** Cached columns by prepared plan: built once, used by every run. */
const known = new WeakMap<PreparedTrials, TrialColumns>();

export function trialColumns(prepared: PreparedTrials): TrialColumns {
  let flat = known.get(prepared);
  if (!flat) known.set(prepared, (flat = columnsOf(prepared)));
  return flat;
}

function columnsOf(prepared: PreparedTrials): TrialColumns {
  const numbers = numbersOf(prepared);
  const counts = countsOf(prepared);
  const columns = {
    angleDegs: prepared.angles.degs,
    ...sceneColumns(prepared),
    ...subjectColumns(prepared),
    ...holdColumns(prepared),
    ...beatColumns(prepared),
    ...memoryOf(prepared),
  };
  const columnNames = Object.keys(columns);
  return {
    names: [...Object.keys(numbers), ...Object.keys(counts), ...columnNames],
    numbers: Object.values(numbers),
    counts: Object.values(counts),
    columns: Object.values(columns),
    indexOf: (name) => columnNames.indexOf(name),
  };
}

function numbersOf({ captureFps, angles, beats, cameraErrors, lowStop, highStop, ...prepared }: PreparedTrials) {
  const table = prepared.movingLens?.focus ?? beats[0]?.zone;
  return {
    captureFps,
    // of the set-up in progress: a hard stop errs with the reading of its mark
    lowDeg: prepared.lowDeg,
    highDeg: prepared.highDeg,
    ringLowDeg: prepared.ringLowDeg,
    ringHighDeg: prepared.ringHighDeg,
    lowStopMm: lowStop?.mm ?? 0,
    lowStopSigmaMm: lowStop?.measureSigmaMm ?? 0,
    highStopMm: highStop?.mm ?? 0,
    highStopSigmaMm: highStop?.measureSigmaMm ?? 0,
    // 0 for a continuous ring
    stepDeg: prepared.stepDeg ?? 0,
    anglesPerPerMm: angles.perPerMm,
    tableLowDeg: table?.lowDeg ?? 0,
    tablePerDeg: table?.perDeg ?? 0,
    separationMm: prepared.movingLens?.separationMm ?? 0,
    cameraTimingSigmaFrames: cameraErrors.timingSigmaS * captureFps,
    driftSigmaMm: cameraErrors.driftSigmaMm,
    // share of the drift that is left after a frame
    driftKept: Math.exp(-1 / (cameraErrors.driftTimeS * captureFps)),
    rightWayShare: prepared.watched?.rightWayShare ?? 1,
  };
}

function countsOf({ lowStop, highStop, ...prepared }: PreparedTrials) {
  return {
    frameCount: prepared.frameCount,
    subjectCount: prepared.subjects.length,
    holdCount: prepared.holds.length,
    beatCount: prepared.beats.length,
    drawCount: prepared.drawCount,
    setupDrawCount: prepared.setupDrawCount,
    cameraDrawsAt: prepared.cameraDrawsAt,
    // 1 if it misses the ends of its moves
    cameraMisses: Number(prepared.scene.camera.isMissing),
    // random number of its start; -1 if that is not missed
    cameraStartDrawsAt: prepared.cameraStartDrawsAt,
    // random number of the set-up; -1 for a stop that stays where it is
    lowStopMark: lowStop?.setupMark ?? -1,
    highStopMark: highStop?.setupMark ?? -1,
    // 0 if nobody watches
    correctFrames: prepared.watched?.correctFrames ?? 0,
  };
}

/** Working memory: random numbers, the state of one trial, and the counts of a run. */
function memoryOf({ frameCount, drawCount, setupDrawCount, subjects, holds, beats }: PreparedTrials) {
  return {
    draws: new Float64Array(drawCount),
    setupSteps: Float64Array.from({ length: setupDrawCount }, (_, k) => Math.sqrt(primeAt(k))),
    setupDraws: new Float64Array(setupDrawCount),
    driftMm: new Float64Array(frameCount),
    lostIn: new Int32Array(frameCount),
    missMm: new Float64Array(subjects.length),
    lateFrames: new Float64Array(subjects.length),
    offDeg: new Float64Array(holds.length),
    stillDeg: new Float64Array(holds.length),
    lagFrames: new Int32Array(holds.length),
    startS: new Float64Array(holds.length),
    startFrame: new Int32Array(holds.length),
    endFrame: new Int32Array(holds.length),
    fromDeg: new Float64Array(holds.length),
    beatsKept: new Int32Array(beats.length),
    sharp: new Int32Array(frameCount),
    setupsKept: new Int32Array(TAKES_PER_SETUP + 1),
  };
}

/** Square roots of primes are independent of one another, so that their multiples fill a cube evenly. */
function primeAt(index: number): number {
  for (let number = 2, found = 0; ; number++) {
    let isPrime = true;
    for (let factor = 2; factor * factor <= number && isPrime; factor++) isPrime = number % factor !== 0;
    if (isPrime && found++ === index) return number;
  }
}

/** Where everything is, by frame; of subjects one after the other. */
function sceneColumns({ scene: { camera, places } }: PreparedTrials) {
  const ofPlaces = (of: (one: (typeof places)[number]) => Float64Array) => concatenated(places.map(of));
  return {
    cameraX: camera.xMm,
    cameraY: camera.yMm,
    cameraZ: camera.zMm,
    cameraMissX: camera.missX,
    cameraMissY: camera.missY,
    cameraStartX: camera.startX,
    cameraStartY: camera.startY,
    forwardX: camera.forwardX,
    forwardY: camera.forwardY,
    forwardZ: camera.forwardZ,
    aimedAt: camera.aimedAt,
    placeX: ofPlaces((one) => one.xMm),
    placeY: ofPlaces((one) => one.yMm),
    placeZ: reals(places, (one) => one.zMm),
    placeShift: ofPlaces((one) => one.shiftMm),
    placeFocus: ofPlaces((one) => one.focusMm),
    hasPlace: Uint8Array.from(places.flatMap((one) => [...one.hasPlace])),
  };
}

function subjectColumns({ subjects, captureFps }: PreparedTrials) {
  return {
    subjectDrawsAt: whole(subjects, (one) => one.drawsAt),
    markSigmaMm: reals(subjects, (one) => one.markSigmaMm),
    timingSigmaFrames: reals(subjects, (one) => one.timingSigmaS * captureFps),
  };
}

function holdColumns({ holds, pulls, frameCount }: PreparedTrials) {
  // no pull leads to the start of the track
  const led = [null, ...pulls];
  const tracking = holds.flatMap(({ degs }) => (degs ? [degs] : []));
  return {
    holdDrawsAt: whole(holds, (one) => one.drawsAt),
    plannedDeg: reals(holds, (one) => one.stillDeg),
    holdMm: reals(holds, (one) => one.mm),
    measureSigmaMm: reals(holds, (one) => one.measureSigmaMm),
    setupMark: whole(holds, (one) => one.setupMark),
    landSigmaDeg: Float64Array.from(holds, (one, k) => Math.max(led[k]?.ringSigmaDeg ?? 0, one.followSigmaDeg)),
    lagSigmaFrames: reals(holds, (one) => one.lagSigmaFrames),
    // where the angles of a tracking hold begin in the next column; -1 for a fixed hold
    trackingColumn: whole(holds, ({ degs }) => (degs ? tracking.indexOf(degs) * frameCount : -1)),
    trackingDeg: concatenated(tracking),
    plannedStartS: reals(led, (pull) => (pull ? pull.startS + pull.reactionS : 0)),
    durationS: reals(led, (pull) => pull?.durationS ?? 0),
    cueSigmaS: reals(led, (pull) => pull?.cueSigmaS ?? 0),
    easing: whole(led, (pull) => (pull ? EASINGS.indexOf(pull.easing) : 0)),
  };
}
