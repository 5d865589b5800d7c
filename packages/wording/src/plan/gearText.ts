import {
  type Camera,
  formatDistance,
  formatStop,
  type GearDifference,
  gearDifferences,
  type GearPart,
  type Lens,
  missingParts,
  type Rig,
  type RingSummary,
  type ShotPlan,
  type UnitSystem,
  type Wheel,
  formatTimeFigure,
  type PlanComparison,
} from '@still-heron/core';
import { counted, figure, listed } from '../figure.js';
import { HOLD_WORDS, LENS_AUTOFOCUS_WORDS, PULLER_WORDS, RESPONSE_WORDS, SUPPORT_WORDS, TEST_WORDS } from '../kit/kitText.js';

/** Label of a field, and how its value is printed. */
type Printer<T> = readonly [label: string, print: (item: T, units: UnitSystem) => string];

/** Differences in one part of the gear of two plans, one line each: "throw: 280° → 300°". */
export function gearDifferenceLines(before: ShotPlan, after: ShotPlan, part: GearPart, units: UnitSystem): string[] {
  const lines = gearDifferences(before, after, part).flatMap((difference) => gearLine(difference, units));
  return [...new Set(lines)];
}

function gearLine(difference: GearDifference, units: UnitSystem): string[] {
  switch (difference.part) {
    case 'camera':
      return fieldLine(CAMERA_FIELDS[difference.field], difference, units);
    case 'lens':
      return fieldLine(LENS_FIELDS[difference.field], difference, units);
    case 'wheel':
      return fieldLine(WHEEL_FIELDS[difference.field], difference, units);
    case 'rig':
      return fieldLine(RIG_FIELDS[difference.field], difference, units);
    case 'ring':
      return [`ring: ${ringText(difference.was)} → ${ringText(difference.is)}`];
    case 'scale-shifted':
      return [`${difference.count} of ${difference.total} scale points changed, by up to ${difference.maxDeg.toFixed(1)}°`];
    case 'scale-added':
      return [`${counted(difference.count, 'scale point')} added`];
    case 'scale-removed':
      return [`${counted(difference.count, 'scale point')} removed`];
  }
}

/** A difference too small to be printed gives no line. */
function fieldLine<T>([label, print]: Printer<T>, { was, is }: { readonly was: T; readonly is: T }, units: UnitSystem): string[] {
  const [before, after] = [print(was, units), print(is, units)];
  return before === after ? [] : [`${label}: ${before} → ${after}`];
}

function ringText(ring: RingSummary): string {
  if (ring.kind === 'helicoid') return `throw ${figure(ring.throwDeg)}°`;
  return `${counted(ring.points, ring.kind === 'fitted' ? 'reading' : 'scale point')} over ${figure(ring.spanDeg)}°`;
}

const mm = (value: number | null) => (value === null ? 'unknown' : `${figure(value)} mm`);
const yesNo = (value: boolean) => (value ? 'yes' : 'no');

const LENS_FIELDS: { readonly [F in Exclude<keyof Lens, 'ring'>]: Printer<Lens> } = {
  name: ['name', ({ name }) => name],
  focalLengthMm: ['focal length', ({ focalLengthMm }) => mm(focalLengthMm)],
  longestMm: ['longest focal length', ({ longestMm }) => mm(longestMm)],
  stopScale: ['stop scale', ({ stopScale }) => stopScale],
  widestStop: ['widest stop', ({ widestStop, stopScale }) => formatStop(widestStop, stopScale)],
  widestStopLong: ['widest stop at the long end', ({ widestStopLong, stopScale }) => formatStop(widestStopLong, stopScale)],
  narrowestStop: ['narrowest stop', ({ narrowestStop, stopScale }) => formatStop(narrowestStop, stopScale)],
  transmittance: ['transmittance', ({ transmittance }) => figure(transmittance)],
  closeFocusMm: ['close focus', ({ closeFocusMm }, units) => formatDistance(closeFocusMm, units)],
  principalSeparationMm: ['distance between the principal planes', ({ principalSeparationMm }) => mm(principalSeparationMm)],
  nearerTurns: ['nearer turns', ({ nearerTurns }) => nearerTurns],
  response: ['ring response', ({ response }) => RESPONSE_WORDS[response].short],
  stepCount: ['steps', ({ stepCount }) => figure(stepCount)],
  reportsData: ['sends data to the camera', ({ reportsData }) => yesNo(reportsData)],
  autofocus: ['autofocus', ({ autofocus }) => LENS_AUTOFOCUS_WORDS[autofocus]],
  squeeze: ['squeeze', ({ squeeze }) => figure(squeeze)],
  breathingPercent: ['breathing', ({ breathingPercent }) => `${figure(breathingPercent)} %`],
  holdsFocus: ['focus while zooming', ({ holdsFocus }) => HOLD_WORDS[holdsFocus]],
  frontDiameterMm: ['front diameter', ({ frontDiameterMm }) => mm(frontDiameterMm)],
  ringDiameterMm: ['ring diameter', ({ ringDiameterMm }) => mm(ringDiameterMm)],
  gear: ['gear', ({ gear }) => gear || 'none'],
};

const SENSOR: Printer<Camera> = [
  'sensor',
  ({ sensorWidthMm, sensorHeightMm }) => `${figure(sensorWidthMm)} × ${figure(sensorHeightMm)} mm`,
];

const CAMERA_FIELDS: { readonly [F in keyof Camera]: Printer<Camera> } = {
  name: ['name', ({ name }) => name],
  mode: ['recording mode', ({ mode }) => mode || 'none'],
  sensorWidthMm: SENSOR,
  sensorHeightMm: SENSOR,
  photositesWide: ['pixels across the sensor', ({ photositesWide }) => figure(photositesWide)],
  steadyingCropPercent: ['steadying crop', ({ steadyingCropPercent }) => `${figure(steadyingCropPercent)} %`],
  fastestFps: ['highest frame rate', ({ fastestFps }) => (fastestFps === null ? 'unknown' : figure(fastestFps))],
  frameRates: ['frame rates', ({ frameRates }) => frameRates.map(figure).join(', ') || 'unknown'],
  autofocusAreaPercent: [
    'autofocus area',
    ({ autofocusAreaPercent }) => (autofocusAreaPercent === null ? 'unknown' : `${figure(autofocusAreaPercent)} % of the width`),
  ],
  autofocusRolling: ['autofocus while rolling', ({ autofocusRolling }) => TEST_WORDS[autofocusRolling]],
};

const WHEEL_FIELDS: { readonly [F in keyof Wheel]: Printer<Wheel> } = {
  name: ['name', ({ name }) => name],
  kind: ['kind', ({ kind }) => kind],
  wheelPerRing: ['wheel turn per ring turn', ({ wheelPerRing }) => figure(wheelPerRing)],
  turns: ['direction', ({ turns }) => (turns === 'same' ? 'as the ring' : 'opposite to the ring')],
  discDiameterMm: ['marking disc', ({ discDiameterMm }) => mm(discDiameterMm)],
  hasEndStops: ['hard stops', ({ hasEndStops }) => yesNo(hasEndStops)],
  comfortableDeg: ['comfortable turn', ({ comfortableDeg }) => `${figure(comfortableDeg)}°`],
  fastestDegPerS: [
    'top speed',
    ({ fastestDegPerS }) => (fastestDegPerS === null ? 'of the hand' : `${figure(fastestDegPerS)}°/s`),
  ],
  notes: ['notes', ({ notes }) => notes || 'none'],
};

const RIG_FIELDS: { readonly [F in keyof Rig]: Printer<Rig> } = {
  name: ['name', ({ name }) => name],
  support: ['support', ({ support }) => SUPPORT_WORDS[support]],
  puller: ['who pulls', ({ puller }) => PULLER_WORDS[puller]],
  display: ['display', ({ display }) => display || 'unknown'],
  displayInches: ['display size', ({ displayInches }) => (displayInches === null ? 'unknown' : `${figure(displayInches)} in`)],
  displayIsCabled: ['display on a cable', ({ displayIsCabled }) => yesNo(displayIsCabled)],
  weightKg: ['weight', ({ weightKg }) => (weightKg === null ? 'unknown' : `${figure(weightKg)} kg`)],
  parts: [
    'parts',
    (rig) => {
      const names = rig.parts.map(({ name }) => name).join(', ') || 'none';
      const missing = missingParts(rig).join(', ');
      return missing ? `${names} (missing: ${missing})` : names;
    },
  ],
  notes: ['notes', ({ notes }) => notes || 'none'],
};

/** Effect of an update in a sentence: sharp time, and shifts of marks. */
export function gearEffectText({ sharpBeforeS, sharpAfterS, marks }: PlanComparison, plan: ShotPlan, after: ShotPlan): string {
  const parts: string[] = [];
  if (sharpBeforeS !== null && sharpAfterS !== null)
    parts.push(
      Math.abs(sharpAfterS - sharpBeforeS) < 0.05
        ? `sharp for ${formatTimeFigure(sharpAfterS)} s as before`
        : `sharp ${formatTimeFigure(sharpBeforeS)} s → ${formatTimeFigure(sharpAfterS)} s`,
    );
  const moved = marks.filter(({ beforeDeg, afterDeg }) => Math.abs(afterDeg - beforeDeg) >= 0.05);
  const [most] = [...moved].sort((a, b) => Math.abs(b.afterDeg - b.beforeDeg) - Math.abs(a.afterDeg - a.beforeDeg));
  const where = (after.wheel ?? plan.wheel) ? 'wheel' : 'ring';
  if (most) parts.push(`${most.letter} moves from ${most.beforeDeg.toFixed(1)}° to ${most.afterDeg.toFixed(1)}° of the ${where}`);
  const stale = after.marks.filter((mark, index) => mark.stale !== null && plan.marks[index]?.stale === null).length;
  if (stale > 0) parts.push(`${stale} ${stale === 1 ? 'distance' : 'distances'} to measure again`);
  return parts.length === 0 ? 'It would change nothing in this shot.' : `In this shot: ${parts.join(', ')}.`;
}

/** Parts of a shot's gear that differ from the kit. */
export function kitChangedText(parts: readonly GearPart[]): string {
  return `Kit has changed: ${listed(parts)}`;
}
