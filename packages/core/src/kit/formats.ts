import type { SensorSize } from '../optics/index.js';

/** A camera as a shot needs it: what is recorded of its sensor. */
export interface Camera extends SensorSize {
  readonly name: string;
  /** Recorded photosites across the width: a whole number */
  readonly photositesWide: number;
}

/** Generic formats to start from: the recorded part of the sensor, in millimetres. */
export const FORMATS: readonly (Camera & { readonly id: string })[] = [
  { id: 's16', name: 'Super 16', sensorWidthMm: 12.5, sensorHeightMm: 7.4, photositesWide: 2880 },
  { id: 'four-thirds-inch', name: '4/3 inch, 16:9', sensorWidthMm: 17.3, sensorHeightMm: 9.7, photositesWide: 4096 },
  { id: 's35-16x9', name: 'Super 35, 16:9', sensorWidthMm: 24.9, sensorHeightMm: 14, photositesWide: 4608 },
  { id: 's35-tall', name: 'Super 35, full height', sensorWidthMm: 24.9, sensorHeightMm: 18.7, photositesWide: 4608 },
  { id: 'full-frame-16x9', name: 'Full frame, 16:9', sensorWidthMm: 36, sensorHeightMm: 20.25, photositesWide: 6144 },
  { id: 'full-frame', name: 'Full frame, 3:2', sensorWidthMm: 36, sensorHeightMm: 24, photositesWide: 6144 },
  { id: 'sixty-five', name: '65 mm, 5 perforations', sensorWidthMm: 52.6, sensorHeightMm: 23, photositesWide: 6560 },
];
