import { chromium } from '@playwright/test';
import { drawnShot, summary } from './evaluate.mjs';
import { endFrames, LAUNCH, startFrames } from './page.mjs';
import { call } from './server.mjs';

/** Part of the minute that is played: some hundreds of frames. */
const PLAYED_MS = 20_000;

/** Frame times of the floor while a minute with four people and a moving camera plays, and during a drag. */
export async function benchFloor(address) {
  const production = await call(address, 'POST', 'productions', { name: 'Bench floor' });
  const shot = await call(address, 'POST', `productions/${production.id}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Drawn',
    plan: drawnShot(),
  });
  const browser = await chromium.launch(LAUNCH);
  try {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(`${address}/shots/${shot.id}/floor`);
    await page.getByTestId('floor-plane').waitFor({ state: 'attached' });
    await page.waitForTimeout(1000);
    await page.getByRole('button', { name: 'Play' }).click();
    await startFrames(page);
    await page.waitForTimeout(PLAYED_MS);
    const played = summary(await endFrames(page));
    await page.getByRole('button', { name: 'Pause' }).click();

    const box = await page.getByTestId('floor-mark-H').boundingBox();
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await startFrames(page);
    for (let step = 0; step < 180; step++) await page.mouse.move(x + 50 * Math.sin(step / 12), y + 20 * Math.cos(step / 9));
    const dragged = summary(await endFrames(page));
    await page.mouse.up();
    const line = (what, { median, p95 }) => ({
      what,
      figure: `${median.toFixed(1)} ms median, ${p95.toFixed(1)} ms p95`,
      aim: 'p95 under 33 ms',
      shareOfAim: p95 / 33,
    });
    return [
      line('frame time while the floor plays a minute with four people', played),
      line('frame time while a mark is dragged on it', dragged),
    ];
  } finally {
    await browser.close();
  }
}
