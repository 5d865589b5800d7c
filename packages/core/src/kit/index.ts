export { type AidCell, aidMatrix, nextAidTest, withAidTest, withoutAidTest } from './aidTests.js';
export { calibrationDistances, ringDegOfArc } from './calibration.js';
export { type Camera, cameraOf, circleMm, pictureSize, type Sharpness, type TestAnswer, UNKNOWN_CAMERA } from './camera.js';
export { type LensFigures, lensFigures, type LensQuestion } from './compareLenses.js';
export { upgradeKitItem, upgradeLens } from './upgradeKit.js';
export {
  assertKitItem,
  checkKitItem,
  KIT_KINDS,
  KIT_SCHEMAS,
  type KitItems,
  type KitKind,
  kitName,
  lensProblems,
} from './checkKit.js';
export {
  type ComparedSetup,
  compareSetups,
  distanceForWidth,
  fieldOf,
  HELD_EQUAL,
  type HeldEqual,
  type LensSetup,
  zoneLensOf,
} from './compare.js';
export { focusesForBlur, focusForBlur } from './focusForBlur.js';
export { type Format, FORMATS } from './formats.js';
export {
  type Aid,
  AIDS,
  type AidTest,
  cameraInMode,
  type KitCamera,
  type RecordingMode,
  type SteadyingLevel,
  modesForRate,
  offersRate,
} from './kitCamera.js';
export { KIT_LIMITS } from './kitLimits.js';
export { cameraShape, lensShape, rigShape, sharpnessShape, wheelShape } from './kitShapes.js';
export {
  breathingBetween,
  type FittedRing,
  nearestFocusMm,
  defaultLens,
  fNumberOf,
  HOLD_TESTS,
  type HoldTest,
  isZoom,
  type KitLens,
  type Lens,
  LENS_AUTOFOCUS,
  type LensAutofocus,
  RING_RESPONSES,
  focusShiftPerDegMm,
  ringOf,
  type RingResponse,
  stopOfFNumber,
  stopsAt,
  tStopOf,
  widestStopAt,
} from './lens.js';
export { lensRing, type LensRingOptions, withinReach } from './lensRing.js';
export { monotoneCubic, type MonotoneCubic } from './monotoneCubic.js';
export {
  CARRIED_SUPPORTS,
  missingParts,
  presetRig,
  withSupport,
  type Puller,
  PULLERS,
  type Rig,
  type RigPart,
  type Support,
  SUPPORTS,
  UNREACHABLE_SUPPORTS,
} from './rig.js';
export { type LensRing, type RingPoint } from './ring.js';
export { heldOnRing, nearSign } from './ringEnds.js';
export {
  type ReadDistance,
  readDistance,
  type ReadGear,
  READING_KINDS,
  readingAt,
  readingProblem,
  readingRange,
  readingSigmaDeg,
  ringDegOf,
  type RingReading,
} from './ringReading.js';
export { fitHelicoid, type FittedPoint, type RingFit } from './ringFit.js';
export { readingsProblems, type ScaleOfReadings, scaleOfReadings, scaleSigmaDeg } from './scaleOfReadings.js';
export { scaleProblems } from './scaleProblems.js';
export { ASSUMED_PEAK_DEG_PER_S, ASSUMED_REGRIP_S, defaultWheel, type Wheel, wheelDegOf, wheelNearerTurns } from './wheel.js';
export {
  choiceColumn,
  type CsvColumn,
  figureColumn,
  type ReadCell,
  readTable,
  textColumn,
  writeTable,
  yesNoColumn,
} from './csv/columns.js';
export { cameraTable, readCameraTable } from './csv/cameraTable.js';
export { readRigTable, rigTable } from './csv/rigTable.js';
export { lensTable, MAX_KIT_ITEMS, readLensTable, readWheelTable, wheelTable } from './csv/kitTables.js';
export { readScale } from './csv/readScale.js';
export {
  cellPath,
  type CellProblem,
  type CsvReading,
  type CsvTable,
  readFigure,
  tidyHeading,
  tidyTable,
  unreadFigure,
} from './csv/table.js';
