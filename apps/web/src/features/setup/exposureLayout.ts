import { formatStop, lightSpans, meteredStopAt, type ShotPlan, stopAt, tStopOf } from '@still-heron/core';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';

/** Light and iris over time, in pixels: open at the top. */
export interface ExposureLayout {
  /** Where the stop may be for the light */
  readonly tolerated: string;
  /** Stop that the meter would show */
  readonly metered: string;
  /** Stop as set */
  readonly set: string;
  readonly stops: readonly { readonly y: number; readonly text: string }[];
  readonly times: readonly { readonly x: number; readonly text: string }[];
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
}

const MARGIN = { left: 46, right: 12, top: 12, bottom: 24 };
const POINTS = 160;

/** @returns null if nothing was metered */
export function exposureLayout(plan: ShotPlan, { width, height }: { readonly width: number; readonly height: number }) {
  const spans = lightSpans(plan);
  if (spans.length === 0) return null;
  const { durationS, optics, exposure } = plan;
  const timesS = Array.from({ length: POINTS + 1 }, (_, k) => (durationS * k) / POINTS);
  const valueOf = (tStop: number) => 2 * Math.log2(tStop);
  const metered = timesS.map((timeS) => valueOf(meteredStopAt(spans, timeS)!));
  const set = timesS.map((timeS) => valueOf(tStopOf(optics.lens, stopAt(optics, timeS))));
  const all = [...metered.flatMap((value) => [value - exposure.toleranceStops, value + exposure.toleranceStops]), ...set];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const x = scaleLinear([0, durationS], [MARGIN.left, width - MARGIN.right]);
  const y = scaleLinear([low - 0.25, high + 0.25], [MARGIN.top, height - MARGIN.bottom]);
  const points = timesS.map((timeS, index) => ({ timeS, index }));
  const through = (values: readonly number[]) =>
    line<{ timeS: number; index: number }>(
      ({ timeS }) => x(timeS),
      ({ index }) => y(values[index]!),
    )(points) ?? '';
  const band = area<{ timeS: number; index: number }>(
    ({ timeS }) => x(timeS),
    ({ index }) => y(metered[index]! - exposure.toleranceStops),
    ({ index }) => y(metered[index]! + exposure.toleranceStops),
  );
  const whole = Array.from({ length: Math.floor(high) - Math.ceil(low) + 1 }, (_, k) => Math.ceil(low) + k);
  const every = Math.ceil(whole.length / 5) || 1;
  const layout: ExposureLayout = {
    tolerated: band(points) ?? '',
    metered: through(metered),
    set: through(set),
    stops: whole.filter((_, k) => k % every === 0).map((value) => ({ y: y(value), text: formatStop(2 ** (value / 2), 'T') })),
    times: x.ticks(6).map((timeS) => ({ x: x(timeS), text: `${timeS} s` })),
    left: MARGIN.left,
    right: width - MARGIN.right,
    bottom: height - MARGIN.bottom,
  };
  return layout;
}
