import { Inject, Injectable } from '@nestjs/common';
import type { LensUseView } from '@still-heron/contract';
import { and, eq, isNotNull, isNull, ne, notInArray, sql, type SQL } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { shots, takes } from '../database/schema.js';
import type { Line } from './statistics.js';

const number = (column: unknown) => sql<number>`${column}`.mapWith(Number);

/** Takes that are summed up with one statement: other requests have their turn between. */
const TAKES_AT_ONCE = 400;

/** Columns that are grouped by or summed up. */
const SUMMED = [
  ...[takes.rolledAt, takes.lens, takes.stop, takes.method, takes.puller],
  ...[takes.predictedKeepRate, takes.isKept, takes.isUsable, takes.isRepaired],
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
      .where(and(isNull(shots.deletedAt), isNull(takes.deletedAt), ne(takes.lens, '')))
      .groupBy(takes.lens)
      .orderBy(takes.lens);
    return rows.map((row) => ({ ...row, lastUsedAt: new Date(row.lastUsedAt).toISOString() }));
  }

  /** Number of a production's takes by a simulator. */
  async simulatedCount(productionId: string): Promise<number> {
    const [row] = await this.db
      .select({ count: number(sql`count(*)`) })
      .from(takes)
      .where(
        and(
          eq(takes.productionId, productionId),
          eq(takes.isSimulated, true),
          isNull(takes.deletedAt),
          await this.ofShots(productionId),
        ),
      );
    return row!.count;
  }

  /** Sums of a production's takes that have everything in common by which they are counted, of some takes after some in the order of time. */
  async *sums(productionId: string, withSimulated: boolean): AsyncGenerator<Line[]> {
    const which = and(
      eq(takes.productionId, productionId),
      isNull(takes.deletedAt),
      withSimulated ? undefined : eq(takes.isSimulated, false),
      await this.ofShots(productionId),
    );
    for (let after: string | null = '-infinity'; after !== null;) {
      const part = await this.part(which, after);
      yield part.map(({ until: _, ...line }) => line);
      after = part.reduce<string | null>((last, { until }) => (last === null || until > last ? until : last), null);
    }
  }

  /** Takes of shots that are not deleted. */
  private async ofShots(productionId: string): Promise<SQL | undefined> {
    const gone = await this.db
      .select({ id: shots.id })
      .from(shots)
      .where(and(eq(shots.productionId, productionId), isNotNull(shots.deletedAt)));
    const ids = gone.map(({ id }) => id);
    return ids.length === 0 ? undefined : notInArray(takes.shotId, ids);
  }

  /** @param after - moment of the last take before */
  private part(which: SQL | undefined, after: string): Promise<(Line & { until: string })[]> {
    // takes of one moment stay together, so that each is in one part
    const some = sql`(select ${sql.join(SUMMED, sql`, `)} from ${takes} where ${and(which, sql`${takes.rolledAt} > ${after}::timestamptz`)}
      order by ${takes.rolledAt} fetch first ${sql.raw(String(TAKES_AT_ONCE))} rows with ties) as takes`;
    const tenth = sql`least(floor(${takes.predictedKeepRate} * 10), 9)`;
    const day = sql`to_char(${takes.rolledAt} at time zone 'utc', 'YYYY-MM-DD')`;
    const total = (column: unknown) => number(sql`sum(${column})`);
    const isSaid = sql`${takes.isKept} is not null`;
    return this.db
      .select({
        until: sql<string>`to_char(max(${takes.rolledAt}) at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`,
        lens: sql<string>`${takes.lens}`,
        stop: sql<number>`${takes.stop}`,
        method: sql<string>`${takes.method}`,
        puller: sql<string>`${takes.puller}`,
        tenth: sql<number | null>`${tenth}`,
        day: sql<string>`${day}`,
        takes: number(sql`count(*)`),
        said: number(sql`count(${takes.isKept})`),
        kept: number(sql`count(*) filter (where ${takes.isKept})`),
        usable: number(sql`count(*) filter (where ${takes.isUsable})`),
        repaired: number(sql`count(*) filter (where ${takes.isRepaired})`),
        predicted: number(sql`coalesce(sum(${takes.predictedKeepRate}) filter (where ${isSaid}), 0)`),
        predictedCount: number(sql`count(${takes.predictedKeepRate}) filter (where ${isSaid})`),
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
      .groupBy(sql`${takes.lens}`, sql`${takes.stop}`, sql`${takes.method}`, sql`${takes.puller}`, tenth, day);
  }
}
