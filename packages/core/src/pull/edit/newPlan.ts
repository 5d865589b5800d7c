import { FORMATS } from '../../kit/index.js';
import { PLAN_SCHEMA, type ShotPlan } from '../shotPlan.js';

/**
 * The plan a new shot starts with: ten seconds, nobody in it.
 *
 * @param like - a shot whose camera, lens, stop and frame rates the new one takes over: on a set the kit rarely changes between two shots
 */
export function newPlan(like?: ShotPlan): ShotPlan {
  const { id: _, ...camera } = FORMATS.find((format) => format.id === 's35-16x9')!;
  return {
    schema: PLAN_SCHEMA,
    durationS: 10,
    captureFps: like?.captureFps ?? 24,
    deliveryFps: like?.deliveryFps ?? 24,
    method: 'rack',
    optics: like?.optics ?? {
      camera,
      lens: {
        name: '65 mm T2.2',
        focalLengthMm: 65,
        stopScale: 'T',
        widestStop: 2.2,
        narrowestStop: 22,
        transmittance: 0.85,
        closeFocusMm: 650,
        principalSeparationMm: 0,
        ring: { kind: 'helicoid', focusThrowDeg: 280 },
        nearerTurns: 'clockwise',
      },
      stop: 3.2,
      sharpness: { kind: 'diagonal', divisor: 1500 },
    },
    subjects: [],
    marks: [],
    beats: [],
    line: { start: null, moves: [] },
    notes: '',
  };
}
