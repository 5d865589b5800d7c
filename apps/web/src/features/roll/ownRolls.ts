/**
 * Rolls of this device: whether the page of one still lives. A page that dies says nothing; the browser then gives its lock away.
 */
export interface OwnRolls {
  begin(rollId: string): void;
  end(rollId: string): void;
  /** Whether this device began a roll whose page is gone */
  isLost(rollId: string): Promise<boolean>;
}

const KEY = 'still-heron.rolls';
/** More than that many dead rolls are never of interest. */
const MAX_KEPT = 20;

const lockName = (rollId: string) => `still-heron.roll.${rollId}`;

/** What the browser tells by: locks go when their page goes. Absent on an address without https. */
export type Locks = Pick<LockManager, 'request' | 'query'>;

const browserLocks = (): Locks | undefined => (globalThis.navigator as Partial<Navigator> | undefined)?.locks;

/** Ids of rolls whose pages live, of all windows; null in a browser that can't tell. */
export async function livingRolls(locks = browserLocks()): Promise<ReadonlySet<string> | null> {
  if (!locks) return null;
  const { held = [] } = await locks.query();
  const prefix = lockName('');
  return new Set(held.flatMap(({ name = '' }) => (name.startsWith(prefix) ? name.slice(prefix.length) : [])));
}

export function ownRolls(storage: Pick<Storage, 'getItem' | 'setItem'>, locks = browserLocks()): OwnRolls {
  const releases = new Map<string, () => void>();
  const known = (): string[] => {
    try {
      const value: unknown = JSON.parse(storage.getItem(KEY) ?? '[]');
      return Array.isArray(value) ? value.filter((id): id is string => typeof id === 'string') : [];
    } catch {
      return [];
    }
  };
  const keep = (ids: readonly string[]) => {
    try {
      storage.setItem(KEY, JSON.stringify(ids.slice(-MAX_KEPT)));
    } catch {
      // a full or forbidden storage: a dead roll then ends by itself some seconds later
    }
  };
  return {
    begin: (rollId) => {
      keep([...known(), rollId]);
      void locks?.request(lockName(rollId), () => new Promise<void>((release) => releases.set(rollId, release)));
    },
    end: (rollId) => {
      keep(known().filter((id) => id !== rollId));
      releases.get(rollId)?.();
      releases.delete(rollId);
    },
    isLost: async (rollId) => {
      if (releases.has(rollId) || !known().includes(rollId)) return false;
      const living = await livingRolls(locks);
      return living !== null && !living.has(rollId);
    },
  };
}
