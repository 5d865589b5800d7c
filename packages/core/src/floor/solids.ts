import type { EyesPlace } from './cameraAt.js';
import type { Landmark } from './floorPlan.js';

/** What stands before a subject: a person or object, or a thing on the set. */
export interface Hider {
  readonly kind: 'subject' | 'landmark';
  readonly id: string;
}

/** A solid as it stands in one frame, upright from the floor. */
export type Solid =
  | { readonly shape: 'round'; readonly xMm: number; readonly yMm: number; readonly radiusMm: number; readonly tallMm: number }
  | {
      readonly shape: 'square';
      readonly xMm: number;
      readonly yMm: number;
      readonly halfWidthMm: number;
      readonly halfDepthMm: number;
      readonly turnedDeg: number;
      readonly tallMm: number;
    };

/** A straight line, with what all solids ask of it. One object is written again for each line: there are thousands. */
export class Ray {
  fromX = 0;
  fromY = 0;
  fromZ = 0;
  wayX = 0;
  wayY = 0;
  wayZ = 0;
  /** Square of its length as seen from above */
  level2 = 0;
  /** Its start as seen from the solid that is looked at */
  x = 0;
  y = 0;

  set(from: EyesPlace, x: number, y: number, z: number): this {
    this.fromX = from.xMm;
    this.fromY = from.yMm;
    this.fromZ = from.heightMm;
    this.wayX = x - from.xMm;
    this.wayY = y - from.yMm;
    this.wayZ = z - from.heightMm;
    this.level2 = this.wayX * this.wayX + this.wayY * this.wayY;
    return this;
  }
}

/** A solid that can be moved, with what does not change between lines. */
export class Blocker {
  xMm: number;
  yMm: number;
  private readonly tallMm: number;
  private readonly isRound: boolean;
  /** Square of the radius, or of half the diagonal */
  readonly reach2: number;
  private readonly halfWidthMm: number;
  private readonly halfDepthMm: number;
  private readonly cos: number;
  private readonly sin: number;

  constructor(
    solid: Solid,
    readonly by: Hider,
  ) {
    this.xMm = solid.xMm;
    this.yMm = solid.yMm;
    this.tallMm = solid.tallMm;
    this.isRound = solid.shape === 'round';
    const rad = solid.shape === 'round' ? 0 : (solid.turnedDeg * Math.PI) / 180;
    this.cos = Math.cos(rad);
    this.sin = Math.sin(rad);
    this.halfWidthMm = solid.shape === 'round' ? solid.radiusMm : solid.halfWidthMm;
    this.halfDepthMm = solid.shape === 'round' ? 0 : solid.halfDepthMm;
    this.reach2 = this.halfWidthMm ** 2 + this.halfDepthMm ** 2;
  }

  /** As `meetsAt` */
  meets(ray: Ray): number {
    const { wayX, wayY, wayZ, level2 } = ray;
    const x = (ray.x = ray.fromX - this.xMm);
    const y = (ray.y = ray.fromY - this.yMm);
    // how far the line passes from the middle, times its length
    const beside = x * wayY - y * wayX;
    if (this.tallMm <= 0 || !(beside * beside <= this.reach2 * level2) || (wayZ === 0 && ray.fromZ >= this.tallMm))
      return Infinity;
    const belowAt = (this.tallMm - ray.fromZ) / wayZ;
    const first = wayZ < 0 ? Math.max(belowAt, 0) : 0;
    const last = wayZ > 0 ? Math.min(belowAt, 1) : 1;
    return this.isRound ? this.throughCircle(ray, first, last) : this.throughRectangle(ray, first, last);
  }

  private throughCircle({ x, y, wayX, wayY, level2 }: Ray, from: number, to: number): number {
    const outside = x * x + y * y - this.reach2;
    // straight up or down
    if (level2 === 0) return outside < 0 && from < to ? from : Infinity;
    const middle = -(x * wayX + y * wayY) / level2;
    const half = Math.sqrt(Math.max(middle * middle - outside / level2, 0));
    const first = Math.max(from, middle - half);
    return first < Math.min(to, middle + half) ? first : Infinity;
  }

  private throughRectangle({ x, y, wayX, wayY }: Ray, from: number, to: number): number {
    const { cos, sin } = this;
    const across = x * cos + y * sin;
    const along = y * cos - x * sin;
    const acrossWay = wayX * cos + wayY * sin;
    const alongWay = wayY * cos - wayX * sin;
    // beside two parallel sides all the way
    if (acrossWay === 0 && Math.abs(across) >= this.halfWidthMm) return Infinity;
    if (alongWay === 0 && Math.abs(along) >= this.halfDepthMm) return Infinity;
    const first = Math.max(from, entersAt(across, acrossWay, this.halfWidthMm), entersAt(along, alongWay, this.halfDepthMm));
    const last = Math.min(to, leavesAt(across, acrossWay, this.halfWidthMm), leavesAt(along, alongWay, this.halfDepthMm));
    return first < last ? first : Infinity;
  }
}

/** Share of the way at which a coordinate comes between two parallel sides. */
function entersAt(start: number, way: number, half: number): number {
  if (way === 0) return -Infinity;
  return (way > 0 ? -half - start : half - start) / way;
}

/** Share of the way at which it leaves them. */
function leavesAt(start: number, way: number, half: number): number {
  if (way === 0) return Infinity;
  return (way > 0 ? half - start : -half - start) / way;
}

/**
 * Where a straight line from one point to another first meets a solid: a share of the way, from 0 (inside it at the start) to 1.
 *
 * @returns Infinity if it does not meet it. A line along a surface does not meet it
 * Source: intersection of a segment with a half-space, a circle and a rectangle turned about its centre
 */
export function meetsAt(solid: Solid, from: EyesPlace, to: EyesPlace): number {
  return new Blocker(solid, NOBODY).meets(new Ray().set(from, to.xMm, to.yMm, to.heightMm));
}

const NOBODY: Hider = { kind: 'landmark', id: '' };

/** A thing on the set as a solid. Its height is 0 if it hides nothing. */
export function solidOfLandmark({ shape, xMm, yMm, widthMm, depthMm, turnedDeg, tallMm }: Landmark): Solid {
  if (shape === 'post') return { shape: 'round', xMm, yMm, radiusMm: widthMm / 2, tallMm };
  return { shape: 'square', xMm, yMm, halfWidthMm: widthMm / 2, halfDepthMm: depthMm / 2, turnedDeg, tallMm };
}
