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
  await page.locator('.shot-state').nth(5).waitFor();
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

  await page.goto(`${server.address}/shots/${shot('12A')}/floor`);
  await page.getByRole('slider', { name: 'Playhead' }).focus();
  for (let step = 0; step < 110; step++) await page.keyboard.press('ArrowRight');
  await page.getByTestId('floor-mark-B').focus();
  await picture('floor-dusk');

  await page.goto(`${server.address}/shots/${shot('9A')}/setup`);
  await page.locator('.gear-change').waitFor();
  await light('Noon');
  await picture('kit-change-noon');
  await light('Dusk');
  await page.goto(`${server.address}/kit/lenses`);
  await page.getByRole('link', { name: /^65 mm/ }).click();
  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  await picture('kit-ring-dusk');
  await light('Noon');
  await picture('kit-ring-noon');
  await light('Dusk');
  await page.goto(`${server.address}/kit/cameras`);
  await page.locator('.aid-matrix table').waitFor();
  await picture('kit-camera-dusk');
  await page.goto(`${server.address}/kit/wheels`);
  await page.getByRole('link', { name: /gear 1.6/ }).click();
  await picture('kit-wheel-dusk');
  await page.goto(`${server.address}/kit/bench`);
  await page.locator('section.compare-row').first().waitFor();
  await page.getByRole('button', { name: 'Add another' }).click();
  await page.evaluate(() => document.activeElement.blur());
  await picture('compare-dusk');
  await light('Noon');
  await picture('compare-noon');
  await page.getByRole('radio', { name: 'Depth' }).click();
  await light('Dusk');
  await picture('depth-dusk');
} finally {
  await browser.close();
  await server.stop();
}
