import { Inject, Injectable } from '@nestjs/common';
import type { LensUseView } from '@still-heron/contract';
import { and, eq, isNotNull, isNull, ne, notInArray, sql, type SQL } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { shots, takes } from '../database/schema.js';
import { ALL, type Line } from './statistics.js';

const number = (column: unknown) => sql<number>`${column}`.mapWith(Number);

/** Takes that are summed up with one statement: other requests have their turn between. */
const TAKES_AT_ONCE = 400;

/** Columns that are grouped by or summed up. */
const SUMMED = [
  ...[takes.rolledAt, takes.lens, takes.stop, takes.method, takes.puller],
  ...[takes.predictedKeepRate, takes.isUsable, takes.isRepaired],
  ...[takes.lateCount, takes.lateSum, takes.lateSquares, takes.offCount, takes.offSum, takes.offSquares],
  ...[takes.missedCount, takes.missedSum, takes.missedSquares],
];

/** Sums for the statistics of takes. */
@Injectable()
export class StatisticsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Takes by lens, of shots that are not deleted. */
  async lensUse(): Promise<LensUseView[]> {
    const rows = await this.db
      .select({
        lens: takes.lens,
        takes: number(sql`count(*)`),
        usable: number(sql`count(*) filter (where ${takes.isUsable})`),
        lastUsedAt: sql<string>`max(${takes.rolledAt})`,
      })
      .from(takes)
      .innerJoin(shots, eq(shots.id, takes.shotId))
      .where(and(isNull(shots.deletedAt), ne(takes.lens, '')))
      .groupBy(takes.lens)
      .orderBy(takes.lens);
    return rows.map((row) => ({ ...row, lastUsedAt: new Date(row.lastUsedAt).toISOString() }));
  }

  /** Sums of a production's takes by each grouping, of some takes after some in the order of time. */
  async *sums(productionId: string): AsyncGenerator<Line[]> {
    const gone = await this.db
      .select({ id: shots.id })
      .from(shots)
      .where(and(eq(shots.productionId, productionId), isNotNull(shots.deletedAt)));
    const isOfShot =
      gone.length === 0
        ? undefined
        : notInArray(
            takes.shotId,
            gone.map(({ id }) => id),
          );
    for (let after: string | null = '-infinity'; after !== null;) {
      const part = await this.part(and(eq(takes.productionId, productionId), isOfShot), after);
      yield part.map(({ until: _, ...line }) => line);
      after = part.find(({ grouped }) => grouped === ALL)?.until ?? null;
    }
  }

  /** @param after - moment of the last take before */
  private part(which: SQL | undefined, after: string): Promise<(Line & { until: string | null })[]> {
    // takes of one moment stay together, so that each is in one part
    const some = sql`(select ${sql.join(SUMMED, sql`, `)} from ${takes} where ${and(which, sql`${takes.rolledAt} > ${after}::timestamptz`)}
      order by ${takes.rolledAt} fetch first ${sql.raw(String(TAKES_AT_ONCE))} rows with ties) as takes`;
    const tenth = sql`least(floor(${takes.predictedKeepRate} * 10), 9)`;
    const day = sql`to_char(${takes.rolledAt} at time zone 'utc', 'YYYY-MM-DD')`;
    const total = (column: unknown) => number(sql`sum(${column})`);
    return this.db
      .select({
        until: sql<string | null>`max(${takes.rolledAt})::text`,
        grouped: number(sql`grouping(${takes.lens}, ${takes.stop}, ${takes.method}, ${takes.puller}, ${tenth}, ${day})`),
        lens: sql<string>`${takes.lens}`,
        stop: sql<number>`${takes.stop}`,
        method: sql<string>`${takes.method}`,
        puller: sql<string>`${takes.puller}`,
        tenth: sql<number | null>`${tenth}`,
        day: sql<string>`${day}`,
        takes: number(sql`count(*)`),
        usable: number(sql`count(*) filter (where ${takes.isUsable})`),
        repaired: number(sql`count(*) filter (where ${takes.isRepaired})`),
        predicted: number(sql`coalesce(sum(${takes.predictedKeepRate}), 0)`),
        predictedCount: number(sql`count(${takes.predictedKeepRate})`),
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
      .from(some)
      .groupBy(
        sql`grouping sets ((${takes.lens}), (${takes.stop}), (${takes.method}), (${takes.puller}), (${tenth}), (${day}), ())`,
      );
  }
}
