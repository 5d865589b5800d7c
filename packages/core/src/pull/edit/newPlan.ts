import { ASSUMED_PEAK_DEG_PER_S, cameraOf, FORMATS, plainLens } from '../../kit/index.js';
import { ASSUMED_HAND } from '../difficulty.js';
import { PLAN_SCHEMA, type ShotPlan } from '../shotPlan.js';
import { PLAIN_SCHEDULE, PLAIN_WANTED } from '../wanted.js';

/**
 * Plan of a new shot: ten seconds, without subjects.
 *
 * @param template - a shot from which the new one copies gear, stop and frame rates
 */
export function newPlan(like?: ShotPlan): ShotPlan {
  return {
    schema: PLAN_SCHEMA,
    durationS: 10,
    captureFps: like?.captureFps ?? 24,
    deliveryFps: like?.deliveryFps ?? 24,
    method: 'rack',
    optics: like
      ? { ...like.optics, zooms: [], stopPulls: [] }
      : {
          camera: cameraOf(FORMATS.find((format) => format.id === 's35-16x9')!),
          lens: plainLens({ name: '65 mm T2.2', focalLengthMm: 65, widestStop: 2.2, closeFocusMm: 650 }),
          focalLengthMm: 65,
          zooms: [],
          stop: 3.2,
          stopPulls: [],
          sharpness: { kind: 'diagonal', divisor: 1500 },
        },
    exposure: like?.exposure ?? { meteredStop: null, iso: 800, shutterAngleDeg: 180, ndStops: 0 },
    wheel: like?.wheel ?? null,
    rig: like?.rig ?? null,
    kit: like?.kit ?? { camera: null, lensId: null, wheelId: null, rigId: null },
    floor: null,
    subjects: [],
    marks: [],
    beats: [],
    line: { start: null, moves: [] },
    alternates: null,
    handDegPerS: like?.handDegPerS ?? ASSUMED_PEAK_DEG_PER_S,
    hand: like?.hand ?? ASSUMED_HAND,
    isReversed: false,
    rehearsals: [],
    wanted: PLAIN_WANTED,
    schedule: { ...PLAIN_SCHEDULE, day: like?.schedule.day ?? PLAIN_SCHEDULE.day },
    notes: '',
  };
}
