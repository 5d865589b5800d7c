import { ASSUMED_PEAK_DEG_PER_S, cameraOf, defaultLens, FORMATS } from '../../kit/index.js';
import { ASSUMED_HAND } from '../../hand/index.js';
import { DEFAULT_TOLERANCE_STOPS, DEFAULT_WATCHING, PLAN_SCHEMA, type ShotPlan } from '../shotPlan.js';
import { DEFAULT_SCHEDULE, DEFAULT_GOALS } from '../goals.js';

const NO_METER = { meteredStop: null, lightReadings: [], toleranceStops: DEFAULT_TOLERANCE_STOPS } as const;

/**
 * Plan of a new shot: ten seconds, without subjects.
 *
 * @param like - a shot from which the new one copies gear, stop and frame rates
 */
export function newPlan(like?: ShotPlan): ShotPlan {
  return {
    schema: PLAN_SCHEMA,
    durationS: 10,
    captureFps: like?.captureFps ?? 24,
    deliveryFps: like?.deliveryFps ?? 24,
    method: 'rack',
    laterMethods: [],
    optics: like
      ? { ...like.optics, zooms: [], irisPulls: [] }
      : {
          camera: cameraOf(FORMATS.find((format) => format.id === 's35-16x9')!),
          lens: defaultLens({ name: '65 mm T2.2', focalLengthMm: 65, widestStop: 2.2, closeFocusMm: 650 }),
          focalLengthMm: 65,
          zooms: [],
          stop: 3.2,
          irisPulls: [],
          sharpness: { kind: 'diagonal', divisor: 1500 },
          enlargedPercent: 0,
          frameAspect: null,
        },
    // the meter is read again for each shot
    exposure: like
      ? { ...like.exposure, meteredStop: null, lightReadings: [] }
      : { ...NO_METER, iso: 800, shutterAngleDeg: 180, ndStops: 0 },
    wheel: like?.wheel ?? null,
    rig: like?.rig ?? null,
    kit: like?.kit ?? { camera: null, lensId: null, wheelId: null, rigId: null },
    floor: null,
    subjects: [],
    marks: [],
    beats: [],
    focusTrack: { start: null, pulls: [] },
    alternates: null,
    maxHandDegPerS: like?.maxHandDegPerS ?? ASSUMED_PEAK_DEG_PER_S,
    hand: like?.hand ?? ASSUMED_HAND,
    watching: like?.watching ?? DEFAULT_WATCHING,
    cameraErrors: like?.cameraErrors ?? null,
    isReversed: false,
    areHandsNeeded: false,
    wheelElsewhere: null,
    rehearsals: [],
    goals: DEFAULT_GOALS,
    schedule: { ...DEFAULT_SCHEDULE, day: like?.schedule.day ?? DEFAULT_SCHEDULE.day },
    notes: '',
  };
}
