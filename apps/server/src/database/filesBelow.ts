import { readdirSync, type Stats, statSync } from 'node:fs';
import { join } from 'node:path';

/** What the system says of each file below a folder. */
export function filesBelow(folder: string): Stats[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .map(({ parentPath, name }) => statSync(join(parentPath, name)));
}
