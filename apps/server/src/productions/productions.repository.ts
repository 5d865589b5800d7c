import { Inject, Injectable } from '@nestjs/common';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/database.js';
import { productions, shots } from '../database/schema.js';

export type ProductionRow = typeof productions.$inferSelect & { shotCount: number };

/** Editable fields of a production. */
export type ProductionChanges = Partial<
  Pick<typeof productions.$inferInsert, 'name' | 'shutterAngleDeg' | 'frameAspect' | 'lookBlurPercent' | 'enlargedPercent'>
>;

/** All database access for productions. */
@Injectable()
export class ProductionsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  all(): Promise<ProductionRow[]> {
    return this.select().orderBy(asc(productions.createdAt));
  }

  async find(id: string): Promise<ProductionRow | undefined> {
    const [row] = await this.select().where(eq(productions.id, id));
    return row;
  }

  async insert(name: string): Promise<string> {
    const [row] = await this.db.insert(productions).values({ name }).returning({ id: productions.id });
    return row!.id;
  }

  /** @returns whether the version was current */
  async update(id: string, version: number, changes: ProductionChanges): Promise<boolean> {
    const rows = await raiseVersion(this.db, id, version, changes);
    return rows.length > 0;
  }

  private select() {
    return this.db
      .select({
        id: productions.id,
        name: productions.name,
        shutterAngleDeg: productions.shutterAngleDeg,
        frameAspect: productions.frameAspect,
        lookBlurPercent: productions.lookBlurPercent,
        enlargedPercent: productions.enlargedPercent,
        version: productions.version,
        createdAt: productions.createdAt,
        updatedAt: productions.updatedAt,
        shotCount: sql<number>`count(${shots.id})::int`,
      })
      .from(productions)
      .leftJoin(shots, and(eq(shots.productionId, productions.id), isNull(shots.deletedAt)))
      .groupBy(productions.id)
      .$dynamic();
  }
}

/** Updates the row only at the given version; an empty result means it was changed or deleted. */
export function raiseVersion(db: Database, id: string, version: number, changes: ProductionChanges = {}) {
  return db
    .update(productions)
    .set({ ...changes, version: version + 1, updatedAt: new Date() })
    .where(and(eq(productions.id, id), eq(productions.version, version)))
    .returning({ id: productions.id });
}
