import { chromium } from '@playwright/test';
import { shortShot, summary } from './evaluate.mjs';
import { endFrames, LAUNCH, startFrames } from './page.mjs';
import { call } from './server.mjs';

const SHOTS = 500;
const WHEELS = 180;
const WHEEL_PX = 120;
const FRAME_MS = 16;

/** A production of 500 shots: the first row, and scrolling. */
export async function benchShotList(address) {
  const { id } = await call(address, 'POST', 'productions', { name: 'Bench list' });
  const plan = shortShot();
  for (let number = 1; number <= SHOTS; number++)
    await call(address, 'POST', `productions/${id}/shots`, { scene: '', slate: String(number), title: `Shot ${number}`, plan });
  const browser = await chromium.launch(LAUNCH);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.addInitScript(() => {
      const observer = new MutationObserver(() => {
        if (!document.querySelector('[data-testid=shot-slate]')) return;
        window.firstRowMs_ = performance.now();
        observer.disconnect();
      });
      observer.observe(document, { childList: true, subtree: true });
    });
    await page.goto(`${address}/productions/${id}/shots`);
    await page.getByTestId('shot-state').first().waitFor();
    const firstRowMs = await page.evaluate(() => window.firstRowMs_);
    await page.mouse.move(640, 500);
    await startFrames(page);
    for (let wheel = 0; wheel < WHEELS; wheel++) {
      await page.mouse.wheel(0, WHEEL_PX);
      await new Promise((done) => setTimeout(done, FRAME_MS));
    }
    const { median, p95 } = summary(await endFrames(page));
    const elements = await page.evaluate(() => document.querySelectorAll('*').length);
    return [
      {
        what: `first row of ${SHOTS} shots`,
        figure: `${(firstRowMs / 1000).toFixed(2)} s`,
        aim: 'under 0.5 s',
        shareOfAim: firstRowMs / 500,
      },
      {
        what: `frame time while that list is scrolled (${elements} elements)`,
        figure: `${median.toFixed(1)} ms median, ${p95.toFixed(1)} ms p95`,
        aim: 'p95 under 20 ms',
        shareOfAim: p95 / 20,
      },
    ];
  } finally {
    await browser.close();
  }
}
