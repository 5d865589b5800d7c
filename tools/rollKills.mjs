import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumPath } from './chromium.mjs';
import { startServer } from './killedServer.mjs';
import { main, StepFailed } from './run.mjs';
import { build, install } from './setup.mjs';

/** Times that each is tried, and the only states that are tried; all if none is named. */
const TIMES = Number(process.argv[2] ?? 20);
const ONLY = process.argv.slice(3);
/** Every device must be right this long after what was killed is back. */
const RIGHT_MS = 2000;
const LOGGED_MS = 20_000;

/** Plan time at which the pull of the shot waits for its cue. */
const CUE_S = 1;

/**
 * States of a roll in which something is killed. Each begins with a roll on the first page, and with a second page that shows it.
 *
 * - `reach`: waits until the state is there
 * - `meanwhile`: what people do while the server or the page is gone
 * - `isOver`: the roll has ended when everything is back
 * - `takes`: takes that it must leave
 */
const STATES = {
  'counting in': { countInS: 5, reach: async ({ first }) => phaseIs(first, /Rolls in/), takes: { server: 1, page: 0 } },
  rolling: { reach: ({ first }) => rolledFor(first, 0.7) },
  'waiting for a cue': { reach: ({ first }) => first.getByTestId('roll-when').filter({ hasText: 'waits' }).waitFor() },
  'checking focus': {
    reach: async ({ first }) => {
      await rolledFor(first, 0.5);
      await first.keyboard.down('w');
      await rolledFor(first, 0.7);
    },
    release: ({ first }) => first.keyboard.up('w'),
  },
  'just ended': {
    reach: async ({ first }) => {
      await rolledFor(first, 0.7);
      await first.keyboard.press('Space');
    },
    isOver: true,
  },
  'ended by the second device meanwhile': {
    reach: ({ first }) => rolledFor(first, 0.7),
    meanwhile: async ({ second }) => {
      await second.getByTestId('line-state').filter({ hasText: 'no connection' }).waitFor();
      await second.keyboard.press('Space');
      await second.keyboard.press('Space');
    },
    isOver: true,
    only: 'server',
  },
  'ended by the first device meanwhile': {
    reach: ({ first }) => rolledFor(first, 0.7),
    meanwhile: async ({ first }) => {
      await first.getByTestId('line-state').filter({ hasText: 'no connection' }).waitFor();
      await first.keyboard.press('Space');
    },
    isOver: true,
    only: 'server',
  },
};

/**
 * Kills the server, or the page that rolls, in every state of a roll. Prints how many takes were lost, and how long after the return a device was
 * not right yet.
 */
await main(async () => {
  install();
  build();
  // it is there only after the installation
  const { chromium } = await import('@playwright/test');
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-roll-kills-'));
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox'] });
  const problems = [];
  try {
    const port = await freePort();
    const set = { server: await startServer(folder, port), folder, port, browser };
    for (const [name, state] of Object.entries(STATES)) {
      if (ONLY.length > 0 && !ONLY.includes(name)) continue;
      for (const victim of ['server', 'page']) {
        if (state.only && state.only !== victim) continue;
        const slow = [];
        for (let time = 0; time < TIMES; time++) {
          try {
            slow.push(await tryOnce(set, state, victim));
          } catch (error) {
            problems.push(`${name}, ${victim} killed, ${time + 1}: ${String(error.message).split('\n')[0]}`);
            console.error(problems.at(-1));
          }
        }
        slow.sort((a, b) => a - b);
        const [median, worst] = [slow[slow.length >> 1] ?? NaN, slow.at(-1) ?? NaN];
        console.log(`${name}, ${victim} killed ${TIMES} times: right after ${median} ms median, ${worst} ms at most`);
      }
    }
    await set.server.kill();
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
  if (problems.length > 0) throw new StepFailed(`${problems.length} went wrong.`);
});

/** One kill. @returns ms from the return until both devices were right */
async function tryOnce(set, state, victim) {
  const shot = await newShot(set.server);
  const devices = await openDevices(set, shot, state.countInS ?? 0);
  try {
    await devices.first.keyboard.press('Space');
    await state.reach(devices);
    // the second device has heard of it, or of its end
    await phaseIs(devices.second, state.isOver && !state.meanwhile ? 'Ready' : /Rolling|Rolls in/);
    if (victim === 'server') await set.server.kill();
    else devices.first = await crash(devices.first, set, shot);
    await state.meanwhile?.(devices);
    if (victim === 'server') set.server = await startServer(set.folder, set.port);
    const backMs = Date.now();
    const isOver = state.isOver || victim === 'page';
    const right = isOver ? 'Ready' : /Rolling|Rolls in/;
    const left = () => Math.max(1, RIGHT_MS - (Date.now() - backMs));
    await Promise.all(
      [devices.first, devices.second].map((page) => isConnected(page, left()).then(() => phaseIs(page, right, left()))),
    );
    const rightMs = Date.now() - backMs;
    await state.release?.(devices);
    if (!isOver) {
      await phaseIs(devices.first, 'Rolling', 10_000);
      await rolledFor(devices.first, 0.1);
      await devices.first.keyboard.press('Space');
      await phaseIs(devices.second, 'Ready');
    }
    await expectTakes(set.server, shot, state.takes?.[victim] ?? 1);
    return rightMs;
  } finally {
    await Promise.all([devices.first, devices.second].map((page) => page.context().close()));
  }
}

/** Two devices with the shot open on Roll; the ring follows the plan by itself on the first. */
async function openDevices({ browser, server }, shot, countInS) {
  const open = async (options) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addInitScript((value) => localStorage.setItem('still-heron.roll', value), JSON.stringify(options));
    const page = await context.newPage();
    await page.goto(`${server.address}/shots/${shot.id}/roll`);
    await isConnected(page);
    return page;
  };
  const quiet = { hasSound: false, vibrates: false, countInS };
  const [first, second] = await Promise.all([open({ ...quiet, turnedBy: 'motor-line' }), open({ ...quiet, turnedBy: 'nobody' })]);
  return { first, second };
}

/** The page dies without a warning; another one of the same device opens the shot. */
async function crash(page, { server }, shot) {
  const died = page.waitForEvent('crash');
  await page.goto('chrome://crash').catch(() => null);
  await died;
  const again = await page.context().newPage();
  await again.goto(`${server.address}/shots/${shot.id}/roll`);
  await again.getByTestId('roll-phase').waitFor();
  return again;
}

async function newShot(server) {
  const { addPull, addSubject, changePull, newPlan, setDuration } = await import('@still-heron/core');
  let plan = addSubject(setDuration(newPlan(), 30), { name: 'Old Tam', distanceMm: 2900 });
  plan = addPull(addSubject(plan, { name: 'Ines', distanceMm: 2050 }), 'mark-2', CUE_S);
  plan = changePull(plan, 'pull-1', { startS: CUE_S, durationS: 0.8, trigger: 'look', cue: 'she looks up' });
  const { id } = await server.call('POST', 'productions', { name: 'Roll kills' });
  return server.call('POST', `productions/${id}/shots`, { scene: '1', slate: '1A', title: 'a look', plan });
}

/** Waits until as many takes are logged as there must be, each once, with a recording. */
async function expectTakes(server, shot, count) {
  const untilMs = Date.now() + LOGGED_MS;
  for (;;) {
    const takes = await server.call('GET', `shots/${shot.id}/takes`);
    const isRight = takes.length === count && takes.every(({ hasTrack, take }) => hasTrack && take.durationS > 0);
    if (isRight) return;
    if (Date.now() > untilMs || takes.length > count) throw new Error(`${takes.length} takes where ${count} must be`);
    await new Promise((done) => setTimeout(done, 100));
  }
}

function phaseIs(page, hasText, timeout = 10_000) {
  return page.getByTestId('roll-phase').filter({ hasText }).waitFor({ timeout });
}

function isConnected(page, timeout = 10_000) {
  return page
    .getByTestId('line-state')
    .filter({ hasText: /^(no other device|with )/ })
    .waitFor({ timeout });
}

async function rolledFor(page, timeS) {
  await page.waitForFunction(
    (least) => parseFloat(document.querySelector('[data-testid=roll-time]')?.textContent ?? '') >= least,
    timeS,
    { polling: 'raf' },
  );
}

async function freePort() {
  const probe = createServer();
  await new Promise((done) => probe.listen(0, '127.0.0.1', done));
  const { port } = probe.address();
  await new Promise((done) => probe.close(done));
  return port;
}
