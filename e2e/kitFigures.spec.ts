import type { Page } from '@playwright/test';
import { expect, type Heron, test } from './heron';

const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByTestId('side').getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

async function pick(page: Page, label: string, word: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.getByTitle(word, { exact: true }).last().click();
}

async function newItem(heron: Heron, place: string, button: string): Promise<string> {
  await heron.open(`/kit/${place}`);
  await heron.page.getByRole('button', { name: button }).click();
  await expect(heron.page.getByTestId('kit-name')).toHaveValue(/^New /);
  return heron.page.url().split('/').pop()!;
}

const item = async (heron: Heron, kind: string, id: string) =>
  (await heron.api<{ item: Record<string, unknown> }>('get', `kit/${kind}/${id}`)).item;

test('every figure of a lens is saved; an impossible one is refused, and nothing is lost', async ({ heron, page }) => {
  const id = await newItem(heron, 'lenses', 'New lens');
  await type(page, 'focal length', '24');
  await type(page, 'longest focal length', '70');
  await type(page, 'close focus', '0.38');
  await type(page, 'distance between principal planes', '12');
  await pick(page, 'engraved in', 'f-numbers');
  await type(page, 'widest, at the short end', '2,8');
  await type(page, 'widest, at the long end', '4');
  await type(page, 'narrowest', '16');
  await type(page, 'transmittance', '80');
  await type(page, 'throw', '150');
  await pick(page, 'nearer turns', 'anticlockwise');
  await pick(page, 'ring response', 'in steps');
  await type(page, 'presses from end to end', '320');
  await type(page, 'squeeze', '1.33');
  await type(page, 'breathing, ∞ to close focus', '-2.5');
  await page.getByRole('checkbox', { name: 'sends focal length' }).check();
  await type(page, 'tested by', 'Maren');
  await pick(page, 'focus while zooming', 'loses focus');
  await expect(page.getByText(/tested on \d{4}-\d\d-\d\d by Maren/)).toBeVisible();
  await page.getByRole('button', { name: 'unknown: set it' }).first().click();
  await type(page, 'front diameter', '82');
  await type(page, 'gear on the ring', 'pitch 0.8, 130 teeth');
  await page.getByRole('checkbox', { name: 'hired' }).check();
  await type(page, 'notes', 'in the blue case');
  await saved(page);
  expect(await item(heron, 'lenses', id)).toMatchObject({
    isHired: true,
    holdTestedBy: 'Maren',
    notes: 'in the blue case',
    lens: {
      focalLengthMm: 24,
      longestMm: 70,
      closeFocusMm: 380,
      principalSeparationMm: 12,
      stopScale: 'f',
      widestStop: 2.8,
      widestStopLong: 4,
      narrowestStop: 16,
      transmittance: 0.8,
      ring: { kind: 'helicoid', focusThrowDeg: 150 },
      nearerTurns: 'anticlockwise',
      response: 'steps',
      stepCount: 320,
      squeeze: 1.33,
      breathingPercent: -2.5,
      reportsData: true,
      holdsFocus: 'drifts',
      frontDiameterMm: 82,
      gear: 'pitch 0.8, 130 teeth',
    },
  });
  for (const [label, typed, said] of [
    ['close focus', '0.1', 'is outside four focal lengths to 20 m. Type 0.292 m or more.'],
    ['throw', '9000', '“9000” is out of range. Type a number from 10 to 1440.'],
    ['narrowest', '2', '“2” is out of range. Type a number from 4 to 64.'],
    ['squeeze', 'much', '“much” is not a number. Type a number from 1 to 2.'],
  ] as const) {
    await type(page, label, typed);
    await expect(page.getByRole('alert')).toContainText(said);
    await page.getByTestId('side').getByLabel(label, { exact: true }).press('Escape');
    await expect(page.getByRole('alert')).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'front diameter: unknown' }).click();
  await page.getByRole('button', { name: 'Undo: change the front diameter' }).click();
  await expect(page.getByTestId('side').getByLabel('front diameter', { exact: true })).toHaveValue('82');
});

test('every figure of a camera is saved, and its tests go with their displays and modes', async ({ heron, page }) => {
  const id = await newItem(heron, 'cameras', 'New camera');
  await type(page, 'software', '7.1');
  await type(page, 'test again after', '0');
  await expect(page.getByText('never', { exact: true })).toBeVisible();
  await type(page, 'mode', 'Open gate');
  await page.getByRole('combobox', { name: 'Format of Open gate' }).click();
  await page.getByTitle('Full frame, 3:2 · 36 × 24').last().click();
  await type(page, 'fastest', '48');
  await page.getByRole('button', { name: 'Add a mode' }).click();
  await expect(page.getByTestId('kit-part')).toHaveCount(2);
  await page.getByRole('button', { name: 'Add a level' }).click();
  await type(page, 'crops', '12.5');
  await type(page, 'frame rates', '50 25 24 25');
  await expect(page.getByLabel('frame rates', { exact: true })).toHaveValue('24  25  50');
  await type(page, 'frame rates', '24 fast');
  await expect(page.getByRole('alert')).toContainText('“fast” is out of range. Type numbers from 1 to 1000 with spaces between');
  await page.getByLabel('frame rates', { exact: true }).press('Escape');
  await type(page, 'base ISO', '400 2500');
  await page.getByRole('button', { name: 'unknown: set it' }).click();
  await type(page, 'autofocus area', '60');
  await page.getByRole('button', { name: 'Add a display' }).click();
  await page.getByRole('button', { name: 'Monochrome on Finder: untested' }).click();
  await expect(page.getByRole('button', { name: 'Monochrome on Finder: yes', exact: true })).toBeVisible();
  await type(page, 'display 2', 'Loupe');
  await expect(page.getByRole('button', { name: 'Monochrome on Loupe: yes', exact: true })).toBeVisible();
  await saved(page);
  expect(await item(heron, 'cameras', id)).toMatchObject({
    software: '7.1',
    retestAfterDays: 0,
    modes: [{ name: 'Open gate', sensorWidthMm: 36, sensorHeightMm: 24, fastestFps: 48 }, { name: 'Mode 2' }],
    steadying: [{ name: 'standard', cropPercent: 12.5 }],
    frameRates: [24, 25, 50],
    baseIsos: [400, 2500],
    automaticAreaPercent: 60,
    displays: ['Rear screen', 'Loupe'],
    tests: [{ aid: 'monochrome', display: 'Loupe', works: true, software: '7.1' }],
  });
  await page.getByRole('button', { name: 'Remove Loupe' }).click();
  await page.getByRole('button', { name: 'Delete this mode' }).last().click();
  await page.getByRole('button', { name: 'Remove standard' }).click();
  await saved(page);
  expect(await item(heron, 'cameras', id)).toMatchObject({ displays: ['Rear screen'], tests: [], steadying: [] });
  await page.getByRole('button', { name: 'Undo: delete a steadying level' }).click();
  await page.getByRole('button', { name: 'Undo: delete a mode' }).click();
  await expect(page.getByTestId('kit-part')).toHaveCount(2);
});

test('every figure of a wheel and of a rig is saved', async ({ heron, page }) => {
  const wheelId = await newItem(heron, 'wheels', 'New wheel');
  await pick(page, 'kind', 'motor');
  await type(page, 'turns per turn of the ring', '1.25');
  await pick(page, 'direction', 'opposite to it');
  await type(page, 'diameter of the marking disc', '62');
  await type(page, 'comfortable turn of a hand', '200');
  await page.getByRole('button', { name: 'unknown: set it' }).click();
  await type(page, 'top speed', '480');
  await page.getByRole('checkbox', { name: 'two hard stops can be set' }).check();
  await saved(page);
  expect(await item(heron, 'wheels', wheelId)).toMatchObject({
    kind: 'motor',
    wheelPerRing: 1.25,
    turns: 'opposite',
    discDiameterMm: 62,
    comfortableDeg: 200,
    fastestDegPerS: 480,
    hasEndStops: true,
  });
  const rigId = await newItem(heron, 'rigs', 'New rig');
  await pick(page, 'support', 'crane');
  await pick(page, 'who pulls', 'a focus puller at the camera');
  await expect(page.getByRole('note').filter({ hasText: 'Nobody reaches the ring on a crane while it moves' })).toBeVisible();
  await expect(page.getByRole('note').filter({ hasText: 'licensed people' })).toContainText(
    'no distance here is a safety distance',
  );
  await page.getByRole('button', { name: /^Usual parts for this support/ }).click();
  await page.getByLabel('another part').fill('sandbags');
  await page.getByLabel('another part').press('Enter');
  await page.getByRole('checkbox', { name: 'sandbags' }).check();
  await page.getByRole('button', { name: 'Remove remote head from the list' }).click();
  await type(page, 'display to judge focus', 'Puller’s monitor');
  await page.getByRole('checkbox', { name: 'display is on a cable' }).check();
  await expect(page.getByRole('note').filter({ hasText: 'tape it down' })).toBeVisible();
  await saved(page);
  const rig = await item(heron, 'rigs', rigId);
  expect(rig).toMatchObject({ support: 'crane', puller: 'puller', display: 'Puller’s monitor', displayIsCabled: true });
  expect((rig['parts'] as { name: string; isThere: boolean }[]).filter(({ isThere }) => isThere)).toEqual([
    expect.objectContaining({ name: 'sandbags' }),
  ]);
});

test('Kit by keyboard alone: a lens is found, opened, turned and typed, and a new one is named', async ({ heron, page }) => {
  const { keyboard } = page;
  await heron.open('/kit/lenses');
  await expect(page.getByRole('slider', { name: 'The ring' })).toBeVisible();
  await keyboard.press('f');
  await keyboard.type('65 mm');
  await expect(page.getByTestId('kit-row')).not.toHaveCount(8);
  await keyboard.press('Tab');
  await expect(page.getByTestId('kit-row').first()).toBeFocused();
  await keyboard.press('Enter');
  await expect(page.getByTestId('kit-name')).toHaveValue('65 mm T2.2');
  const ring = page.getByRole('slider', { name: 'The ring' });
  await ring.focus();
  await keyboard.press('Shift+ArrowRight');
  await expect(ring).toHaveAttribute('aria-valuetext', /^2\.50 m at /);
  await page.getByRole('radio', { name: 'Scale of the ring' }).focus();
  await keyboard.press('Enter');
  const reading = page.getByTestId('point-reading-3');
  const before = Number(await reading.inputValue());
  await reading.focus();
  await keyboard.press('ArrowUp');
  await expect(reading).toHaveValue(String(before + 0.5));
  await keyboard.press('Control+z');
  await expect(reading).toHaveValue(String(before));
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await keyboard.press('n');
  await expect(page.getByTestId('kit-name')).toHaveValue('New lens');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await keyboard.press('3');
  await expect(page.getByTestId('gear-table')).toBeVisible();
  await keyboard.press('?');
  await expect(page.getByRole('complementary', { name: 'Keys of this screen' })).toContainText('find by name');
  await keyboard.press('Escape');
  await keyboard.press('0');
  await expect(page).toHaveURL(/\/(productions.*)?$/);
});
