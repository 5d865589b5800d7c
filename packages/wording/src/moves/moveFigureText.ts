import {
  type BlockingMoveAnswer,
  type BlockingMoveFigure,
  type BlockingMoveFigureCode,
  formatDistance,
  formatGap,
  formatStop,
  formatStops,
  formatTime,
  MM_PER_FOOT,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { markLetter } from '../names.js';

const LABELS: Readonly<Record<BlockingMoveFigureCode, string>> = {
  'enters-zone': 'enters the zone',
  'leaves-zone': 'leaves the zone',
  'sharp-for': 'sharp for',
  'foreground-blur': 'blur of the object, of the picture’s width',
  'foreground-blur-circles': 'the same blur, in circles of confusion',
  'clear-from': 'subject in view from',
  'focus-at': 'focus is set to',
  radius: 'radius',
  'camera-path': 'path of the camera',
  'subject-path': 'path of the subject',
  'mean-speed': 'mean speed',
  'peak-speed': 'peak speed',
  drift: 'distance varies by',
  'off-centre-room': 'radius may be wrong by',
  'off-centre': 'with the error given above',
  distance: 'distance',
  'nearer-room': 'may come closer by',
  'farther-room': 'may go farther by',
  'slow-pace-lasts': 'sharp for, at a pace 10 % too slow',
  'zone-before': 'depth of the zone before',
  'zone-after': 'depth of the zone after',
  'f-number-after': 'f-number after',
  'light-gained': 'light gained',
  'light-lost': 'light lost',
  'soft-from': 'soft from',
  during: 'during the iris pull',
  'inside-by': 'stays inside the zone by',
  'outside-by': 'leaves the zone by',
  'wheel-turn': 'turn of the wheel that would correct it',
  'ring-turn': 'turn of the ring',
  'ring-peak-speed': 'peak speed of the ring',
  'sharp-share': 'sharp for this share of the time',
  'holding-stop': 'stop that would hold it',
  'camera-turn': 'turn of the camera',
  'focus-from': 'focus from',
  'focus-to': 'focus to',
  'on-landing': 'after the whip pan',
  'holds-from': 'sharp from',
  'holds-to': 'sharp to',
  'turn-to': 'turn of the ring',
  'last-landing': 'the last pull lands at',
};

const ANSWERS: Readonly<Record<BlockingMoveAnswer, string>> = {
  never: 'never: the subject stays soft',
  'not-in-this-shot': 'not in this shot',
  'touches-the-lens': 'too close: it would touch the lens',
  'never-clear': 'never: slide farther, or make the object narrower',
  'stays-sharp': 'the subject stays sharp',
  'goes-soft': 'the subject goes soft on the way',
  'is-sharp': 'the subject is sharp',
  'is-soft': 'the subject is soft',
  'no-stop': 'no stop of this lens',
};

/** Label of a figure of a blocking move; with its mark if there are several. */
export function moveFigureLabel({ code, markId }: BlockingMoveFigure, plan: Pick<ShotPlan, 'marks'>): string {
  return markId === undefined ? LABELS[code] : `${markLetter(plan, markId)}: ${LABELS[code]}`;
}

/** Value of a figure of a blocking move. */
export function moveFigureValue(figure: BlockingMoveFigure, units: UnitSystem, stopScale: 'T' | 'f'): string {
  const { unit, value } = figure;
  switch (unit) {
    case 'answer':
      return ANSWERS[figure.answer ?? 'never'];
    case 'distance':
      return formatDistance(value, units);
    case 'gap':
      return value === Infinity ? 'no limit' : formatGap(value, units);
    case 'time':
      return value === Infinity ? 'no limit' : formatTime(value);
    case 'speed':
      return speedText(value, units);
    case 'degrees':
      return `${value.toFixed(1)}°`;
    case 'degrees-per-second':
      return `${value.toFixed(0)}°/s`;
    case 'percent':
      return value === Infinity ? 'more than 100 %' : `${value.toFixed(value < 10 ? 1 : 0)} %`;
    case 'times':
      return value === Infinity ? 'no limit' : `${Math.round(value)} ×`;
    case 'stop':
      return formatStop(value, stopScale);
    case 'stops':
      return formatStops(value);
  }
}

/** A speed in mm/s as "1.25 m/s" or "5.0 ft/s". */
export function speedText(mmPerS: number, units: UnitSystem): string {
  return units === 'metric' ? `${(mmPerS / 1000).toFixed(2)} m/s` : `${(mmPerS / MM_PER_FOOT).toFixed(1)} ft/s`;
}
