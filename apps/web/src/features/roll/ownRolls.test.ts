import { livingRolls, type Locks, ownRolls } from './ownRolls';

/** Locks of a browser: held until their page lets them go, or dies. */
function browser() {
  const held = new Set<string>();
  const locks = {
    request: async (name: string, work: () => Promise<void>) => {
      held.add(name);
      await work();
      held.delete(name);
    },
    query: () => Promise.resolve({ held: [...held].map((name) => ({ name })) }),
  };
  return { held, locks: locks as unknown as Locks };
}

function memory() {
  const kept = new Map<string, string>();
  return { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) };
}

test('a roll whose page died is told from one that goes on, here or in another window', async () => {
  const { held, locks } = browser();
  const storage = memory();
  const [here, elsewhere] = [ownRolls(storage, locks), ownRolls(storage, locks)];
  elsewhere.begin('a');
  expect(await here.isLost('a')).toBe(false);
  expect(await livingRolls(locks)).toEqual(new Set(['a']));
  held.clear();
  expect(await here.isLost('a')).toBe(true);
  // a roll of another device is never lost here
  expect(await here.isLost('b')).toBe(false);
  here.end('a');
  expect(await here.isLost('a')).toBe(false);
});

test('an ended roll gives its lock back', async () => {
  const { locks } = browser();
  const rolls = ownRolls(memory(), locks);
  rolls.begin('a');
  rolls.end('a');
  await new Promise((done) => setTimeout(done, 0));
  expect(await livingRolls(locks)).toEqual(new Set());
});

test('a browser that can’t tell, and a storage that is full or broken, lose nothing', async () => {
  expect(await livingRolls()).toBeNull();
  const full = {
    getItem: () => '{',
    setItem: () => {
      throw new Error('full');
    },
  };
  const rolls = ownRolls(full);
  expect(() => rolls.begin('a')).not.toThrow();
  expect(await rolls.isLost('a')).toBe(false);
  const kept = memory();
  ownRolls(kept).begin('b');
  expect(await ownRolls(kept).isLost('b')).toBe(false);
});
