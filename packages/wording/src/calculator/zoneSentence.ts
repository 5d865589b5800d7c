import {
  type DepthOfField,
  displayStepMm,
  formatDistance,
  formatFineDistance,
  formatGap,
  formatStop,
  formatStops,
  type StopScale,
  type UnitSystem,
} from '@still-heron/core';
import type { SentencePart } from '../sentence.js';

interface ZoneAt {
  readonly zone: DepthOfField;
  readonly focusMm: number;
  readonly stop: number;
  readonly stopScale: StopScale;
}

/** The zone of Set-up: its limits, and its depth in front of the focus distance and behind it. */
export function zoneSentence({ zone, focusMm, stop, stopScale }: ZoneAt, units: UnitSystem): SentencePart[] {
  // a zone thinner than the tape's step is shown to a tenth of a millimetre
  const limit = zone.totalMm < 5 * displayStepMm(zone.farMm, units) ? formatFineDistance : formatDistance;
  const far = zone.farMm === Infinity ? 'infinity' : limit(zone.farMm, units);
  const focus = focusMm === Infinity ? 'infinity' : formatDistance(focusMm, units);
  const behind = zone.behindMm === Infinity ? 'everything behind' : `${formatGap(zone.behindMm, units)} behind`;
  return [
    { tone: 'sharp', text: `Sharp from ${limit(zone.nearMm, units)} to ${far}` },
    {
      tone: 'plain',
      text: `at ${formatStop(stop, stopScale)}, focused at ${focus}: ${formatGap(zone.inFrontMm, units)} in front, ${behind}.`,
    },
  ];
}

/** The zone at one distance of the depth view, and how it is divided. */
export function depthSentence({ zone, focusMm, stop, stopScale }: ZoneAt, units: UnitSystem): SentencePart[] {
  const isEndless = zone.behindMm === Infinity;
  const behind = isEndless ? 'everything' : formatGap(zone.behindMm, units);
  const share = isEndless ? '' : `: ${Math.round((100 * zone.inFrontMm) / zone.totalMm)} % of the zone lies in front`;
  return [
    { tone: 'sharp', text: `${formatGap(zone.inFrontMm, units)} in front, ${behind} behind` },
    { tone: 'plain', text: `at ${formatDistance(focusMm, units)} and ${formatStop(stop, stopScale)}${share}.` },
  ];
}

/** A difference from the meter below this is exposed as metered, in stops. */
export const AS_METERED_STOPS = 1 / 6;

/**
 * Light at a stop against the meter.
 *
 * @param missingStops - stops too dark, negative if too bright; null before the light is metered
 */
export function meterSentence(missingStops: number | null, tStop: number, meteredStop: number | null): SentencePart[] {
  if (missingStops === null || meteredStop === null)
    return [
      {
        tone: 'plain',
        text: 'Meter the light with these settings and type the stop. The effect of the chosen stop appears here.',
      },
    ];
  if (Math.abs(missingStops) < AS_METERED_STOPS)
    return [{ tone: 'sharp', text: `As metered: ${formatStop(tStop, 'T')} needs no correction.` }];
  return [
    {
      tone: missingStops > 0 ? 'edge' : 'sharp',
      text: `${formatStops(missingStops)} ${missingStops > 0 ? 'too dark' : 'too bright'}`,
    },
    {
      tone: 'plain',
      text: `at ${formatStop(tStop, 'T')} instead of the metered ${formatStop(meteredStop, 'T')}. Correct it by one of these, or by several in part.`,
    },
  ];
}

/** Which parts of a face are sharp with focus on the near eye. */
export function faceText(isNoseSharp: boolean, isEarSharp: boolean): string {
  if (isNoseSharp && isEarSharp) return 'nose, eye and ear are sharp';
  if (isNoseSharp) return 'nose and eye are sharp, the ear is soft';
  return isEarSharp ? 'eye and ear are sharp, the nose is soft' : 'only the eye is sharp: nose and ear are soft';
}
