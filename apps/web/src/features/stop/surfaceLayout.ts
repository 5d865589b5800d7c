import type { KeepRate, StopFigures } from '@still-heron/core';
import { scaleLinear, scaleLog } from 'd3-scale';

/** A lane of the surface in pixels. */
export interface Lane {
  readonly top: number;
  readonly height: number;
}

/** Disc of a blur in pixels, limited by its lane. */
export interface BlurDisc {
  readonly x: number;
  readonly diameter: number;
  readonly percent: number;
  readonly isCut: boolean;
}

export interface SurfaceLayout {
  readonly left: number;
  readonly right: number;
  readonly keep: Lane;
  readonly light: Lane;
  readonly behind: Lane;
  readonly front: Lane | null;
  readonly xs: readonly number[];
  x(stop: number): number;
  y(share: number): number;
  nearest(px: number): number;
  /** Areas below and above the keep-rate curve, and the mean sharpness; empty until every stop is known */
  readonly keptArea: string;
  readonly lostArea: string;
  readonly keptLine: string;
  readonly sharpLine: string;
  readonly discs: readonly BlurDisc[];
  readonly frontDiscs: readonly BlurDisc[];
  /** Position of an exposure difference in its lane; 0 until metered */
  lightY(stops: number): number;
  /** From here on diffraction exceeds the circle of confusion; null if it never does */
  readonly diffractedFromX: number | null;
}

/** Room for lane names, and right of the last stop. */
const LEFT = 98;
const RIGHT = 30;
/** Room above the lanes for the figure, and below them for the stops. */
export const HEAD = 30;
export const FOOT = 30;
const LIGHT = 44;
const BLUR = 54;
/** Exposure differences are clamped to this. */
const MAX_LIGHT_STOPS = 5;

/** Layout of the surface: stops across, with keep rate, exposure, background and foreground blur. */
export function surfaceLayout(
  stops: readonly number[],
  rates: readonly (KeepRate | null)[],
  figures: readonly StopFigures[],
  size: { readonly width: number; readonly height: number },
): SurfaceLayout {
  const { width, height } = size;
  const hasFront = figures.some(({ foreground }) => foreground !== null);
  const [left, right] = [LEFT, width - RIGHT];
  const x = scaleLog([stops[0]!, stops.at(-1)!], [left + 14, right - 14]);
  const foot = height - FOOT;
  const front = hasFront ? { top: foot - BLUR, height: BLUR } : null;
  const behind = { top: (front?.top ?? foot) - BLUR, height: BLUR };
  const light = { top: behind.top - LIGHT, height: LIGHT };
  const keep = { top: HEAD, height: light.top - HEAD - 6 };
  const y = scaleLinear([0, 1], [keep.top + keep.height, keep.top]);
  const lightY = scaleLinear([-MAX_LIGHT_STOPS, MAX_LIGHT_STOPS], [light.top + light.height - 6, light.top + 6]).clamp(true);
  const xs = stops.map((stop) => (stops.length === 1 ? (left + right) / 2 : x(stop)));
  const isWhole = rates.length === stops.length && rates.every((rate) => rate !== null);
  const points = (of: (rate: KeepRate) => number) => (isWhole ? xs.map((px, k) => `${px},${y(of(rates[k]!))}`) : []);
  const kept = points(({ keepRate }) => keepRate);
  const along = (edge: number) => `L${xs.at(-1)!},${edge}L${xs[0]!},${edge}Z`;
  const path = (line: readonly string[]) => (line.length === 0 ? '' : `M${line.join('L')}`);
  // as in a picture as wide as the surface
  const disc = (percent: number, px: number): BlurDisc => {
    const diameter = (percent / 100) * (right - left);
    return { x: px, diameter: Math.min(diameter, BLUR - 8), percent, isCut: diameter > BLUR - 8 };
  };
  const diffracted = figures.findIndex(({ airyCircles }) => airyCircles > 1);
  const startOf = (index: number) => (index === 0 ? left : (xs[index - 1]! + xs[index]!) / 2);
  return {
    left,
    right,
    keep,
    light,
    behind,
    front,
    xs,
    x: (stop) => (stops.length === 1 ? xs[0]! : x(stop)),
    y,
    nearest: (px) => stops[xs.reduce((best, one, k) => (Math.abs(one - px) < Math.abs(xs[best]! - px) ? k : best), 0)]!,
    keptArea: kept.length === 0 ? '' : `${path(kept)}${along(keep.top + keep.height)}`,
    lostArea: kept.length === 0 ? '' : `${path(kept)}${along(keep.top)}`,
    keptLine: path(kept),
    sharpLine: path(points(({ sharpShare }) => sharpShare)),
    discs: figures.map(({ backgroundPercent }, k) => disc(backgroundPercent, xs[k]!)),
    frontDiscs: figures.flatMap(({ foreground }, k) => (foreground ? disc(foreground.percent, xs[k]!) : [])),
    lightY: (by) => lightY(by),
    diffractedFromX: diffracted < 0 ? null : startOf(diffracted),
  };
}
