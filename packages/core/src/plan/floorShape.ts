import {
  type AimKey,
  type AimTarget,
  type FloorPicture,
  type FloorPlan,
  type Landmark,
  LANDMARK_SHAPES,
  type Mark,
  MEASURE_METHODS,
  type PathKey,
  type Place,
  STALE_REASONS,
  type Stay,
  type Subject,
  SUBJECT_KINDS,
  TAPE_COLOURS,
  TAPE_SHAPES,
  type Taping,
} from '../floor/index.js';
import type { RingReading } from '../kit/index.js';
import { boolean, list, nullable, object, oneOf, quantity, text, variant } from '../shape.js';
import { PLAN_LIMITS as LIMITS } from './planLimits.js';

const id = text(LIMITS.id);
const time = quantity(LIMITS.timeS);
const height = nullable(quantity(LIMITS.heightMm));
const pace = oneOf('eased', 'steady');
const placeFields = { xMm: quantity(LIMITS.placeMm), yMm: quantity(LIMITS.placeMm) };
const place = object<Place>(placeFields);

export const floorShape = object<FloorPlan>({
  camera: list(
    object<PathKey>({
      id,
      timeS: time,
      ...placeFields,
      pace,
      heightMm: height,
      missSigmaMm: nullable(quantity(LIMITS.markSigmaMm)),
    }),
    LIMITS.cameraKeys,
  ),
  lensHeightMm: quantity(LIMITS.heightMm),
  aims: list(
    object<AimKey>({
      id,
      timeS: time,
      panS: time,
      at: variant<AimTarget>({
        subject: object({ kind: oneOf('subject'), subjectId: id }),
        point: object({ kind: oneOf('point'), ...placeFields, heightMm: height }),
        heading: object({
          kind: oneOf('heading'),
          deg: quantity(LIMITS.headingDeg),
          tiltDeg: nullable(quantity(LIMITS.tiltDeg)),
        }),
      }),
    }),
    LIMITS.aims,
  ),
  landmarks: list(
    object<Landmark>({
      id,
      name: text(LIMITS.name),
      shape: oneOf(...LANDMARK_SHAPES),
      ...placeFields,
      widthMm: quantity(LIMITS.sizeMm),
      depthMm: quantity(LIMITS.sizeMm),
      tallMm: quantity(LIMITS.heightMm),
      turnedDeg: quantity(LIMITS.headingDeg),
    }),
    LIMITS.landmarks,
  ),
  picture: nullable(
    object<FloorPicture>({
      pictureId: id,
      name: text(LIMITS.name),
      ...placeFields,
      widthMm: quantity(LIMITS.pictureMm),
      heightMm: quantity(LIMITS.pictureMm),
      turnedDeg: quantity(LIMITS.headingDeg),
      isScaled: boolean(),
    }),
  ),
});

const stay = object<Stay>({ id, markId: id, fromS: time, untilS: time, pace });

export const subjectShape = object<Subject>({
  id,
  kind: oneOf(...SUBJECT_KINDS),
  name: text(LIMITS.name),
  detail: text(LIMITS.detail),
  heightMm: quantity(LIMITS.heightMm),
  widthMm: quantity(LIMITS.sizeMm),
  tallMm: quantity(LIMITS.heightMm),
  markSigmaMm: quantity(LIMITS.markSigmaMm),
  timingSigmaS: quantity(LIMITS.sigmaS),
  stays: list(stay, LIMITS.stays),
});

const taping = object<Taping>({ timeS: quantity(LIMITS.timeS), drawnMm: quantity(LIMITS.drawnMm) });

const reading = variant<RingReading>({
  ring: object({ kind: oneOf('ring'), deg: quantity(LIMITS.readDeg) }),
  wheel: object({ kind: oneOf('wheel'), deg: quantity(LIMITS.readDeg) }),
  strip: object({ kind: oneOf('strip'), mm: quantity(LIMITS.stripMm) }),
  figures: object({
    kind: oneOf('figures'),
    fromMm: nullable(quantity(LIMITS.distanceMm)),
    toMm: nullable(quantity(LIMITS.distanceMm)),
    share: quantity(LIMITS.shareOfFigures),
  }),
});

export const markShape = object<Mark>({
  id,
  letter: text(LIMITS.letter),
  subjectId: nullable(id),
  detail: text(LIMITS.detail),
  distanceMm: nullable(quantity(LIMITS.distanceMm)),
  taping: nullable(taping),
  place: nullable(place),
  method: oneOf(...MEASURE_METHODS),
  reading: nullable(reading),
  readingSigmaDeg: nullable(quantity(LIMITS.readingSigmaDeg)),
  isSimulated: boolean(),
  uncertaintyMm: quantity(LIMITS.uncertaintyMm),
  stale: nullable(oneOf(...STALE_REASONS)),
  tapeShape: oneOf(...TAPE_SHAPES),
  tapeColour: nullable(oneOf(...TAPE_COLOURS)),
  focusReferenceId: nullable(id),
  pose: text(LIMITS.pose),
  hasHardStop: boolean(),
  allowanceMm: quantity(LIMITS.allowanceMm),
  note: text(LIMITS.note),
});
