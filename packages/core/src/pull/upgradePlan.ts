import { ASSUMED_MARK_SIGMA_MM, ASSUMED_TIMING_SIGMA_S, PLAIN_MARK, STANDING_EYES_MM } from '../floor/index.js';
import { ASSUMED_PEAK_DEG_PER_S } from '../kit/index.js';
import { ASSUMED_HAND } from './difficulty.js';
import { ASSUMED_CUE_SIGMA_S, PLAIN_BEAT, PLAIN_MOVE, PLAN_SCHEMA } from './shotPlan.js';
import { PLAIN_SCHEDULE, PLAIN_WANTED } from './wanted.js';

type Json = Readonly<Record<string, unknown>>;

/**
 * Upgrades a saved plan to the current schema. A plan of unknown schema, or an invalid one, is returned unchanged: `checkPlan`
 * then reports it.
 *
 * @param saved - a plan of any schema so far
 */
export function upgradePlan(saved: unknown): unknown {
  let plan = saved;
  for (;;) {
    const schema = isRecord(plan) ? plan['schema'] : undefined;
    if (schema === 1) plan = fromFirst(plan as Json);
    else if (schema === 2) plan = fromSecond(plan as Json);
    else if (schema === 3) plan = fromThird(plan as Json);
    else if (schema === 4) plan = fromFourth(plan as Json);
    else if (schema === 5) plan = fromFifth(plan as Json);
    else if (schema === 6) plan = fromSixth(plan as Json);
    else return plan;
  }
}

/** Schema 2 adds kit, wheel, rig, exposure, zooms, iris pulls and stale marks. */
function fromFirst(plan: Json): Json {
  const optics = isRecord(plan['optics']) ? plan['optics'] : {};
  const camera = isRecord(optics['camera']) ? optics['camera'] : {};
  const lens = isRecord(optics['lens']) ? optics['lens'] : {};
  const { focalLengthMm, widestStop } = lens;
  return {
    ...plan,
    schema: 2,
    optics: {
      ...optics,
      camera: { ...camera, mode: '', steadyingCropPercent: 0 },
      lens: {
        ...lens,
        longestMm: focalLengthMm,
        widestStopLong: widestStop,
        response: 'angle',
        stepCount: 0,
        reportsData: false,
        squeeze: 1,
        breathingPercent: 0,
        holdsFocus: 'untested',
        frontDiameterMm: null,
        ringDiameterMm: null,
        gear: '',
      },
      focalLengthMm,
      zooms: [],
      stopPulls: [],
    },
    exposure: { meteredStop: null, iso: 800, shutterAngleDeg: 180, ndStops: 0 },
    wheel: null,
    rig: null,
    kit: { camera: null, lensId: null, wheelId: null, rigId: null },
    marks: itemsOf(plan, 'marks').map((mark) => ({ ...mark, stale: null })),
  };
}

/** Schema 3 adds the floor plan: places of marks, and heights of points of focus. */
function fromSecond(plan: Json): Json {
  return {
    ...plan,
    schema: 3,
    floor: null,
    subjects: itemsOf(plan, 'subjects').map((subject) => ({ ...subject, heightMm: STANDING_EYES_MM })),
    marks: itemsOf(plan, 'marks').map((mark) => ({ ...mark, place: null })),
  };
}

/** Schema 4 adds details of marks, spreads of subjects, rehearsals, and a picture under the drawing. */
function fromThird(plan: Json): Json {
  const line = isRecord(plan['line']) ? plan['line'] : {};
  return {
    ...plan,
    schema: 4,
    floor: isRecord(plan['floor']) ? { ...plan['floor'], picture: null } : null,
    subjects: itemsOf(plan, 'subjects').map((subject) => ({
      ...subject,
      markSigmaMm: ASSUMED_MARK_SIGMA_MM,
      timingSigmaS: ASSUMED_TIMING_SIGMA_S,
      stays: itemsOf(subject, 'stays').map((stay) => ({ ...stay, pace: 'eased' })),
    })),
    marks: itemsOf(plan, 'marks').map((mark) => ({ ...PLAIN_MARK, ...mark })),
    line: { ...line, moves: itemsOf(line, 'moves').map((move) => ({ ...move, cueSigmaS: ASSUMED_CUE_SIGMA_S })) },
    rehearsals: [],
  };
}

/** Schema 5 adds further requirements of beats, alternates, key moments, easings, cues and reversed shots. */
function fromFourth(plan: Json): Json {
  const line = isRecord(plan['line']) ? plan['line'] : {};
  return {
    ...plan,
    schema: 5,
    beats: itemsOf(plan, 'beats').map((beat) => ({ ...PLAIN_BEAT, ...beat })),
    line: {
      ...line,
      // a cue in words was triggered by something seen or heard
      moves: itemsOf(line, 'moves').map((move) => ({ ...PLAIN_MOVE, ...move, cueKind: move['cue'] ? 'look' : 'clock' })),
    },
    alternates: null,
    handDegPerS: ASSUMED_PEAK_DEG_PER_S,
    isReversed: false,
  };
}

/** Schema 6 adds errors of the hand, goals, background and schedule. */
function fromFifth(plan: Json): Json {
  return { ...plan, schema: 6, hand: ASSUMED_HAND, wanted: PLAIN_WANTED, schedule: PLAIN_SCHEDULE };
}

/** Schema 7 adds the time on screen. */
function fromSixth(plan: Json): Json {
  const wanted = isRecord(plan['wanted']) ? plan['wanted'] : {};
  return { ...plan, schema: PLAN_SCHEMA, wanted: { screenS: PLAIN_WANTED.screenS, ...wanted } };
}

function itemsOf(parent: Json, key: string): Json[] {
  return (Array.isArray(parent[key]) ? (parent[key] as unknown[]) : []).map((item) => (isRecord(item) ? item : {}));
}

function isRecord(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
