import { Inject, Injectable } from '@nestjs/common';
import { type ShotChange, shotChanges } from '@still-heron/core';
import { and, asc, desc, eq, gt, inArray, isNotNull, isNull, lt, max, sql } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { productions, shotRevisions, shots } from '../database/schema.js';
import { raiseVersion } from '../productions/productions.repository.js';
import { thinned } from './thinned.js';

export type ShotRow = typeof shots.$inferSelect;
export type DocumentRow = Pick<ShotRow, 'scene' | 'slate' | 'title' | 'plan'>;
/** A document with the device that saves it. */
type SavedRow = DocumentRow & Pick<ShotRow, 'deviceId' | 'deviceName'>;
/** A saved version without its document. */
export type RevisionRow = Pick<typeof shotRevisions.$inferSelect, keyof typeof REVISION>;

const REVISION = {
  version: shotRevisions.version,
  savedAt: shotRevisions.savedAt,
  deviceId: shotRevisions.deviceId,
  deviceName: shotRevisions.deviceName,
  changes: shotRevisions.changes,
  name: shotRevisions.name,
};

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

  /** Shots in shooting order with the parts of their plans that a list shows, as they are stored. */
  rows(productionId: string) {
    const part = (...path: string[]) => sql<unknown>`${shots.plan} #> ${`{${path.join(',')}}`}::text[]`;
    return this.db
      .select({
        ...{ id: shots.id, version: shots.version, scene: shots.scene, slate: shots.slate, title: shots.title },
        schema: part('schema'),
        focalLengthMm: part('optics', 'focalLengthMm'),
        stop: part('optics', 'stop'),
        stopScale: part('optics', 'lens', 'stopScale'),
        method: part('method'),
        laterMethods: part('laterMethods'),
        nearerTurns: part('optics', 'lens', 'nearerTurns'),
        wheel: part('wheel'),
      })
      .from(shots)
      .where(and(eq(shots.productionId, productionId), isNull(shots.deletedAt)))
      .orderBy(asc(shots.position), asc(shots.createdAt));
  }

  /** Plans of some shots of a production. */
  plans(productionId: string, ids: readonly string[]): Promise<Pick<ShotRow, 'id' | 'version' | 'plan'>[]> {
    if (ids.length === 0) return Promise.resolve([]);
    return this.db
      .select({ id: shots.id, version: shots.version, plan: shots.plan })
      .from(shots)
      .where(and(eq(shots.productionId, productionId), isNull(shots.deletedAt), inArray(shots.id, [...ids])));
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
      await keepRevision(tx, row!, null);
      return row!;
    });
  }

  /** @returns undefined if the stored version is another, or the shot is deleted */
  save(id: string, version: number, document: SavedRow): Promise<ShotRow | undefined> {
    return this.db.transaction(async (tx) => {
      const isCurrent = and(eq(shots.id, id), eq(shots.version, version), isNull(shots.deletedAt));
      const [before] = await tx.select().from(shots).where(isCurrent);
      const { deviceId, deviceName } = document;
      const [row] = await tx
        .update(shots)
        .set({ ...pick(document), deviceId, deviceName, version: version + 1, updatedAt: new Date() })
        .where(isCurrent)
        .returning();
      if (row) await keepRevision(tx, row, before ?? null);
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

  revisions(id: string): Promise<RevisionRow[]> {
    return this.db.select(REVISION).from(shotRevisions).where(eq(shotRevisions.shotId, id)).orderBy(desc(shotRevisions.version));
  }

  async revision(id: string, version: number): Promise<(DocumentRow & { savedAt: Date }) | undefined> {
    const [row] = await this.db
      .select()
      .from(shotRevisions)
      .where(and(eq(shotRevisions.shotId, id), eq(shotRevisions.version, version)));
    return row;
  }

  /** @returns undefined if there is no such version */
  async nameRevision(id: string, version: number, name: string): Promise<RevisionRow | undefined> {
    const [row] = await this.db
      .update(shotRevisions)
      .set({ name })
      .where(and(eq(shotRevisions.shotId, id), eq(shotRevisions.version, version)))
      .returning(REVISION);
    return row;
  }

  /** Removes the versions that are no longer kept. Deletions older than thirty days become final. */
  async prune(now: Date): Promise<void> {
    await this.db.transaction(async (tx) => {
      const hourAgo = new Date(now.getTime() - HOUR_MS);
      const old = await tx
        .select({ shotId: shotRevisions.shotId, ...REVISION })
        .from(shotRevisions)
        .where(lt(shotRevisions.savedAt, hourAgo))
        .orderBy(asc(shotRevisions.shotId), asc(shotRevisions.version));
      const newest = await tx
        .select({ shotId: shotRevisions.shotId, version: max(shotRevisions.version) })
        .from(shotRevisions)
        .groupBy(shotRevisions.shotId);
      const { removed, changed } = thinned(old, new Map(newest.map(({ shotId, version }) => [shotId, version!])), now);
      for (const { shotId, version, changes } of changed)
        await tx
          .update(shotRevisions)
          .set({ changes: changes === null ? null : [...changes] })
          .where(and(eq(shotRevisions.shotId, shotId), eq(shotRevisions.version, version)));
      for (const { shotId, version } of removed)
        await tx.delete(shotRevisions).where(and(eq(shotRevisions.shotId, shotId), eq(shotRevisions.version, version)));
    });
    await this.db.delete(shots).where(lt(shots.deletedAt, new Date(now.getTime() - 30 * 24 * HOUR_MS)));
  }
}

const HOUR_MS = 3_600_000;

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

/** @param before - the version that it replaces; null for the first */
async function keepRevision(db: Database, row: ShotRow, before: DocumentRow | null): Promise<void> {
  const { id, version, updatedAt, deviceId, deviceName, ...document } = row;
  const changes = before ? changesOf(before, document) : [];
  await db
    .insert(shotRevisions)
    .values({ shotId: id, version, savedAt: updatedAt, ...pick(document), deviceId, deviceName, changes });
}

/** Null for a stored plan that is too broken, or of too early a form, to be compared. */
function changesOf(before: DocumentRow, after: DocumentRow): ShotChange[] | null {
  try {
    return shotChanges(before, after);
  } catch {
    return null;
  }
}
