export { type Conjugates, conjugates, tapeAtExtension } from './conjugates.js';
export { depthOfField, type DepthOfField, type DepthOfFieldOptions, type ZoneLens, zoneLimits } from './depthOfField.js';
export { blurBetween, blurDiameterMm, type BlurDiameterOptions } from './blurDiameter.js';
export { circleOfConfusionMm, type SharpnessStandard } from './circleOfConfusion.js';
export { exposureChange, type ExposureChange, geometricStop } from './exposure.js';
export { airyDiameterMm } from './diffraction.js';
export { diagonalMm, fieldAt, matchFormat, type SensorSize } from './formatMatch.js';
