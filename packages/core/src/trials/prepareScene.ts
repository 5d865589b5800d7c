import { cameraMissAt, cameraStartMissAt, type FloorPlan, type Subject } from '../floor/index.js';
import { planDistances, type ShotPlan } from '../plan/index.js';

/** The camera by frame, as planned. Lengths in mm. */
export interface PreparedCamera {
  readonly xMm: Float64Array;
  readonly yMm: Float64Array;
  /** Height of the lens */
  readonly zMm: Float64Array;
  /** Shift by a miss of one standard deviation of the ends of its moves, and of its start */
  readonly missX: Float64Array;
  readonly missY: Float64Array;
  readonly startX: Float64Array;
  readonly startY: Float64Array;
  /** Whether it misses the end of a move */
  readonly isMissing: boolean;
  /** Unit vector of the lens axis */
  readonly forwardX: Float64Array;
  readonly forwardY: Float64Array;
  readonly forwardZ: Float64Array;
  /** Index of the subject that the axis follows; -1 for none */
  readonly aimedAt: Int32Array;
}

/** A subject by frame, as planned. Lengths in mm. */
export interface PreparedPlaces {
  readonly xMm: Float64Array;
  readonly yMm: Float64Array;
  /** Height of the point of focus */
  readonly zMm: number;
  /** Tape distance minus drawn distance, added along the axis */
  readonly shiftMm: Float64Array;
  /** Focus distance; it counts in frames without a place */
  readonly focusMm: Float64Array;
  /** 1 in frames with a place in the scene */
  readonly hasPlace: Uint8Array;
}

/** Where the camera and the subjects are. In a trial each of them is early or late along its own path. */
export interface PreparedScene {
  readonly camera: PreparedCamera;
  readonly places: readonly PreparedPlaces[];
}

/**
 * @param subjects - in the order of their indices
 * @param stopSigmaMm - how far the camera misses the ends of its moves for which nothing else is typed; null to leave out all its misses
 */
export function prepareScene(
  plan: ShotPlan,
  subjects: readonly Subject[],
  frameCount: number,
  stopSigmaMm: number | null,
): PreparedScene {
  const distances = planDistances(plan);
  const column = () => new Float64Array(frameCount);
  const camera = {
    xMm: column(),
    yMm: column(),
    zMm: column(),
    missX: column(),
    missY: column(),
    startX: column(),
    startY: column(),
    forwardX: column(),
    forwardY: column(),
    forwardZ: column(),
    aimedAt: new Int32Array(frameCount).fill(-1),
  };
  const places = subjects.map(({ heightMm }) => ({
    xMm: column(),
    yMm: column(),
    zMm: heightMm,
    shiftMm: column(),
    focusMm: column(),
    hasPlace: new Uint8Array(frameCount),
  }));
  for (let frame = 0; frame < frameCount; frame++) {
    const timeS = frame / plan.captureFps;
    const pose = distances.cameraAt(timeS);
    if (pose) {
      camera.xMm[frame] = pose.camera.xMm;
      camera.yMm[frame] = pose.camera.yMm;
      camera.zMm[frame] = pose.camera.heightMm;
      if (stopSigmaMm !== null)
        fillMisses(camera, plan.floor!, { frame, timeS, stopSigmaMm, headingDeg: distances.headingAt(0) });
      [camera.forwardX[frame], camera.forwardY[frame], camera.forwardZ[frame]] = pose.forward;
      if (pose.aimedAt !== null) camera.aimedAt[frame] = subjects.findIndex(({ id }) => id === pose.aimedAt);
    }
    subjects.forEach((subject, index) => {
      const { place, shiftMm, focusMm } = distances.scenePlaceAt(subject, timeS);
      const at = places[index]!;
      at.focusMm[frame] = focusMm;
      if (!place) return;
      at.hasPlace[frame] = 1;
      at.xMm[frame] = place.xMm;
      at.yMm[frame] = place.yMm;
      at.shiftMm[frame] = shiftMm;
    });
  }
  const isMissing = [camera.missX, camera.missY].some((column) => column.some((mm) => mm !== 0));
  return { camera: { ...camera, isMissing }, places };
}

/** How the camera is shifted in a frame by its misses, of one standard deviation each. */
function fillMisses(
  { missX, missY, startX, startY }: Pick<PreparedCamera, 'missX' | 'missY' | 'startX' | 'startY'>,
  floor: FloorPlan,
  at: { readonly frame: number; readonly timeS: number; readonly stopSigmaMm: number; readonly headingDeg: number | null },
): void {
  const miss = cameraMissAt(floor, at.timeS, at.stopSigmaMm);
  missX[at.frame] = miss.xMm;
  missY[at.frame] = miss.yMm;
  const start = cameraStartMissAt(floor, at.timeS, at.headingDeg);
  startX[at.frame] = start.xMm;
  startY[at.frame] = start.yMm;
}

/**
 * Whether the focus distance of a subject stays the same however early or late anybody is: in a span, neither the subject nor the
 * camera nor its axis moves.
 */
export function isConstantInScene({ camera, places }: PreparedScene, index: number, fromFrame: number, toFrame: number): boolean {
  const own = places[index]!;
  const aimed = camera.aimedAt[Math.max(fromFrame, 0)]!;
  const axis = [
    camera.xMm,
    camera.yMm,
    camera.zMm,
    camera.missX,
    camera.missY,
    camera.startX,
    camera.startY,
    camera.forwardX,
    camera.forwardY,
    camera.forwardZ,
    camera.aimedAt,
  ];
  const columns = [own.xMm, own.yMm, own.shiftMm, own.focusMm, own.hasPlace, ...axis];
  if (aimed >= 0) columns.push(places[aimed]!.xMm, places[aimed]!.yMm);
  return columns.every((values) => isLevel(values, fromFrame, toFrame));
}

function isLevel(values: ArrayLike<number>, from: number, to: number): boolean {
  const first = Math.max(0, from);
  for (let frame = first; frame < Math.min(values.length, to); frame++) if (values[frame] !== values[first]) return false;
  return true;
}
