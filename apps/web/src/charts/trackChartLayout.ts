import {
  depthOfField,
  type CompleteVerdict,
  markFocusDistances,
  type RingTrack,
  ringOf,
  type PreparedRoll,
  type ShotPlan,
  zoneLensAt,
} from '@still-heron/core';
import { area, line } from 'd3-shape';
import { type AxisScale, axisDomain, axisScale } from './axisScale';

/** Chart of a roll over the whole duration; it slides under a fixed line. */
export interface TrackChartLayout {
  readonly scale: AxisScale;
  readonly line: string;
  readonly band: string;
  readonly subjects: readonly { readonly id: string; readonly subjectIndex: number; readonly path: string }[];
  readonly seconds: readonly number[];
}

/** Curve points per second: more than a screen has pixels for. */
const POINTS_PER_S = 24;

/**
 * Lays out the chart in pixels from its own start.
 *
 * @param pxPerS - width of a second
 */
export function trackChartLayout(
  plan: ShotPlan,
  ready: PreparedRoll,
  verdict: CompleteVerdict | null,
  { height, pxPerS }: { readonly height: number; readonly pxPerS: number },
): TrackChartLayout {
  const ring = ringOf(plan.optics.lens);
  const lens = zoneLensAt(plan.optics, 0);
  const settings = [ready.track.start, ...ready.track.pulls.flatMap(({ from, to }) => [from, to])];
  const shownMm = [...markFocusDistances(plan).values(), ...settings.map(({ distanceMm }) => distanceMm)];
  const domain = axisDomain('hand', ring, shownMm, (focusDistanceMm) => depthOfField({ ...lens, focusDistanceMm }));
  const scale = axisScale('hand', ring, domain, { topY: 22, bottomY: height - 30 });
  const times = Array.from({ length: Math.ceil(plan.durationS * POINTS_PER_S) + 1 }, (_, k) =>
    Math.min(k / POINTS_PER_S, plan.durationS),
  );
  const x = (timeS: number) => timeS * pxPerS;
  const zones = times.map((timeS) => ready.figureOf(ready.track.ringDegAt(timeS), timeS).zone);
  const zone = area<number>()
    .x((_, k) => x(times[k]!))
    .y0((_, k) => scale.y(zones[k]!.nearMm))
    .y1((_, k) => scale.y(zones[k]!.farMm));
  return {
    scale,
    line: line<number>(x, (timeS) => scale.yOfRing(ready.track.ringDegAt(timeS)))(times) ?? '',
    band: zone(times) ?? '',
    subjects: (verdict?.subjects ?? []).map(({ subjectId, distanceMm }) => ({
      id: subjectId,
      subjectIndex: plan.subjects.findIndex(({ id }) => id === subjectId),
      path:
        line<number>(x, (timeS) => scale.y(distanceMm[Math.min(Math.round(timeS * plan.captureFps), distanceMm.length - 1)]!))(
          times,
        ) ?? '',
    })),
    seconds: Array.from({ length: Math.floor(plan.durationS) + 1 }, (_, second) => second),
  };
}

/** Path of the actual ring track on the chart, broken at its holes. */
export function trackPath({ hz, ringDeg, holes = [] }: RingTrack, scale: AxisScale, pxPerS: number): string {
  const every = Math.max(1, Math.round(hz / (2 * POINTS_PER_S)));
  const samples = Array.from({ length: Math.ceil(ringDeg.length / every) }, (_, k) => k * every);
  return (
    line<number>(
      (sample) => (sample / hz) * pxPerS,
      (sample) => scale.yOfRing(ringDeg[sample]!),
    ).defined((sample) => !holes.some(({ fromS, toS }) => sample / hz > fromS && sample / hz < toS))(samples) ?? ''
  );
}
