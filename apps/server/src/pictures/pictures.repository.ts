import { createHash } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { DATABASE } from '../database/tokens.js';
import type { Database } from '../database/driver.js';
import { pictures } from '../database/schema.js';
import type { ReadPicture } from './read-picture.js';

export type PictureRow = typeof pictures.$inferSelect;

/** All database access for pictures. */
@Injectable()
export class PicturesRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Stores a picture, or returns the equal one that is stored already. */
  async keep(contents: Uint8Array, picture: ReadPicture): Promise<Omit<PictureRow, 'contents'>> {
    const digest = createHash('sha256').update(contents).digest('hex');
    await this.db
      .insert(pictures)
      .values({ ...picture, digest, contents })
      .onConflictDoNothing();
    const { contents: _, ...listed } = COLUMNS;
    const [row] = await this.db.select(listed).from(pictures).where(eq(pictures.digest, digest));
    return row!;
  }

  async find(id: string): Promise<PictureRow | undefined> {
    const [row] = await this.db.select(COLUMNS).from(pictures).where(eq(pictures.id, id));
    return row;
  }
}

const COLUMNS = {
  id: pictures.id,
  type: pictures.type,
  widthPx: pictures.widthPx,
  heightPx: pictures.heightPx,
  digest: pictures.digest,
  contents: pictures.contents,
  createdAt: pictures.createdAt,
};
