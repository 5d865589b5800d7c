import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BrokenStore } from '../src/database/brokenStore';
import { openStore } from '../src/database/durableFolder';
import { type DiskEvent, DiskRecorder } from './diskRecorder';
import { diskAtStart, writeAfterCut } from './powerCut';

/** Power cuts that are tried; `npm run power-cuts` tries 300. */
const CUTS = Number(process.env['STILL_HERON_CUTS'] ?? 4);
const folders: string[] = [];
const newFolder = () => {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-cut-'));
  folders.push(folder);
  return folder;
};
afterAll(() => folders.forEach((folder) => rmSync(folder, { recursive: true, force: true })));

/** A small generator with a seed, from 0 to below 1. */
function randomOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let x = Math.imul(state ^ (state >>> 15), state | 1);
    x = (x + Math.imul(x ^ (x >>> 7), x | 61)) ^ x;
    return ((x ^ (x >>> 14)) >>> 0) / 4294967296;
  };
}

/** Saves, changes and removes rows in a store, with checkpoints between and a clean stop at the end; what the disk was told, in order. */
async function recordedWork(): Promise<{
  readonly before: ReturnType<typeof diskAtStart>;
  readonly events: readonly DiskEvent[];
}> {
  const folder = join(newFolder(), 'pglite');
  cpSync(join(process.env['STILL_HERON_TEMPLATE']!, 'pglite'), folder, { recursive: true });
  const recorder = new DiskRecorder(folder);
  try {
    const before = diskAtStart(folder, recorder.files);
    const client = await openStore(folder);
    await client.exec('CREATE TABLE saved (id int PRIMARY KEY, text text NOT NULL)');
    recorder.acknowledged(0);
    for (let change = 1; change <= 60; change++) {
      await client.query('INSERT INTO saved VALUES ($1, $2)', [change, `shot ${change} `.repeat(1 + (change % 7) * 60)]);
      if (change > 5) await client.query('UPDATE saved SET text = text || $2 WHERE id = $1', [change - 5, '!']);
      if (change % 20 === 0) await client.exec('CHECKPOINT');
      recorder.acknowledged(change);
    }
    await client.close();
    return { before, events: recorder.events };
  } finally {
    recorder.stop();
  }
}

test('a power cut at any moment leaves a store that starts, with every acknowledged change in it', async () => {
  const { before, events } = await recordedWork();
  const forced = events.filter(({ kind }) => kind === 'sync' || kind === 'sync-folder').length;
  expect(forced).toBeGreaterThan(60);
  const random = randomOf(16);
  for (let cut = 0; cut < CUTS; cut++) {
    // the first cut comes after the clean stop, the others anywhere in the work
    const until = cut === 0 ? events.length : 1 + Math.floor(random() * events.length);
    const told = events.slice(0, until);
    const acknowledged = told.reduce((last, event) => (event.kind === 'acknowledged' ? event.change : last), -1);
    const folder = join(newFolder(), 'pglite');
    mkdirSync(folder);
    writeAfterCut(folder, before, told, random);
    const client = await openStore(folder);
    if (acknowledged >= 0) {
      const { rows } = await client.query<{ id: number; text: string }>('SELECT id, text FROM saved ORDER BY id');
      const [ids, texts] = [rows.map(({ id }) => id), new Map(rows.map(({ id, text }) => [id, text]))];
      for (let change = 1; change <= acknowledged; change++) {
        expect([cut, until, ids.includes(change)]).toEqual([cut, until, true]);
        if (change <= acknowledged - 5) expect(texts.get(change)!.endsWith('!')).toBe(true);
      }
    }
    await client.close();
    rmSync(folder, { recursive: true, force: true });
  }
}, 3_600_000);

test('a folder with other things in it is refused and left as it is; a half made store is made again', async () => {
  const parent = newFolder();
  const folder = join(parent, 'pglite');
  mkdirSync(folder);
  writeFileSync(join(folder, 'notes.txt'), 'mine');
  await expect(openStore(folder)).rejects.toThrow(BrokenStore);
  expect(readdirSync(folder)).toEqual(['notes.txt']);
  rmSync(folder, { recursive: true });
  mkdirSync(`${folder}.unfinished`);
  writeFileSync(join(`${folder}.unfinished`, 'PG_VERSION'), '17');
  const client = await openStore(folder);
  expect((await client.query<{ on: string }>('SELECT current_setting($1) AS on', ['fsync'])).rows).toEqual([{ on: 'on' }]);
  await client.close();
  expect(readdirSync(parent)).toEqual(['pglite']);
});

test.each([
  ['19', 'A newer Still Heron'],
  ['17', 'An older Still Heron'],
])('a folder of PostgreSQL %s is refused: %s', async (version, writer) => {
  const folder = newFolder();
  writeFileSync(join(folder, 'PG_VERSION'), `${version}\n`);
  await expect(openStore(folder)).rejects.toThrow(writer);
});
