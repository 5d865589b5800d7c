import 'reflect-metadata';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { openCopy, openDatabase } from '../apps/server/dist/database/driver.js';
import { ProductionsRepository } from '../apps/server/dist/productions/productions.repository.js';
import { ShotsRepository } from '../apps/server/dist/shots/shots.repository.js';
import { longShot, summary } from './evaluate.mjs';

const SAVES = 300;
const AIM = 1.5;

/** What it costs that a save is on the disk before it is acknowledged: the same saves in turn into a store with and one without forced writes. */
export async function benchForced() {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-forced-'));
  const forced = await openDatabase({ dataFolder: join(folder, 'forced'), databaseUrl: null });
  await forced.copyStore(join(folder, 'copy'));
  const unforced = await openCopy(join(folder, 'copy'));
  try {
    const stores = [await prepare(forced.db), await prepare(unforced.db)];
    for (let number = 0; number < SAVES; number++) for (const store of stores) await store.save(number);
    const [withForce, without] = stores.map(({ times }) => summary(times).median);
    return {
      what: 'save into the database with forced writes, against one without',
      figure: `${(withForce / without).toFixed(2)} times (${withForce.toFixed(1)} ms against ${without.toFixed(1)} ms)`,
      aim: `at most ${AIM} times`,
      shareOfAim: withForce / without / AIM,
    };
  } finally {
    await unforced.close();
    await forced.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A shot in a database, and saves of it that are timed. */
async function prepare(db) {
  const shots = new ShotsRepository(db);
  const id = await new ProductionsRepository(db).insert('Bench');
  const document = { scene: '1', slate: '1A', title: '', plan: longShot(), deviceId: '', deviceName: '' };
  let shot = await shots.insert(id, document, null);
  const times = [];
  return {
    times,
    async save(number) {
      const startedMs = performance.now();
      shot = await shots.save(shot.id, shot.version, { ...document, title: `save ${number}` });
      times.push(performance.now() - startedMs);
    },
  };
}
