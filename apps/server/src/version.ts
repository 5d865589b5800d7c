import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';

/** Version of this program. */
export const VERSION = (
  JSON.parse(readFileSync(resolve(import.meta.dirname, '../package.json'), 'utf8')) as { readonly version: string }
).version;
