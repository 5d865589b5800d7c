import { Inject, Injectable } from '@nestjs/common';
import { difficultyOf, type MeasuredErrors, measuredError } from '@still-heron/core';
import { and, eq, notInArray, sql } from 'drizzle-orm';
import type { CalibrationView, KeptView, StatisticsView } from '@still-heron/contract';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/driver.js';
import { shots, takes } from '../database/schema.js';

/** Grouping of takes, as a bit of Postgres's `grouping`: set if the column is not grouped by. */
const GROUPED = { lens: 32, stop: 16, method: 8, puller: 4, tenth: 2, day: 1 } as const;
const ALL = 63;

interface Line extends MeasuredSums {
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
  readonly predicted: number | null;
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

const number = (column: unknown) => sql<number>`${column}`.mapWith(Number);

/** Statistics of takes, in one query. */
@Injectable()
export class StatisticsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async of(productionId: string): Promise<StatisticsView> {
    const gone = await this.db
      .select({ id: shots.id })
      .from(shots)
      .where(and(eq(shots.productionId, productionId), sql`${shots.deletedAt} is not null`));
    const tenth = sql`least(floor(${takes.predictedKeepRate} * 10), 9)`;
    const day = sql`to_char(${takes.rolledAt} at time zone 'utc', 'YYYY-MM-DD')`;
    const total = (column: unknown) => number(sql`sum(${column})`);
    const lines: Line[] = await this.db
      .select({
        grouped: number(sql`grouping(${takes.lens}, ${takes.stop}, ${takes.method}, ${takes.puller}, ${tenth}, ${day})`),
        lens: takes.lens,
        stop: takes.stop,
        method: takes.method,
        puller: takes.puller,
        tenth: sql<number | null>`${tenth}`,
        day: sql<string>`${day}`,
        takes: number(sql`count(*)`),
        usable: number(sql`count(*) filter (where ${takes.isUsable})`),
        repaired: number(sql`count(*) filter (where ${takes.isRepaired})`),
        predicted: sql<number | null>`avg(${takes.predictedKeepRate})`,
        lateCount: total(takes.lateCount),
        lateSum: total(takes.lateSum),
        lateSquares: total(takes.lateSquares),
        offCount: total(takes.offCount),
        offSum: total(takes.offSum),
        offSquares: total(takes.offSquares),
        missedCount: total(takes.missedCount),
        missedSum: total(takes.missedSum),
        missedSquares: total(takes.missedSquares),
      })
      .from(takes)
      .where(
        and(
          eq(takes.productionId, productionId),
          gone.length === 0
            ? undefined
            : notInArray(
                takes.shotId,
                gone.map(({ id }) => id),
              ),
        ),
      )
      .groupBy(
        sql`grouping sets ((${takes.lens}), (${takes.stop}), (${takes.method}), (${takes.puller}), (${tenth}), (${day}), ())`,
      );
    return statisticsOf(lines);
  }
}

function statisticsOf(lines: readonly Line[]): StatisticsView {
  const by = (bit: number) => lines.filter(({ grouped }) => grouped === ALL - bit);
  const [all] = by(0);
  const tenths = by(GROUPED.tenth).filter(({ predicted }) => predicted !== null);
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
      .map(({ predicted, takes, usable }): CalibrationView => ({ predicted: Number(predicted), takes, usable }))
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
