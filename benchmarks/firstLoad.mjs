import { chromium } from '@playwright/test';
import { longShot, summary } from './evaluate.mjs';
import { LAUNCH } from './page.mjs';
import { call } from './server.mjs';

const LOADS = 5;

/** First and second load of the Pull page, timed by the page itself: nothing else watches it. */
export async function benchFirstLoad(address) {
  const production = await call(address, 'POST', 'productions', { name: 'Bench load' });
  const { id } = await call(address, 'POST', `productions/${production.id}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Long',
    plan: longShot(),
  });
  const browser = await chromium.launch(LAUNCH);
  try {
    const [first, second] = [[], []];
    for (let load = 0; load < LOADS; load++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      for (const times of [first, second]) times.push(await timesOf(context, `${address}/shots/${id}/pull`));
      await context.close();
    }
    const line = (what, ms, aimMs) => ({
      what,
      figure: `${(ms / 1000).toFixed(2)} s`,
      aim: `under ${aimMs / 1000} s`,
      shareOfAim: ms / aimMs,
    });
    const median = (times, name) => summary(times.map((time) => time[name])).median;
    return [
      line('first paint of the Pull page, first load', median(first, 'paintMs'), 800),
      line('time until its track can be dragged, first load', median(first, 'usableMs'), 1200),
      line('the same at the second load', median(second, 'usableMs'), 800),
    ];
  } finally {
    await browser.close();
  }
}

/** Opens a page and reads when it painted first, and when the track was there. */
async function timesOf(context, url) {
  const page = await context.newPage();
  await page.addInitScript(() => {
    const isThere = () =>
      document.querySelector('[data-testid=focus-line][d^=M]') && document.querySelector('[data-testid=move-body-pull-3]');
    const observer = new MutationObserver(() => {
      if (!isThere()) return;
      window.usableMs_ = performance.now();
      observer.disconnect();
    });
    observer.observe(document, { childList: true, subtree: true, attributes: true, attributeFilter: ['d'] });
  });
  await page.goto(url);
  await page.waitForFunction(() => window.usableMs_ !== undefined);
  await page.waitForLoadState('networkidle');
  const times = await page.evaluate(() => ({
    paintMs: performance.getEntriesByName('first-contentful-paint')[0].startTime,
    usableMs: window.usableMs_,
  }));
  await page.close();
  return times;
}
