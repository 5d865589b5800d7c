import { type CompleteVerdict, formatTime, handSpeeds, type ShotPlan } from '@still-heron/core';
import type { ScaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { keptByVerdict } from './keptByVerdict';

/** The speed of the hand over time, in pixels. */
export interface SpeedLane {
  readonly path: string;
  /** Height of the puller's limit; null above the lane */
  readonly limitY: number | null;
  readonly baseY: number;
  readonly topY: number;
  /** The fastest moment, and where it is */
  readonly words: string;
  readonly fastestX: number;
}

const kept = keptByVerdict<SpeedLane>();

interface LanePlace {
  readonly topY: number;
  readonly height: number;
}

/** Curve of the speed of wheel or ring, drawn again only when something that it depends on has changed. */
export function speedLane(verdict: CompleteVerdict, plan: ShotPlan, x: ScaleLinear<number, number>, at: LanePlace): SpeedLane {
  const { wheel, captureFps, optics } = plan;
  const dependsOn = [...x.domain(), ...x.range(), at.topY, at.height, captureFps, wheel, optics.lens];
  return kept(verdict, dependsOn, () => laneOf(verdict, plan, x, at));
}

/** Scaled to the fastest moment, with at most one point a pixel. */
function laneOf(
  verdict: CompleteVerdict,
  plan: ShotPlan,
  x: ScaleLinear<number, number>,
  { topY, height }: LanePlace,
): SpeedLane {
  const { timeS, maxHandDegPerS, limitDegPerS } = verdict.fastest;
  const speeds = handSpeeds(verdict.track.ringDeg, plan);
  const baseY = topY + height;
  const yOf = (degPerS: number) => baseY - (height * degPerS) / maxHandDegPerS;
  const pxPerFrame = Math.abs(x(1 / plan.captureFps) - x(0));
  const every = Math.max(1, Math.floor(1 / pxPerFrame));
  const frames: number[] = [];
  for (let frame = 0; frame < speeds.length; frame += every) frames.push(frame);
  const peakIn = (from: number) => {
    let peak = 0;
    for (let frame = from; frame < from + every && frame < speeds.length; frame++) peak = Math.max(peak, speeds[frame]!);
    return peak;
  };
  const curve = area<number>(
    (frame) => x(verdict.track.timesS[frame]!),
    baseY,
    (frame) => yOf(Math.min(peakIn(frame), maxHandDegPerS)),
  );
  return {
    path: curve(frames) ?? '',
    limitY: limitDegPerS <= maxHandDegPerS ? yOf(limitDegPerS) : null,
    baseY,
    topY,
    words: `${maxHandDegPerS.toFixed(0)}°/s at ${formatTime(timeS)}`,
    fastestX: x(timeS),
  };
}
