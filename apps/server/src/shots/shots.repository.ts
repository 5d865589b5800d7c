import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, gt, isNotNull, isNull, lt, sql } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { productions, shotRevisions, shots } from '../database/schema.js';
import { raiseVersion } from '../productions/productions.repository.js';

export type ShotRow = typeof shots.$inferSelect;
export type DocumentRow = Pick<ShotRow, 'scene' | 'slate' | 'title' | 'plan'>;

/** All database access for shots and their revisions. Every write of a shot also writes a revision. */
@Injectable()
export class ShotsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  inOrder(productionId: string): Promise<ShotRow[]> {
    return this.db
      .select()
      .from(shots)
      .where(and(eq(shots.productionId, productionId), isNull(shots.deletedAt)))
      .orderBy(asc(shots.position), asc(shots.createdAt));
  }

  async find(id: string): Promise<ShotRow | undefined> {
    const [row] = await this.db
      .select()
      .from(shots)
      .where(and(eq(shots.id, id), isNull(shots.deletedAt)));
    return row;
  }

  /** @param after - previous shot; null for the end */
  insert(productionId: string, document: DocumentRow, after: ShotRow | null): Promise<ShotRow> {
    return this.db.transaction(async (tx) => {
      // one at a time: they move the same rows
      await tx.execute(sql`select id from ${productions} where id = ${productionId} for update`);
      const position = after ? after.position + 1 : await endOf(tx, productionId);
      await tx
        .update(shots)
        .set({ position: sql`${shots.position} + 1` })
        .where(and(eq(shots.productionId, productionId), gt(shots.position, position - 1)));
      const [row] = await tx
        .insert(shots)
        .values({ ...pick(document), productionId, position })
        .returning();
      await keepRevision(tx, row!);
      return row!;
    });
  }

  /** @returns undefined if the stored version is another, or the shot is deleted */
  save(id: string, version: number, document: DocumentRow): Promise<ShotRow | undefined> {
    return this.db.transaction(async (tx) => {
      const [row] = await tx
        .update(shots)
        .set({ ...pick(document), version: version + 1, updatedAt: new Date() })
        .where(and(eq(shots.id, id), eq(shots.version, version), isNull(shots.deletedAt)))
        .returning();
      if (row) await keepRevision(tx, row);
      return row;
    });
  }

  /** Sets or undoes a deletion. @returns whether a row was changed */
  async setDeleted(id: string, version: number | null, isDeleted: boolean): Promise<boolean> {
    const rows = await this.db
      .update(shots)
      .set({ deletedAt: isDeleted ? new Date() : null })
      .where(
        and(
          eq(shots.id, id),
          isDeleted ? isNull(shots.deletedAt) : isNotNull(shots.deletedAt),
          version === null ? undefined : eq(shots.version, version),
        ),
      )
      .returning({ id: shots.id });
    return rows.length > 0;
  }

  /** @param shotIds - in shooting order @returns whether the production's version was current */
  order(productionId: string, version: number, shotIds: readonly string[]): Promise<boolean> {
    return this.db.transaction(async (tx) => {
      const raised = await raiseVersion(tx, productionId, version);
      if (raised.length === 0) return false;
      for (const [position, id] of shotIds.entries()) await tx.update(shots).set({ position }).where(eq(shots.id, id));
      return true;
    });
  }

  revisions(id: string): Promise<{ version: number; savedAt: Date }[]> {
    return this.db
      .select({ version: shotRevisions.version, savedAt: shotRevisions.savedAt })
      .from(shotRevisions)
      .where(eq(shotRevisions.shotId, id))
      .orderBy(desc(shotRevisions.version));
  }

  async revision(id: string, version: number): Promise<(DocumentRow & { savedAt: Date }) | undefined> {
    const [row] = await this.db
      .select()
      .from(shotRevisions)
      .where(and(eq(shotRevisions.shotId, id), eq(shotRevisions.version, version)));
    return row;
  }

  /**
   * Prunes revisions and keeps the newest of each shot: all of the last hour, then one per hour for thirty days, then one per
   * day. Deletions older than thirty days become final.
   */
  async prune(now: Date): Promise<void> {
    const hourAgo = new Date(now.getTime() - 3_600_000);
    const monthAgo = new Date(now.getTime() - 30 * 24 * 3_600_000);
    await this.db.execute(sql`
      delete from ${shotRevisions} where (shot_id, version) in (
        select shot_id, version from (
          select shot_id, version, saved_at,
            row_number() over (partition by shot_id, date_trunc(case when saved_at < ${monthAgo.toISOString()}::timestamptz then 'day' else 'hour' end, saved_at) order by version desc) as of_span,
            row_number() over (partition by shot_id order by version desc) as of_shot
          from ${shotRevisions}
        ) as numbered
        where saved_at < ${hourAgo.toISOString()}::timestamptz and of_span > 1 and of_shot > 1
      )`);
    await this.db.delete(shots).where(lt(shots.deletedAt, monthAgo));
  }
}

function pick({ scene, slate, title, plan }: DocumentRow): DocumentRow {
  return { scene, slate, title, plan };
}

async function endOf(db: Database, productionId: string): Promise<number> {
  const [row] = await db
    .select({ end: sql<number>`coalesce(max(${shots.position}) + 1, 0)::int` })
    .from(shots)
    .where(eq(shots.productionId, productionId));
  return row!.end;
}

async function keepRevision(db: Database, { id, version, updatedAt, ...document }: ShotRow): Promise<void> {
  await db.insert(shotRevisions).values({ shotId: id, version, savedAt: updatedAt, ...pick(document) });
}
