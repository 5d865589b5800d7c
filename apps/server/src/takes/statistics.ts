import type { CalibrationView, KeptView, StatisticsView } from '@still-heron/contract';
import { difficultyOf, type MeasuredErrors, measuredError } from '@still-heron/core';

/** Grouping of takes, as a bit of Postgres's `grouping`: set if the column is not grouped by. */
const GROUPED = { lens: 32, stop: 16, method: 8, puller: 4, tenth: 2, day: 1 } as const;
/** Nothing is grouped by: the sums of all. */
export const ALL = 63;

/** Sums of one group of takes. */
export interface Line extends MeasuredSums {
  readonly grouped: number;
  readonly lens: string;
  readonly stop: number;
  readonly method: string;
  readonly puller: string;
  readonly tenth: number | null;
  readonly day: string;
  readonly takes: number;
  readonly usable: number;
  readonly repaired: number;
  /** Sum of the predicted keep rates, and how many takes have one */
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

/** Columns that tell the groups apart; all others are sums. */
const KEYS = ['grouped', 'lens', 'stop', 'method', 'puller', 'tenth', 'day'] as const;

/** Adds the sums of equal groups. */
export class LineSums {
  private readonly groups = new Map<string, Line>();

  add(lines: readonly Line[]): void {
    for (const line of lines) {
      const key = JSON.stringify(KEYS.map((name) => line[name]));
      const known = this.groups.get(key);
      this.groups.set(key, known ? sumOf(known, line) : line);
    }
  }

  get lines(): Line[] {
    return [...this.groups.values()];
  }
}

function sumOf(a: Line, b: Line): Line {
  const sums = Object.entries(a).map(([name, value]) => {
    const isKey = (KEYS as readonly string[]).includes(name);
    return [name, isKey ? value : Number(value) + Number(b[name as keyof Line])];
  });
  return Object.fromEntries(sums) as Line;
}

/** Statistics of takes from the sums of their groups. */
export function statisticsOf(lines: readonly Line[]): StatisticsView {
  const by = (bit: number) => lines.filter(({ grouped }) => grouped === ALL - bit);
  const [all] = by(0);
  const tenths = by(GROUPED.tenth).filter(({ predictedCount }) => predictedCount > 0);
  const most = (list: KeptView[]) => list.sort((a, b) => b.takes - a.takes || a.name.localeCompare(b.name));
  return {
    takes: all?.takes ?? 0,
    usable: all?.usable ?? 0,
    repaired: all?.repaired ?? 0,
    byLens: most(by(GROUPED.lens).map((line) => kept(line.lens, line))),
    byStop: by(GROUPED.stop)
      .sort((a, b) => a.stop - b.stop)
      .map((line) => kept(String(Number(line.stop.toFixed(2))), line)),
    byMethod: most(by(GROUPED.method).map((line) => kept(line.method, line))),
    byDifficulty: difficulties(tenths),
    byPuller: most(by(GROUPED.puller).map((line) => kept(line.puller, line))),
    byDay: by(GROUPED.day)
      .map((line) => kept(line.day, line))
      .sort((a, b) => a.name.localeCompare(b.name)),
    calibration: tenths
      .map(({ predicted, predictedCount, takes, usable }): CalibrationView => ({
        predicted: predicted / predictedCount,
        takes,
        usable,
      }))
      .sort((a, b) => a.predicted - b.predicted),
    errors: all ? errorsOf(all) : { late: null, off: null, markMisses: null },
  };
}

const kept = (name: string, { takes, usable }: Line): KeptView => ({ name, takes, usable });

/** Groups tenths of the keep rate into difficulties. */
function difficulties(tenths: readonly Line[]): KeptView[] {
  const found = new Map<string, KeptView>();
  for (const { tenth, takes, usable } of [...tenths].sort((a, b) => Number(b.tenth) - Number(a.tenth))) {
    const name = difficultyOf(Number(tenth) / 10 + 0.05);
    const known = found.get(name) ?? { name, takes: 0, usable: 0 };
    found.set(name, { name, takes: known.takes + takes, usable: known.usable + usable });
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
