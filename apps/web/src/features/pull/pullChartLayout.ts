import {
  type Beat,
  formatDistanceFigure,
  type CompleteVerdict,
  activeBeats,
  type FocusTrack,
  focusTrack,
  markFocusMm,
  pullEndS,
  ringOf,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { ticks as roundTicks } from 'd3-array';
import { type ScaleLinear, scaleLinear } from 'd3-scale';
import { apart } from '../../charts/labels';
import { distanceTicks, type Tick } from '../../charts/ticks';
import type { Size } from '../../shared/useSize';
import { placeLabels, type PlacedLabel, pullLabels } from './pullWords';
import { type SpeedLane, speedLane } from './speedLane';
import { type AxisDomain, type AxisScale, axisScale } from '../../charts/axisScale';
import { coursesOf, wholeDomain } from './chartDomain';
import { type ChartPaths, keptPaths } from './chartPaths';

export interface PullChartInput {
  readonly plan: ShotPlan;
  /** null before the first verdict; axes and lanes are drawn anyway */
  readonly verdict: CompleteVerdict | null;
  readonly axis: 'hand' | 'distance';
  readonly units: UnitSystem;
  readonly size: Size;
  /** Visible time span; the whole shot if missing */
  readonly view?: { readonly fromS: number; readonly toS: number } | null | undefined;
  /** Axis range to keep during a drag, so that the axis does not move */
  readonly domain?: AxisDomain | undefined;
}

export interface PullChartLayout extends ChartPaths {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  readonly x: ScaleLinear<number, number>;
  readonly domain: AxisDomain;
  readonly scale: AxisScale;
  readonly distances: readonly Tick[];
  readonly times: readonly Tick[];
  readonly soft: readonly { readonly x: number; readonly width: number; readonly beatId: string }[];
  readonly pulls: readonly {
    readonly id: string;
    readonly startX: number;
    readonly endX: number;
    readonly fromY: number;
    readonly toY: number;
    readonly words: string;
    readonly wordsX: number;
    /** null where its words are folded away */
    readonly row: number | null;
    /** Start of the count-in */
    readonly countX: number;
  }[];
  readonly startY: number | null;
  /** Draggable points of courses */
  readonly points: readonly { readonly pullId: string | null; readonly index: number; readonly x: number; readonly y: number }[];
  readonly marks: readonly {
    readonly id: string;
    readonly letter: string;
    /** What the ring is set to there; Infinity for infinity */
    readonly focusMm: number;
    readonly figure: string;
    readonly subjectIndex: number;
    readonly y: number;
    readonly labelY: number;
  }[];
  readonly lanes: readonly {
    readonly subjectId: string;
    readonly subjectIndex: number;
    readonly y: number;
    readonly beats: readonly { readonly beat: Beat; readonly x: number; readonly width: number }[];
  }[];
  readonly laneHeight: number;
  readonly movesY: number;
  /** null without a turn, or where the chart is too small for it */
  readonly speed: SpeedLane | null;
}

const MARGIN = { left: 58, right: { metric: 104, imperial: 126 }, top: 44 };
const TIME_AXIS = 34;
const LANE = 24;
const MIN_LANE = 10;
const LANE_GAP = 5;
const PULL_ROW = 20;
/** Share of the height that the chart itself keeps, however many subjects and pulls there are. */
const CHART_SHARE = 0.5;
const SPEED_LANE = 34;
/** A lower chart shows no speed. */
const LEAST_FOR_SPEED_PX = 400;

/** Layout of the chart in pixels, without drawing anything. */
export function pullChartLayout({ plan, verdict, axis, units, size, view, domain: held }: PullChartInput): PullChartLayout {
  const left = MARGIN.left;
  const right = size.width - MARGIN.right[units];
  const [fromS, toS] = view ? [view.fromS, view.toS] : [0, plan.durationS];
  const x = scaleLinear([fromS, toS], [left, right]);
  const turns = verdict !== null && verdict.fastest.maxHandDegPerS > 0 && size.height >= LEAST_FOR_SPEED_PX;
  const speedHeight = turns ? SPEED_LANE : 0;
  // what is left below the chart and its axis
  const below = size.height * (1 - CHART_SHARE) - TIME_AXIS - speedHeight - 8;
  const laneStep = Math.min(
    LANE + LANE_GAP,
    Math.max((below - PULL_ROW) / Math.max(plan.subjects.length, 1), MIN_LANE + LANE_GAP),
  );
  const lanesHeight = plan.subjects.length * laneStep;
  const labels = placeLabels(
    pullLabels(plan, verdict, units),
    plan.focusTrack.pulls.map(({ startS }) => x(startS)),
    { rightX: size.width, maxRows: Math.max(Math.floor((below - lanesHeight) / PULL_ROW), 1) },
  );
  const movesHeight = Math.max(0, ...labels.map(({ row }) => (row ?? -1) + 1)) * PULL_ROW + 8;
  const bottom = Math.max(size.height - TIME_AXIS - speedHeight - lanesHeight - movesHeight, MARGIN.top + 90);

  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  const courses = coursesOf(plan);
  const domain = held ?? wholeDomain(plan, axis, ring, track);
  const scale = axisScale(axis, ring, domain, { topY: MARGIN.top, bottomY: bottom });
  const isShown = (mm: number) => scale.y(mm) > MARGIN.top + 1 && scale.y(mm) < bottom - 1;

  const lanesY = bottom + TIME_AXIS + speedHeight;
  return {
    left,
    right,
    top: MARGIN.top,
    bottom,
    x,
    domain,
    scale,
    distances: distanceTicks(units, (mm) => (isShown(mm) ? scale.y(mm) : NaN), 30),
    times: roundTicks(fromS, toS, Math.max(3, Math.floor((right - left) / 80))).map((timeS) => ({
      at: x(timeS),
      label: String(timeS),
    })),
    ...keptPaths(verdict, plan, { x, scale, place: JSON.stringify([axis, domain, bottom, left, right, fromS, toS]) }),
    soft: (verdict?.softSpans ?? []).map(({ beatId, fromS, toS }) => ({
      beatId,
      x: x(fromS),
      width: Math.max(2, x(toS) - x(fromS)),
    })),
    pulls: pullPlaces(plan, track, { x, scale, labels }),
    startY: track === null ? null : scale.yOfRing(track.start.ringDeg),
    points: courses.flatMap(({ pullId, points }) =>
      points.map(({ timeS, distanceMm }, index) => ({ pullId, index, x: x(timeS), y: scale.y(distanceMm ?? Infinity) })),
    ),
    marks: markLabels(plan, units, scale, bottom),
    lanes: lanesOf(plan, x, lanesY, laneStep),
    laneHeight: laneStep - LANE_GAP,
    movesY: lanesY + lanesHeight + 4,
    speed: turns ? speedLane(verdict, plan, x, { topY: bottom + TIME_AXIS, height: SPEED_LANE - 8 }) : null,
  };
}

interface PullScales {
  readonly x: PullChartLayout['x'];
  readonly scale: AxisScale;
  readonly labels: readonly PlacedLabel[];
}

function pullPlaces(
  { focusTrack: { pulls } }: ShotPlan,
  track: FocusTrack | null,
  { x, scale, labels }: PullScales,
): PullChartLayout['pulls'] {
  return pulls.map((pull, index) => ({
    id: pull.id,
    startX: x(pull.startS),
    endX: x(pullEndS(pull)),
    fromY: scale.yOfRing(track!.pulls[index]!.from.ringDeg),
    toY: scale.yOfRing(track!.pulls[index]!.to.ringDeg),
    ...labels[index]!,
    countX: x(Math.max(0, pull.startS - pull.countInS)),
  }));
}

function markLabels(plan: ShotPlan, units: UnitSystem, scale: AxisScale, bottom: number): PullChartLayout['marks'] {
  return apart(
    plan.marks.map(({ id, letter, subjectId }) => {
      const focusMm = markFocusMm(plan, id);
      return {
        ...{ id, letter, focusMm },
        figure: formatDistanceFigure(focusMm, units),
        subjectIndex: plan.subjects.findIndex((subject) => subject.id === subjectId),
        y: scale.y(focusMm),
      };
    }),
    20,
    bottom,
  );
}

function lanesOf(plan: ShotPlan, x: PullChartLayout['x'], lanesY: number, laneStep: number): PullChartLayout['lanes'] {
  const beats = activeBeats(plan);
  return plan.subjects.map(({ id }, index) => ({
    subjectId: id,
    subjectIndex: index,
    y: lanesY + index * laneStep,
    beats: beats
      .filter((beat) => beat.subjectId === id)
      .map((beat) => ({ beat, x: x(beat.fromS), width: x(beat.toS) - x(beat.fromS) })),
  }));
}
