import type { Support } from '../kit/index.js';
import { isCameraMoving } from './cameraMoves.js';
import { methodsOf } from './methodParts.js';
import type { CameraErrors, ShotPlan } from './shotPlan.js';

/** A camera that is where the plan has it. */
export const STEADY_CAMERA: CameraErrors = { timingSigmaS: 0, stopSigmaMm: 0, driftSigmaMm: 0, driftTimeS: 1 };

/** Errors that are assumed of a support: while the camera stands, and in a shot in which it moves. */
interface AssumedErrors {
  readonly standing: CameraErrors;
  readonly moving: CameraErrors;
}

const inHands: AssumedErrors = {
  standing: { timingSigmaS: 0, stopSigmaMm: 0, driftSigmaMm: 20, driftTimeS: 1 },
  // someone who walks and keeps a distance by feel is off by 15 cm
  moving: { timingSigmaS: 0.2, stopSigmaMm: 0, driftSigmaMm: 150, driftTimeS: 1.5 },
};

/**
 * Assumed values, shown as assumptions; each can be typed. Legs and sliders stay where they are. A dolly with a grip is late, and stops
 * beside its mark. An operator who carries the camera sways while standing, and drifts while walking.
 */
const ASSUMED: Readonly<Record<Support, AssumedErrors>> = {
  legs: { standing: STEADY_CAMERA, moving: { timingSigmaS: 0.2, stopSigmaMm: 30, driftSigmaMm: 0, driftTimeS: 1 } },
  slider: { standing: STEADY_CAMERA, moving: { timingSigmaS: 0.15, stopSigmaMm: 5, driftSigmaMm: 0, driftTimeS: 1 } },
  dolly: { standing: STEADY_CAMERA, moving: { timingSigmaS: 0.2, stopSigmaMm: 30, driftSigmaMm: 20, driftTimeS: 2 } },
  shoulder: inHands,
  handheld: inHands,
  'palm-and-fingers': inHands,
  stabiliser: {
    standing: { timingSigmaS: 0, stopSigmaMm: 0, driftSigmaMm: 25, driftTimeS: 1.5 },
    moving: { timingSigmaS: 0.2, stopSigmaMm: 0, driftSigmaMm: 120, driftTimeS: 2 },
  },
  crane: {
    standing: { timingSigmaS: 0, stopSigmaMm: 0, driftSigmaMm: 10, driftTimeS: 1.5 },
    moving: { timingSigmaS: 0.25, stopSigmaMm: 50, driftSigmaMm: 20, driftTimeS: 1.5 },
  },
  vehicle: { standing: STEADY_CAMERA, moving: { timingSigmaS: 0.3, stopSigmaMm: 0, driftSigmaMm: 200, driftTimeS: 3 } },
  cable: { standing: STEADY_CAMERA, moving: { timingSigmaS: 0.2, stopSigmaMm: 50, driftSigmaMm: 20, driftTimeS: 2 } },
};

/**
 * Errors of the camera of a shot: those of the plan, else what is assumed of its support. Without a support the camera is where the
 * plan has it.
 */
export function cameraErrorsOf(plan: Pick<ShotPlan, 'cameraErrors' | 'rig' | 'floor' | 'method' | 'laterMethods'>): CameraErrors {
  if (plan.cameraErrors) return plan.cameraErrors;
  if (!plan.rig) return STEADY_CAMERA;
  const { standing, moving } = ASSUMED[plan.rig.support];
  return isOperatorMoving(plan) ? moving : standing;
}

/** Errors of an operator who keeps a distance while walking, or moves the camera for it; in the hands if no support is chosen. */
export function keepingDistanceErrors({ cameraErrors, rig }: Pick<ShotPlan, 'cameraErrors' | 'rig'>): CameraErrors {
  return cameraErrors ?? ASSUMED[rig?.support ?? 'handheld'].moving;
}

/** Methods in which the camera moves, also where nothing is drawn. */
const MOVING_METHODS: readonly ShotPlan['method'][] = ['constant-distance', 'push-in'];

/** Whether the camera moves: on the floor plan, or by the method if nothing is drawn. */
function isOperatorMoving(plan: Pick<ShotPlan, 'floor' | 'method' | 'laterMethods'>): boolean {
  const { floor } = plan;
  return floor ? isCameraMoving({ floor }) : methodsOf(plan).some((method) => MOVING_METHODS.includes(method));
}
