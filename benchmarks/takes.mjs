import 'reflect-metadata';
import { judgeTake, newTake, packTrack, ringOf } from '@still-heron/core';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { createApp } from '../apps/server/dist/create-app.js';
import { openForServer } from '../apps/server/dist/openForServer.js';
import { DATABASE } from '../apps/server/dist/database/tokens.js';
import { takes } from '../apps/server/dist/database/schema.js';
import { longShot, summary } from './evaluate.mjs';
import { largestShot } from './largestShot.mjs';
import { benchMeanwhile } from './meanwhile.mjs';
import { call } from './server.mjs';

const HZ = 120;
const TAKES = 50_000;

/** Judges a minute's track, and reads a page of a log of fifty thousand takes. */
export async function benchTakes() {
  return [benchJudge(), ...(await benchLog())];
}

function benchJudge() {
  const plan = longShot();
  const ring = ringOf(plan.optics.lens);
  const [from, to] = [ring.angleAt(4600), ring.angleAt(2050)];
  const ringDeg = Float64Array.from({ length: 60 * HZ }, (_, k) => from + ((to - from) * (1 + Math.sin(k / 90))) / 2);
  const times = [];
  for (let round = 0; round < 200; round++) {
    const startedMs = performance.now();
    judgeTake(plan, { hz: HZ, ringDeg });
    if (round >= 20) times.push(performance.now() - startedMs);
  }
  const { median, p95 } = summary(times);
  const kilobytes = packTrack({ hz: HZ, ringDeg }).length / 1000;
  return {
    what: `a track of 60 s at ${HZ} Hz judged (kept in ${kilobytes.toFixed(1)} kB)`,
    figure: `${median.toFixed(2)} ms median, ${p95.toFixed(2)} ms p95`,
    aim: 'under 5 ms median',
    shareOfAim: median / 5,
  };
}

async function benchLog() {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-bench-'));
  const config = {
    port: 0,
    host: '127.0.0.1',
    databaseUrl: null,
    seedsDemo: false,
    pageFolder: null,
    dataFolder: folder,
    backsUp: false,
    threads: 2,
    minFreeBytes: 0,
  };
  const app = await createApp(config, await openForServer(config));
  try {
    await app.listen(0, '127.0.0.1');
    const address = await app.getUrl();
    const production = await call(address, 'POST', 'productions', { name: 'Bench takes' });
    const plan = longShot();
    const ids = [];
    for (let slate = 0; slate < 50; slate++) {
      const document = { scene: '', slate: String(slate), title: '', plan };
      ids.push((await call(address, 'POST', `productions/${production.id}/shots`, document)).id);
    }
    await fill(app.get(DATABASE), production.id, ids, plan);
    // as the server does after five hundred changes
    await app.get(DATABASE).execute('vacuum analyze');
    // a kept-alive connection to the previous server fails once
    await call(address, 'GET', 'health').catch(() => null);
    const asked = [
      ['a page of a log of 50,000 takes', ''],
      ['a page some weeks back in it', '?page=100'],
      ['the same searched and filtered', '?circled=true&fault=late&simulated=false&search=1'],
      ['the same in the order of what was predicted', '?order=unlikeliest'],
      ['takes of which nobody said', '?focus=not-said'],
      ['statistics of 50,000 takes', '/statistics', 500],
      ['the same with those of a simulator', '/statistics?simulated=true', 500],
      ['faults, depth, turns and looks of them', '/statistics/details', 500],
    ];
    const lines = [];
    for (const [what, query, aimMs = 150] of asked) {
      const times = [];
      for (let round = 0; round < 12; round++) {
        const startedMs = performance.now();
        await call(address, 'GET', `productions/${production.id}/takes${query}`);
        if (round > 1) times.push(performance.now() - startedMs);
      }
      const { median, p95 } = summary(times);
      const figure = `${median.toFixed(0)} ms median, ${p95.toFixed(0)} ms p95`;
      lines.push({ what, figure, aim: `under ${aimMs} ms`, shareOfAim: median / aimMs });
    }
    const largest = { scene: '', slate: 'long', title: '', plan: largestShot() };
    const { id } = await call(address, 'POST', `productions/${production.id}/shots`, largest);
    const all = `productions/${production.id}/takes`;
    lines.push(
      await benchMeanwhile(address, 'the keep rate of the largest plan is drawn', `shots/${id}/keep-rate?takes=20000`),
      await benchMeanwhile(address, '50,000 takes are reported', `${all}/report.pdf`),
      await benchMeanwhile(address, 'statistics of 50,000 takes are computed', `${all}/statistics`),
      await benchMeanwhile(address, '50,000 takes are sent whole', `${all}/whole`),
    );
    return lines;
  } finally {
    await app.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

const LOOK = { on: 'the small display', magnification: 2, confidence: 'sure', focus: 'sharp' };

async function fill(database, productionId, shotIds, plan) {
  const { track, ...take } = newTake(plan, 1);
  const hits = ['hit', 'late', 'overshot'].map((said) => [
    { pullId: 'pull-1', said, measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null },
  ]);
  for (let from = 0; from < TAKES; from += 2500)
    await database.insert(takes).values(
      Array.from({ length: 2500 }, (_, k) => ({
        productionId,
        shotId: shotIds[(from + k) % shotIds.length],
        number: Math.floor((from + k) / shotIds.length) + 1,
        rolledAt: new Date(1.77e12 + (from + k) * 60_000),
        isCircled: k % 20 === 0,
        focus: 'sharp',
        // one of ten is not said, and one of fifty is simulated
        isKept: k % 10 === 0 ? null : k % 3 !== 0,
        isSimulated: k % 50 === 7,
        faults: [[], ['late'], ['overshot']][k % 3],
        lens: take.gear.lens,
        stop: [2.2, 2.8, 4.5, 6.3][k % 4],
        method: take.gear.method,
        puller: ['Ines', 'Bohdan', ''][k % 3],
        predictedKeepRate: (k % 97) / 97,
        isUsable: k % 3 === 0,
        isRepaired: k % 50 === 0,
        // a third has a track, and one of twenty-five was looked at twice
        zoneDepthMm: 20 + (k % 40) * 25,
        ...(k % 3 === 0 ? { turnCount: 3, smoothSum: 2.7, settledCount: 3, settlingSum: 0.4, pastZoneCount: k % 2 } : {}),
        earlierLooks: k % 25 === 0 ? 1 : 0,
        take: { ...take, hits: hits[k % 3], earlierLooks: k % 25 === 0 ? [LOOK] : [] },
        track,
      })),
    );
}
