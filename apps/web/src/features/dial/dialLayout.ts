import {
  focusTrack,
  type CompleteVerdict,
  landingWindow,
  type TrackPull,
  markFocusMm,
  ringOf,
  ringReach,
  type ShotPlan,
  type UnitSystem,
  withinReach,
  zoneLensAt,
  type LensRing,
} from '@still-heron/core';
import { arc } from 'd3-shape';
import { apart } from '../../charts/labels';
import { distanceTicks } from '../../charts/ticks';

/** A mark on the dial with its landing window. */
export interface DialMark {
  readonly id: string;
  readonly letter: string;
  readonly subjectIndex: number;
  readonly window: string;
  readonly x: number;
  readonly y: number;
  readonly tickX: number;
  readonly tickY: number;
  readonly hasHardStop: boolean;
}

export interface DialLayout {
  readonly track: string;
  /** Ranges that hard stops exclude; empty without hard stops */
  readonly beyond: readonly string[];
  /** Turn that is under way, from start to end */
  readonly sweep: string;
  readonly marks: readonly DialMark[];
  readonly ticks: readonly {
    readonly label: string;
    readonly x: number;
    readonly y: number;
    readonly x1: number;
    readonly y1: number;
    readonly x2: number;
    readonly y2: number;
  }[];
  readonly needle: { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number };
}

/** Geometry of the dial, centred on 0, 0. */
export const DIAL = { outer: 80, inner: 66, width: 268, height: 196, middleY: 108 } as const;
/** Radius of the circle of letters inside the ring, and their minimum distance. */
const LETTER_RADIUS = 52;
const LETTER_PX = 15;
/** Largest angle on the dial; a longer throw is compressed. */
const MAX_DEG = 300;
/** Minimum distance of two labels along the rim. */
const LABEL_GAP_PX = 22;

/** Lays out the ring at a frame: infinity at the left, near at the right, with all marks. */
export function dialLayout(plan: ShotPlan, verdict: CompleteVerdict | null, frame: number, units: UnitSystem): DialLayout {
  const ring = ringOf(plan.optics.lens);
  const reach = ringReach(plan);
  const [farDeg, nearDeg] = [ring.angleAt(ring.farthestMm), ring.angleAt(ring.closeFocusMm)];
  const spanDeg = Math.min(Math.abs(nearDeg - farDeg), MAX_DEG);
  /** Radians clockwise from the top. */
  const radOf = (ringDeg: number) => (((ringDeg - farDeg) / (nearDeg - farDeg) - 0.5) * spanDeg * Math.PI) / 180;
  const band: DialScale['band'] = (fromDeg, toDeg, innerRadius, outerRadius) => {
    const [startAngle, endAngle] = [radOf(fromDeg), radOf(toDeg)].sort((a, b) => a - b) as [number, number];
    return arc()({ startAngle, endAngle, innerRadius, outerRadius }) ?? '';
  };
  const timeS = verdict ? verdict.track.timesS[frame]! : 0;
  const track = focusTrack(plan, ring);
  const ringDeg = verdict ? verdict.track.ringDeg[frame]! : (track?.start.ringDeg ?? farDeg);
  const pull = track?.pulls.find((one: TrackPull) => timeS >= one.startS && timeS < one.endS);
  const pxOf = (mm: number) => radOf(ring.angleAt(mm)) * DIAL.outer;
  const isOnRing = (mm: number) => mm >= ring.closeFocusMm && mm <= ring.farthestMm;
  const ticks = distanceTicks(units, (mm) => (isOnRing(mm) ? pxOf(mm) : NaN), LABEL_GAP_PX).map(({ at: px, label }) => {
    const rad = px / DIAL.outer;
    const [from, to] = [at(rad, DIAL.outer + 2), at(rad, DIAL.outer + 7)];
    return { label, ...at(rad, DIAL.outer + 18), x1: from.x, y1: from.y, x2: to.x, y2: to.y };
  });
  const [low, high] = [Math.min(farDeg, nearDeg), Math.max(farDeg, nearDeg)];
  const beyond = [
    ...(reach.lowDeg > low + 1e-9 ? [band(low, reach.lowDeg, DIAL.inner, DIAL.outer)] : []),
    ...(reach.highDeg < high - 1e-9 ? [band(reach.highDeg, high, DIAL.inner, DIAL.outer)] : []),
  ];
  const [from, to] = [at(radOf(ringDeg), DIAL.inner - 12), at(radOf(ringDeg), DIAL.outer + 4)];
  return {
    track: band(farDeg, nearDeg, DIAL.inner, DIAL.outer),
    beyond,
    sweep: pull ? band(pull.from.ringDeg, pull.to.ringDeg, DIAL.outer + 1, DIAL.outer + 5) : '',
    marks: dialMarks(plan, ring, timeS, { radOf, band }),
    ticks,
    needle: { x1: from.x, y1: from.y, x2: to.x, y2: to.y },
  };
}

/** Where ring angles lie on the dial. */
interface DialScale {
  /** Radians clockwise from the top */
  readonly radOf: (ringDeg: number) => number;
  readonly band: (fromDeg: number, toDeg: number, innerRadius: number, outerRadius: number) => string;
}

function at(rad: number, radius: number): { x: number; y: number } {
  return { x: Math.sin(rad) * radius, y: -Math.cos(rad) * radius };
}

/** Marks within the range of the ring, with their landing windows; the letters are kept apart. */
function dialMarks(plan: ShotPlan, ring: LensRing, timeS: number, { radOf, band }: DialScale): DialMark[] {
  const lens = zoneLensAt(plan.optics, timeS);
  const found = plan.marks.flatMap(({ id, letter, subjectId, hasHardStop }) => {
    const mm = markFocusMm(plan, id);
    if (mm < ring.closeFocusMm || mm > ring.farthestMm) return [];
    const ringDeg = ring.angleAt(withinReach(ring, mm));
    const { nearSideDeg, farSideDeg } = landingWindow(lens, ring, mm);
    const tick = at(radOf(ringDeg), DIAL.inner - 6);
    return [
      {
        id,
        letter,
        subjectIndex: plan.subjects.findIndex((subject) => subject.id === subjectId),
        window: band(ringDeg + farSideDeg, ringDeg + nearSideDeg, DIAL.inner, DIAL.outer),
        rad: radOf(ringDeg),
        tickX: tick.x,
        tickY: tick.y,
        hasHardStop,
      },
    ];
  });
  // keep the letters apart along the rim, as near to their marks as possible
  const letters = apart(
    found.map(({ rad }) => ({ y: rad * LETTER_RADIUS })),
    LETTER_PX,
    Infinity,
  );
  return found.map(({ rad: _, ...mark }, index): DialMark => ({
    ...mark,
    ...at(letters[index]!.labelY / LETTER_RADIUS, LETTER_RADIUS),
  }));
}
