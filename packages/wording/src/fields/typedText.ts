import { formatDistance, type UnitSystem } from '@still-heron/core';
import type { ProblemText } from '../problems/problemText.js';
import { rangeText } from '../problems/ranges.js';

/** Why a distance field has limits. */
export type DistanceLimit =
  'tape' | 'ring' | 'close-focus' | 'four-focal-lengths' | 'compared' | 'floor' | 'floor-length' | 'walk' | 'heights';

const DISTANCE_LIMITS: Readonly<Record<DistanceLimit, string>> = {
  tape: 'closer than a tape can measure',
  ring: 'outside the range of the ring',
  'close-focus': 'closer than the lens can focus',
  'four-focal-lengths': 'outside four focal lengths to 20 m',
  compared: 'a distance at which one of the two can’t focus',
  floor: 'outside this floor',
  'floor-length': 'not a length on this floor',
  heights: 'less than the difference in height between the lens and the point of focus',
  walk: 'not a place to which a subject can walk',
};

/** A typed distance outside the limits of its field. Give the limit that it breaks. */
export function distanceRefusal(
  text: string,
  reason: DistanceLimit,
  broken: { readonly minMm: number } | { readonly maxMm: number },
  units: UnitSystem,
): ProblemText {
  const need =
    'minMm' in broken ? `${distanceText(broken.minMm, units)} or more` : `${distanceText(broken.maxMm, units)} or less`;
  return { message: `“${text.trim()}” is ${DISTANCE_LIMITS[reason]}`, need };
}

function distanceText(mm: number, units: UnitSystem): string {
  return mm === Infinity ? 'infinity' : formatDistance(mm, units);
}

/** Why a time field has limits. */
export type TimeLimit =
  | 'shot'
  | 'last-pull'
  | 'neighbouring-pulls'
  | 'next-pull'
  | 'beat-start'
  | 'beat-end'
  | 'key-moment'
  | 'previous-stay'
  | 'next-stay'
  | 'stay-before'
  | 'stay-after'
  | 'camera-keys'
  | 'previous-aim'
  | 'next-aim';

const TIME_LIMITS: Readonly<Record<TimeLimit, string>> = {
  shot: 'the shot ends there',
  'last-pull': 'the last pull lands at that time',
  'neighbouring-pulls': 'the pulls before and after it, and the ends of the shot, leave no more time',
  'next-pull': 'the next pull, or the end of the shot, comes there',
  'beat-start': 'the span must start before its end',
  'beat-end': 'the span must end after its start, within the shot',
  'key-moment': 'a key moment is inside its span',
  'previous-stay': 'the previous stay ends there',
  'next-stay': 'the next stay starts there',
  'stay-before': 'the subject leaves the previous place, or this one, at that time',
  'stay-after': 'the subject arrives here, or at the next place, at that time',
  'camera-keys': 'the next camera position has that time',
  'previous-aim': 'the previous aim starts there',
  'next-aim': 'the next aim is reached there',
};

/** A typed time outside the limits of its field. `print` formats seconds without a unit. */
export function timeRefusal(
  timeS: number,
  limits: { readonly minS: number; readonly maxS: number; readonly reason?: TimeLimit | undefined },
  print: (timeS: number) => string,
): ProblemText {
  const { minS, maxS, reason } = limits;
  const why = reason ? `: ${TIME_LIMITS[reason]}` : '';
  return { message: `${print(timeS)} s is out of range${why}`, need: `${print(minS)} to ${print(maxS)} s` };
}

/** Typed numbers of which one is out of range, or there are too many. */
export function numbersRefusal(
  wrong: { readonly text: string } | { readonly count: number },
  limits: { readonly min: number; readonly max: number; readonly maxCount: number },
): ProblemText {
  const message = 'text' in wrong ? `“${wrong.text}” is out of range` : `${wrong.count} numbers are too many`;
  return {
    message,
    need: `${rangeText(limits).replace('a number', 'numbers')} with spaces between them, at most ${limits.maxCount}`,
  };
}

/** Why a picture was not uploaded. */
export type PictureRefusal =
  | { readonly kind: 'not-a-picture' }
  | { readonly kind: 'too-large'; readonly megabytes: number; readonly maxMegabytes: number }
  | { readonly kind: 'rejected'; readonly by: ProblemText }
  | { readonly kind: 'unreachable' };

export function pictureRefusal(fileName: string, refusal: PictureRefusal): ProblemText {
  switch (refusal.kind) {
    case 'not-a-picture':
      return { message: `“${fileName}” is not a picture that can be used here`, need: 'a PNG, a JPEG or an SVG' };
    case 'too-large':
      return {
        message: `“${fileName}” has ${refusal.megabytes.toFixed(0)} MB`,
        need: `a picture of at most ${refusal.maxMegabytes} MB: save it smaller, or as a JPEG`,
      };
    case 'rejected':
      return { message: `“${fileName}” was not accepted: ${refusal.by.message}`, need: refusal.by.need };
    case 'unreachable':
      return { message: 'the server does not answer', need: 'the server running, then the picture again' };
  }
}
