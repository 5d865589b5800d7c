import { Inject, Injectable } from '@nestjs/common';
import type { Take } from '@still-heron/core';
import { and, asc, count, desc, eq, inArray, notInArray, or, sql, type SQL } from 'drizzle-orm';
import { DATABASE } from '../database/database.module.js';
import type { Database } from '../database/driver.js';
import { shots, takes } from '../database/schema.js';

export type TakeRow = Omit<
  typeof takes.$inferSelect,
  'track' | 'productionId' | 'createdAt' | 'updatedAt' | 'isCircled' | 'focus'
> & {
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
}

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

  /** A page of a production's takes, newest first, and how many match in all. Takes of deleted shots are left out. */
  async log(productionId: string, filter: TakeFilter, limit: number, offset: number) {
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
    const order = [desc(takes.rolledAt), desc(takes.number)] as const;
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

function columnsOf({ track, ...take }: Take) {
  return { take, track, isCircled: take.isCircled, focus: take.focus };
}

function conditionsOf(
  { search, isCircled, focus, hit }: TakeFilter,
  known: readonly { readonly id: string; readonly slate: string; readonly title: string }[],
): (SQL | undefined)[] {
  const words = search.toLowerCase();
  const named = known.filter(({ slate, title }) => `${slate} ${title}`.toLowerCase().includes(words)).map(({ id }) => id);
  const inNote = sql`strpos(lower(${takes.take}->>'note'), ${words}) > 0`;
  return [
    search === '' ? undefined : named.length === 0 ? inNote : or(inArray(takes.shotId, named), inNote),
    isCircled === null ? undefined : eq(takes.isCircled, isCircled),
    focus === null ? undefined : eq(takes.focus, focus),
    hit === null ? undefined : sql`${takes.take}->'hits' @> ${JSON.stringify([{ hit }])}::jsonb`,
  ];
}
