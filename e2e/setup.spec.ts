import {
  addOpticsChange,
  addPull,
  addSubject,
  addSubjectAt,
  changePull,
  chooseCamera,
  chooseRig,
  chooseWheel,
  defaultLens,
  defaultWheel,
  depthOfField,
  formatDistance,
  geometricStop,
  type KitCamera,
  newPlan,
  presetRig,
  setDuration,
  setLens,
  walkTo,
} from '@still-heron/core';
import { expect, test } from './heron';

/** Set-up of demo shot 9C: 75 mm at T4.5 on Super 35, circle of confusion 1/1500 of the diagonal. */
const zoneAt = (focusDistanceMm: number, tStop = 4.5) =>
  depthOfField({
    focalLengthMm: 75,
    fNumber: geometricStop(tStop, 0.85),
    circleOfConfusionMm: Math.hypot(24.9, 14) / 1500,
    focusDistanceMm,
  });

test('the zone at a distance that is typed, dragged, stepped or that of a mark, as the core computes it', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C', 'setup');
  const sentence = page.getByTestId('sentence');
  const plane = page.getByRole('slider', { name: 'Focus distance' });
  const expectZone = async (mm: number, tStop?: number) => {
    const { nearMm, farMm } = zoneAt(mm, tStop);
    await expect(sentence).toContainText(`Sharp from ${formatDistance(nearMm, 'metric')} to ${formatDistance(farMm, 'metric')}`);
  };
  await expectZone(3100);
  await page.getByTestId('focus-tried').fill('4.2');
  await page.getByTestId('focus-tried').press('Enter');
  await expectZone(4200);
  await plane.press('ArrowRight');
  await expectZone(4210);
  await plane.press('Shift+ArrowLeft');
  await expectZone(4110);

  await heron.drag(plane, -80, 0);
  const dragged = Number(await plane.getAttribute('aria-valuenow'));
  expect(dragged).toBeLessThan(4000);
  await expectZone(dragged);
  await heron.drag(plane, -60, 0, { release: false });
  await expect(plane).not.toHaveAttribute('aria-valuenow', String(dragged));
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expectZone(dragged);

  await page.getByRole('button', { name: 'Focus on mark B' }).click();
  await expectZone(5400);
  const knob = page.getByRole('slider', { name: 'Stop', exact: true });
  await knob.press('ArrowRight');
  await expectZone(5400, 5);
  await page.keyboard.press('Control+z');
  await expectZone(5400);
  await heron.drag(knob, 60, 0, { release: false });
  await expect(knob).not.toHaveAttribute('aria-valuetext', 'T4.5');
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(knob).toHaveAttribute('aria-valuetext', 'T4.5');
});

test('camera, lens and standard change the zone; the stop stays on the lens; each step is undone by name', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C', 'setup');
  const circle = page.getByTestId('zone-facts').getByRole('button', { name: 'Circle of confusion: how it is computed' });
  await expect(circle).toHaveText('19.0 µm');
  await page.getByRole('combobox', { name: 'Lens', exact: true }).click();
  await page.getByTitle('with its own figures').last().click();
  await page.getByRole('combobox', { name: 'Camera', exact: true }).click();
  await page.keyboard.type('3:2');
  await page.getByTitle('Full frame, 3:2 · 36 × 24').last().click();
  await expect(circle).toHaveText('28.8 µm');
  await page.getByLabel('Limit of sharpness').click();
  await page.getByTitle('by pixels').click();
  await expect(circle).toHaveText('11.7 µm');
  await page.getByTestId('widest-stop').fill('5.6');
  await page.getByTestId('widest-stop').press('Enter');
  await expect(page.getByRole('slider', { name: 'Stop', exact: true })).toHaveAttribute('aria-valuetext', 'T5.6');
  for (const name of ['change the widest stop', 'change the limit of sharpness', 'format Full frame, 3:2'])
    await page.getByRole('button', { name: `Undo: ${name}` }).click();
  await expect(circle).toHaveText('19.0 µm');
  await expect(page.getByRole('button', { name: 'Redo: format Full frame, 3:2' })).toBeEnabled();
});

test('a small aperture shows the effect of diffraction', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await expect(page.getByRole('note')).toHaveCount(0);
  const knob = page.getByRole('slider', { name: 'Stop', exact: true });
  for (let press = 0; press < 6; press++) await knob.press('Shift+ArrowRight');
  await expect(knob).toHaveAttribute('aria-valuetext', 'T22');
  await expect(page.getByRole('note')).toContainText(
    /At T22 diffraction makes every point \d\d\.\d µm wide, more than the 19\.0 µm/,
  );
});

test('a figure says where it comes from', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('button', { name: 'Hyperfocal distance: how it is computed' }).focus();
  await expect(page.getByRole('tooltip').filter({ hasText: 'f² / (N C) + f' })).toContainText('f 75 mm · N 4.149');
});

test('feet and inches everywhere, and remembered on this device', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('radio', { name: 'feet and inches' }).click();
  await expect(page.getByTestId('focus-tried')).toHaveValue('10\' 2"');
  await page.getByTestId('focus-tried').fill('8');
  await page.getByTestId('focus-tried').press('Enter');
  await expect(page.getByTestId('focus-tried')).toHaveValue('8\' 0"');
  await page.reload();
  await expect(page.getByTestId('focus-tried')).toHaveValue('10\' 2"');
});

test('a method that walks with the camera shows its caution', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await expect(page.getByTestId('caution')).toHaveCount(0);
  await page.getByLabel('method').click();
  await page.getByTitle('constant distance').click();
  await expect(page.getByTestId('caution')).toContainText('a spotter and a cleared path first');
  await expect(page.getByTestId('caution')).toContainText('no distance here is a safety distance');
});

test('notes, frame rates and duration are saved with the shot', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  for (const [label, typed] of [
    ['notes', 'the stairs creak at the fourth step'],
    ['frames a second', '48'],
    ['length', '12'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(typed);
    await page.getByLabel(label, { exact: true }).press('Enter');
  }
  await expect(page.getByText('2 × slow motion')).toBeVisible();
  await heron.expectSaved();
  await page.reload();
  await expect(page.getByLabel('notes')).toHaveValue('the stairs creak at the fourth step');
  await expect(page.getByLabel('length', { exact: true })).toHaveValue('12.0');
  await page.getByLabel('length', { exact: true }).fill('3');
  await page.getByLabel('length', { exact: true }).press('Enter');
  await expect(page.getByRole('alert')).toContainText(
    '3.0 s is out of range: the last pull lands at that time. Type 5.6 to 10:00.0 s.',
  );
});

test('a rate that the recording mode lacks is refused with the mode that has it; enlarging later thins the zone', async ({
  heron,
  page,
}) => {
  const cameras = await heron.api<{ id: string; item: KitCamera }[]>('get', 'kit/cameras');
  const body = cameras.find(({ item }) => item.modes.some(({ id }) => id === 'crop'))!;
  const plan = chooseCamera(newPlan(), { id: body.id, modeId: 'full', steadyingId: null }, body.item);
  const productionId = await heron.newProduction('Rates');
  const { id } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Slow motion',
    plan: addSubject(plan, { name: 'Ines', distanceMm: 4000 }),
  });
  await heron.open(`/shots/${id}/setup`);
  const rate = page.getByLabel('frames a second', { exact: true });
  await rate.fill('60');
  await rate.press('Enter');
  await expect(page.getByText('Full width records at most 30 frames a second, and the shot has 60.')).toBeVisible();
  await expect(page.getByText('2.5 × slow motion: 10.0 s last 25.0 s on the screen')).toBeVisible();
  await expect(page.getByRole('button', { name: '30 frames a second' })).toBeVisible();
  await page.getByRole('button', { name: 'Cropped, up to 60' }).click();
  await expect(page.getByText(/records at most/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Undo: record in Cropped' })).toBeEnabled();

  const sentence = page.getByTestId('sentence');
  const before = await sentence.textContent();
  const enlarged = page.getByLabel('enlarged later in the edit');
  await enlarged.fill('25');
  await enlarged.press('Enter');
  await expect(page.getByText(/^Blur shows more: sharp to [\d.]+ µm instead of [\d.]+ µm/)).toBeVisible();
  await expect(sentence).not.toHaveText(before!);
  await page.keyboard.press('Control+z');
  await expect(sentence).toHaveText(before!);
});

test('hands over time: a wheel that turns the iris leaves focus to a hand, and a third one is missing while the lens zooms', async ({
  heron,
  page,
}) => {
  let plan = addSubjectAt(setDuration(newPlan(), 12), 'Ines', { xMm: 4000, yMm: 0 });
  plan = changePull(addPull(walkTo(plan, 'subject-1', { xMm: 2500, yMm: 0 }, 7), 'mark-2', 5), 'pull-1', { durationS: 2 });
  plan = setLens(plan, defaultLens({ name: 'Zoom', focalLengthMm: 25, longestMm: 100, closeFocusMm: 900 }), false);
  plan = chooseRig(addOpticsChange(plan, 'zooms', 5.5, 60), null, presetRig('In the hands', 'handheld', 'alone'));
  const productionId = await heron.newProduction('Hands');
  const { id } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Up close',
    plan: chooseWheel(plan, null, defaultWheel({ name: 'Small wheel' })),
  });
  await heron.open(`/shots/${id}/setup`);
  await page.getByRole('radio', { name: 'Hands' }).click();
  const said = page.getByTestId('hands');
  await expect(said).toHaveText(
    'From 5.5 to 7.0 s the operator carries the camera, turns focus and zooms: two hands are not enough. ',
  );
  const list = page.getByRole('list', { name: 'Where a third hand is wanted' });
  await expect(list).not.toContainText('The wheel back on focus');
  await page.getByRole('radio', { name: 'The wheel turns the iris' }).click();
  await expect(page.getByText('The wheel turns the iris: focus is turned at the ring.')).toBeVisible();
  await expect(list).toContainText('The wheel back on focus frees a hand from the ring.');
  await expect(page.getByText(/^From 5\.5 to 7\.0 s the operator .* A pull at another time frees a hand\.$/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('radio', { name: 'The wheel turns focus' })).toBeChecked();
});
