import { type Mark, MEASURE_METHODS, type Stay, type Subject } from '../floor/index.js';
import type { Camera, Lens, RingPoint } from '../kit/index.js';
import { list, nullable, object, oneOf, quantity, type Shape, text, variant } from '../shape.js';
import { PLAN_LIMITS as LIMITS } from './planLimits.js';
import {
  type Beat,
  type FocusLinePlan,
  type LineTarget,
  METHODS,
  PLAN_SCHEMA,
  type Rack,
  type Sharpness,
  type ShotPlan,
} from './shotPlan.js';

const id = text(LIMITS.id);
const distance = nullable(quantity(LIMITS.distanceMm));
const time = quantity(LIMITS.timeS);

const camera = object<Camera>({
  name: text(LIMITS.name),
  sensorWidthMm: quantity(LIMITS.sensorMm),
  sensorHeightMm: quantity(LIMITS.sensorMm),
  photositesWide: quantity(LIMITS.photositesWide),
});

const ringPoint = object<RingPoint>({ distanceMm: distance, ringDeg: quantity(LIMITS.ringDeg) });

const lens = object<Lens>({
  name: text(LIMITS.name),
  focalLengthMm: quantity(LIMITS.focalLengthMm),
  stopScale: oneOf('T', 'f'),
  widestStop: quantity(LIMITS.stop),
  narrowestStop: quantity(LIMITS.stop),
  transmittance: quantity(LIMITS.transmittance),
  closeFocusMm: quantity(LIMITS.closeFocusMm),
  principalSeparationMm: quantity(LIMITS.principalSeparationMm),
  ring: variant<Lens['ring']>({
    helicoid: object({ kind: oneOf('helicoid'), focusThrowDeg: quantity(LIMITS.focusThrowDeg) }),
    table: object({ kind: oneOf('table'), points: list(ringPoint, LIMITS.ringPoints) }),
  }),
  nearerTurns: oneOf('clockwise', 'anticlockwise'),
});

const sharpness = variant<Sharpness>({
  diagonal: object({ kind: oneOf('diagonal'), divisor: quantity(LIMITS.diagonalDivisor) }),
  photosite: object({ kind: oneOf('photosite'), count: quantity(LIMITS.photositeCount) }),
  viewer: object({ kind: oneOf('viewer'), viewingDistancePictureHeights: quantity(LIMITS.viewingDistancePictureHeights) }),
});

const stay = object<Stay>({ id, markId: id, fromS: time, untilS: time });

const subject = object<Subject>({ id, name: text(LIMITS.name), detail: text(LIMITS.detail), stays: list(stay, LIMITS.stays) });

const mark = object<Mark>({
  id,
  letter: text(LIMITS.letter),
  subjectId: nullable(id),
  distanceMm: distance,
  method: oneOf(...MEASURE_METHODS),
  uncertaintyMm: quantity(LIMITS.uncertaintyMm),
  note: text(LIMITS.note),
});

const beat = object<Beat>({
  id,
  subjectId: id,
  fromS: time,
  toS: time,
  requiredShare: quantity(LIMITS.share),
  why: text(LIMITS.note),
});

const target = variant<LineTarget>({
  mark: object({ kind: oneOf('mark'), markId: id }),
  distance: object({ kind: oneOf('distance'), distanceMm: distance }),
});

const rack = object<Rack>({
  id,
  kind: oneOf('rack'),
  startS: time,
  durationS: quantity(LIMITS.rackS),
  target,
  cue: text(LIMITS.cue),
});

/** The form of a saved plan. What one part says of another is checked by `checkPlan`. */
export const planShape: Shape<ShotPlan> = object<ShotPlan>({
  schema: oneOf(PLAN_SCHEMA),
  durationS: quantity(LIMITS.durationS),
  captureFps: quantity(LIMITS.captureFps),
  deliveryFps: quantity(LIMITS.deliveryFps),
  method: oneOf(...METHODS),
  optics: object<ShotPlan['optics']>({ camera, lens, stop: quantity(LIMITS.stop), sharpness }),
  subjects: list(subject, LIMITS.subjects),
  marks: list(mark, LIMITS.marks),
  beats: list(beat, LIMITS.beats),
  line: object<FocusLinePlan>({ start: nullable(target), moves: list(rack, LIMITS.moves) }),
  notes: text(LIMITS.notes),
});
