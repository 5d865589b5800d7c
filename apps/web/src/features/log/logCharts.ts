import type { CalibrationView, KeptView } from '@still-heron/contract';
import { wilsonInterval } from '@still-heron/core';
import { scaleLinear, scalePoint } from 'd3-scale';
import { line } from 'd3-shape';

/** A bar for a share of takes, with its confidence interval. */
export interface KeptBar {
  readonly name: string;
  readonly takes: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/** Largest number of bars per group, most used first. */
const MAX_BARS = 6;

export function keptBars(views: readonly KeptView[]): KeptBar[] {
  return views
    .filter(({ takes }) => takes > 0)
    .slice(0, MAX_BARS)
    .map(({ name, takes, kept }) => ({
      name,
      takes,
      share: kept / takes,
      ...wilsonInterval(kept, takes),
    }));
}

/** Chart size and margins. */
export const CHART = { width: 300, height: 220, left: 48, right: 22, top: 12, bottom: 34 } as const;

const x01 = scaleLinear([0, 1], [CHART.left, CHART.width - CHART.right]);
const y01 = scaleLinear([0, 1], [CHART.height - CHART.bottom, CHART.top]);

/** Layout of predicted against actual keep rates; both agree on the diagonal. */
export function calibrationLayout(points: readonly CalibrationView[]) {
  const most = Math.max(1, ...points.map(({ takes }) => takes));
  return {
    diagonal: { x1: x01(0), y1: y01(0), x2: x01(1), y2: y01(1) },
    ticks: [0, 0.5, 1].map((share) => ({ share, x: x01(share), y: y01(share) })),
    points: points.map(({ predicted, takes, kept }) => {
      const { low, high } = wilsonInterval(kept, takes);
      return {
        x: x01(predicted),
        y: y01(kept / takes),
        lowY: y01(low),
        highY: y01(high),
        radius: 3 + 6 * Math.sqrt(takes / most),
        takes,
        predicted,
        share: kept / takes,
      };
    }),
  };
}

/** Layout of keep rates by day; dot size shows the number of takes. */
export function overTimeLayout(days: readonly KeptView[]) {
  const x = scalePoint(
    days.map(({ name }) => name),
    [CHART.left + 8, CHART.width - CHART.right - 8],
  );
  const most = Math.max(1, ...days.map(({ takes }) => takes));
  const points = days.map(({ name, takes, kept }) => ({
    name,
    takes,
    share: kept / takes,
    x: x(name)!,
    y: y01(kept / takes),
    radius: 2 + 4 * Math.sqrt(takes / most),
  }));
  const every = Math.max(1, Math.ceil(days.length / 3));
  return {
    points,
    path: line<(typeof points)[number]>(
      (point) => point.x,
      (point) => point.y,
    )(points),
    ticks: [0, 0.5, 1].map((share) => ({ share, y: y01(share) })),
    dates: points.filter((_, index) => index % every === 0),
  };
}
