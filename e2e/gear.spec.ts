import { expect, test } from './heron';

test('camera, mode, steadying, wheel and rig from the kit; each step undone by name', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  const pick = async (label: string, word: string) => {
    await page.getByRole('combobox', { name: label, exact: true }).click();
    if (label === 'Camera') await page.keyboard.type(word);
    await page.getByTitle(word, { exact: true }).last().click();
  };
  const circle = page.getByTestId('zone-facts').getByRole('button', { name: 'Circle of confusion: how it is computed' });
  await pick('Camera', 'Small body B, full frame');
  await expect(circle).toHaveText('27.5 µm');
  await pick('digital steadying', 'strong, −18 %');
  await expect(circle).toHaveText('22.6 µm');
  await expect(page.getByText('The picture is narrower by 18 %')).toBeVisible();
  await pick('records', 'Cropped');
  await expect(circle).toHaveText('15.1 µm');
  await pick('Wheel', 'Hand wheel, gear 1.6');
  await expect(page.getByText('nearer is anticlockwise')).toBeVisible();
  await pick('Rig', 'Stabiliser by remote');
  await expect(page.getByRole('note').filter({ hasText: 'a spotter, a cleared path' })).toContainText('safety lead decide');
  await expect(page.getByRole('note').filter({ hasText: 'Missing on Stabiliser by remote: batteries.' })).toBeVisible();
  for (const name of [
    'rig Stabiliser by remote',
    'wheel Hand wheel, gear 1.6',
    'change the recording mode',
    'change the steadying',
  ])
    await page.getByRole('button', { name: `Undo: ${name}` }).click();
  await expect(circle).toHaveText('27.5 µm');
});

test('marks and pulls are shown in degrees of the wheel', async ({ heron, page }) => {
  await heron.openCopy('4B');
  await expect(page.getByTestId('mark-ring').first()).toHaveText(/^wheel 8\d\.\d° ± \d\.\d°$/);
  await page.getByRole('button', { name: 'Select mark A, Old Tam' }).focus();
  await page.getByRole('button', { name: 'How the room is computed: how it is computed' }).first().focus();
  await expect(page.getByRole('tooltip').filter({ hasText: 'the wheel turns 1.6 × as far' })).toBeVisible();
  await page.getByTestId('move-start-pull-1').click();
  await page.getByRole('button', { name: 'Turn of the wheel: how it is computed' }).focus();
  await expect(page.getByRole('tooltip').filter({ hasText: 'mm on its disc' })).toBeVisible();
});

test('the camera was moved: distances are stale, and the step says so', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  // fields that come later push the button down: a press of a key does not miss it
  await page.getByRole('button', { name: 'The camera was moved' }).press('Enter');
  await expect(page.getByLabel('Stale distances')).toContainText('A, B stale');
  await expect(page.getByRole('link', { name: /Set-up.*check this/ })).toBeVisible();
  const knob = page.getByRole('slider', { name: 'Stop', exact: true });
  await page.getByRole('button', { name: 'A, B stale: why' }).hover();
  await expect(page.getByText('A, B were measured before the camera was moved.')).toBeVisible();
  await page.getByRole('button', { name: 'Still right' }).click();
  await knob.press('ArrowRight');
  await expect(page.getByLabel('Stale distances')).toHaveCount(0);
  await expect(page.getByRole('link', { name: /Set-up.*ready/ })).toBeVisible();
});

test('the stop is turned and the lens zoomed while it rolls: the zone follows, and the verdict says what it does', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('combobox', { name: 'Lens', exact: true }).click();
  await page.keyboard.type('25–100');
  await page.getByTitle('Zoom 25–100 mm T2.9', { exact: true }).last().click();
  await page.getByTestId('zoomed-to').fill('40');
  await page.getByTestId('zoomed-to').press('Enter');
  await page.getByRole('link', { name: /Pull/ }).click();
  await page.getByRole('button', { name: 'Add an iris pull' }).click();
  const stop = page.getByRole('group', { name: 'stop 1' });
  await stop.getByLabel('to', { exact: true }).fill('3.4');
  await stop.getByLabel('to', { exact: true }).press('Enter');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByTestId('optics-now')).toContainText('at the playhead T4.5');
  await page.getByRole('button', { name: 'Add a zoom', exact: true }).click();
  await expect(page.getByRole('note').filter({ hasText: 'Add a zoom' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  for (let frame = 0; frame < 12; frame++) await page.keyboard.press('.');
  await expect(page.getByTestId('optics-now')).not.toContainText('T4.5');
  await stop.getByLabel('to', { exact: true }).fill('1.2');
  await stop.getByLabel('to', { exact: true }).press('Enter');
  await expect(page.getByRole('alert')).toContainText('The lens has no stop 1.2. Type a stop from');
  await stop.getByLabel('to', { exact: true }).press('Escape');
  await page.getByRole('button', { name: 'Remove zoom 1' }).click();
  await expect(page.getByRole('group', { name: 'zoom 1' })).toHaveCount(0);
  await heron.expectSaved();
  await page.reload();
  await expect(page.getByRole('group', { name: 'stop 1' }).getByLabel('to', { exact: true })).toHaveValue('T3.4');
});

test('the demo has a shot whose lens changed in Kit: the old one can be kept', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('9A', 'setup');
  const change = page.getByLabel('The lens has changed in Kit');
  await expect(change).toContainText('ring: throw 300° → 9 scale points over 306°');
  await expect(change).toContainText(/In this shot: .*of the ring/);
  await change.getByRole('button', { name: 'Keep the shot’s' }).click();
  await expect(change).toHaveCount(0);
  await expect(page.getByTestId('focal-length')).toHaveValue('135');
  await heron.expectSaved();
  await heron.open(`/shots/${shotId}/setup`);
  await expect(page.getByTestId('focal-length')).toBeVisible();
  await expect(change).toHaveCount(0);
});
