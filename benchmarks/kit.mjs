import { performance } from 'node:perf_hooks';
import { chromium } from '@playwright/test';
import { chromiumPath } from '../tools/chromium.mjs';
import { fNumberOf, formatDistanceFigure, defaultLens, stopScale, zoneTable } from '@still-heron/core';
import { summary } from './evaluate.mjs';
import { call } from './server.mjs';

const MM_PER_FOOT = 304.8;

/** Zone table of 16 stops and 200 distances in feet: computed, and with every cell printed. */
export function benchTable() {
  const lens = defaultLens({ name: '65 mm T2.2', focalLengthMm: 65, closeFocusMm: 650 });
  const fNumbers = stopScale(2.2, 22)
    .slice(0, 16)
    .map((stop) => fNumberOf(lens, stop));
  const distances = Array.from({ length: 200 }, (_, k) => (2.25 + k / 4) * MM_PER_FOOT);
  const glass = { focalLengthMm: 65, circleOfConfusionMm: 0.019 };
  const computed = [];
  const printed = [];
  for (let round = 0; round < 200; round++) {
    const startedMs = performance.now();
    const { nearMm, farMm } = zoneTable(glass, fNumbers, distances);
    const computedMs = performance.now();
    let letters = 0;
    for (let k = 0; k < nearMm.length; k++)
      letters += formatDistanceFigure(nearMm[k], 'imperial').length + formatDistanceFigure(farMm[k], 'imperial').length;
    const printedMs = performance.now();
    if (letters === 0) throw new Error('nothing was printed');
    if (round < 20) continue;
    computed.push(computedMs - startedMs);
    printed.push(printedMs - startedMs);
  }
  const { median, p95 } = summary(computed);
  return {
    what: 'zone table, 16 stops × 200 distances in feet',
    figure: `${median.toFixed(2)} ms median, ${p95.toFixed(2)} ms p95; with all 6,400 figures printed ${summary(printed).median.toFixed(2)} ms`,
    aim: 'under 4 ms',
    shareOfAim: p95 / 4,
  };
}

/** A thousand lenses: from a key press to filtered rows, and from a click to the ring. */
export async function benchKit(address) {
  const lenses = Array.from({ length: 1000 }, (_, k) => ({
    lens: defaultLens({ name: `${20 + (k % 97)} mm no. ${k}`, focalLengthMm: 20 + (k % 97), closeFocusMm: 1000 }),
    isHired: false,
    holdTestedOn: '',
    holdTestedBy: '',
    notes: '',
  }));
  await call(address, 'POST', 'kit/import', { format: 'still-heron-kit', schema: 1, lenses });
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox', '--no-first-run'] });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`${address}/kit/lenses`);
  await page.getByTestId('ring-drawing').locator('svg').waitFor();
  // measured inside the page, up to the frame after the result is visible
  const times = await page.evaluate(async () => {
    const twoFrames = () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    const field = document.querySelector('[data-testid=kit-search]');
    const type = (text) => {
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(field, text);
      field.dispatchEvent(new Event('input', { bubbles: true }));
    };
    const search = [];
    const pick = [];
    for (let round = 0; round < 30; round++) {
      const wanted = `no. ${(round * 37) % 1000}`;
      for (let length = 5; length <= wanted.length; length++) {
        const startedMs = performance.now();
        type(wanted.slice(0, length));
        await twoFrames();
        search.push(performance.now() - startedMs);
      }
      const row = [...document.querySelectorAll('[data-testid=kit-row]')].find((item) => item.textContent.includes(wanted));
      const name = row.querySelector('strong').textContent;
      const startedMs = performance.now();
      row.click();
      while (document.querySelector('[data-testid=kit-name]')?.value !== name) await new Promise((done) => setTimeout(done, 0));
      await twoFrames();
      pick.push(performance.now() - startedMs);
    }
    return { search, pick };
  });
  await browser.close();
  return ['search', 'pick'].map((what) => {
    const { median, p95 } = summary(times[what]);
    return {
      what: `${what} among 1,000 lenses, until it is on screen`,
      figure: `${median.toFixed(0)} ms median, ${p95.toFixed(0)} ms p95 of ${times[what].length}`,
      aim: 'under 100 ms',
      shareOfAim: p95 / 100,
    };
  });
}
