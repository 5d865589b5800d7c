import { MM_PER_INCH, MM_PER_METRE, type UnitSystem } from './unitSystem.js';

/** Coarser display steps for larger distances: a tape can't be read finer there. */
const METRIC_STEPS = [
  { belowMm: 1_000, stepMm: 1, decimals: 3 },
  { belowMm: 100_000, stepMm: 10, decimals: 2 },
  { belowMm: Infinity, stepMm: 100, decimals: 1 },
] as const;
const IMPERIAL_STEPS = [
  { belowMm: 5 * 12 * MM_PER_INCH, perInch: 4 },
  { belowMm: 20 * 12 * MM_PER_INCH, perInch: 2 },
  { belowMm: Infinity, perInch: 1 },
] as const;

const FRACTIONS: Readonly<Record<string, string>> = { '1/4': '¼', '2/4': '½', '3/4': '¾', '1/2': '½' };

/** Smallest displayed step at a distance in mm: the arrow keys change a value by it. */
export function displayStepMm(distanceMm: number, units: UnitSystem): number {
  return units === 'metric' ? metricStep(distanceMm).stepMm : MM_PER_INCH / imperialStep(distanceMm).perInch;
}

/**
 * Formats a tape distance: `2.40 m`, `0.455 m`, `7' 11½"`, `∞`. `parseDistance` reads the result back to the displayed
 * precision.
 *
 * @param distanceMm - at least 0; Infinity allowed
 */
export function formatDistance(distanceMm: number, units: UnitSystem): string {
  const figure = formatDistanceFigure(distanceMm, units);
  return units === 'metric' && distanceMm !== Infinity ? `${figure} m` : figure;
}

/** Like `formatDistance` without the unit, for places that name the unit once for many figures. */
export function formatDistanceFigure(distanceMm: number, units: UnitSystem): string {
  if (distanceMm === Infinity) return '∞';
  return units === 'metric' ? metres(distanceMm) : feetAndInches(distanceMm);
}

/**
 * Like `formatDistance` but finer, for close-up where the zone is thinner than the usual step.
 *
 * @example 1448.6 mm is `1.4486 m`
 */
export function formatFineDistance(distanceMm: number, units: UnitSystem): string {
  if (distanceMm === Infinity) return '∞';
  if (units === 'metric') return `${(distanceMm / MM_PER_METRE).toFixed(4)} m`;
  // hundredths of an inch in whole numbers: 11.996" must not be printed as 12.00"
  const hundredths = Math.round((distanceMm / MM_PER_INCH) * 100);
  const feet = Math.floor(hundredths / 1200);
  const rest = `${((hundredths - 1200 * feet) / 100).toFixed(2)}"`;
  return feet === 0 ? rest : `${feet}' ${rest}`;
}

/**
 * Formats a difference of distances without its sign: `14 cm`, `4 mm`, `1.20 m`, `5½"`, `1' 2"`. Below a quarter inch, in
 * hundredths of an inch.
 */
export function formatGap(gapMm: number, units: UnitSystem): string {
  const size = Math.abs(gapMm);
  if (size === Infinity) return 'without limit';
  if (units === 'metric') {
    if (size < 9.95) return `${size < 0.95 ? size.toFixed(1) : size.toFixed(0)} mm`;
    if (size < 99.5) return `${(size / 10).toFixed(1)} cm`;
    if (size < 995) return `${(size / 10).toFixed(0)} cm`;
    return `${(size / MM_PER_METRE).toFixed(size < 9_995 ? 2 : 1)} m`;
  }
  if (size < MM_PER_INCH / 4) return `${(size / MM_PER_INCH).toFixed(2)}"`;
  return feetAndInches(size);
}

function metricStep(distanceMm: number) {
  return METRIC_STEPS.find((step) => distanceMm < step.belowMm) ?? METRIC_STEPS[2];
}

function imperialStep(distanceMm: number) {
  return IMPERIAL_STEPS.find((step) => distanceMm < step.belowMm) ?? IMPERIAL_STEPS[2];
}

function metres(distanceMm: number): string {
  const step = metricStep(distanceMm);
  const roundedMm = Math.round(distanceMm / step.stepMm) * step.stepMm;
  // 0.9996 m rounds up into the next range and is formatted with that range's decimals
  return (roundedMm / MM_PER_METRE).toFixed(metricStep(roundedMm).decimals);
}

function feetAndInches(distanceMm: number): string {
  const { perInch } = imperialStep(distanceMm);
  const parts = Math.round((distanceMm / MM_PER_INCH) * perInch);
  const inches = Math.floor(parts / perInch);
  const fraction = FRACTIONS[`${parts % perInch}/${perInch}`] ?? '';
  const feet = Math.floor(inches / 12);
  const rest = inches % 12;
  const inchText = `${rest === 0 && fraction ? '' : rest}${fraction}"`;
  if (feet === 0) return inchText;
  return `${feet}' ${inchText}`;
}
