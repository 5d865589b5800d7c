import { setImmediate } from 'node:timers/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { Take } from '@still-heron/core';
import { and, asc, count, desc, eq, gt, inArray, isNotNull, isNull, lt, notInArray, sql } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { shots, takeRevisions, takes } from '../database/schema.js';
import { conditionsOf, type LogOrder, ORDERS, type PageRange, type TakeFilter } from './logFilter.js';
import { columnsOf } from './takeColumns.js';

export type TakeRow = Pick<typeof takes.$inferSelect, 'id' | 'shotId' | 'number' | 'rolledAt' | 'take' | 'version'> & {
  readonly hasTrack: boolean;
};

/** Takes that are read with one statement: other requests have their turn between. */
const WHOLE_AT_ONCE = 20;
const LINES_AT_ONCE = 100;

/** All columns of a take except its track. */
const ROW = {
  id: takes.id,
  shotId: takes.shotId,
  number: takes.number,
  rolledAt: takes.rolledAt,
  take: takes.take,
  version: takes.version,
  hasTrack: sql<boolean>`${takes.track} is not null`,
};

/** All database access for takes. */
@Injectable()
export class TakesRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  ofShot(shotId: string): Promise<TakeRow[]> {
    return this.db
      .select(ROW)
      .from(takes)
      .where(and(eq(takes.shotId, shotId), isNull(takes.deletedAt)))
      .orderBy(asc(takes.number));
  }

  /** Deleted takes of a shot that can be restored, the last deleted first. */
  deletedOf(shotId: string): Promise<TakeRow[]> {
    return this.db
      .select(ROW)
      .from(takes)
      .where(and(eq(takes.shotId, shotId), isNotNull(takes.deletedAt)))
      .orderBy(desc(takes.deletedAt));
  }

  async find(id: string): Promise<(TakeRow & { track: string | null }) | undefined> {
    const [row] = await this.db
      .select({ ...ROW, track: takes.track })
      .from(takes)
      .where(and(eq(takes.id, id), isNull(takes.deletedAt)));
    return row;
  }

  /**
   * Inserts a take with the next number of its shot.
   *
   * @param id - client id: a take of the shot that exists already is returned unchanged; a deleted one is restored, as it is given
   * @returns undefined if a take of another shot has the id
   */
  insert(
    shot: { readonly id: string; readonly productionId: string },
    rolledAt: Date,
    take: Take,
    id?: string,
  ): Promise<TakeRow | undefined> {
    const { id: shotId, productionId } = shot;
    return this.db.transaction(async (tx) => {
      // two devices that log at the same time get two numbers
      await tx.execute(sql`select id from ${shots} where id = ${shotId} for update`);
      const known = async () => {
        const [row] = id
          ? await tx
              .select({ ...ROW, deletedAt: takes.deletedAt })
              .from(takes)
              .where(eq(takes.id, id))
          : [];
        return row;
      };
      const before = await known();
      if (before && before.shotId !== shotId) return undefined;
      if (before && before.deletedAt === null) return before;
      if (before) {
        const given = { ...columnsOf(take), rolledAt, version: before.version + 1, updatedAt: new Date(), deletedAt: null };
        const [restored] = await tx.update(takes).set(given).where(eq(takes.id, before.id)).returning(ROW);
        await tx.insert(takeRevisions).values({ takeId: before.id, version: before.version, take: before.take });
        return restored;
      }
      const [last] = await tx
        .select({ number: sql<number>`coalesce(max(${takes.number}), 0)`.mapWith(Number) })
        .from(takes)
        .where(eq(takes.shotId, shotId));
      const [row] = await tx
        .insert(takes)
        .values({ ...(id ? { id } : {}), shotId, productionId, rolledAt, number: last!.number + 1, ...columnsOf(take) })
        .onConflictDoNothing({ target: takes.id })
        .returning(ROW);
      // the same id was logged at this moment, for another shot
      return row ?? (await known().then((other) => (other?.shotId === shotId ? other : undefined)));
    });
  }

  /** Replaces a take, and keeps what it was. @returns undefined if the stored version is another, or the take is deleted */
  save(id: string, version: number, take: Take): Promise<TakeRow | undefined> {
    return this.db.transaction(async (tx) => {
      const isCurrent = and(eq(takes.id, id), eq(takes.version, version), isNull(takes.deletedAt));
      const [before] = await tx.select({ take: takes.take }).from(takes).where(isCurrent);
      const [row] = await tx
        .update(takes)
        .set({ ...columnsOf(take), version: version + 1, updatedAt: new Date() })
        .where(isCurrent)
        .returning(ROW);
      if (row) await tx.insert(takeRevisions).values({ takeId: id, version, take: before!.take });
      return row;
    });
  }

  /** Sets or undoes a deletion. @param version - null for any @returns whether a take was changed */
  async setDeleted(id: string, version: number | null, isDeleted: boolean): Promise<boolean> {
    const rows = await this.db
      .update(takes)
      .set({ deletedAt: isDeleted ? new Date() : null })
      .where(
        and(
          eq(takes.id, id),
          isDeleted ? isNull(takes.deletedAt) : isNotNull(takes.deletedAt),
          version === null ? undefined : eq(takes.version, version),
        ),
      )
      .returning({ id: takes.id });
    return rows.length > 0;
  }

  /** Replaced versions of a take, the last replaced first. */
  revisions(id: string) {
    return this.db
      .select({ version: takeRevisions.version, take: takeRevisions.take, replacedAt: takeRevisions.replacedAt })
      .from(takeRevisions)
      .where(eq(takeRevisions.takeId, id))
      .orderBy(desc(takeRevisions.version));
  }

  /** Deletions before a moment become final. */
  async prune(before: Date): Promise<void> {
    await this.db.delete(takes).where(lt(takes.deletedAt, before));
  }

  /** Takes of a shot with their tracks, by number, a few at a time. */
  async *whole(shotId: string): AsyncGenerator<TakeRow & { readonly track: string | null }> {
    const next = (after: number) =>
      this.db
        .select({ ...ROW, track: takes.track })
        .from(takes)
        .where(and(eq(takes.shotId, shotId), gt(takes.number, after), isNull(takes.deletedAt)))
        .orderBy(asc(takes.number))
        .limit(WHOLE_AT_ONCE);
    for (let rows = await next(0); rows.length > 0; rows = await next(rows.at(-1)!.number)) yield* rows;
  }

  /** Takes of a shot without tracks, by number, as lines of JSON with `number`, `rolledAt` and `take`; those of a simulator only if they are asked for. */
  async lines(shotId: string, withSimulated: boolean): Promise<Buffer> {
    const parts: Buffer[] = [];
    const next = (after: number) =>
      this.db
        .select({ number: takes.number, rolledAt: takes.rolledAt, take: sql<string>`${takes.take}::text` })
        .from(takes)
        .where(
          and(
            eq(takes.shotId, shotId),
            gt(takes.number, after),
            isNull(takes.deletedAt),
            withSimulated ? undefined : eq(takes.isSimulated, false),
          ),
        )
        .orderBy(asc(takes.number))
        .limit(LINES_AT_ONCE);
    for (let rows = await next(0); rows.length > 0; rows = await next(rows.at(-1)!.number)) {
      const line = ({ number, rolledAt, take }: (typeof rows)[number]) =>
        `{"number":${number},"rolledAt":"${rolledAt.toISOString()}","take":${take}}\n`;
      parts.push(Buffer.from(rows.map(line).join('')));
      await setImmediate();
    }
    return Buffer.concat(parts);
  }

  /** A page of a production's takes, and the total number of matches. Takes of deleted shots are excluded. */
  async log(productionId: string, filter: TakeFilter, inOrder: LogOrder, { limit, offset }: PageRange) {
    // there are some hundred shots but tens of thousands of takes: query the shots first instead of joining
    const known = await this.db
      .select({ id: shots.id, slate: shots.slate, title: shots.title, deletedAt: shots.deletedAt })
      .from(shots)
      .where(eq(shots.productionId, productionId));
    const gone = known.filter(({ deletedAt }) => deletedAt !== null).map(({ id }) => id);
    const where = and(
      eq(takes.productionId, productionId),
      isNull(takes.deletedAt),
      gone.length === 0 ? undefined : notInArray(takes.shotId, gone),
      ...conditionsOf(filter, known),
    );
    // sort ids first, not documents
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
