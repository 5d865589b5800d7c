import type { DepthOfField, UnitSystem } from '@still-heron/core';
import { scaleLinear } from 'd3-scale';
import { evenTicks, type Tick } from '../../charts/ticks';
import type { Size } from '../../shared/useSize';

/** Input of the zone drawing. */
export interface ZoneScene {
  readonly focusMm: number;
  readonly zone: DepthOfField;
  readonly closeFocusMm: number;
  /** Picture height over distance: slope of the wedge; 0 at infinity */
  readonly fieldPerDistance: number;
  readonly units: UnitSystem;
}

/** Layout in pixels, with equal scale across and up. */
export interface ZoneLayout {
  readonly pxPerMm: number;
  readonly cameraX: number;
  readonly groundY: number;
  readonly eyeY: number;
  readonly rightX: number;
  /** Focused plane; null if it is outside the drawing */
  readonly focusX: number | null;
  readonly nearX: number;
  /** Right edge of the drawing if the zone continues beyond it */
  readonly farX: number;
  readonly isFarBeyond: boolean;
  readonly hyperfocalX: number | null;
  readonly figureHeightPx: number;
  /** Outline of the angle of view, as a path */
  readonly wedge: string;
  readonly ticks: readonly Tick[];
  /** Tape distance at a position, within the lens's range */
  distanceAt(x: number): number;
  x(mm: number): number;
}

export const FIGURE_MM = 1750;
export const EYE_MM = 1620;
const MARGIN = { left: 84, right: 40, top: 34, bottom: 56 };

/** Lays out the zone to scale, so that the focus and most of the zone are visible. */
export function zoneLayout(
  { focusMm, zone, closeFocusMm, fieldPerDistance, units }: ZoneScene,
  { width, height }: Size,
): ZoneLayout {
  const shownMm =
    focusMm === Infinity
      ? Math.max(zone.nearMm * 1.3, 20_000)
      : Math.max(focusMm * 1.35, Math.min(zone.farMm * 1.1, focusMm * 2.4), closeFocusMm * 2);
  const pxPerMm = Math.min(
    (width - MARGIN.left - MARGIN.right) / shownMm,
    (height - MARGIN.top - MARGIN.bottom) / (FIGURE_MM * 1.06),
  );
  const rightX = width - MARGIN.right;
  const scale = scaleLinear([0, (rightX - MARGIN.left) / pxPerMm], [MARGIN.left, rightX]);
  const groundY = height - MARGIN.bottom;
  const eyeY = groundY - EYE_MM * pxPerMm;
  const inDrawing = (mm: number) => (scale(mm) <= rightX ? scale(mm) : null);
  const reachPx = rightX - MARGIN.left;
  const half = (fieldPerDistance * reachPx) / 2;
  return {
    pxPerMm,
    cameraX: MARGIN.left,
    groundY,
    eyeY,
    rightX,
    focusX: inDrawing(focusMm),
    nearX: Math.min(scale(zone.nearMm), rightX),
    farX: inDrawing(zone.farMm) ?? rightX,
    isFarBeyond: inDrawing(zone.farMm) === null,
    hyperfocalX: inDrawing(zone.hyperfocalMm),
    figureHeightPx: FIGURE_MM * pxPerMm,
    wedge: `M${MARGIN.left},${eyeY}L${rightX},${eyeY - half}V${eyeY + half}Z`,
    ticks: evenTicks(units, scale.invert(rightX), reachPx / 60).map(({ mm, label }) => ({ at: scale(mm), label })),
    distanceAt: (x) => Math.max(scale.invert(x), closeFocusMm),
    x: (mm) => scale(mm),
  };
}
