import { heldOnRing, type LensRing, nearSign, withinReach } from '@still-heron/core';

/** Vertical axis of the chart: far at the top, near at the bottom. */
export interface AxisScale {
  /** Pixels for a tape distance, clamped to the edges */
  y(mm: number): number;
  /** Pixels for a ring angle */
  yOfRing(ringDeg: number): number;
  /** Tape distance at a height, within the ring's range */
  distanceAt(y: number): number;
}

export interface AxisDomain {
  /** Value at the top */
  readonly far: number;
  /** Value at the bottom */
  readonly near: number;
}

/** Margin above and below the visible range, as a share of it. */
const PAD = 0.14;
/** Margins in zone widths: around a single mark or marks within one zone, and around distant marks. */
const ZONES_AROUND = { alone: 1.4, apart: 0.6 };

/**
 * Visible range of the axis: all given distances with a margin.
 *
 * @param distancesMm - at least one; Infinity allowed
 * @param widthOf - width of the zone around a distance, on this axis
 */
export function axisDomain(
  axis: 'hand' | 'distance',
  ring: LensRing,
  distancesMm: readonly number[],
  zoneOf: (mm: number) => { nearMm: number; farMm: number },
): AxisDomain {
  const value = valueOn(axis, ring);
  const values = distancesMm.map((mm) => value(withinReach(ring, mm)));
  // a linear axis has no place for infinity: it is drawn at the top edge
  const finite = values.filter(Number.isFinite);
  const shown = finite.length > 0 ? finite : [value(10_000)];
  const low = Math.min(...shown);
  const high = Math.max(...shown);
  const zones = distancesMm.filter(Number.isFinite).map((mm) => {
    const { nearMm, farMm } = zoneOf(withinReach(ring, mm));
    return Math.min(
      Math.abs(value(farMm === Infinity ? mm * 2 : farMm) - value(nearMm)),
      Math.abs(value(mm) - value(nearMm)) * 3,
    );
  });
  const zone = Math.max(0, ...zones);
  const pad = Math.max((high - low) * PAD, zone * (high - low < 2 * zone ? ZONES_AROUND.alone : ZONES_AROUND.apart), 1e-6);
  if (axis === 'distance') return { far: high + pad * (finite.length < values.length ? 3 : 1), near: Math.max(0, low - pad) };
  const [end, otherEnd] = [value(ring.farthestMm), value(ring.closeFocusMm)];
  const slack = Math.abs(otherEnd - end) * 0.01;
  return { far: Math.max(low - pad, end - slack), near: Math.min(high + pad, otherEnd + slack) };
}

/** Axis value of a distance; grows towards near on the hand's axis, towards far on the linear axis. */
function valueOn(axis: 'hand' | 'distance', ring: LensRing): (mm: number) => number {
  if (axis === 'distance') return (mm) => mm;
  const sign = nearSign(ring);
  return (mm) => sign * ring.angleAt(withinReach(ring, mm));
}

/** Scale from an axis range to two heights in pixels. */
export function axisScale(
  axis: 'hand' | 'distance',
  ring: LensRing,
  { far, near }: AxisDomain,
  { topY, bottomY }: { readonly topY: number; readonly bottomY: number },
): AxisScale {
  const pxPerUnit = (bottomY - topY) / (near - far);
  const place = (value: number) => Math.min(Math.max(topY + (value - far) * pxPerUnit, topY), bottomY);
  const valueAt = (y: number) => far + (Math.min(Math.max(y, topY), bottomY) - topY) / pxPerUnit;
  if (axis === 'distance') {
    const y = (mm: number) => (mm === Infinity ? topY : place(mm));
    return { y, yOfRing: (ringDeg) => y(ring.distanceAt(ringDeg)), distanceAt: (height) => withinReach(ring, valueAt(height)) };
  }
  const sign = nearSign(ring);
  return {
    y: (mm) => place(sign * ring.angleAt(withinReach(ring, mm))),
    yOfRing: (ringDeg) => place(sign * ringDeg),
    distanceAt: (height) => ring.distanceAt(heldOnRing(ring, sign * valueAt(height))),
  };
}
