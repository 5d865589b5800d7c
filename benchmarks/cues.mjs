import { chromium } from '@playwright/test';
import { rollCues } from '@still-heron/core';
import { shortShot, summary } from './evaluate.mjs';
import { endFrames, LAUNCH, startFrames } from './page.mjs';
import { call } from './server.mjs';

/** Rolls a shot in the page: scheduling error of its sounds, and frame times meanwhile. */
export async function benchCues(address) {
  const production = await call(address, 'POST', 'productions', { name: 'Bench cues' });
  const plan = shortShot();
  const document = { scene: '', slate: '1A', title: 'Short', plan };
  const shot = await call(address, 'POST', `productions/${production.id}/shots`, document);
  const browser = await chromium.launch(LAUNCH);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.addInitScript(() =>
      localStorage.setItem('still-heron.roll', '{"countInS":3,"turnedBy":"motor-line","isByClock":true,"vibrates":false}'),
    );
    await page.goto(`${address}/shots/${shot.id}/roll`);
    await page.getByTestId('roll-now').waitFor();
    await page.waitForTimeout(1000);
    await page.evaluate(noteTones);
    await page.keyboard.press('Space');
    await page.waitForTimeout(3000);
    await startFrames(page);
    await page.waitForTimeout(plan.durationS * 1000 + 500);
    const frames = summary(await endFrames(page));
    await page.keyboard.press('Space');
    const tones = await page.evaluate(() => window.tones_);
    let takes = [];
    while (takes.length === 0) takes = await call(address, 'GET', `shots/${shot.id}/takes`);
    const startedMs = Date.parse(takes[0].rolledAt);
    // a landing has two tones; the second is not a cue
    const due = rollCues(plan).map(({ timeS }) => startedMs + 1000 * timeS);
    const off = due.map((dueMs) => Math.min(...tones.map((soundsMs) => Math.abs(soundsMs - dueMs))));
    const worst = Math.max(...off);
    return [
      {
        what: `${due.length} cues by ear in a roll of ${plan.durationS} s: off their time at most`,
        figure: `${worst.toFixed(1)} ms`,
        aim: 'under 10 ms',
        shareOfAim: worst / 10,
      },
      {
        what: 'frames while it rolls',
        figure: `${frames.median.toFixed(1)} ms median, ${frames.p95.toFixed(1)} ms p95`,
        aim: 'p95 under 20 ms: 50 frames a second',
        shareOfAim: frames.p95 / 20,
      },
    ];
  } finally {
    await browser.close();
  }
}

/** Records in the page when each tone is scheduled. */
function noteTones() {
  window.tones_ = [];
  const start = OscillatorNode.prototype.start;
  OscillatorNode.prototype.start = function (atS) {
    const { contextTime, performanceTime } = this.context.getOutputTimestamp();
    window.tones_.push(performance.timeOrigin + performanceTime + 1000 * (atS - contextTime));
    return start.call(this, atS);
  };
}
