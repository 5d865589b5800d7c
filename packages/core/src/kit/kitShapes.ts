import { boolean, list, nullable, object, oneOf, quantity, type Shape, text, variant } from '../shape.js';
import { type Camera, type Sharpness, TEST_ANSWERS } from './camera.js';
import { AIDS, type AidTest, type KitCamera, type RecordingMode, type SteadyingLevel } from './kitCamera.js';
import { KIT_LIMITS as LIMITS } from './kitLimits.js';
import { type FittedRing, HOLD_TESTS, type KitLens, type Lens, LENS_AUTOFOCUS, RING_RESPONSES } from './lens.js';
import { PULLERS, type Rig, type RigPart, SUPPORTS } from './rig.js';
import type { RingPoint } from './ring.js';
import type { Wheel } from './wheel.js';

const id = text(LIMITS.id);
const name = text(LIMITS.name);
const word = text(LIMITS.optionalName);
const turn = oneOf('clockwise', 'anticlockwise');

const sensor = {
  sensorWidthMm: quantity(LIMITS.sensorMm),
  sensorHeightMm: quantity(LIMITS.sensorMm),
  photositesWide: quantity(LIMITS.photositesWide),
};

const frameRates = list(quantity(LIMITS.captureFps), LIMITS.frameRates);

export const cameraShape = object<Camera>({
  name,
  mode: word,
  ...sensor,
  steadyingCropPercent: quantity(LIMITS.cropPercent),
  fastestFps: nullable(quantity(LIMITS.captureFps)),
  frameRates,
  autofocusAreaPercent: nullable(quantity(LIMITS.percent)),
  autofocusRolling: oneOf(...TEST_ANSWERS),
});

export const sharpnessShape = variant<Sharpness>({
  diagonal: object({ kind: oneOf('diagonal'), divisor: quantity(LIMITS.diagonalDivisor) }),
  photosite: object({ kind: oneOf('photosite'), count: quantity(LIMITS.photositeCount) }),
  viewer: object({ kind: oneOf('viewer'), viewingDistancePictureHeights: quantity(LIMITS.viewingDistancePictureHeights) }),
});

const ringPoint = object<RingPoint>({ distanceMm: nullable(quantity(LIMITS.distanceMm)), ringDeg: quantity(LIMITS.ringDeg) });

export const lensShape = object<Lens>({
  name,
  focalLengthMm: quantity(LIMITS.focalLengthMm),
  longestMm: quantity(LIMITS.focalLengthMm),
  stopScale: oneOf('T', 'f'),
  widestStop: quantity(LIMITS.stop),
  widestStopLong: quantity(LIMITS.stop),
  narrowestStop: quantity(LIMITS.stop),
  transmittance: quantity(LIMITS.transmittance),
  closeFocusMm: quantity(LIMITS.closeFocusMm),
  principalSeparationMm: quantity(LIMITS.principalSeparationMm),
  ring: variant<Lens['ring']>({
    helicoid: object({ kind: oneOf('helicoid'), focusThrowDeg: quantity(LIMITS.focusThrowDeg) }),
    table: object({ kind: oneOf('table'), points: list(ringPoint, LIMITS.ringPoints) }),
    fitted: object<FittedRing>({
      kind: oneOf('fitted'),
      atInfinityDeg: quantity(LIMITS.ringDeg),
      degPerMm: quantity(LIMITS.degPerMm),
      points: list(ringPoint, LIMITS.ringPoints),
    }),
  }),
  nearerTurns: turn,
  response: oneOf(...RING_RESPONSES),
  stepCount: quantity(LIMITS.stepCount),
  reportsData: boolean(),
  autofocus: oneOf(...LENS_AUTOFOCUS),
  squeeze: quantity(LIMITS.squeeze),
  breathingPercent: quantity(LIMITS.breathingPercent),
  holdsFocus: oneOf(...HOLD_TESTS),
  frontDiameterMm: nullable(quantity(LIMITS.diameterMm)),
  ringDiameterMm: nullable(quantity(LIMITS.diameterMm)),
  gear: word,
});

export const kitLensShape: Shape<KitLens> = object<KitLens>({
  lens: lensShape,
  isHired: boolean(),
  holdTestedOn: word,
  holdTestedBy: word,
  notes: text(LIMITS.notes),
});

export const kitCameraShape: Shape<KitCamera> = object<KitCamera>({
  name,
  software: word,
  modes: list(object<RecordingMode>({ id, name, ...sensor, fastestFps: quantity(LIMITS.captureFps) }), {
    min: 1,
    max: LIMITS.modes.max,
  }),
  steadying: list(object<SteadyingLevel>({ id, name, cropPercent: quantity(LIMITS.cropPercent) }), LIMITS.steadying),
  frameRates,
  baseIsos: list(quantity(LIMITS.iso), LIMITS.baseIsos),
  displays: list(name, LIMITS.displays),
  automaticAreaPercent: nullable(quantity(LIMITS.percent)),
  tests: list(
    object<AidTest>({
      aid: oneOf(...AIDS),
      display: name,
      modeId: id,
      works: boolean(),
      note: text(LIMITS.note),
      testedOn: word,
      testedBy: word,
      software: word,
    }),
    LIMITS.tests,
  ),
  retestAfterDays: quantity(LIMITS.retestAfterDays),
  notes: text(LIMITS.notes),
});

export const wheelShape: Shape<Wheel> = object<Wheel>({
  name,
  kind: oneOf('wheel', 'motor'),
  wheelPerRing: quantity(LIMITS.wheelPerRing),
  turns: oneOf('same', 'opposite'),
  discDiameterMm: quantity(LIMITS.discDiameterMm),
  hasEndStops: boolean(),
  comfortableDeg: quantity(LIMITS.comfortableDeg),
  fastestDegPerS: nullable(quantity(LIMITS.fastestDegPerS)),
  notes: text(LIMITS.notes),
});

export const rigShape: Shape<Rig> = object<Rig>({
  name,
  support: oneOf(...SUPPORTS),
  puller: oneOf(...PULLERS),
  display: word,
  displayInches: nullable(quantity(LIMITS.displayInches)),
  displayIsCabled: boolean(),
  weightKg: nullable(quantity(LIMITS.weightKg)),
  parts: list(object<RigPart>({ id, name, isThere: boolean() }), LIMITS.parts),
  notes: text(LIMITS.notes),
});
