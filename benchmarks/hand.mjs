import { chromium } from '@playwright/test';
import { longShot, summary } from './evaluate.mjs';
import { largestShot } from './largestShot.mjs';
import { LAUNCH } from './page.mjs';
import { call } from './server.mjs';

/**
 * What is dragged, how often the pointer moves in a second and how far, and what holds then: the frame time that 95 of 100 keep, and verdicts in
 * a second. The way is shorter than the room beside the pull, so that each move changes the plan.
 */
const DRAGS = [
  { name: '60 s plan', plan: longShot, pullId: 'pull-3', perSecond: 60, wayPx: 60, frameMs: 20, verdicts: 30 },
  { name: '60 s plan', plan: longShot, pullId: 'pull-3', perSecond: 120, wayPx: 60, frameMs: 20, verdicts: 30 },
  { name: 'largest plan', plan: largestShot, pullId: 'pull-3', perSecond: 60, wayPx: 5, frameMs: 34, verdicts: 10 },
];
const DRAG_MS = 4000;
/** The Alt key: nothing snaps. */
const ALT = 1;

/** Drags as a hand does them: the pointer moves whether or not the page has drawn. Frames count only while it moves. */
export async function benchHand(address) {
  const production = await call(address, 'POST', 'productions', { name: 'Bench hand' });
  const browser = await chromium.launch(LAUNCH);
  try {
    const results = [];
    for (const drag of DRAGS) results.push(...(await dragged(browser, address, production.id, drag)));
    return results;
  } finally {
    await browser.close();
  }
}

async function dragged(browser, address, productionId, { name, plan, pullId, perSecond, wayPx, frameMs, verdicts }) {
  const { id } = await call(address, 'POST', `productions/${productionId}/shots`, {
    scene: '',
    slate: String(perSecond),
    title: name,
    plan: plan(),
  });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`${address}/shots/${id}/pull`);
  await page.locator('[data-testid=focus-line][d^=M]').waitFor({ state: 'attached' });
  // what begins by itself after opening has ended
  await page.getByTestId('kept-takes').waitFor();
  await page.waitForLoadState('networkidle');
  const box = await page.getByTestId(`move-body-${pullId}`).boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const work = await threadWork(page);
  await watch(page);
  const before = await work();
  await moveByHand(page, { x, y, perSecond, wayPx });
  const { frames, redrawn } = await page.evaluate(() => window.watched_.end());
  const after = await work();
  await page.mouse.up();
  await page.context().close();
  const { median, p95 } = summary(frames);
  const each = redrawn / (DRAG_MS / 1000);
  const scriptMs = (after.scriptMs - before.scriptMs) / frames.length;
  const taskMs = (after.taskMs - before.taskMs) / frames.length;
  return [
    {
      what: `frames while a pull is dragged at ${perSecond} moves a second, ${name}`,
      figure: `${median.toFixed(1)} ms median, ${p95.toFixed(1)} ms p95`,
      aim: `p95 at most ${frameMs} ms`,
      shareOfAim: p95 / frameMs,
    },
    {
      what: `verdict drawn in that drag, ${perSecond} moves a second, ${name}`,
      figure: `${each.toFixed(0)} times a second`,
      aim: `at least ${verdicts}`,
      shareOfAim: verdicts / Math.max(each, 0.01),
    },
    {
      what: `script a frame in that drag, ${perSecond} moves a second, ${name}`,
      figure: `${scriptMs.toFixed(1)} ms of processor time; all work of the page's thread ${taskMs.toFixed(1)} ms`,
      aim: 'under 8 ms',
      shareOfAim: scriptMs / 8,
    },
  ];
}

/** How long the page's own thread has worked so far, in its processor time. A slow hour of the machine lengthens it, but less than the frames. */
async function threadWork(page) {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable', { timeDomain: 'threadTicks' });
  return async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    const ms = (name) => metrics.find((metric) => metric.name === name).value * 1000;
    return { scriptMs: ms('ScriptDuration'), taskMs: ms('TaskDuration') };
  };
}

/** Sends pointer moves at their times, without waiting for an answer to any. */
async function moveByHand(page, { x, y, perSecond, wayPx }) {
  const session = await page.context().newCDPSession(page);
  const startedMs = performance.now();
  const sent = [];
  for (let step = 1; step <= (DRAG_MS / 1000) * perSecond; step++) {
    const waitMs = startedMs + (step * 1000) / perSecond - performance.now();
    if (waitMs > 0) await new Promise((done) => setTimeout(done, waitMs));
    const at = { x: x + wayPx * Math.sin((step / perSecond) * 4), y };
    sent.push(
      session.send('Input.dispatchMouseEvent', { type: 'mouseMoved', button: 'left', buttons: 1, modifiers: ALT, ...at }),
    );
  }
  await Promise.all(sent);
}

/** Records frame times, and how often the drawing of the verdict changes, from now on. */
async function watch(page) {
  await page.evaluate(() => {
    const frames = [];
    let [before, isOn, redrawn] = [performance.now(), true, 0];
    requestAnimationFrame(function tick(now) {
      frames.push(now - before);
      before = now;
      if (isOn) requestAnimationFrame(tick);
    });
    const band = document.querySelector('[data-testid=zone-of-line]');
    const observer = new MutationObserver(() => redrawn++);
    observer.observe(band, { attributes: true, attributeFilter: ['d'] });
    window.watched_ = {
      end() {
        isOn = false;
        observer.disconnect();
        return { frames: frames.slice(2), redrawn };
      },
    };
  });
}
