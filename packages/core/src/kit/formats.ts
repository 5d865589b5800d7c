import type { SensorSize } from '../optics/index.js';

/** A generic format: recorded sensor area in mm, and a common number of photosites across. */
export interface Format extends SensorSize {
  readonly id: string;
  readonly name: string;
  /** A whole number */
  readonly photositesWide: number;
}

/** Generic formats to start from. */
export const FORMATS: readonly Format[] = [
  { id: 's8', name: 'Super 8', sensorWidthMm: 5.79, sensorHeightMm: 4.01, photositesWide: 1920 },
  { id: 'one-inch', name: '1 inch, 16:9', sensorWidthMm: 13.2, sensorHeightMm: 7.43, photositesWide: 3840 },
  { id: 's16', name: 'Super 16', sensorWidthMm: 12.5, sensorHeightMm: 7.4, photositesWide: 2880 },
  { id: 'four-thirds-inch', name: '4/3 inch, 16:9', sensorWidthMm: 17.3, sensorHeightMm: 9.7, photositesWide: 4096 },
  { id: 's35-16x9', name: 'Super 35, 16:9', sensorWidthMm: 24.9, sensorHeightMm: 14, photositesWide: 4608 },
  { id: 's35-tall', name: 'Super 35, full height', sensorWidthMm: 24.9, sensorHeightMm: 18.7, photositesWide: 4608 },
  { id: 'full-frame-16x9', name: 'Full frame, 16:9', sensorWidthMm: 36, sensorHeightMm: 20.25, photositesWide: 6144 },
  { id: 'full-frame', name: 'Full frame, 3:2', sensorWidthMm: 36, sensorHeightMm: 24, photositesWide: 6144 },
  { id: 'forty-four', name: '44 × 33', sensorWidthMm: 43.8, sensorHeightMm: 32.9, photositesWide: 8256 },
  { id: 'sixty-five', name: '65 mm, 5 perforations', sensorWidthMm: 52.6, sensorHeightMm: 23, photositesWide: 6560 },
];
