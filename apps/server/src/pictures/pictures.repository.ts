import { createHash, randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { copiedValue, copyFile, int4 } from '../database/binary.js';
import type { Database } from '../database/database.js';
import type { OpenDatabase } from '../database/openDatabase.js';
import { pictures } from '../database/schema.js';
import { DATABASE, OPEN_DATABASE } from '../database/tokens.js';
import type { ReadPicture } from './read-picture.js';

/** A picture without its contents. */
export type PictureRow = Omit<typeof pictures.$inferSelect, 'contents'>;

const LISTED = {
  id: pictures.id,
  type: pictures.type,
  widthPx: pictures.widthPx,
  heightPx: pictures.heightPx,
  digest: pictures.digest,
  createdAt: pictures.createdAt,
};

/** All database access for pictures. Their bytes never become text. */
@Injectable()
export class PicturesRepository {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(OPEN_DATABASE) private readonly open: OpenDatabase,
  ) {}

  /** Stores a picture, or returns the equal one that is stored already. */
  async keep(contents: Uint8Array, picture: ReadPicture): Promise<PictureRow> {
    const digest = createHash('sha256').update(contents).digest('hex');
    const stored = await this.ofDigest(digest);
    if (stored) return stored;
    await this.insert(contents, picture, digest);
    return (await this.ofDigest(digest))!;
  }

  async find(id: string): Promise<{ readonly type: string; readonly contents: Uint8Array } | undefined> {
    const [row] = await this.db.select({ type: pictures.type }).from(pictures).where(eq(pictures.id, id));
    const contents = row && (await this.contents(id));
    return contents && { type: row.type, contents };
  }

  private async ofDigest(digest: string): Promise<PictureRow | undefined> {
    const [row] = await this.db.select(LISTED).from(pictures).where(eq(pictures.digest, digest));
    return row;
  }

  /** Two that store the same picture at once store it once. */
  private async insert(contents: Uint8Array, picture: ReadPicture, digest: string): Promise<void> {
    const { copy } = this.open;
    if (!copy) {
      await this.db
        .insert(pictures)
        .values({ ...picture, digest, contents })
        .onConflictDoNothing();
      return;
    }
    const { type, widthPx, heightPx } = picture;
    const id = Buffer.from(randomUUID().replaceAll('-', ''), 'hex');
    const values = [id, Buffer.from(type), int4(widthPx), int4(heightPx), Buffer.from(digest), contents];
    try {
      await copy.into('pictures', ['id', 'type', 'width_px', 'height_px', 'digest', 'contents'], copyFile(values));
    } catch (error) {
      if ((error as { code?: string }).code !== UNIQUE_VIOLATION) throw error;
    }
  }

  /** @param id - a UUID */
  private async contents(id: string): Promise<Uint8Array | undefined> {
    const { copy } = this.open;
    if (copy) return copiedValue(await copy.outOf(`select contents from pictures where id = '${id}'`));
    const [row] = await this.db.select({ contents: pictures.contents }).from(pictures).where(eq(pictures.id, id));
    return row?.contents;
  }
}

const UNIQUE_VIOLATION = '23505';
