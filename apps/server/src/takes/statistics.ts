import type { CalibrationView, KeptView, StatisticsView } from '@still-heron/contract';
import { difficultyOf, type MeasuredErrors, measuredError } from '@still-heron/core';

/** Sums of one group of takes. */
export interface Line extends MeasuredSums {
  readonly lens: string;
  readonly stop: number;
  readonly method: string;
  readonly puller: string;
  readonly tenth: number | null;
  /** As `2026-03-01`, in UTC */
  readonly day: string;
  readonly takes: number;
  /** Those of which somebody said, or a track shows, whether they were kept; and the kept ones */
  readonly said: number;
  readonly kept: number;
  readonly usable: number;
  readonly repaired: number;
  /** Sum of the predicted keep rates of those that are said, and how many of them have one */
  readonly predicted: number;
  readonly predictedCount: number;
}

/** Sums of measured errors. */
interface MeasuredSums {
  readonly lateCount: number;
  readonly lateSum: number;
  readonly lateSquares: number;
  readonly offCount: number;
  readonly offSum: number;
  readonly offSquares: number;
  readonly missedCount: number;
  readonly missedSum: number;
  readonly missedSquares: number;
}

/** Columns that tell the groups apart, and those that are added up. */
const KEYS = ['lens', 'stop', 'method', 'puller', 'tenth', 'day'] as const;
const SUMMED = [
  ...(['takes', 'said', 'kept', 'usable', 'repaired', 'predicted', 'predictedCount'] as const),
  ...(['lateCount', 'lateSum', 'lateSquares', 'offCount', 'offSum', 'offSquares'] as const),
  ...(['missedCount', 'missedSum', 'missedSquares'] as const),
] as const;

/** A group whose sums grow. */
type Growing = { -readonly [K in keyof Line]: Line[K] };

/** Adds the sums of equal groups. */
export class LineSums {
  private readonly groups = new Map<string, Growing>();

  add(lines: readonly Line[]): void {
    for (const line of lines) addTo(this.groups, KEYS.map((name) => line[name]).join('\0'), line);
  }

  get lines(): Line[] {
    return [...this.groups.values()];
  }
}

function addTo<K>(groups: Map<K, Growing>, key: K, line: Line): void {
  const known = groups.get(key);
  if (!known) groups.set(key, { ...line });
  else for (const name of SUMMED) known[name] += line[name];
}

/** Statistics of takes from the sums of their groups. @param simulated - how many takes are by a simulator, counted or not */
export function statisticsOf(lines: readonly Line[], simulated: number): StatisticsView {
  const by = (key: (typeof KEYS)[number] | null): Line[] => {
    const groups = new Map<unknown, Growing>();
    for (const line of lines) addTo(groups, key === null ? null : line[key], line);
    return [...groups.values()];
  };
  const [all] = by(null);
  const tenths = by('tenth').filter(({ predictedCount }) => predictedCount > 0);
  const most = (list: KeptView[]) => list.sort((a, b) => b.takes - a.takes || a.name.localeCompare(b.name));
  return {
    takes: all?.takes ?? 0,
    said: all?.said ?? 0,
    kept: all?.kept ?? 0,
    usable: all?.usable ?? 0,
    repaired: all?.repaired ?? 0,
    simulated,
    byLens: most(by('lens').map((line) => kept(line.lens, line))),
    byStop: by('stop')
      .sort((a, b) => a.stop - b.stop)
      .map((line) => kept(String(Number(line.stop.toFixed(2))), line)),
    byMethod: most(by('method').map((line) => kept(line.method, line))),
    byDifficulty: difficulties(tenths),
    byPuller: most(by('puller').map((line) => kept(line.puller, line))),
    byDay: by('day')
      .map((line) => kept(line.day, line))
      .sort((a, b) => a.name.localeCompare(b.name)),
    calibration: tenths
      .map(({ predicted, predictedCount, said, kept }): CalibrationView => ({
        predicted: predicted / predictedCount,
        takes: said,
        kept,
      }))
      .sort((a, b) => a.predicted - b.predicted),
    errors: all ? errorsOf(all) : { late: null, off: null, markMisses: null },
  };
}

const kept = (name: string, line: Line): KeptView => ({ name, takes: line.said, kept: line.kept });

/** Groups tenths of the keep rate into difficulties. */
function difficulties(tenths: readonly Line[]): KeptView[] {
  const found = new Map<string, KeptView>();
  for (const line of [...tenths].sort((a, b) => Number(b.tenth) - Number(a.tenth))) {
    const name = difficultyOf(Number(line.tenth) / 10 + 0.05);
    const known = found.get(name) ?? { name, takes: 0, kept: 0 };
    found.set(name, { name, takes: known.takes + line.said, kept: known.kept + line.kept });
  }
  return [...found.values()];
}

function errorsOf(all: MeasuredSums): MeasuredErrors {
  const of = (count: number, sum: number, squares: number) => measuredError({ count, sum, squares });
  return {
    late: of(all.lateCount, all.lateSum, all.lateSquares),
    off: of(all.offCount, all.offSum, all.offSquares),
    markMisses: of(all.missedCount, all.missedSum, all.missedSquares),
  };
}
