import {
  ASSUMED_MARK_SIGMA_MM,
  ASSUMED_TIMING_SIGMA_S,
  ASSUMED_WIDTH_MM,
  DEFAULT_MARK,
  STANDING_EYES_MM,
} from '../floor/index.js';
import { ASSUMED_HAND } from '../hand/index.js';
import { ASSUMED_PEAK_DEG_PER_S, UNKNOWN_CAMERA, upgradeLens } from '../kit/index.js';
import { DEFAULT_GOALS, DEFAULT_SCHEDULE } from './goals.js';
import {
  ASSUMED_CUE_SIGMA_S,
  DEFAULT_PULL,
  DEFAULT_TOLERANCE_STOPS,
  DEFAULT_WATCHING,
  PLAN_SCHEMA,
  type ShotPlan,
} from './shotPlan.js';
import { checkPlan } from './checkPlan.js';
import { isRecord, itemsOf, type Json, renamed } from './savedJson.js';
import { withDerivedDistances } from './edits/withDerivedDistances.js';

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
    if (schema === 1) plan = toSchema2(plan as Json);
    else if (schema === 2) plan = toSchema3(plan as Json);
    else if (schema === 3) plan = toSchema4(plan as Json);
    else if (schema === 4) plan = toSchema5(plan as Json);
    else if (schema === 5) plan = toSchema6(plan as Json);
    else if (schema === 6) plan = toSchema7(plan as Json);
    else if (schema === 7) plan = toSchema8(plan as Json);
    else if (schema === 8) plan = toSchema9(plan as Json);
    else if (schema === 9) plan = toSchema10(plan as Json);
    else if (schema === 10) plan = toSchema11(plan as Json);
    else if (schema === 11) plan = toSchema12(plan as Json);
    else if (schema === 12) plan = toSchema13(plan as Json);
    else return plan;
  }
}

/** Schema 2 adds kit, wheel, rig, exposure, zooms, iris pulls and stale marks. */
function toSchema2(plan: Json): Json {
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
function toSchema3(plan: Json): Json {
  return {
    ...plan,
    schema: 3,
    floor: null,
    subjects: itemsOf(plan, 'subjects').map((subject) => ({ ...subject, heightMm: STANDING_EYES_MM })),
    marks: itemsOf(plan, 'marks').map((mark) => ({ ...mark, place: null })),
  };
}

/** Schema 4 adds details of marks, spreads of subjects, rehearsals, and a picture under the drawing. */
function toSchema4(plan: Json): Json {
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
    marks: itemsOf(plan, 'marks').map((mark) => ({ ...OLD_MARK, ...mark })),
    line: { ...line, moves: itemsOf(line, 'moves').map((move) => ({ ...move, cueSigmaS: ASSUMED_CUE_SIGMA_S })) },
    rehearsals: [],
  };
}

/** Schema 5 adds further requirements of beats, alternates, key moments, easings, cues and reversed shots. */
function toSchema5(plan: Json): Json {
  const line = isRecord(plan['line']) ? plan['line'] : {};
  return {
    ...plan,
    schema: 5,
    beats: itemsOf(plan, 'beats').map((beat) => ({ ...OLD_BEAT, ...beat })),
    line: {
      ...line,
      // a cue in words was triggered by something seen or heard
      moves: itemsOf(line, 'moves').map((move) => ({ ...OLD_MOVE, ...move, cueKind: move['cue'] ? 'look' : 'clock' })),
    },
    alternates: null,
    handDegPerS: ASSUMED_PEAK_DEG_PER_S,
    isReversed: false,
  };
}

/** Schema 6 adds errors of the hand, goals, background and schedule. */
function toSchema6(plan: Json): Json {
  return { ...plan, schema: 6, hand: ASSUMED_HAND, wanted: OLD_GOALS, schedule: DEFAULT_SCHEDULE };
}

/** Schema 7 adds the time on screen. */
function toSchema7(plan: Json): Json {
  const wanted = isRecord(plan['wanted']) ? plan['wanted'] : {};
  return { ...plan, schema: 7, wanted: { screenS: null, ...wanted } };
}

/** Schema 8 renames fields to the terms of the glossary. */
function toSchema8(plan: Json): Json {
  const { line, handDegPerS, wanted, ...rest } = plan;
  const optics = isRecord(plan['optics']) ? plan['optics'] : {};
  const { alternates } = plan;
  return {
    ...rest,
    schema: 8,
    optics: renamed(optics, { stopPulls: 'irisPulls' }),
    marks: itemsOf(plan, 'marks').map((mark) => ({
      ...renamed(mark, { standInId: 'focusReferenceId', hasStop: 'hasHardStop' }),
      method: mark['method'] === 'stand-in' ? 'reference' : mark['method'],
    })),
    beats: itemsOf(plan, 'beats').map(({ kind, ...beat }) => ({
      ...renamed(beat, { keyS: 'keyMomentS' }),
      requirement: kind === 'drift' ? 'none' : kind,
    })),
    focusTrack: trackOfLine(line),
    alternates: isRecord(alternates) ? { ...alternates, other: trackOfLine(alternates['other']) } : alternates,
    maxHandDegPerS: handDegPerS,
    rehearsals: itemsOf(plan, 'rehearsals').map((run) => ({
      ...run,
      taps: itemsOf(run, 'taps').map(({ of, ...tap }) => ({
        ...tap,
        event: isRecord(of) ? renamed(of, { moveId: 'pullId' }) : of,
      })),
    })),
    goals: isRecord(wanted) ? renamed(wanted, { keepShare: 'targetKeepRate', screenS: 'screenTimeS' }) : wanted,
  };
}

/** Schema 9 adds kinds of subjects, heights and tilts of the camera, and its errors. */
function toSchema9(plan: Json): Json {
  const { floor } = plan;
  return {
    ...plan,
    schema: 9,
    cameraErrors: null,
    subjects: itemsOf(plan, 'subjects').map((subject) => ({ kind: 'person', ...subject })),
    floor: isRecord(floor)
      ? {
          ...floor,
          camera: itemsOf(floor, 'camera').map((key) => ({ heightMm: null, ...key })),
          aims: itemsOf(floor, 'aims').map((aim) => ({ ...aim, at: levelAim(aim['at']) })),
        }
      : floor,
  };
}

/**
 * Schema 10 adds where a distance was taped from: for older plans, from where the camera is when the subject arrives. It also adds how much
 * harder two jobs at once are.
 */
function toSchema10(plan: Json): Json {
  const { twoJobsFactor } = ASSUMED_HAND;
  return {
    ...plan,
    schema: 10,
    hand: isRecord(plan['hand']) ? { twoJobsFactor, ...plan['hand'] } : plan['hand'],
    marks: itemsOf(plan, 'marks').map((mark) => ({ taping: null, ...mark })),
  };
}

/**
 * Schema 11 adds what was read off the ring, and how wide and tall people and things are. Nobody has said how tall they
 * are: in an older plan they hide nobody until somebody does.
 */
function toSchema11(plan: Json): Json {
  const { floor } = plan;
  const upgraded = {
    ...plan,
    schema: 11,
    marks: itemsOf(plan, 'marks').map((mark) => ({ reading: null, ...mark })),
    subjects: itemsOf(plan, 'subjects').map((subject) => ({
      widthMm: ASSUMED_WIDTH_MM[subject['kind'] === 'object' ? 'object' : 'person'],
      tallMm: 0,
      ...subject,
    })),
    floor: isRecord(floor)
      ? { ...floor, landmarks: itemsOf(floor, 'landmarks').map((landmark) => ({ tallMm: 0, ...landmark })) }
      : floor,
  };
  return upgraded;
}

/**
 * Schema 12 adds what the camera's figures and tests say of frame rates and autofocus, and whether the lens has a motor for it; how much
 * the edit enlarges, and the delivered frame; what the wheel turns; what is watched during a take, and tolerated of a beat; the shot to cut
 * to; and whether the hands are needed.
 */
function toSchema12(plan: Json): Json {
  const optics = isRecord(plan['optics']) ? plan['optics'] : {};
  return {
    ...plan,
    schema: 12,
    optics: {
      ...optics,
      camera: isRecord(optics['camera']) ? { ...UNKNOWN_CAMERA, ...optics['camera'] } : optics['camera'],
      lens: isRecord(optics['lens']) ? upgradeLens(optics['lens']) : optics['lens'],
      enlargedPercent: 0,
      frameAspect: null,
    },
    schedule: isRecord(plan['schedule']) ? { coverShotId: null, ...plan['schedule'] } : plan['schedule'],
    beats: itemsOf(plan, 'beats').map((beat) => ({ toleratedFrames: 0, ...beat })),
    watching: DEFAULT_WATCHING,
    areHandsNeeded: false,
    wheelElsewhere: null,
  };
}

/**
 * Schema 13 adds methods of later parts, meter readings along the way with the tolerance of the exposure, how far the operator misses each place of
 * the camera, and the spread of a reading. Plans older than schema 11 get the tapings that schema 10 added.
 */
function toSchema13(plan: Json): Json {
  const { floor } = plan;
  const upgraded = {
    ...plan,
    schema: PLAN_SCHEMA,
    laterMethods: [],
    exposure: isRecord(plan['exposure'])
      ? { lightReadings: [], toleranceStops: DEFAULT_TOLERANCE_STOPS, ...plan['exposure'] }
      : plan['exposure'],
    floor: isRecord(floor) ? { ...floor, camera: itemsOf(floor, 'camera').map((key) => ({ missSigmaMm: null, ...key })) } : floor,
    marks: itemsOf(plan, 'marks').map((mark) => ({ readingSigmaDeg: null, ...mark })),
  };
  return checkPlan(upgraded).length === 0 ? { ...withDerivedDistances(upgraded as unknown as ShotPlan) } : upgraded;
}

/** Before schema 9 an aim at a point or by heading was level. */
function levelAim(at: unknown): unknown {
  if (!isRecord(at)) return at;
  if (at['kind'] === 'point') return { heightMm: null, ...at };
  return at['kind'] === 'heading' ? { tiltDeg: null, ...at } : at;
}

/** Before schema 8 the focus track was called line, and its pulls moves. */
function trackOfLine(line: unknown): unknown {
  if (!isRecord(line)) return line;
  const { moves: _, ...track } = line;
  const pulls = itemsOf(line, 'moves').map(({ kind: __, cueKind, ...move }) => ({
    ...renamed(move, { cueLeadS: 'countInS' }),
    trigger: cueKind === 'line' ? 'spoken-line' : cueKind,
  }));
  return { ...track, pulls };
}

// Defaults with the field names of their time.
const { focusReferenceId, hasHardStop, ...MARK } = DEFAULT_MARK;
const OLD_MARK = { ...MARK, standInId: focusReferenceId, hasStop: hasHardStop };
const OLD_BEAT = { kind: 'sharp', requiredShare: 1, blurPercent: 1, keyS: null, alternate: null, why: '' };
const { easing, cue, cueSigmaS } = DEFAULT_PULL;
const OLD_MOVE = { kind: 'rack', easing, cueKind: 'clock', cue, cueLeadS: 1, cueSigmaS };
const { targetKeepRate, screenTimeS: _screenTimeS, ...GOALS } = DEFAULT_GOALS;
const OLD_GOALS = { ...GOALS, keepShare: targetKeepRate };
