import { chromium } from '@playwright/test';
import { setLens, setStop } from '@still-heron/core';
import { shortShot, summary } from './evaluate.mjs';
import { endFrames, LAUNCH, startFrames } from './page.mjs';
import { call } from './server.mjs';

/** Number of sweeps. */
const ROUNDS = 12;

/**
 * Sweep of thirteen stops of a twelve-second shot: time to first figures and to the end after an edit, and frame times
 * meanwhile.
 */
export async function benchStop(address) {
  const production = await call(address, 'POST', 'productions', { name: 'Bench stop' });
  const plan = setStop(setLens(shortShot(), { narrowestStop: 9 }), 4);
  const shot = await call(address, 'POST', `productions/${production.id}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Short',
    plan,
  });
  const browser = await chromium.launch(LAUNCH);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(`${address}/shots/${shot.id}/stop`);
    await settled(page);
    const stops = await page.getByTestId('stop-ticks').locator('g').count();
    await page.getByRole('button', { name: 'Where errors come from' }).click();
    const [first, done] = [[], []];
    const field = page.getByLabel('reaction time');
    await startFrames(page);
    for (let round = 0; round < ROUNDS; round++) {
      await field.focus();
      await page.evaluate(noteSweep);
      await page.keyboard.press(round % 2 ? 'ArrowUp' : 'ArrowDown');
      const { firstMs, doneMs } = await page.evaluate(() => window.sweep_);
      first.push(firstMs);
      done.push(doneMs);
    }
    const drawing = summary(await endFrames(page));

    const handle = await page.getByRole('slider', { name: 'Stop' }).boundingBox();
    const dragged = await dragFrames(page, handle.x + handle.width / 2, handle.y + 40, 160);

    await page.goto(`${address}/shots/${shot.id}/pull`);
    await page.getByTestId('kept-takes').waitFor();
    await page.waitForTimeout(1500);
    const body = await page.getByTestId('move-body-pull-2').boundingBox();
    await page.evaluate(noteChanges);
    const pulled = await dragFrames(page, body.x + body.width / 2, body.y + body.height / 2, 40);
    const figures = await page.evaluate(() => window.changes_);
    const frames = (what, { median, p95 }) => ({
      what,
      figure: `${median.toFixed(1)} ms median, ${p95.toFixed(1)} ms p95`,
      aim: 'p95 under 20 ms: 50 frames a second',
      shareOfAim: p95 / 20,
    });
    const soon = summary(first);
    const settles = summary(done);
    return [
      {
        what: `sweep of ${stops} stops, 2,000 takes each: first figures after an edit`,
        figure: `${soon.median.toFixed(0)} ms median, ${soon.p95.toFixed(0)} ms p95`,
        aim: 'under 200 ms',
        shareOfAim: soon.median / 200,
      },
      {
        what: 'the same sweep settled',
        figure: `${settles.median.toFixed(0)} ms median, ${settles.p95.toFixed(0)} ms p95`,
        aim: 'under 1500 ms',
        shareOfAim: settles.median / 1500,
      },
      frames('frame time while it is drawn', drawing),
      frames('frame time while the stop is dragged', dragged),
      frames('frame time while a pull is dragged and its keep rate follows', pulled),
      {
        what: 'keep rate of 2,000 trials updated while the pull is dragged',
        figure: `${figures} times in two seconds`,
        aim: 'at least 10',
        shareOfAim: 10 / figures,
      },
    ];
  } finally {
    await browser.close();
  }
}

const settled = (page) => page.locator('[data-testid=drawn][data-done=true]').waitFor({ state: 'attached', timeout: 60_000 });

/** In the page: time from the next key press until every stop has a first figure, and until all are final. */
function noteSweep() {
  window.sweep_ = new Promise((done) => {
    window.addEventListener(
      'keydown',
      () => {
        const startedMs = performance.now();
        let [isAgain, firstMs] = [false, null];
        requestAnimationFrame(function look() {
          const { first, done: isDone } = document.querySelector('[data-testid=drawn]').dataset;
          isAgain ||= first === 'false';
          if (isAgain && first === 'true') firstMs ??= performance.now() - startedMs;
          if (isAgain && isDone === 'true') done({ firstMs, doneMs: performance.now() - startedMs });
          else requestAnimationFrame(look);
        });
      },
      { once: true, capture: true },
    );
  });
}

/** In the page: number of changes of the keep rate within two seconds. */
function noteChanges() {
  window.changes_ = new Promise((done) => {
    let count = 0;
    const observer = new MutationObserver(() => count++);
    observer.observe(document.querySelector('[data-testid=kept-takes]'), { childList: true, characterData: true, subtree: true });
    setTimeout(() => {
      observer.disconnect();
      done(count);
    }, 2000);
  });
}

/** Drags to and fro, one move per frame, for some seconds. */
async function dragFrames(page, x, y, byPx) {
  await page.mouse.move(x, y);
  await page.mouse.down();
  await startFrames(page);
  for (let step = 0; step < 180; step++) await page.mouse.move(x + byPx * Math.sin(step / 12), y);
  const frames = summary(await endFrames(page));
  await page.mouse.up();
  return frames;
}
