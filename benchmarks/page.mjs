import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { chromiumPath } from '../tools/chromium.mjs';
import { longShot, summary } from './evaluate.mjs';
import { call } from './server.mjs';

export const LAUNCH = {
  executablePath: chromiumPath(),
  args: ['--no-sandbox', '--disable-background-networking', '--no-first-run'],
};

/** First load of the Pull page, and frame times during a drag of a pull in the long shot. */
export async function benchPage(address) {
  const production = await call(address, 'POST', 'productions', { name: 'Bench page' });
  const shot = await call(address, 'POST', `productions/${production.id}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Long',
    plan: longShot(),
  });
  const browser = await chromium.launch(LAUNCH);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();

  const bodies = new Map();
  page.on('response', (response) => {
    // a second worker loads the same script from the cache; count it once
    if (/\.js$/.test(new URL(response.url()).pathname) && !bodies.has(response.url()))
      bodies.set(
        response.url(),
        response.body().then((body) => gzipSync(body, { level: 6 }).length),
      );
  });
  await page.goto(`${address}/shots/${shot.id}/pull`);
  await page.getByTestId('move-body-pull-3').waitFor({ state: 'attached' });
  await page.locator('[data-testid=focus-line][d^=M]').waitFor({ state: 'attached' });
  const interactiveMs = await page.evaluate(() => performance.now());
  // what comes later, such as the worker for trials, is not waited for
  const sizes = await Promise.all([...bodies.values()]);
  const scriptBytes = sizes.reduce((sum, size) => sum + size, 0);

  const box = await page.getByTestId('move-body-pull-3').boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await startFrames(page);
  await page.mouse.move(x, y);
  await page.mouse.down();
  // to and fro, one move per frame
  for (let step = 0; step < 240; step++) await page.mouse.move(x + 60 * Math.sin(step / 12), y);
  await page.mouse.up();
  const times = await endFrames(page);
  await browser.close();
  const { median, p95 } = summary(times);
  return [
    {
      what: 'frame time while dragging a move in that shot',
      figure: `${median.toFixed(1)} ms median, ${p95.toFixed(1)} ms p95 of ${times.length} frames`,
      aim: 'p95 under 33 ms',
      shareOfAim: p95 / 33,
    },
    {
      what: 'script of the Pull page until the track can be dragged, gzip',
      figure: `${(scriptBytes / 1000).toFixed(0)} kB`,
      aim: 'under 300 kB',
      shareOfAim: scriptBytes / 300_000,
    },
    {
      what: 'Pull page, time until the track can be dragged',
      figure: `${(interactiveMs / 1000).toFixed(2)} s`,
      aim: 'under 2.0 s',
      shareOfAim: interactiveMs / 2000,
    },
  ];
}

/** Starts recording frame times of a page. */
export async function startFrames(page) {
  await page.evaluate(() => {
    const frames = (window.frames_ = { times: [], isOn: true });
    let before = performance.now();
    requestAnimationFrame(function tick(now) {
      frames.times.push(now - before);
      before = now;
      if (frames.isOn) requestAnimationFrame(tick);
    });
  });
}

/** @returns frame times since then in ms, without the first few */
export async function endFrames(page) {
  return page.evaluate(() => {
    window.frames_.isOn = false;
    return window.frames_.times.slice(5);
  });
}
