import type { RehearsalRun, RehearsalTap, RehearsedEvent } from '../floor/index.js';
import { cameraShape, lensShape, rigShape, sharpnessShape, wheelShape } from '../kit/index.js';
import { boolean, list, nullable, object, oneOf, quantity, type Shape, text, variant } from '../shape.js';
import { EASINGS, type Hand } from '../hand/index.js';
import {
  type CameraErrors,
  ALTERNATES,
  type Beat,
  REQUIREMENTS,
  type CoursePoint,
  CUE_TRIGGERS,
  type FocusTrackPlan,
  type KitSources,
  type FocusTarget,
  type LaterMethod,
  type LightReading,
  METHODS,
  type OpticsChange,
  PLAN_SCHEMA,
  type Pull,
  type ShotExposure,
  type ShotOptics,
  type ShotPlan,
  WATCHED,
  type Watching,
} from './shotPlan.js';
import { floorShape, markShape, subjectShape } from './floorShape.js';
import { PLAN_LIMITS as LIMITS } from './planLimits.js';
import type { Schedule, ShotGoals } from './goals.js';

const id = text(LIMITS.id);
const distance = nullable(quantity(LIMITS.distanceMm));
const time = quantity(LIMITS.timeS);

const opticsChanges = (limit: { min: number; max: number }) =>
  list(object<OpticsChange>({ id, startS: time, durationS: quantity(LIMITS.pullS), to: quantity(limit) }), LIMITS.opticsChanges);

const optics = object<ShotOptics>({
  camera: cameraShape,
  lens: lensShape,
  focalLengthMm: quantity(LIMITS.focalLengthMm),
  zooms: opticsChanges(LIMITS.focalLengthMm),
  stop: quantity(LIMITS.stop),
  irisPulls: opticsChanges(LIMITS.stop),
  sharpness: sharpnessShape,
  enlargedPercent: quantity(LIMITS.enlargedPercent),
  frameAspect: nullable(quantity(LIMITS.frameAspect)),
});

const kit = object<KitSources>({
  camera: nullable(object<NonNullable<KitSources['camera']>>({ id, modeId: id, steadyingId: nullable(id) })),
  lensId: nullable(id),
  wheelId: nullable(id),
  rigId: nullable(id),
});

const exposure = object<ShotExposure>({
  meteredStop: nullable(quantity(LIMITS.stop)),
  lightReadings: list(
    object<LightReading>({
      id,
      at: variant<LightReading['at']>({
        time: object({ kind: oneOf('time'), timeS: time }),
        mark: object({ kind: oneOf('mark'), markId: id }),
      }),
      meteredStop: quantity(LIMITS.stop),
    }),
    LIMITS.lightReadings,
  ),
  toleranceStops: quantity(LIMITS.toleranceStops),
  iso: quantity(LIMITS.iso),
  shutterAngleDeg: quantity(LIMITS.shutterAngleDeg),
  ndStops: quantity(LIMITS.ndStops),
});

const beat = object<Beat>({
  id,
  subjectId: id,
  requirement: oneOf(...REQUIREMENTS),
  fromS: time,
  toS: time,
  toleratedFrames: quantity(LIMITS.toleratedFrames),
  requiredShare: quantity(LIMITS.share),
  blurPercent: quantity(LIMITS.blurPercent),
  keyMomentS: nullable(time),
  alternate: nullable(oneOf(...ALTERNATES)),
  why: text(LIMITS.note),
});

const target = variant<FocusTarget>({
  mark: object({ kind: oneOf('mark'), markId: id }),
  distance: object({ kind: oneOf('distance'), distanceMm: distance }),
  blur: object({ kind: oneOf('blur'), markId: id, blurPercent: quantity(LIMITS.blurPercent), towards: oneOf('near', 'far') }),
  subject: object({ kind: oneOf('subject'), subjectId: id, leadS: quantity(LIMITS.leadS) }),
  course: object({
    kind: oneOf('course'),
    points: list(object<CoursePoint>({ timeS: time, distanceMm: distance }), LIMITS.coursePoints),
  }),
});

const rack = object<Pull>({
  id,
  startS: time,
  durationS: quantity(LIMITS.pullS),
  easing: oneOf(...EASINGS),
  target,
  trigger: oneOf(...CUE_TRIGGERS),
  cue: text(LIMITS.cue),
  countInS: quantity(LIMITS.countInS),
  cueSigmaS: quantity(LIMITS.sigmaS),
});

const line = object<FocusTrackPlan>({ start: nullable(target), pulls: list(rack, LIMITS.moves) });

const tap = object<RehearsalTap>({
  event: variant<RehearsedEvent>({
    leaves: object({ kind: oneOf('leaves'), subjectId: id, stayId: id }),
    arrives: object({ kind: oneOf('arrives'), subjectId: id, stayId: id }),
    cue: object({ kind: oneOf('cue'), pullId: id }),
  }),
  timeS: time,
});

const hand = object<Hand>({
  reactionS: quantity(LIMITS.reactionS),
  perBitS: quantity(LIMITS.perBitS),
  steadyDeg: quantity(LIMITS.steadyDeg),
  twoJobsFactor: quantity(LIMITS.twoJobsFactor),
});

const watching = object<Watching>({
  on: oneOf(...WATCHED),
  displayInches: nullable(quantity(LIMITS.displayInches)),
  distanceMm: quantity(LIMITS.viewingMm),
  delayS: quantity(LIMITS.delayS),
  rightWayShare: quantity(LIMITS.rightWayShare),
});

const cameraErrors = object<CameraErrors>({
  timingSigmaS: quantity(LIMITS.sigmaS),
  stopSigmaMm: quantity(LIMITS.markSigmaMm),
  driftSigmaMm: quantity(LIMITS.markSigmaMm),
  driftTimeS: quantity(LIMITS.driftTimeS),
});

const requested = object<ShotGoals>({
  isOneChance: boolean(),
  targetKeepRate: quantity(LIMITS.targetKeepRate),
  background: object<ShotGoals['background']>({ name: text(LIMITS.detail), distanceMm: distance }),
  blurPercent: nullable(quantity(LIMITS.blurPercent)),
  screenTimeS: nullable(quantity(LIMITS.screenTimeS)),
});

const schedule = object<Schedule>({
  day: quantity(LIMITS.day),
  setUpMin: quantity(LIMITS.setUpMin),
  betweenTakesS: quantity(LIMITS.betweenTakesS),
  takes: nullable(quantity(LIMITS.takes)),
  cover: text(LIMITS.cover),
  coverShotId: nullable(id),
});

/** Shape of a saved plan. `checkPlan` also checks its parts against each other. */
export const planShape: Shape<ShotPlan> = object<ShotPlan>({
  schema: oneOf(PLAN_SCHEMA),
  durationS: quantity(LIMITS.durationS),
  captureFps: quantity(LIMITS.captureFps),
  deliveryFps: quantity(LIMITS.deliveryFps),
  method: oneOf(...METHODS),
  laterMethods: list(object<LaterMethod>({ id, fromS: time, method: oneOf(...METHODS) }), LIMITS.laterMethods),
  optics,
  exposure,
  wheel: nullable(wheelShape),
  wheelElsewhere: nullable(object<NonNullable<ShotPlan['wheelElsewhere']>>({ turns: oneOf('iris', 'zoom'), wheel: wheelShape })),
  rig: nullable(rigShape),
  kit,
  floor: nullable(floorShape),
  subjects: list(subjectShape, LIMITS.subjects),
  marks: list(markShape, LIMITS.marks),
  beats: list(beat, LIMITS.beats),
  focusTrack: line,
  alternates: nullable(object<NonNullable<ShotPlan['alternates']>>({ shown: oneOf(...ALTERNATES), other: line })),
  maxHandDegPerS: quantity(LIMITS.maxHandDegPerS),
  hand,
  watching,
  cameraErrors: nullable(cameraErrors),
  isReversed: boolean(),
  areHandsNeeded: boolean(),
  rehearsals: list(object<RehearsalRun>({ id, taps: list(tap, LIMITS.taps) }), LIMITS.rehearsals),
  goals: requested,
  schedule,
  notes: text(LIMITS.notes),
});
