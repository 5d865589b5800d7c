import type { CompleteVerdict, ShotPlan } from '@still-heron/core';
import type { ScaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { AxisScale } from '../../charts/axisScale';
import { apart } from '../../charts/labels';
import { keptByVerdict } from './keptByVerdict';

/** Curves of the chart. */
export interface ChartPaths {
  /** SVG paths; empty without a verdict */
  readonly track: string;
  readonly band: string;
  readonly subjects: readonly {
    readonly id: string;
    readonly name: string;
    readonly subjectIndex: number;
    readonly path: string;
    readonly labelY: number;
  }[];
}

const kept = keptByVerdict<ChartPaths>();

interface PathScales {
  readonly x: ScaleLinear<number, number>;
  readonly scale: AxisScale;
  /** Axis, size and view: what the two depend on */
  readonly place: string;
}

/** Curves of a verdict, drawn again only when something that they depend on has changed. */
export function keptPaths(verdict: CompleteVerdict | null, plan: ShotPlan, scales: PathScales): ChartPaths {
  if (!verdict) return { track: '', band: '', subjects: [] };
  const { subjects, durationS, captureFps, optics } = plan;
  const dependsOn = [scales.place, durationS, captureFps, subjects, optics.lens];
  return kept(verdict, dependsOn, () => pathsOf(verdict, scales.x, scales.scale, plan));
}

/** Curves with at most one point per pixel, and none inside a level stretch. */
function pathsOf(verdict: CompleteVerdict, x: ScaleLinear<number, number>, scale: AxisScale, plan: ShotPlan): ChartPaths {
  const { timesS, ringDeg, nearMm, farMm } = verdict.track;
  const [shownFromS, shownToS] = x.domain() as [number, number];
  const pxPerFrame = (x.range()[1]! - x.range()[0]!) / ((shownToS - shownFromS) * plan.captureFps);
  const every = Math.max(1, Math.floor(1 / pxPerFrame));
  const last = verdict.frameCount - 1;
  // the last frame lasts to the end of the shot, so the track reaches the right edge
  const xOf = (frame: number) => x(frame > last ? plan.durationS : timesS[frame]!);
  const held = (frame: number) => Math.min(frame, last);
  const framesOf = (values: ArrayLike<number>) => turningFrames(values, verdict.frameCount, every);
  const curve = (values: ArrayLike<number>, y: (value: number) => number) =>
    line<number>(xOf, (frame) => y(values[held(frame)]!))(framesOf(values)) ?? '';
  const subjects = verdict.subjects.map(({ subjectId, distanceMm }) => {
    const subjectIndex = plan.subjects.findIndex(({ id }) => id === subjectId);
    return {
      id: subjectId,
      name: plan.subjects[subjectIndex]?.name ?? '',
      subjectIndex,
      path: curve(distanceMm, scale.y),
      y: scale.y(distanceMm[0]!) - 7,
    };
  });
  const zone = area<number>(
    xOf,
    (frame) => scale.y(nearMm[held(frame)]!),
    (frame) => scale.y(farMm[held(frame)]!),
  );
  return { track: curve(ringDeg, scale.yOfRing), band: zone(framesOf(ringDeg)) ?? '', subjects: apart(subjects, 17, Infinity) };
}

/** Frames to draw: every `every`-th where values change, both ends of level stretches, and one past the end. */
function turningFrames(values: ArrayLike<number>, count: number, every: number): number[] {
  const frames = [0];
  for (let frame = every; frame < count; frame += every) {
    const isLevel = values[frame] === values[frame - every] && values[frame] === values[Math.min(frame + every, count - 1)];
    if (!isLevel) frames.push(frame);
  }
  frames.push(count);
  return frames;
}
