import { depthOfField, formatDistanceFigure, geometricStop, holdBoth } from '@still-heron/core';
import { readFileSync } from 'node:fs';
import { expect, test } from './heron';

const circleOfConfusionMm = Math.hypot(24.9, 14) / 1500;

test('compare: which set-up has the deepest zone, at the same framing and at the same distance', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('radio', { name: 'Compare' }).click();
  const sentence = page.getByTestId('sentence');
  await expect(sentence).toContainText('At the same framing');
  await expect(page.getByTestId('compare-row')).toHaveCount(2);
  await page.getByRole('radio', { name: 'the same distance' }).click();
  await expect(sentence).toContainText(/At the same distance .* has the deepest zone/);
  const zone = depthOfField({ focalLengthMm: 75, fNumber: geometricStop(4.5, 0.85), circleOfConfusionMm, focusDistanceMm: 3000 });
  await expect(page.getByRole('region', { name: 'Set-up 1' })).toContainText(`−${(zone.inFrontMm / 10).toFixed(0)} cm`);
  await page.getByRole('combobox', { name: 'Camera of set-up 2' }).click();
  await page.keyboard.type('3:2');
  await page.getByTitle('Full frame, 3:2', { exact: true }).last().click();
  await expect(page.getByRole('region', { name: 'Set-up 2' })).toContainText(
    'Framing of the first set-up: 114 mm at T6.8 (× 1.51, by the picture diagonals).',
  );
  await page.getByRole('button', { name: 'Add a set-up' }).click();
  await page.getByRole('button', { name: 'Add a set-up' }).click();
  await expect(page.getByTestId('compare-row')).toHaveCount(4);
  await expect(page.getByRole('button', { name: 'Add a set-up' })).toHaveCount(0);
  await page.getByTestId('compare-distance').fill('0.6');
  await page.getByTestId('compare-distance').press('Enter');
  await expect(page.getByRole('region', { name: 'Set-up 1' })).toContainText(
    'It would have to stand at 0.600 m , and it focuses from 0.750 m on.',
  );
});

test('depth: the distance is dragged and stepped, and a line sets its stop', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('radio', { name: 'Depth' }).click();
  const cursor = page.getByRole('slider', { name: 'Distance' });
  await expect(cursor).toHaveAttribute('aria-valuetext', '3.00 m');
  await cursor.press('ArrowRight');
  await expect(cursor).toHaveAttribute('aria-valuetext', '3.01 m');
  await heron.drag(cursor, 60, 0);
  await expect(cursor).not.toHaveAttribute('aria-valuetext', '3.01 m');
  await page.getByRole('button', { name: 'Set T9' }).click();
  await expect(page.getByTestId('sentence')).toContainText('and T9');
  await expect(page.getByRole('button', { name: 'Undo: stop T9' })).toBeEnabled();
});

test('the table shows every stop and distance, and is printed and saved as a file', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('radio', { name: 'feet and inches' }).click();
  await page.getByRole('radio', { name: 'Table' }).click();
  await expect(page.getByRole('columnheader', { name: 'T4.5' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const text = readFileSync((await (await download).path())!, 'utf8');
  const rows = text.trim().split('\r\n');
  expect(rows[0]).toBe('focus,T2.2,T2.5,T2.8,T3.2,T3.5,T4,T4.5,T5,T5.6,T6.3,T7.1,T8,T9,T10,T11,T13,T14,T16,T18,T20,T22');
  const row = rows.find((line) => line.startsWith('"8\' 0"""'))!;
  const zone = depthOfField({
    focalLengthMm: 75,
    fNumber: geometricStop(4.5, 0.85),
    circleOfConfusionMm,
    focusDistanceMm: 8 * 304.8,
  });
  const said = (mm: number) => formatDistanceFigure(mm, 'imperial').replaceAll('"', '""');
  expect(row).toContain(`"${said(zone.nearMm)} – ${said(zone.farMm)}"`);

  await page.evaluate(() => {
    window.print = () => (document.title = `${document.querySelectorAll('[data-testid=paper] tbody tr').length} rows`);
  });
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page).toHaveTitle(`${rows.length - 1} rows`);
  await expect(page.getByTestId('paper')).toHaveCount(0);
});

test('questions: two distances, a miss, a face; the answer sets the stop', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('radio', { name: 'Solve' }).click();
  const hold = page.getByRole('region', { name: 'Two distances sharp' });
  for (const [id, text] of [
    ['hold-near', '2.9'],
    ['hold-far', '3.3'],
  ] as const) {
    await page.getByTestId(id).fill(text);
    await page.getByTestId(id).press('Enter');
  }
  const answer = holdBoth({ focalLengthMm: 75, circleOfConfusionMm }, 2900, 3300);
  await expect(hold).toContainText(`Focus at ${(answer.focusDistanceMm / 1000).toFixed(2)} m`);
  await expect(hold).toContainText(`exactly T${Number((answer.fNumber / Math.sqrt(0.85)).toFixed(1))}`);
  await hold.getByRole('button', { name: 'Use this stop' }).click();
  await expect(page.getByRole('button', { name: /^Undo: stop T/ })).toBeEnabled();
  await page.getByTestId('hold-far').fill('2');
  await page.getByTestId('hold-far').press('Enter');
  await expect(hold).toContainText('2000 is not beyond the other distance. Needed: a distance beyond 2900.');
  await expect(page.getByRole('region', { name: 'Small features' })).toContainText(/soft, \d+\.\d circles of confusion/);
  await expect(page.getByRole('region', { name: 'Hyperfocal distances' }).getByRole('row')).toHaveCount(9);
});

test('light: the cost of a stop, each way to correct it, and a shutter that differs from the production', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('radio', { name: 'Light' }).click();
  await page.getByTestId('metered').fill('2.8');
  await page.getByTestId('metered').press('Enter');
  await expect(page.getByTestId('sentence')).toContainText('1⅓ stops too dark at T4.5 instead of the metered T2.8.');
  const ways = page.getByRole('region', { name: 'Ways to correct it' });
  await expect(ways).toContainText('ISO 2000');
  await expect(ways).toContainText('2.6 × the lamps');
  await expect(ways).toContainText('ND in place is not enough');
  await expect(ways).toContainText('more than a whole turn of the shutter');
  await ways.getByRole('button', { name: 'Use this' }).first().click();
  await expect(page.getByTestId('sentence')).toContainText('As metered: T4.5 needs no correction.');
  await expect(page.getByTestId('iso')).toHaveValue('2000');
  await page.getByTestId('shutter').fill('90');
  await page.getByTestId('shutter').press('Enter');
  await expect(
    page.getByRole('note').filter({ hasText: 'The shutter is at 90°, and the production shoots at 180°' }),
  ).toBeVisible();
  await expect(page.getByTestId('sentence')).toContainText('As metered');
});

test('the zone calculator in Kit opens by its key, with any camera and lens', async ({ heron, page }) => {
  await heron.open('/kit/lenses');
  await expect(page.getByRole('slider', { name: 'The ring' })).toBeVisible();
  await page.keyboard.press('5');
  await expect(page.getByTestId('compare-row')).toHaveCount(2);
  await page.getByRole('combobox', { name: 'lens', exact: true }).click();
  await page.keyboard.type('25–100');
  await page.keyboard.press('Enter');
  await page.getByLabel('zoomed to').fill('80');
  await page.getByLabel('zoomed to').press('Enter');
  await page.getByRole('radio', { name: 'Table' }).click();
  await expect(page.getByText('near – far for Zoom 25–100 mm T2.9 at 80 mm')).toBeVisible();
});
