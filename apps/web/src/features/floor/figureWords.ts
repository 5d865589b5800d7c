import {
  formatDistance,
  formatGap,
  formatStop,
  formatStops,
  formatTime,
  MM_PER_FOOT,
  type BlockingMoveFigure,
  type StopScale,
  type UnitSystem,
} from '@still-heron/core';

/** Prints a figure of a blocking move. */
export function figureWords({ unit, value, words }: BlockingMoveFigure, units: UnitSystem, stopScale: StopScale): string {
  switch (unit) {
    case 'words':
      return words ?? '';
    case 'distance':
      return formatDistance(value, units);
    case 'gap':
      return formatGap(value, units);
    case 'time':
      return value === Infinity ? 'without end' : formatTime(value);
    case 'speed':
      return units === 'metric' ? `${(value / 1000).toFixed(2)} m/s` : `${(value / MM_PER_FOOT).toFixed(1)} ft/s`;
    case 'degrees':
      return `${value.toFixed(1)}°`;
    case 'degrees-per-second':
      return `${value.toFixed(0)}°/s`;
    case 'percent':
      return value === Infinity ? 'all of it' : `${value.toFixed(value < 10 ? 1 : 0)} %`;
    case 'stop':
      return formatStop(value, stopScale);
    case 'stops':
      return formatStops(value);
  }
}
