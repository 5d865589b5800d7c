import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from './killedServer.mjs';
import { main, StepFailed } from './run.mjs';
import { build, install } from './setup.mjs';

const KILLS = Number(process.argv[2] ?? 300);
/** A kill comes at any moment of this time. */
const WORK_MS = 1500;

/**
 * Kills the server while it saves shots, logs takes and restores backups, starts it again, and looks for what it had acknowledged. Prints how
 * many were lost, and how long the starts took.
 */
await main(async () => {
  install();
  build();
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-kills-'));
  const starts = [];
  let [acknowledged, lost] = [0, 0];
  try {
    let server = await startServer(folder);
    const shot = await prepare(server);
    const { name: backup } = await server.call('POST', 'backups');
    const inBackup = { title: shot.title, takes: 0 };
    let known = { title: shot.title, takes: 0 };
    for (let kill = 0; kill < KILLS; kill++) {
      const work = newWork(server, shot, known);
      const working = kill % 3 === 2 ? work.restore(backup, inBackup) : work.save(`round ${kill}`);
      await new Promise((done) => setTimeout(done, Math.random() * WORK_MS));
      await server.kill();
      await working;
      const startedMs = Date.now();
      server = await startServer(folder);
      starts.push(Date.now() - startedMs);
      const stored = await stateOf(server, shot.id);
      acknowledged += work.count();
      const isKnown = work.possible().some(({ title, takes }) => title === stored.title && takes === stored.takes);
      if (!isKnown) {
        lost++;
        console.error(`Kill ${kill}: found ${JSON.stringify(stored)}, expected one of ${JSON.stringify(work.possible())}`);
      }
      known = stored;
      if (kill % 25 === 24)
        console.log(`${kill + 1} kills, ${acknowledged} acknowledged changes, ${lost} times something was lost`);
    }
    await server.kill();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  starts.sort((a, b) => a - b);
  console.log(`Starts after a kill: ${starts[starts.length >> 1]} ms median, ${starts.at(-1)} ms at most.`);
  if (lost > 0) throw new StepFailed(`${lost} of ${KILLS} kills lost something.`);
});

/** A production with one shot. */
async function prepare(server) {
  const { newPlan } = await import('@still-heron/core');
  const { id } = await server.call('POST', 'productions', { name: 'Kills' });
  return server.call('POST', `productions/${id}/shots`, { scene: '1', slate: '1A', title: 'at the start', plan: newPlan() });
}

async function stateOf(server, shotId) {
  const [{ title }, takes] = await Promise.all([
    server.call('GET', `shots/${shotId}`),
    server.call('GET', `shots/${shotId}/takes`),
  ]);
  return { title, takes: takes.length };
}

/** Changes that go on until the server is gone. `possible` is what may be found then: what was acknowledged, or with the last one sent. */
function newWork(server, shot, known) {
  let [now, next, count] = [known, known, 0];
  const untilGone = async (act) => {
    try {
      for (;;) await act();
    } catch {
      // the server was killed
    }
  };
  return {
    count: () => count,
    possible: () => [now, next],
    async save(round) {
      const { newTake } = await import('@still-heron/core');
      let number = 0;
      await untilGone(async () => {
        const { version, plan } = await server.call('GET', `shots/${shot.id}`);
        next = { ...now, title: `${round}, save ${++number}` };
        await server.call('PUT', `shots/${shot.id}`, { scene: '1', slate: '1A', title: next.title, plan, version });
        now = next;
        next = { ...now, takes: now.takes + 1 };
        const take = newTake(plan, version);
        await server.call('POST', `shots/${shot.id}/takes`, { id: randomUUID(), rolledAt: new Date().toISOString(), take });
        now = next;
        count += 2;
      });
    },
    async restore(backup, inBackup) {
      next = inBackup;
      await untilGone(async () => {
        await server.call('POST', `backups/${backup}/restore`);
        now = inBackup;
        count++;
      });
    },
  };
}
