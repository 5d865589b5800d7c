import {
  formatStop,
  frameRateFigures,
  isSimulated,
  type RankedSpan,
  type Repair,
  screenTimeS,
  spanWords,
  type StopScale,
  type Take,
  usableSpansOf,
} from '@still-heron/core';
import { counted } from '../figure.js';
import { lookText, recoveryLines } from './detailsText.js';
import { faultLines, type PlaceNames } from './findingText.js';
import { focusText, RING_SOURCE_WORDS, TIMECODE_SOURCE_WORDS } from './takeText.js';

/** How a take was repaired in the edit. */
export const REPAIR_WORDS: Readonly<Record<Repair, string>> = {
  reversed: 'played backwards',
  'focus-check-cut': 'focus check cut out',
  retimed: 'speed changed',
  'blur-added': 'blur added',
};

export const NO_TAKES = 'No take has been logged yet.';

export function reportTitle(production: string): string {
  return `${production}: takes for the editor`;
}

/** "Takes for the editor, 2026-03-01. 3 takes, 2 usable, 1 repaired." */
export function reportSummary(
  madeAt: Date,
  takes: { readonly all: number; readonly usable: number; readonly repaired: number },
): string {
  const { all, usable, repaired } = takes;
  return `Takes for the editor, ${madeAt.toISOString().slice(0, 10)}. ${counted(all, 'take')}, ${usable} usable, ${repaired} repaired.`;
}

/** Numbers that are not in a report: "Not here: takes 2 and 5, deleted or simulated." Empty if all are. @param numbers - in order */
export function reportMissing(numbers: readonly number[]): string {
  const missing = Array.from({ length: numbers.at(-1) ?? 0 }, (_, at) => at + 1).filter((number) => !numbers.includes(number));
  if (missing.length === 0) return '';
  const before = missing.slice(0, -1).join(', ');
  const list = before ? `takes ${before} and ${missing.at(-1)}` : `take ${missing.at(-1)}`;
  return `Not here: ${list}, deleted or simulated.`;
}

/** Frame rates of a shot, and how long a second lasts on screen. */
export function reportFrameRates(captureFps: number, deliveryFps: number): string {
  const { stretch } = frameRateFigures(captureFps, deliveryFps);
  const played = `, played back at ${deliveryFps}: one second lasts ${Number(stretch.toFixed(2))} s on screen`;
  return `${captureFps} fps${stretch === 1 ? '' : played}`;
}

/** One of the best spans: its rank, place in the take, and time on screen. */
export function reportSpan(
  index: number,
  span: RankedSpan,
  take: Omit<Take, 'track'>,
  { captureFps, deliveryFps }: { readonly captureFps: number; readonly deliveryFps: number },
): string {
  const onScreen = screenTimeS(span.lengthS, captureFps, deliveryFps).toFixed(1);
  return `${index + 1}.  take ${span.number}   ${spanWords(span, take)}   ${onScreen} s on screen`;
}

/** Heading of a take: when it was rolled (ISO 8601), its grades, and whether it was cut short or shot reversed. */
export function reportTakeHead(number: number, rolledAt: string, take: Omit<Take, 'track'>): string {
  const parts = [
    `Take ${number}`,
    `${rolledAt.slice(0, 10)} ${rolledAt.slice(11, 16)} UTC`,
    take.isCircled && 'circled',
    take.isNoGood && 'NO GOOD',
    focusText(take),
    take.performance && `performance ${take.performance}`,
    take.isCutShort && 'cut short',
    take.alternate && `alternate ${take.alternate}`,
    isSimulated(take) && 'SIMULATED',
    take.gear.isReversed && 'SHOT REVERSED',
  ];
  return parts.filter(Boolean).join(', ');
}

/** Details of a take, one line each. */
export function reportTakeLines(take: Omit<Take, 'track'>, stopScale: StopScale, names: PlaceNames): string[] {
  const { gear, focusChecks, repairs } = take;
  const spans = (list: readonly Parameters<typeof spanWords>[0][]) => list.map((span) => spanWords(span, take)).join('; ');
  const usable = usableSpansOf(take);
  const faults = faultLines(take, names);
  const recoveries = recoveryLines(take);
  const lines = [
    `${gear.lens}, ${formatStop(gear.stop, stopScale)}, ${gear.camera}${gear.puller ? `, pulled by ${gear.puller}` : ''}; ring: ${RING_SOURCE_WORDS[take.ringFrom]}`,
    usable.length > 0 && `use ${spans(usable)}`,
    focusChecks.length > 0 && `cut out ${spans([...focusChecks])}: focus check`,
    faults.length > 0 && `focus: ${faults.join(', ')}`,
    take.clip && `file ${take.clip}`,
    take.startTimecode && `timecode ${take.startTimecode}, ${TIMECODE_SOURCE_WORDS[take.timecodeFrom]}`,
    repairs.length > 0 && `repairs: ${repairs.map((repair) => REPAIR_WORDS[repair]).join(', ')}`,
    take.whyKept && `kept although soft: ${take.whyKept}`,
    take.note && take.note !== take.whyKept && take.note,
    recoveries.length > 0 && `lost and back: ${recoveries.join('; ')}`,
    take.checkedOn &&
      `checked ${lookText({ on: take.checkedOn, magnification: take.checkMagnification, confidence: take.checkConfidence })}`,
    take.earlierLooks.length > 0 && `looked at before ${take.earlierLooks.map((look) => lookText(look)).join('; ')}`,
  ];
  return lines.filter((line): line is string => Boolean(line));
}
