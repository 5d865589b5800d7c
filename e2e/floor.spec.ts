import type { Page } from '@playwright/test';
import { expect, type Heron, test } from './heron';

/** Presses a place on the ground, given as shares of its width and height. */
async function press(page: Page, x: number, y: number): Promise<void> {
  const box = (await page.getByTestId('floor-ground').boundingBox())!;
  await page.mouse.click(box.x + box.width * x, box.y + box.height * y);
}

async function emptyFloor(heron: Heron): Promise<void> {
  const productionId = await heron.newProduction('Drawn film');
  await heron.open(`/productions/${productionId}/shots`);
  await heron.page.getByRole('button', { name: 'Make the first shot' }).click();
  await heron.page.getByRole('link', { name: /Floor/ }).click();
  await heron.page.getByRole('button', { name: 'Draw the set' }).click();
}

const tool = (page: Page, name: string | RegExp) => page.getByRole('toolbar').getByRole('button', { name, exact: true });
const distance = (page: Page, letter: string) =>
  page
    .getByTestId('floor-marks')
    .locator('li')
    .filter({ has: page.getByRole('button', { name: `Select mark ${letter}` }) })
    .getByTestId('floor-mark-distance');

test('two people and a camera that moves, drawn by pointer: the distances follow, and Pull goes by them', async ({
  heron,
  page,
}) => {
  await emptyFloor(heron);
  await expect(page.getByText('Nobody is on the floor yet. Choose Subject, and click where it stands.')).toBeVisible();
  await tool(page, 'Subject').click();
  await press(page, 0.6, 0.4);
  await expect(page.getByTestId('floor-mark-A')).toBeVisible();
  await tool(page, 'Subject').click();
  await press(page, 0.8, 0.6);
  await expect(page.getByTestId('floor-mark-B')).toBeVisible();
  const drawn = Number(await distance(page, 'A').textContent());
  expect(drawn).toBeGreaterThan(0.3);
  await heron.drag(page.getByTestId('floor-mark-A'), 80, 0);
  await expect(distance(page, 'A')).not.toHaveText(drawn.toFixed(2));
  const dragged = Number(await distance(page, 'A').textContent());
  expect(dragged).toBeGreaterThan(drawn);
  await heron.drag(page.getByTestId('floor-mark-A'), 60, 30, { release: false });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(distance(page, 'A')).toHaveText(dragged.toFixed(2));

  // the camera looks at the first subject and moves by the end
  await tool(page, 'Aim').click();
  const person = (await page.getByTestId('floor-person').locator('circle').first().boundingBox())!;
  await page.mouse.click(person.x + person.width / 2, person.y + person.height / 2);
  await expect(page.getByText('at Subject 1, who is followed')).toBeVisible();
  const playhead = page.getByRole('slider', { name: 'Playhead' });
  await playhead.focus();
  await page.keyboard.press('End');
  await tool(page, 'Move the camera').click();
  await press(page, 0.3, 0.75);
  await expect(page.getByTestId('floor-camera-2')).toBeVisible();
  await expect(page.getByText('The distance does not change.')).toBeVisible();
  await page.keyboard.press('Escape');
  await playhead.focus();
  await page.keyboard.press('Home');
  for (let k = 0; k < 100; k++) await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('floor-sentence')).toContainText(
    /a second (nearer|farther), .* to the (left|right): the ring must turn [\d.]+°\/s\./,
  );

  await page.getByRole('link', { name: /Pull/ }).click();
  await expect(heron.verdict).toContainText(/Soft from .*while the camera moves and no pull follows|Sharp for all/);
  await heron.expectSaved();
  await page.reload();
  await page.getByRole('link', { name: /Floor/ }).click();
  await expect(page.getByTestId('floor-camera-2')).toBeVisible();
  await expect(distance(page, 'A')).toHaveText(dragged.toFixed(2));
});

test('times and pace of a walk, heading and pan of an aim are typed; a moving camera shows a caution', async ({
  heron,
  page,
}) => {
  await heron.openCopy('12A', 'floor');
  await page.getByTestId('floor-mark-B').focus();
  const panel = page.getByRole('region', { name: 'Mark B' });
  await panel.getByLabel('arrives at').fill('5');
  await page.keyboard.press('Enter');
  await panel.getByLabel('arrives at').fill('0.2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText(
    '0.20 s is out of range: the subject leaves the previous place, or this one, at that time',
  );
  await page.keyboard.press('Escape');
  await panel.getByRole('combobox', { name: 'walks here' }).click();
  await page.getByTitle('steady').click();
  await expect(page.getByRole('button', { name: 'Undo: change the times of Hand cart' })).toBeEnabled();
  await page.getByLabel('heading').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Hand cart is never in frame')).toBeAttached();
  await page.getByRole('slider', { name: 'Playhead' }).focus();
  await page.keyboard.press('End');
  await tool(page, 'Aim').click();
  const cart = (await page.getByTestId('floor-person').locator('circle').first().boundingBox())!;
  await page.mouse.click(cart.x + cart.width / 2, cart.y + cart.height / 2);
  await expect(
    page.getByText('The camera turns 30° in all, 56°/s at most. The puller must be able to reach the ring all the way.'),
  ).toBeVisible();
  await page.getByLabel('duration of the turn').fill('2');
  await page.keyboard.press('Enter');
  await expect(page.getByText('The camera turns 30° in all, 28°/s at most')).toBeVisible();
  await expect(page.getByText('The camera moves in this shot')).toHaveCount(0);
  await tool(page, 'Move the camera').click();
  await press(page, 0.2, 0.3);
  await expect(page.getByRole('region', { name: 'Caution' })).toContainText('have a spotter where anybody walks backward');
  await expect(page.getByRole('region', { name: 'Caution' })).toContainText('no distance here is a safety distance');
});

test('by keyboard alone: arrow keys move marks and the camera, and figures are typed', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await page.keyboard.press('2');
  await expect(page.getByRole('button', { name: 'Draw the set' })).toBeVisible();
  await page.getByRole('button', { name: 'Draw the set' }).focus();
  await page.keyboard.press('Enter');
  await expect(distance(page, 'A')).toHaveText('3.10');
  const mark = page.getByTestId('floor-mark-A');
  await mark.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByText('stale: moved in the drawing, now 4.10 m')).toBeVisible();
  await page.getByRole('region', { name: 'Mark A' }).getByRole('button', { name: 'Go by the drawing' }).focus();
  await page.keyboard.press('Enter');
  await expect(distance(page, 'A')).toHaveText('4.10');
  await mark.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(distance(page, 'A')).toHaveText('4.00');
  await page.keyboard.press('Control+z');
  await expect(distance(page, 'A')).toHaveText('4.10');
  await page.getByTestId('floor-camera-1').focus();
  await page.getByLabel('to the right').fill('1,1');
  await page.keyboard.press('Enter');
  await expect(distance(page, 'A')).toHaveText('3.00');
  await page.getByLabel('to the right').fill('far');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“far” is not a number');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  // a tool and Enter: placed in the centre, then moved
  await tool(page, 'Subject').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Click where the subject stands; Enter uses the middle.')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('floor-mark-C')).toBeVisible();
  const newcomer = Number(await distance(page, 'C').textContent());
  await page.getByTestId('floor-mark-C').focus();
  await expect(page.getByTestId('floor-sentence')).toContainText('Subject 3');
  await page.keyboard.press('ArrowRight');
  await expect(distance(page, 'C')).not.toHaveText(newcomer.toFixed(2));
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('3');
  await expect(page.getByTestId('mark-A')).toHaveValue('3.00');
  await page.getByTestId('mark-A').fill('2.9');
  await page.keyboard.press('Enter');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('2');
  await expect(page.getByText(/drawn 10 cm difference/)).toBeVisible();
});

test('a subject behind the camera is reported, also in the step; without the drawing, distances stay', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('link', { name: /Floor/ }).click();
  await page.getByRole('button', { name: 'Draw the set' }).click();
  await page.getByTestId('floor-mark-A').focus();
  for (let k = 0; k < 5; k++) await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByText('Maren is behind the camera')).toBeVisible();
  await expect(page.getByTestId('floor-marks').getByText('behind the camera')).toBeVisible();
  await expect(
    page
      .getByTestId('floor-marks')
      .getByText(/ring at/)
      .first(),
  ).not.toContainText('0.00');
  await expect(page.getByRole('link', { name: /Floor.*check this/ })).toBeVisible();
  await tool(page, 'Wall').click();
  await press(page, 0.5, 0.2);
  await page.getByRole('button', { name: 'wall 1' }).focus();
  await page.getByLabel('name').fill('foundry wall');
  await page.keyboard.press('Enter');
  await page.getByLabel('turned by').fill('90');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'foundry wall', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'foundry wall', exact: true }).focus();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: 'foundry wall', exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Delete the floor plan' }).click();
  await expect(page.getByRole('button', { name: 'Draw the set' })).toBeVisible();
  await page.getByRole('link', { name: /Pull/ }).click();
  await expect(page.getByTestId('mark-A')).toHaveValue('3.10');
});

test('the cart comes through the gate: the zone waits for it, in both units, and the shot plays', async ({ heron, page }) => {
  await heron.openCopy('12A', 'floor');
  const playhead = page.getByRole('slider', { name: 'Playhead' });
  const cart = page.getByTestId('floor-person').locator('circle').first();
  const sentence = page.getByTestId('floor-sentence');
  await expect(sentence).toContainText('behind the zone, and may be soft now.');
  await playhead.focus();
  await page.keyboard.press('End');
  await expect(sentence).toContainText(/Hand cart is sharp, with .* of room\. The distance does not change\./);
  await page.keyboard.press('Home');
  const farPx = (await cart.boundingBox())!.x;
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(sentence).toContainText(/m a second nearer: the ring must turn [\d.]+°\/s\./);
  await expect.poll(async () => (await cart.boundingBox())!.x).toBeLessThan(farPx - 40);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByText('ft', { exact: true }).click();
  await expect(distance(page, 'A')).toHaveText(/^29' 6/);
  await page.getByTestId('floor-mark-B').focus();
  await page.getByLabel('name').fill('Cart with the great bell of the river town, under canvas');
  await page.keyboard.press('Enter');
  await expect(sentence).toContainText('under canvas');
  await expect(page.getByRole('button', { name: 'Undo: rename' })).toBeEnabled();
});
