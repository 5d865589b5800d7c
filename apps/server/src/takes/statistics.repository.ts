import { Inject, Injectable } from '@nestjs/common';
import type { LensUseView } from '@still-heron/contract';
import { ZONE_DEPTH_LIMITS_MM } from '@still-heron/core';
import { and, eq, isNotNull, isNull, ne, notInArray, sql, type SQL } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { rowsOf } from '../database/migrations.js';
import { shots, takes } from '../database/schema.js';
import type { Line } from './statistics.js';
import type { DetailLine } from './statisticsDetails.js';

const number = (column: unknown) => sql<number>`${column}`.mapWith(Number);

/** Takes that are summed up with one statement: other requests have their turn between. */
const TAKES_AT_ONCE = 1000;

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

  /** Sums for the details of a production's takes, of some takes after some in the order of time. */
  async *details(productionId: string, withSimulated: boolean): AsyncGenerator<DetailLine[]> {
    const which = await this.takesOf(productionId, withSimulated);
    let after: string | null = '-infinity';
    while (after !== null) {
      const part: Part<DetailLine> = await this.part<DetailLine>(which, after, {
        columns: sql`*`,
        keys: DETAIL_KEYS,
        sums: DETAIL_SUMS,
      });
      yield part.lines;
      after = part.until;
    }
  }

  /** Sums of a production's takes that have everything in common by which they are counted, of some takes after some in the order of time. */
  async *sums(productionId: string, withSimulated: boolean): AsyncGenerator<Line[]> {
    const which = await this.takesOf(productionId, withSimulated);
    for (let after: string | null = '-infinity'; after !== null;) {
      const { until, lines }: Part<Line> = await this.part<Line>(which, after, {
        columns: SUMMED_COLUMNS,
        keys: GROUPED_BY,
        sums: SUMS,
      });
      yield lines;
      after = until;
    }
  }

  /** Takes that count. */
  private async takesOf(productionId: string, withSimulated: boolean): Promise<SQL | undefined> {
    return and(
      eq(takes.productionId, productionId),
      isNull(takes.deletedAt),
      withSimulated ? undefined : eq(takes.isSimulated, false),
      await this.ofShots(productionId),
    );
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

  /**
   * One part of the sums, as JSON: handing over hundreds of rows takes longer than adding them up.
   *
   * @param after - moment of the last take before
   */
  private async part<L>(which: SQL | undefined, after: string, { columns, keys, sums }: Summing): Promise<Part<L>> {
    // takes of one moment stay together, so that each is in one part
    const some = sql`(select ${columns} from ${takes} where ${and(which, sql`${takes.rolledAt} > ${after}::timestamptz`)}
      order by ${takes.rolledAt} fetch first ${sql.raw(String(TAKES_AT_ONCE))} rows with ties) as takes`;
    const named = Object.entries({ ...keys, ...sums }).map(([name, value]) => sql`${value} as ${sql.identifier(name)}`);
    const groupedBy = sql.join(Object.values(keys), sql`, `);
    const groups = sql`select ${sql.join(named, sql`, `)}, max(${takes.rolledAt}) as until from ${some} group by ${groupedBy}`;
    const [row] = await rowsOf<{ until: string | null; lines: string | null }>(
      this.db,
      sql`select max(until)::text as until, json_agg(g)::text as lines from (${groups}) as g`,
    );
    const lines = JSON.parse(row!.lines ?? '[]') as (L & { readonly until: string })[];
    return { until: row!.until, lines: lines.map(({ until: _, ...line }) => line as unknown as L) };
  }
}

/** What is read, what the takes of one group have in common, and what is added up of them. */
interface Summing {
  readonly columns: SQL;
  readonly keys: Readonly<Record<string, SQL>>;
  readonly sums: Readonly<Record<string, SQL>>;
}

/** Sums of some takes, and the moment of the last of them; null after the last one. */
interface Part<L> {
  readonly until: string | null;
  readonly lines: L[];
}

/** Day of a take, in UTC. */
const DAY = sql`(${takes.rolledAt} at time zone 'utc')::date`;

/** Limit below which the zone of a take lies: -1 above the last one, null if its depth is unknown. */
const DEPTH_GROUP = sql`case ${sql.join(
  [
    sql`when ${takes.zoneDepthMm} is null then null`,
    ...ZONE_DEPTH_LIMITS_MM.map(
      (limit) => sql`when ${takes.zoneDepthMm} <= ${sql.raw(String(limit))} then ${sql.raw(String(limit))}`,
    ),
  ],
  sql` `,
)} else -1 end`;

const DETAIL_KEYS = {
  lens: sql`${takes.lens}`,
  method: sql`${takes.method}`,
  puller: sql`${takes.puller}`,
  day: DAY,
  faults: sql`${takes.faults}`,
  isKept: sql`${takes.isKept}`,
  depthGroup: DEPTH_GROUP,
} as const;

const DETAIL_SUMS = {
  takes: sql`count(*)`,
  turnCount: sql`sum(${takes.turnCount})`,
  smoothSum: sql`sum(${takes.smoothSum})`,
  settledCount: sql`sum(${takes.settledCount})`,
  settlingSum: sql`sum(${takes.settlingSum})`,
  pastZoneCount: sql`sum(${takes.pastZoneCount})`,
  // documents are read of those few takes that were looked at again
  looked: sql`json_agg(json_build_object('focus', ${takes.focus}, 'looks', ${takes.take}->'earlierLooks')) filter (where ${takes.earlierLooks} > 0)`,
} as const;

/** What takes of one group have in common. */
const GROUPED_BY = {
  lens: sql`${takes.lens}`,
  stop: sql`${takes.stop}`,
  method: sql`${takes.method}`,
  puller: sql`${takes.puller}`,
  tenth: sql`least(floor(${takes.predictedKeepRate} * 10), 9)`,
  day: DAY,
} as const;

/** Reading the documents as well would take longer. */
const SUMMED_COLUMNS = sql.join(SUMMED, sql`, `);

const isSaid = sql`${takes.isKept} is not null`;

/** What is added up of a group. */
const SUMS = {
  takes: sql`count(*)`,
  said: sql`count(${takes.isKept})`,
  kept: sql`count(*) filter (where ${takes.isKept})`,
  usable: sql`count(*) filter (where ${takes.isUsable})`,
  repaired: sql`count(*) filter (where ${takes.isRepaired})`,
  predicted: sql`coalesce(sum(${takes.predictedKeepRate}) filter (where ${isSaid}), 0)`,
  predictedCount: sql`count(${takes.predictedKeepRate}) filter (where ${isSaid})`,
  lateCount: sql`sum(${takes.lateCount})`,
  lateSum: sql`sum(${takes.lateSum})`,
  lateSquares: sql`sum(${takes.lateSquares})`,
  offCount: sql`sum(${takes.offCount})`,
  offSum: sql`sum(${takes.offSum})`,
  offSquares: sql`sum(${takes.offSquares})`,
  missedCount: sql`sum(${takes.missedCount})`,
  missedSum: sql`sum(${takes.missedSum})`,
  missedSquares: sql`sum(${takes.missedSquares})`,
} as const;
