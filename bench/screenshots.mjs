import { resolve } from 'node:path';
import { chromium } from '@playwright/test';
import { call, startServer } from './server.mjs';

const folder = resolve('docs/screenshots');
const server = await startServer({ STILL_HERON_SEED: 'demo' });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  const [production] = await call(server.address, 'GET', 'productions');
  const shots = await call(server.address, 'GET', `productions/${production.id}/shots`);
  const shot = (slate) => shots.find((item) => item.slate === slate).id;
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 }, timezoneId: 'UTC' })).newPage();
  const picture = async (name) => {
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${folder}/${name}.png` });
  };
  const light = (name) => page.getByRole('radio', { name }).click();

  await page.goto(`${server.address}/productions/${production.id}/shots`);
  await page.locator('.shot-kept strong').nth(6).waitFor();
  await picture('shots-dusk');
  await page.goto(`${server.address}/shots/${shot('4B')}/setup`);
  await page.locator('.zone-drawing svg').waitFor();
  await picture('setup-dusk');
  await light('Noon');
  await picture('setup-noon');
  await page.goto(`${server.address}/shots/${shot('4B')}/pull`);
  await page.locator('[data-testid=focus-line][d^=M]').waitFor({ state: 'attached' });
  await page.getByTestId('channel').click({ position: { x: 433, y: 70 } });
  await page.getByTestId('move-start-rack-1').focus();
  await picture('pull-noon');
  await light('Dusk');
  await page.getByTestId('move-start-rack-1').focus();
  await picture('pull-dusk');
  await page.keyboard.press('Escape');
  await page.keyboard.press('x');
  await page.waitForTimeout(2500);
  await page.keyboard.press('v');
  await page.locator('.history-panel ol button').last().click();
  await page.locator('.history-version ul').waitFor();
  await picture('pull-versions-dusk');
  await page.getByRole('button', { name: 'Hide' }).click();
  await page.keyboard.press('Control+z');
  await page.waitForTimeout(1500);

  await page.goto(`${server.address}/shots/${shot('14A')}/pull`);
  await light('Noon');
  await page.locator('[data-testid=focus-line][d^=M]').waitFor({ state: 'attached' });
  await page.getByTestId('channel').click({ position: { x: 474, y: 120 } });
  await picture('pull-long-noon');
  await light('Dusk');

  await page.goto(`${server.address}/shots/${shot('14A')}/stop`);
  await page.locator('[data-testid=drawn][data-done=true]').waitFor({ state: 'attached' });
  await page.locator('.helps li').nth(3).waitFor();
  await page.getByRole('slider', { name: 'Playhead' }).focus();
  for (let step = 0; step < 150; step++) await page.keyboard.press('ArrowRight');
  await picture('stop-dusk');
  await page.goto(`${server.address}/shots/${shot('12D')}/stop`);
  await light('Noon');
  await page.locator('[data-testid=drawn][data-done=true]').waitFor({ state: 'attached' });
  await page.getByRole('button', { name: 'What is wanted, and the day' }).click();
  await page.evaluate(() => document.activeElement.blur());
  await page.waitForTimeout(1000);
  await picture('stop-noon');
  await light('Dusk');

  await page.goto(`${server.address}/shots/${shot('4B')}/takes`);
  for (const said of [
    ['overshot', 'usable'],
    ['late', 'soft'],
    ['late', 'soft'],
  ]) {
    await page.getByRole('radiogroup', { name: 'How D was hit' }).getByRole('radio', { name: said[0] }).click();
    await page.getByRole('radiogroup', { name: 'Focus' }).getByRole('radio', { name: said[1] }).click();
    await page.keyboard.press('t');
    await page.waitForTimeout(500);
  }
  await page.evaluate(() => document.activeElement.blur());
  await picture('takes-dusk');

  await page.goto(`${server.address}/shots/${shot('12A')}/floor`);
  await page.getByRole('slider', { name: 'Playhead' }).focus();
  for (let step = 0; step < 110; step++) await page.keyboard.press('ArrowRight');
  await page.getByTestId('floor-mark-B').focus();
  await picture('floor-dusk');
  await light('Noon');
  await page.getByTestId('floor-mark-B').focus();
  await page.keyboard.press('l');
  await page.locator('.mark-measure .tone-edge').first().waitFor();
  await picture('floor-mark-noon');
  await page.keyboard.press('Control+z');
  await light('Dusk');
  await page.getByRole('button', { name: 'Rehearse' }).click();
  await page.keyboard.press('r');
  await page.waitForTimeout(900);
  await page.keyboard.press('r');
  await picture('floor-rehearsal-dusk');
  await page.goto(`${server.address}/shots/${shot('9C')}/floor`);
  await page.getByRole('button', { name: 'Draw the set' }).click();
  await page.keyboard.press('m');
  await page.getByRole('button', { name: /^Circle them/ }).click();
  await page.getByRole('slider', { name: 'Playhead' }).focus();
  for (let step = 0; step < 72; step++) await page.keyboard.press('ArrowRight');
  await picture('floor-move-dusk');

  await page.goto(`${server.address}/shots/${shot('9A')}/setup`);
  await page.locator('.gear-change').waitFor();
  await light('Noon');
  await picture('kit-change-noon');
  await light('Dusk');
  await page.goto(`${server.address}/kit/lenses`);
  await page.getByRole('link', { name: /^65 mm/ }).click();
  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  await picture('kit-ring-dusk');
  await page.goto(`${server.address}/kit/cameras`);
  await page.locator('.aid-matrix table').waitFor();
  await picture('kit-camera-dusk');
  await page.goto(`${server.address}/kit/bench`);
  await page.locator('section.compare-row').first().waitFor();
  await page.getByRole('button', { name: 'Add another' }).click();
  await page.evaluate(() => document.activeElement.blur());
  await picture('compare-dusk');
  await page.getByRole('radio', { name: 'Depth' }).click();
  await picture('depth-dusk');
} finally {
  await browser.close();
  await server.stop();
}
