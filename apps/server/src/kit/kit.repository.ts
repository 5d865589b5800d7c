import { Inject, Injectable } from '@nestjs/common';
import { type KitItems, type KitKind, kitName, upgradeKitItem } from '@still-heron/core';
import { and, asc, eq, isNotNull, isNull, lt } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { cameras, lenses, rigs, wheels } from '../database/schema.js';

export type KitRow<K extends KitKind> = Omit<typeof lenses.$inferSelect, 'item'> & { readonly item: KitItems[K] };

type KitTable = typeof lenses;

/** The four tables have the same columns; the core has checked their documents. */
const TABLES: Readonly<Record<KitKind, KitTable>> = {
  cameras: cameras as unknown as KitTable,
  lenses,
  wheels: wheels as unknown as KitTable,
  rigs: rigs as unknown as KitTable,
};

/** Rows per insert statement. */
const BATCH = 500;

/** All database access for kit. */
@Injectable()
export class KitRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async byName<K extends KitKind>(kind: K): Promise<KitRow<K>[]> {
    const table: KitTable = TABLES[kind];
    const rows = await this.db.select().from(table).where(isNull(table.deletedAt)).orderBy(asc(table.name), asc(table.createdAt));
    return rows.map((row) => upgraded(kind, row));
  }

  async find<K extends KitKind>(kind: K, id: string): Promise<KitRow<K> | undefined> {
    const table: KitTable = TABLES[kind];
    const [row] = await this.db
      .select()
      .from(table)
      .where(and(eq(table.id, id), isNull(table.deletedAt)));
    return row && upgraded(kind, row);
  }

  /** Inserts all or none. @returns in the given order */
  insert<K extends KitKind>(given: readonly { kind: K; item: KitItems[K] }[]): Promise<KitRow<K>[]> {
    return this.db.transaction(async (tx) => {
      const rows: KitRow<K>[] = [];
      for (const kind of new Set(given.map((entry) => entry.kind))) {
        const table: KitTable = TABLES[kind];
        const values = given
          .filter((entry) => entry.kind === kind)
          .map(({ item }) => ({ name: kitName(kind, item), item: item as never }));
        for (let from = 0; from < values.length; from += BATCH)
          rows.push(
            ...((await tx
              .insert(table)
              .values(values.slice(from, from + BATCH))
              .returning()) as unknown as KitRow<K>[]),
          );
      }
      return rows;
    });
  }

  /** @returns undefined if the stored version is another, or the item is deleted */
  async save<K extends KitKind>(kind: K, id: string, version: number, item: KitItems[K]): Promise<KitRow<K> | undefined> {
    const table: KitTable = TABLES[kind];
    const [row] = await this.db
      .update(table)
      .set({ name: kitName(kind, item), item: item as never, version: version + 1, updatedAt: new Date() })
      .where(and(eq(table.id, id), eq(table.version, version), isNull(table.deletedAt)))
      .returning();
    return row as unknown as KitRow<K> | undefined;
  }

  /** @param version - null for any @returns whether a row was changed */
  async setDeleted(kind: KitKind, id: string, version: number | null, isDeleted: boolean): Promise<boolean> {
    const table: KitTable = TABLES[kind];
    const rows = await this.db
      .update(table)
      .set({ deletedAt: isDeleted ? new Date() : null })
      .where(
        and(
          eq(table.id, id),
          version === null ? undefined : eq(table.version, version),
          isDeleted ? isNull(table.deletedAt) : isNotNull(table.deletedAt),
        ),
      )
      .returning({ id: table.id });
    return rows.length > 0;
  }

  /** Deletes items for good that were deleted before `before`. */
  async prune(before: Date): Promise<void> {
    for (const table of Object.values(TABLES)) await this.db.delete(table).where(lt(table.deletedAt, before));
  }
}

/** A row of any version of the program, with its item as this one has it. */
function upgraded<K extends KitKind>(kind: K, row: typeof lenses.$inferSelect): KitRow<K> {
  return { ...row, item: upgradeKitItem(kind, row.item) as KitItems[K] };
}
