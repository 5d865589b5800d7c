import { readFileSync } from 'node:fs';
import { PLACES } from './places.js';

/** Version of this program. */
export const VERSION = (JSON.parse(readFileSync(PLACES.package, 'utf8')) as { readonly version: string }).version;
