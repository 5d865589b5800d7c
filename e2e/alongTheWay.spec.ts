import { moveCameraTo } from '@still-heron/core';
import type { Page } from '@playwright/test';
import { expect, test } from './heron';

/** To another step of the shot. */
async function goTo(page: Page, step: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Steps of the shot' })
    .getByRole('link', { name: new RegExp(`^${step}`) })
    .click();
}

test('light along the way: metered at times and at a mark, the iris follows it, and the zone changes with it', async ({
  heron,
  page,
}) => {
  await heron.openCopy('4A', 'setup');
  await page.getByRole('radio', { name: 'Light', exact: true }).click();
  const said = page.getByTestId('light-along');
  await expect(said).toHaveText('The light is taken to stay as it is at the start.');
  await page.getByTestId('metered').fill('4.5');
  await page.keyboard.press('Enter');
  const add = page.getByRole('button', { name: 'Add a meter reading' });
  await add.click();
  await add.click();
  const readings = page.getByRole('group', { name: /^meter reading/ });
  await readings.nth(0).getByLabel('time').fill('2');
  await page.keyboard.press('Enter');
  await readings.nth(1).getByLabel('time').fill('6');
  await page.keyboard.press('Enter');
  const shows = readings.nth(1).getByLabel('meter shows');
  await shows.fill('bright');
  await page.keyboard.press('Enter');
  await expect(readings.nth(1).getByRole('alert')).toBeVisible();
  await shows.fill('T9');
  await page.keyboard.press('Enter');
  // two stops in four seconds: half a stop is passed a second after it begins
  await expect(said).toHaveText('From 3.0 to 8.0 s the picture is up to 2 stops too bright.');
  await expect(page.getByText('Set-up, Light lets the iris follow.')).toBeVisible();
  await page.getByRole('button', { name: 'Let the iris follow the light' }).click();
  await expect(said).toHaveText('The exposure stays within 0.5 stop throughout.');
  await expect(page.getByText('The iris turns to T9 from 1.0 to 7.0 s.')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Light and iris/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(said).toContainText('too bright');
  await page.keyboard.press('Control+Shift+z');

  // read at her mark instead, it holds while she is there
  await readings.nth(1).getByRole('combobox').click();
  await page.getByTitle('at mark A').click();
  await expect(said).toContainText('too bright');

  await goTo(page, 'Pull');
  await expect(page.getByTestId('zone-of-line')).toBeVisible();
  const band = (await page.getByTestId('zone-of-line').getAttribute('d'))!;
  const heights = [...band.matchAll(/,(-?[\d.]+)/g)].map(([, y]) => Number(y));
  expect(new Set(heights.map((y) => Math.round(y))).size).toBeGreaterThan(2);
});

test('a method for each part: by hand until she is there, then autofocus; each is judged by itself', async ({ heron, page }) => {
  await heron.openCopy('4B', 'setup', (plan) => ({
    ...plan,
    optics: { ...plan.optics, lens: { ...plan.optics.lens, autofocus: 'works' } },
  }));
  await page.getByRole('button', { name: 'Another method for a later part' }).click();
  const part = page.getByRole('group', { name: /^method from/ });
  await part.getByLabel('then from').fill('6');
  await page.keyboard.press('Enter');
  await goTo(page, 'Pull');
  await expect(heron.verdict).toContainText('that must be by hand');
  await expect(heron.verdict).toContainText('Left to autofocus from 6.0');
  await expect(page.getByTestId('automatic-part')).toBeVisible();
  // nothing is soft in what is left to the camera
  for (const strip of await page.getByTestId('soft-span').all()) {
    const [soft, left] = [(await strip.boundingBox())!, (await page.getByTestId('automatic-part').boundingBox())!];
    expect(soft.x + soft.width).toBeLessThanOrEqual(left.x + 1);
  }
  await goTo(page, 'Stop');
  await page.getByRole('button', { name: /^Methods/ }).click();
  const parts = page.getByRole('list', { name: 'Methods of the parts' }).getByRole('listitem');
  await expect(parts).toHaveCount(2);
  await expect(parts.nth(0)).toContainText(/rack\s*sharp for \d\.\d of \d\.\d s, \d+ of 100 takes/);
  await expect(parts.nth(1)).toContainText('automatic');
  // one method for the whole shot again, by its button
  await page.getByRole('button', { name: 'Choose fixed' }).click();
  await expect(parts).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(parts).toHaveCount(2);
  await goTo(page, 'Set-up');
  await page.getByRole('button', { name: /^Remove the part from 6/ }).click();
  await expect(part).toHaveCount(0);
});

test('camera marks on the floor have a miss of their own, and a tape is held to any spot', async ({ heron, page }) => {
  await heron.openCopy('4A', 'floor', (plan) => moveCameraTo(moveCameraTo(plan, { xMm: 0, yMm: 0 }, 2), { xMm: 800, yMm: 0 }, 6));
  await page.getByTestId('floor-camera-3').focus();
  await page.keyboard.press('Enter');
  const miss = page.getByLabel('operator misses this by ±');
  await expect(miss).toHaveValue('3');
  await miss.fill('12');
  await page.keyboard.press('Enter');
  await expect(miss).toHaveValue('12');
  await goTo(page, 'Stop');
  await page.getByRole('button', { name: /^Where errors come from/ }).click();
  const inErrors = page.getByLabel('the camera misses its marks ±');
  await expect(inErrors).toHaveValue('12');
  await goTo(page, 'Floor');

  await page.getByRole('button', { name: 'Tape to a spot' }).click();
  await page.keyboard.press('Enter');
  const tape = page.getByTestId('spot-tape');
  await expect(tape).toContainText(/A tape from the lens says \d\.\d\d m to this spot on the floor, and \d\.\d\d m to eyes/);
  await page.keyboard.press('Escape');
  await expect(tape).toHaveCount(0);
  await page.getByRole('button', { name: 'Tape to a spot' }).click();
  await page.getByTestId('floor-ground').click({ position: { x: 500, y: 60 } });
  await expect(tape).toBeVisible();
  await tape.getByRole('button', { name: 'Close' }).click();
  await expect(tape).toHaveCount(0);
});
