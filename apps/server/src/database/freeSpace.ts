import { statfs } from 'node:fs/promises';

/** Space that nothing but the database may use: several times what PostgreSQL writes between two checkpoints. */
export const RESERVED_BYTES = 200 * 1024 ** 2;

/** Free space on the disk of a folder, in bytes, for this user. */
export async function freeBytesOf(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}
