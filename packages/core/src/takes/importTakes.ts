import { isDeepEqual } from '../deepEqual.js';
import type { LoggedTake } from './exchange.js';
import type { Take } from './take.js';

/** A take that the production has already. */
export interface KnownTake {
  readonly id: string;
  readonly take: Take;
}

/** A take of a file, held against what the production has. */
export interface ComparedTake<K extends KnownTake> {
  readonly item: LoggedTake;
  /** Id that it has, or gets, in the production; empty if the server gives one */
  readonly id: string;
  /** The one with the same id; null for a take that is new */
  readonly known: K | null;
  readonly isSame: boolean;
}

/**
 * Holds the takes of a file against those of a production. A take of the same production is known by its id; one that came from elsewhere by the
 * id that it gets here, which follows from both, so that reading the same file again finds it.
 *
 * @param productionId - a UUID
 */
export function compareTakes<K extends KnownTake>(
  items: readonly LoggedTake[],
  known: readonly K[],
  productionId: string,
): ComparedTake<K>[] {
  const byId = new Map(known.map((one) => [one.id, one]));
  return items.map((item) => {
    // the server refuses what is no id
    const here = UUID.test(item.id) ? idHere(item.id.toLowerCase(), productionId) : item.id;
    const found = byId.get(item.id) ?? byId.get(here) ?? null;
    return { item, id: found?.id ?? here, known: found, isSame: found !== null && isDeepEqual(found.take, item.take) };
  });
}

const UUID = /^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/i;

/**
 * Id of a take in another production: both ids digit by digit exclusive-ored.
 *
 * @returns a UUID of version 8, as RFC 9562 leaves it to applications; the same for the same two
 */
function idHere(id: string, productionId: string): string {
  const other = productionId.replaceAll('-', '');
  let at = 0;
  const mixed = [...id].map((digit) => {
    if (digit === '-') return digit;
    return (Number.parseInt(digit, 16) ^ Number.parseInt(other[at++] ?? '0', 16)).toString(16);
  });
  mixed[14] = '8';
  mixed[19] = '89ab'[Number.parseInt(mixed[19]!, 16) % 4]!;
  return mixed.join('');
}
