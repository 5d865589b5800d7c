import {
  type LensSetup,
  depthOfField,
  formatGap,
  formatStop,
  fNumberOf,
  MM_PER_FOOT,
  MM_PER_INCH,
  ringOf,
  stopsAt,
  type UnitSystem,
  zoneLensOf,
  type ZoneLens,
} from '@still-heron/core';
import { scaleLog, scaleSymlog } from 'd3-scale';
import { area, line } from 'd3-shape';
import { apart } from '../../charts/labels';
import { distanceTicks, type Tick } from '../../charts/ticks';
import type { Size } from '../../shared/useSize';

export interface DepthCurve {
  readonly stop: number;
  readonly label: string;
  readonly isHere: boolean;
  /** Depth of the zone behind and in front of the plane of focus, as paths */
  readonly behind: string;
  readonly front: string;
  readonly labelX: number;
  readonly labelY: number;
}

/** Layout in pixels: focus distance across, depth behind upward, depth in front downward. */
export interface DepthLayout {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  readonly zeroY: number;
  readonly curves: readonly DepthCurve[];
  readonly zone: string;
  readonly xTicks: readonly Tick[];
  readonly yTicks: readonly Tick[];
  x(mm: number): number;
  y(mm: number): number;
  distanceAt(x: number): number;
}

const MARGIN = { left: 74, right: 64, top: 26, bottom: 40 };
const STEPS = 80;
/** Largest depth that is drawn. */
const MAX_DEPTH_MM = 30_000;
const METRIC_GAPS = [10, 50, 100, 500, 1000, 5000, 20_000];
const IMPERIAL_GAPS = [
  MM_PER_INCH / 2,
  2 * MM_PER_INCH,
  6 * MM_PER_INCH,
  2 * MM_PER_FOOT,
  6 * MM_PER_FOOT,
  20 * MM_PER_FOOT,
  60 * MM_PER_FOOT,
];

/** Lays out the depth of the zone over distance, for the stops of the lens. */
export function depthLayout(setup: LensSetup, units: UnitSystem, { width, height }: Size): DepthLayout {
  const { lens, stop } = setup;
  const ring = ringOf(lens);
  const nearestMm = Math.max(ring.closeFocusMm, 4 * setup.focalLengthMm + lens.principalSeparationMm);
  const farthestMm = Math.max(Math.min(ring.farthestMm, 30_000), nearestMm * 4);
  const [left, right, top, bottom] = [MARGIN.left, width - MARGIN.right, MARGIN.top, height - MARGIN.bottom];
  const x = scaleLog([nearestMm, farthestMm], [left, right]);
  const glass = zoneLensOf(setup);
  const stops = shownStops(stopsAt(lens, setup.focalLengthMm), stop);
  const samples = stops.map((shown) => depthSamples({ ...glass, fNumber: fNumberOf(lens, shown) }, nearestMm, farthestMm));
  const mostFront = Math.max(...samples.flat().map(({ inFrontMm }) => inFrontMm));
  const mostBehind = Math.min(Math.max(...samples.flat().map(({ behindMm }) => behindMm)), MAX_DEPTH_MM);
  const y = scaleSymlog([-mostFront * 1.15, mostBehind], [bottom, top])
    .constant(25)
    .clamp(true);
  const lineOf = (value: (sample: DepthSample) => number) =>
    line<DepthSample>(
      (sample) => x(sample.mm),
      (sample) => y(value(sample)),
    );
  const curves = stops.map((shown, index): DepthCurve => {
    const own = samples[index]!;
    return {
      stop: shown,
      label: formatStop(shown, lens.stopScale),
      isHere: Math.abs(shown - stop) < 1e-9,
      behind: lineOf(({ behindMm }) => behindMm)(own.filter(({ behindMm }) => behindMm <= mostBehind)) ?? '',
      front: lineOf(({ inFrontMm }) => -inFrontMm)(own) ?? '',
      labelX: right + 8,
      labelY: y(-own[STEPS]!.inFrontMm),
    };
  });
  const here = samples[stops.findIndex((shown) => Math.abs(shown - stop) < 1e-9)]!;
  const zone =
    area<DepthSample>()
      .x((sample) => x(sample.mm))
      .y0((sample) => y(-sample.inFrontMm))
      .y1((sample) => y(sample.behindMm))(here) ?? '';
  return {
    left,
    right,
    top,
    bottom,
    zeroY: y(0),
    zone,
    curves: apart(
      curves.map((curve) => ({ ...curve, y: curve.labelY })),
      17,
      bottom,
    ).map(({ labelY, y: _, ...curve }) => ({ ...curve, labelY })),
    xTicks: distanceTicks(units, (mm) => (mm >= nearestMm && mm <= farthestMm ? x(mm) : NaN), 52),
    yTicks: depthTicks(units, -mostFront * 1.1, mostBehind, y),
    x: (mm) => x(mm),
    y: (mm) => y(mm),
    distanceAt: (px) => Math.min(Math.max(x.invert(px), nearestMm), farthestMm),
  };
}

/** Depth of the zone at one focus distance. */
interface DepthSample {
  readonly mm: number;
  readonly inFrontMm: number;
  readonly behindMm: number;
}

/** Samples between two distances, evenly spaced in their logarithm. */
function depthSamples(lens: ZoneLens, nearestMm: number, farthestMm: number): DepthSample[] {
  return Array.from({ length: STEPS + 1 }, (_, k) => {
    const mm = nearestMm * (farthestMm / nearestMm) ** (k / STEPS);
    const { inFrontMm, behindMm } = depthOfField({ ...lens, focusDistanceMm: mm });
    return { mm, inFrontMm, behindMm: Math.min(behindMm, 4 * MAX_DEPTH_MM) };
  });
}

function depthTicks(units: UnitSystem, lowMm: number, highMm: number, y: (mm: number) => number): Tick[] {
  const gaps = units === 'metric' ? METRIC_GAPS : IMPERIAL_GAPS;
  const ticks = [...gaps.map((mm) => -mm), 0, ...gaps]
    .filter((mm) => mm >= lowMm && mm <= highMm)
    .map((mm) => ({ at: y(mm), label: mm === 0 ? 'focus' : formatGap(mm, units) }));
  return spaced(ticks, 20);
}

/** Full stops and the current stop; more lines could not be told apart. */
function shownStops(scale: readonly number[], here: number): number[] {
  const whole = scale.filter((_, index) => index % 3 === 0 || index === scale.length - 1);
  return [...new Set([...whole, here])].sort((a, b) => a - b);
}

function spaced(ticks: readonly Tick[], gapPx: number): Tick[] {
  const zero = ticks.find(({ label }) => label === 'focus');
  const kept: Tick[] = zero ? [zero] : [];
  for (const tick of ticks) if (kept.every(({ at }) => Math.abs(at - tick.at) >= gapPx)) kept.push(tick);
  return kept;
}
