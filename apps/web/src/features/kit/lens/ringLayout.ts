import { fitHelicoid, type Lens, type LensRing, type RingPoint, ringOf, type UnitSystem } from '@still-heron/core';
import { distanceTicks } from '../../../charts/ticks';

/** Input of the ring drawing. */
export interface RingScene {
  readonly lens: Lens;
  /** Typed points: those of the lens, or an invalid draft */
  readonly points: readonly RingPoint[];
  /** Indices in `points` of invalid ones */
  readonly wrong: ReadonlySet<number>;
  /** Ring angle under the witness mark */
  readonly atDeg: number;
  /** Zone at that distance, as ring angles */
  readonly windowDeg: readonly [number, number] | null;
  readonly units: UnitSystem;
}

export interface RingTick {
  readonly label: string;
  readonly x: number;
  readonly y: number;
  readonly inner: readonly [number, number];
  readonly outer: readonly [number, number];
}

export interface RingPip {
  readonly index: number;
  readonly x: number;
  readonly y: number;
  /** Fitted position on a helicoid; null without a fit */
  readonly fitted: readonly [number, number] | null;
  readonly standsOut: boolean;
  readonly isWrong: boolean;
  readonly residualDeg: number | null;
}

/** Layout in pixels: the ring from behind the camera, witness mark on top. */
export interface RingLayout {
  readonly centre: readonly [number, number];
  readonly radius: number;
  /** Below 1 if a ring with more than one turn is compressed */
  readonly scale: number;
  readonly scaleArc: string;
  readonly windowArc: string | null;
  readonly ticks: readonly RingTick[];
  readonly pips: readonly RingPip[];
  /** Bars across the rim at both ends */
  readonly ends: readonly string[];
  /** Arrow along the rim in the direction of nearer focus */
  readonly arrow: { readonly path: string; readonly head: string; readonly x: number; readonly y: number };
  /** Ring angle after a drag around the centre */
  turned(from: readonly [number, number], to: readonly [number, number]): number;
}

/** Longest scale that is not compressed, so that its ends do not overlap. */
const FULL_DEG = 326;
const LABEL_GAP_PX = 52;

/** Lays out the ring in a square. */
export function ringLayout({ lens, points, wrong, atDeg, windowDeg, units }: RingScene, sizePx: number): RingLayout {
  const ring = ringOf(lens);
  const { farDeg, nearDeg } = endsOf(ring);
  const scale = Math.min(1, FULL_DEG / ring.throwDeg);
  const centre = [sizePx / 2, sizePx / 2] as const;
  const radius = sizePx / 2 - 46;
  // if clockwise is nearer, nearer marks lie to the left of the witness mark
  const sense = (lens.nearerTurns === 'clockwise' ? -1 : 1) * Math.sign(nearDeg - farDeg) * scale;
  const screenDeg = (ringDeg: number) => (ringDeg - atDeg) * sense;
  const place = (ringDeg: number, r: number) => polar(centre, r, screenDeg(ringDeg));
  const arc = (fromDeg: number, toDeg: number, r: number) => arcPath(centre, r, screenDeg(fromDeg), screenDeg(toDeg));

  const ticks = distanceTicks(
    units,
    (mm) => (mm < ring.closeFocusMm || mm > ring.farthestMm ? NaN : (ring.angleAt(mm) * scale * Math.PI * radius) / 180),
    LABEL_GAP_PX,
  ).map(({ at, label }): RingTick => {
    const ringDeg = (at * 180) / (Math.PI * radius * scale);
    const [x, y] = place(ringDeg, radius - 40);
    return { label, x, y, inner: place(ringDeg, radius - 22), outer: place(ringDeg, radius - 6) };
  });

  const fit = fitHelicoid(points, lens.focalLengthMm, lens.principalSeparationMm);
  const pips = points.map((point, index): RingPip => {
    const fitted = fit?.points.find((item) => item.index === index);
    const [x, y] = place(point.ringDeg, radius + 22);
    return {
      index,
      x,
      y,
      fitted: fitted ? place(fitted.fittedDeg, radius) : null,
      standsOut: fitted?.standsOut ?? false,
      isWrong: wrong.has(index),
      residualDeg: fitted?.residualDeg ?? null,
    };
  });

  const end = (ringDeg: number): string => {
    const [x1, y1] = place(ringDeg, radius - 4);
    const [x2, y2] = place(ringDeg, radius + 15);
    return `M${x1},${y1}L${x2},${y2}`;
  };
  return {
    centre,
    radius,
    scale,
    scaleArc: arc(farDeg, nearDeg, radius),
    windowArc: windowDeg && arc(windowDeg[0], windowDeg[1], radius),
    ticks,
    pips,
    ends: [end(farDeg), end(nearDeg)],
    arrow: nearerArrow(centre, radius, lens.nearerTurns === 'clockwise' ? 1 : -1),
    turned: (from, to) => {
      const angleOf = ([x, y]: readonly [number, number]) => (Math.atan2(x - centre[0], centre[1] - y) * 180) / Math.PI;
      const turn = ((angleOf(to) - angleOf(from) + 540) % 360) - 180;
      return clampTo(atDeg - turn / sense, farDeg, nearDeg);
    },
  };
}

function nearerArrow(centre: readonly [number, number], radius: number, clockwise: 1 | -1): RingLayout['arrow'] {
  const [x, y] = polar(centre, radius + 40, 180 + 12 * clockwise);
  return {
    path: arcPath(centre, radius * 0.5, 180 - 34 * clockwise, 180 + 30 * clockwise),
    head: headPath(centre, radius * 0.5, 180 + 30 * clockwise, clockwise),
    x,
    y,
  };
}

/** Ring angles of both ends of the scale. */
export function endsOf(ring: LensRing): { farDeg: number; nearDeg: number } {
  return { farDeg: ring.angleAt(ring.farthestMm), nearDeg: ring.angleAt(ring.closeFocusMm) };
}

function clampTo(deg: number, a: number, b: number): number {
  return Math.min(Math.max(deg, Math.min(a, b)), Math.max(a, b));
}

/** Point at an angle clockwise from the top. */
function polar([cx, cy]: readonly [number, number], r: number, deg: number): readonly [number, number] {
  const rad = (deg * Math.PI) / 180;
  return [cx + r * Math.sin(rad), cy - r * Math.cos(rad)];
}

function arcPath(centre: readonly [number, number], r: number, fromDeg: number, toDeg: number): string {
  const [x1, y1] = polar(centre, r, fromDeg);
  const [x2, y2] = polar(centre, r, toDeg);
  const isLarge = Math.abs(toDeg - fromDeg) > 180 ? 1 : 0;
  return `M${x1},${y1}A${r},${r} 0 ${isLarge} ${toDeg > fromDeg ? 1 : 0} ${x2},${y2}`;
}

function headPath(centre: readonly [number, number], r: number, atDeg: number, clockwise: number): string {
  const [tipX, tipY] = polar(centre, r, atDeg + 7 * clockwise);
  const [ax, ay] = polar(centre, r - 6, atDeg - clockwise);
  const [bx, by] = polar(centre, r + 6, atDeg - clockwise);
  return `M${tipX},${tipY}L${ax},${ay}L${bx},${by}Z`;
}
