import { Inject, Injectable } from '@nestjs/common';
import { type Take, takeFigures } from '@still-heron/core';
import { and, asc, count, desc, eq, inArray, isNull, notInArray, or, sql, type SQL } from 'drizzle-orm';
import { DATABASE } from '../database/database.module.js';
import type { Database } from '../database/driver.js';
import { shots, takes } from '../database/schema.js';

export type TakeRow = Pick<typeof takes.$inferSelect, 'id' | 'shotId' | 'number' | 'rolledAt' | 'take' | 'version'> & {
  readonly hasTrack: boolean;
};

/** What a log is narrowed to. */
export interface TakeFilter {
  /** In slate, title or note */
  readonly search: string;
  readonly isCircled: boolean | null;
  readonly focus: string | null;
  /** A word of how a mark was hit */
  readonly hit: string | null;
  /** What it was shot with, as it is called; null for whatever it was */
  readonly lens: string | null;
  readonly method: string | null;
  readonly puller: string | null;
}

/** In what order a log is read. */
export const LOG_ORDERS = ['newest', 'oldest', 'likeliest', 'unlikeliest'] as const;
export type LogOrder = (typeof LOG_ORDERS)[number];

const ORDERS: Readonly<Record<LogOrder, readonly SQL[]>> = {
  newest: [desc(takes.rolledAt), desc(takes.number)],
  oldest: [asc(takes.rolledAt), asc(takes.number)],
  likeliest: [sql`${takes.predictedRate} desc nulls last`, desc(takes.rolledAt)],
  unlikeliest: [sql`${takes.predictedRate} asc nulls last`, desc(takes.rolledAt)],
};

/** All of a take but its track. */
const ROW = {
  id: takes.id,
  shotId: takes.shotId,
  number: takes.number,
  rolledAt: takes.rolledAt,
  take: takes.take,
  version: takes.version,
  hasTrack: sql<boolean>`${takes.track} is not null`,
};

/** The only place that asks the database about takes. */
@Injectable()
export class TakesRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  ofShot(shotId: string): Promise<TakeRow[]> {
    return this.db.select(ROW).from(takes).where(eq(takes.shotId, shotId)).orderBy(asc(takes.number));
  }

  async find(id: string): Promise<(TakeRow & { track: string | null }) | undefined> {
    const [row] = await this.db
      .select({ ...ROW, track: takes.track })
      .from(takes)
      .where(eq(takes.id, id));
    return row;
  }

  /**
   * With the next number of its shot.
   *
   * @param id - as the page made it: a take that is there already comes back as it is
   */
  insert(
    shot: { readonly id: string; readonly productionId: string },
    rolledAt: Date,
    take: Take,
    id?: string,
  ): Promise<TakeRow> {
    const { id: shotId, productionId } = shot;
    return this.db.transaction(async (tx) => {
      // two devices that log at once get two numbers
      await tx.execute(sql`select id from ${shots} where id = ${shotId} for update`);
      const [known] = id ? await tx.select(ROW).from(takes).where(eq(takes.id, id)) : [];
      if (known) return known;
      const [last] = await tx
        .select({ number: sql<number>`coalesce(max(${takes.number}), 0)`.mapWith(Number) })
        .from(takes)
        .where(eq(takes.shotId, shotId));
      const [row] = await tx
        .insert(takes)
        .values({ ...(id ? { id } : {}), shotId, productionId, rolledAt, number: last!.number + 1, ...columnsOf(take) })
        .returning(ROW);
      return row!;
    });
  }

  /** @returns undefined when the version is no longer the stored one, or the take is gone */
  async save(id: string, version: number, take: Take): Promise<TakeRow | undefined> {
    const [row] = await this.db
      .update(takes)
      .set({ ...columnsOf(take), version: version + 1, updatedAt: new Date() })
      .where(and(eq(takes.id, id), eq(takes.version, version)))
      .returning(ROW);
    return row;
  }

  /** @returns whether there was a take to remove, at that version */
  async remove(id: string, version: number): Promise<boolean> {
    const rows = await this.db
      .delete(takes)
      .where(and(eq(takes.id, id), eq(takes.version, version)))
      .returning({ id: takes.id });
    return rows.length > 0;
  }

  /** Takes of a production's shots, or of one, with their tracks: for what leaves the house. */
  whole(
    productionId: string,
    shotId: string | null,
  ): Promise<(TakeRow & { track: string | null; slate: string; title: string })[]> {
    return this.db
      .select({ ...ROW, track: takes.track, slate: shots.slate, title: shots.title })
      .from(takes)
      .innerJoin(shots, eq(shots.id, takes.shotId))
      .where(
        and(
          eq(takes.productionId, productionId),
          isNull(shots.deletedAt),
          shotId === null ? undefined : eq(takes.shotId, shotId),
        ),
      )
      .orderBy(asc(shots.position), asc(takes.number));
  }

  /** A page of a production's takes, and how many match in all. Takes of deleted shots are left out. */
  async log(productionId: string, filter: TakeFilter, inOrder: LogOrder, limit: number, offset: number) {
    // a production has some hundred shots and some ten thousand takes: its shots are asked first, and no take is joined to one
    const known = await this.db
      .select({ id: shots.id, slate: shots.slate, title: shots.title, deletedAt: shots.deletedAt })
      .from(shots)
      .where(eq(shots.productionId, productionId));
    const gone = known.filter(({ deletedAt }) => deletedAt !== null).map(({ id }) => id);
    const where = and(
      eq(takes.productionId, productionId),
      gone.length === 0 ? undefined : notInArray(takes.shotId, gone),
      ...conditionsOf(filter, known),
    );
    // which ones, first: what is sorted then is ids, not documents
    const order = ORDERS[inOrder];
    const page = this.db
      .select({ id: takes.id })
      .from(takes)
      .where(where)
      .orderBy(...order)
      .limit(limit)
      .offset(offset);
    const rows = await this.db
      .select(ROW)
      .from(takes)
      .where(inArray(takes.id, page))
      .orderBy(...order);
    const [all] = await this.db.select({ total: count() }).from(takes).where(where);
    const shotOf = new Map(known.map((shot) => [shot.id, shot]));
    return { rows: rows.map((row) => ({ ...row, ...shotOf.get(row.shotId)!, id: row.id })), total: all!.total };
  }
}

/** A take as its row keeps it: also what statistics, and a log that is narrowed, ask of it. */
export function columnsOf({ track, ...take }: Take) {
  const { settings, predictedRate, isCircled, focus } = take;
  const { isUsable, isRepaired, late, off, missed } = takeFigures(take);
  return {
    take,
    track,
    isCircled,
    focus,
    lens: settings.lens,
    stop: settings.stop,
    method: settings.method,
    puller: settings.puller,
    predictedRate,
    isUsable,
    isRepaired,
    lateCount: late.count,
    lateSum: late.sum,
    lateSquares: late.squares,
    offCount: off.count,
    offSum: off.sum,
    offSquares: off.squares,
    missedCount: missed.count,
    missedSum: missed.sum,
    missedSquares: missed.squares,
  };
}

function conditionsOf(
  { search, isCircled, focus, hit, lens, method, puller }: TakeFilter,
  known: readonly { readonly id: string; readonly slate: string; readonly title: string }[],
): (SQL | undefined)[] {
  const words = search.toLowerCase();
  const named = known.filter(({ slate, title }) => `${slate} ${title}`.toLowerCase().includes(words)).map(({ id }) => id);
  const inNote = sql`strpos(lower(${takes.take}->>'note'), ${words}) > 0`;
  return [
    search === '' ? undefined : named.length === 0 ? inNote : or(inArray(takes.shotId, named), inNote),
    isCircled === null ? undefined : eq(takes.isCircled, isCircled),
    focus === null ? undefined : eq(takes.focus, focus),
    lens === null ? undefined : eq(takes.lens, lens),
    method === null ? undefined : eq(takes.method, method),
    puller === null ? undefined : eq(takes.puller, puller),
    hit === null ? undefined : sql`${takes.take}->'hits' @> ${JSON.stringify([{ hit }])}::jsonb`,
  ];
}
