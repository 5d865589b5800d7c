import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { performance } from 'node:perf_hooks';
import { newPlan } from '@still-heron/core';
import { longShot, summary } from './evaluate.mjs';

/** The bundle, or what was run before there was one. */
const PROGRAM = ['bundle', 'dist'].map((folder) => resolve(`apps/server/${folder}/main.js`)).find(existsSync);

/** Starts the built server, on a data folder of its own unless one is given. @returns its address, its process and a function to stop it */
export async function startServer(env = {}) {
  const ownFolder = env.STILL_HERON_DATA ? null : mkdtempSync(join(tmpdir(), 'still-heron-bench-'));
  const child = spawn(process.execPath, [PROGRAM], {
    env: { ...process.env, STILL_HERON_BACKUPS: 'off', STILL_HERON_DATA: ownFolder, ...env, PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const address = await new Promise((found, failed) => {
    child.stdout.setEncoding('utf8').on('data', (text) => {
      const match = /http:\/\/127\.0\.0\.1:\d+/.exec(text);
      if (match) found(match[0]);
    });
    child.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
  });
  const stop = async () => {
    await new Promise((ended) => {
      child.once('exit', ended);
      child.kill('SIGTERM');
    });
    if (ownFolder) rmSync(ownFolder, { recursive: true, force: true });
  };
  return { address, stop, processId: child.pid };
}

export async function call(address, method, path, body) {
  const response = await fetch(`${address}/api/${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
  return response.json();
}

export async function benchSave(address) {
  const production = await call(address, 'POST', 'productions', { name: 'Bench' });
  let shot;
  for (let number = 0; number < 500; number++) {
    shot = await call(address, 'POST', `productions/${production.id}/shots`, {
      scene: '',
      slate: String(number),
      title: '',
      plan: newPlan(),
    });
  }
  const plan = longShot();
  const times = [];
  for (let round = 0; round < 200; round++) {
    const startedMs = performance.now();
    shot = await call(address, 'PUT', `shots/${shot.id}`, {
      scene: '',
      slate: 'S',
      title: `round ${round}`,
      plan,
      version: shot.version,
    });
    times.push(performance.now() - startedMs);
  }
  const { median, p95 } = summary(times);
  return {
    what: 'save round trip with 500 shots stored',
    figure: `${median.toFixed(1)} ms median, ${p95.toFixed(1)} ms p95`,
    aim: 'p95 under 30 ms',
    shareOfAim: p95 / 30,
  };
}
