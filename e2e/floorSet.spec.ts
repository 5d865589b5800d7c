import { addLandmark, addSubjectAt, changeLandmark, newPlan, setDuration, walkTo } from '@still-heron/core';
import { deflateSync } from 'node:zlib';
import { expect, type Heron, test } from './heron';

/** A picture of 200 by 100 pixels as an upload. */
function somePicture(): { name: string; mimeType: string; buffer: Buffer } {
  const chunk = (type: string, data: Buffer) => {
    const size = Buffer.alloc(4);
    size.writeUInt32BE(data.length);
    return Buffer.concat([size, Buffer.from(type), data, Buffer.alloc(4)]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(200, 0);
  header.writeUInt32BE(100, 4);
  header.set([8, 0, 0, 0, 0], 8);
  const rows = deflateSync(Buffer.alloc(201 * 100, 120));
  const signature = Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]);
  const buffer = Buffer.concat([signature, chunk('IHDR', header), chunk('IDAT', rows), chunk('IEND', Buffer.alloc(0))]);
  return { name: 'yard.png', mimeType: 'image/png', buffer };
}

async function drawn(heron: Heron, slate = '12A'): Promise<void> {
  await heron.openCopy(slate, 'floor');
  await expect(heron.page.getByTestId('floor-ground')).toBeVisible();
}

test('a picture of the set is added and scaled by a known length; other files are refused', async ({ heron, page }) => {
  await drawn(heron);
  const file = page.getByTestId('floor-picture-file');
  const alert = page.getByRole('alert');
  await file.setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: Buffer.alloc(13 * 1024 * 1024) });
  await expect(alert).toContainText('“huge.png” has 13 MB. Needed: a picture of at most 12 MB');
  const script = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 2 1"><script>window.hit = 1</script></svg>';
  await file.setInputFiles({ name: 'plan.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(script) });
  await expect(alert).toContainText('“plan.svg” was not accepted: the SVG contains an element <script> on line 1');
  await file.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('x') });
  await expect(alert).toContainText('“notes.txt” is not a picture');
  expect(await page.evaluate(() => 'hit' in window)).toBe(false);
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'Continue' }).click();

  await file.setInputFiles(somePicture());
  const picture = page.getByTestId('floor-picture');
  await expect(picture).toBeVisible();
  await expect(page.getByText('Its size is a guess')).toBeVisible();
  await expect(page.getByText('Drag along a length that you know')).toBeVisible();
  const before = await heron.settledBox(picture);
  const ground = await heron.settledBox(page.getByTestId('floor-ground'));
  await page.mouse.move(ground.x + 300, ground.y + 250);
  await page.mouse.down();
  await page.mouse.move(ground.x + 400, ground.y + 250, { steps: 4 });
  await page.mouse.up();
  await page.getByLabel('The length you drew is').fill('far');
  await page.keyboard.press('Enter');
  await expect(alert).toContainText("“far” can't be read as a distance");
  // twice its current length, so the picture doubles in size
  const pxPerMetre = before.width / 10;
  await page.getByLabel('The length you drew is').fill(`${((2 * 100) / pxPerMetre).toFixed(3)}m`);
  await page.getByRole('button', { name: 'Set the scale' }).click();
  await expect(page.getByText('by the length that you drew')).toBeVisible();
  const growth = async () => (await heron.settledBox(picture)).width / before.width;
  await expect.poll(growth).toBeCloseTo(2, 1);
  await page.getByLabel('width').fill('8');
  await page.keyboard.press('Enter');
  await expect.poll(growth).toBeCloseTo(0.8, 1);
  await heron.expectSaved();
  await page.reload();
  await expect(picture).toBeVisible();
  await page.getByRole('button', { name: 'Delete the picture' }).click();
  await expect(picture).toHaveCount(0);
});

test('a picture and a thing are turned by their knobs, and the picture is dragged', async ({ heron, page }) => {
  await drawn(heron);
  const turned = page.getByLabel('turned by');
  const knob = page.getByTestId('turn-handle');
  const sand = page.getByRole('button', { name: 'sand box', exact: true });
  await sand.locator('rect').click();
  const before = Number(await turned.inputValue());
  await knob.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('ArrowRight');
  await expect(turned).toHaveValue(String(before + 14));
  await heron.drag(knob.locator('circle').last(), -40, -70);
  const dragged = Number(await turned.inputValue());
  expect(dragged % 5).toBe(0);
  expect(dragged).not.toBe(before + 14);
  await page.keyboard.press('Control+z');
  await expect(turned).toHaveValue(String(before + 14));
  await page.keyboard.press('Escape');

  await page.getByTestId('floor-picture-file').setInputFiles(somePicture());
  await expect(page.getByTestId('floor-picture')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Move it by hand' }).click();
  const held = page.getByTestId('held-picture');
  const right = page.getByLabel('middle, to the right');
  const at = Number(await right.inputValue());
  await heron.drag(held, 90, 0);
  await expect.poll(async () => Number(await right.inputValue())).toBeGreaterThan(at + 0.3);
  await held.focus();
  await page.keyboard.press('ArrowLeft');
  await knob.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByRole('region', { name: 'The picture' }).getByLabel('turned by')).toHaveValue('15');
  await page.keyboard.press('Escape');
  await expect(held).toHaveCount(0);
});

test('several things are selected, moved and copied together, by pointer and by keyboard; one undo takes it back', async ({
  heron,
  page,
}) => {
  await drawn(heron);
  const post = page.getByRole('button', { name: 'gate post', exact: true });
  const sand = page.getByRole('button', { name: 'sand box', exact: true });
  const x = async (what: typeof post) => (await what.boundingBox())!.x;
  await post.locator('circle').click();
  await sand.locator('rect').click({ modifiers: ['Shift'] });
  await expect(page.getByText('2 items selected')).toBeVisible();
  const [postX, sandX] = [await x(post), await x(sand)];
  await heron.drag(post.locator('circle'), -60, 40);
  const movedBy = (await x(post)) - postX;
  expect(movedBy).toBeLessThan(-30);
  expect((await x(sand)) - sandX).toBeCloseTo(movedBy, 0);
  await expect(page.getByRole('button', { name: 'Undo: move 2 items' })).toBeEnabled();
  await page.keyboard.press('Control+z');
  expect(await x(post)).toBeCloseTo(postX, 0);

  // by keyboard: select one with Enter, add another with Shift and Enter, move both, copy both
  await page.keyboard.press('Escape');
  await post.focus();
  await page.keyboard.press('Enter');
  await sand.focus();
  await page.keyboard.press('Shift+Enter');
  await expect(page.getByText('2 items selected')).toBeVisible();
  await page.keyboard.press('Shift+ArrowLeft');
  expect(await x(post)).toBeLessThan(postX - 20);
  expect(await x(sand)).toBeLessThan(sandX - 20);
  await page.keyboard.press('Control+c');
  await page.keyboard.press('Control+v');
  await expect(page.getByRole('button', { name: 'gate post 2' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'sand box 2' })).toBeVisible();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: 'sand box 2' })).toHaveCount(0);

  // after Escape an arrow key selects the focused item again; a pressed item is still reachable by Tab
  await post.focus();
  await page.keyboard.press('Escape');
  const releasedX = await x(post);
  await page.keyboard.press('ArrowRight');
  expect(await x(post)).toBeGreaterThan(releasedX + 3);
  await expect(page.getByRole('region', { name: 'Landmark' })).toBeVisible();
  await post.locator('circle').click();
  await post.locator('circle').click();
  await sand.focus();
  await post.focus();
  await expect(page.getByLabel('name', { exact: true })).toHaveValue('gate post');

  // a rectangle drawn with Shift selects what is inside; Ctrl A selects all
  await page.keyboard.press('Escape');
  const ground = (await page.getByTestId('floor-ground').boundingBox())!;
  await page.keyboard.down('Shift');
  await page.mouse.move(ground.x + 4, ground.y + 4);
  await page.mouse.down();
  await page.mouse.move(ground.x + ground.width - 4, ground.y + ground.height - 4, { steps: 4 });
  await page.mouse.up();
  await page.keyboard.up('Shift');
  await expect(page.getByText(/[67] items selected/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+a');
  await expect(page.getByText('7 items selected')).toBeVisible();
});

test('dragged things snap to others, and the camera to dolly track; Alt turns that off', async ({ heron, page }) => {
  await drawn(heron);
  await page.getByRole('toolbar').getByRole('button', { name: 'Track', exact: true }).click();
  const ground = (await page.getByTestId('floor-ground').boundingBox())!;
  await page.mouse.click(ground.x + 300, ground.y + 440);
  await page.keyboard.press('Escape');
  const camera = page.getByTestId('floor-camera-1');
  const middle = async (what: typeof camera) => {
    const box = (await what.locator('rect').first().boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const track = (await page.getByRole('button', { name: 'track 5' }).locator('rect').first().boundingBox())!;
  // without keyboard focus, arrows pan the view and the wheel zooms around the pointer
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  const stood = await middle(camera);
  await page.keyboard.press('ArrowLeft');
  expect((await middle(camera)).x).toBeCloseTo(stood.x + 60, 0);
  await page.keyboard.press('ArrowRight');
  await page.mouse.move(stood.x, stood.y);
  await page.mouse.wheel(0, -100);
  expect((await middle(camera)).x).toBeCloseTo(stood.x, 0);
  await page.mouse.wheel(0, 100);
  const from = await middle(camera);
  await heron.drag(camera, track.x + 60 - from.x, track.y + track.height / 2 + 4 - from.y);
  expect((await middle(camera)).y).toBeCloseTo(track.y + track.height / 2, 0);

  const post = page.getByRole('button', { name: 'gate post', exact: true });
  const bank = page.getByRole('button', { name: 'gate post by the bank' });
  const level = async (what: typeof post) => {
    const box = (await what.locator('circle').boundingBox())!;
    return box.x + box.width / 2;
  };
  await heron.drag(post.locator('circle'), 90, -20);
  expect(Math.abs((await level(post)) - (await level(bank)))).toBeGreaterThan(20);
  await heron.drag(post.locator('circle'), (await level(bank)) - (await level(post)) + 5, 0);
  expect(await level(post)).toBeCloseTo(await level(bank), 0);
});

test('a camera in the place of a subject is reported, and the step says: check this', async ({ heron, page }) => {
  await drawn(heron);
  await page.getByTestId('floor-mark-B').focus();
  await page.keyboard.press('Escape');
  await page.getByTestId('floor-camera-1').focus();
  await page.getByLabel('to the right').fill('2.6');
  await page.keyboard.press('Enter');
  await page.getByRole('slider', { name: 'Playhead' }).focus();
  await page.keyboard.press('End');
  await expect(page.getByTestId('floor-sentence')).toContainText('Hand cart stands where the camera is');
  await expect(page.getByRole('link', { name: /Floor.*check this/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('floor-sentence')).toContainText('Hand cart is sharp');
});

test('a carter who crosses hides Ines for a moment; a wall that is typed as high hides her for good', async ({ heron, page }) => {
  const drawnPlan = addSubjectAt(setDuration(newPlan(), 8), 'Ines', { xMm: 4000, yMm: 0 });
  const carter = addSubjectAt(drawnPlan, 'the carter', { xMm: 2200, yMm: -900 });
  const crossing = walkTo(carter, 'subject-2', { xMm: 2200, yMm: 900 }, 6);
  const walled = addLandmark(crossing, 'wall', 'low wall', { xMm: 3000, yMm: 0 });
  const plan = changeLandmark(walled, 'landmark-1', { turnedDeg: 90, tallMm: 900 });
  const productionId = await heron.newProduction('Hidden');
  const { id } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, {
    scene: '',
    slate: '1A',
    title: 'The carter crosses',
    plan,
  });
  await heron.open(`/shots/${id}/pull`);
  await expect(heron.verdict).toContainText('Ines is hidden by the carter from 5.0 to 5.1 s.');
  await page.getByRole('link', { name: /^Floor/ }).click();
  await page.getByRole('button', { name: 'low wall' }).press('Enter');
  const height = page.getByRole('region', { name: 'Landmark' }).getByLabel('height', { exact: true });
  await expect(height).toHaveValue('0.9');
  await height.fill('2.5');
  await height.press('Enter');
  await expect(page.getByTestId('floor-sentence')).toContainText('Ines is hidden by low wall at 0.0 s.');
  await page.getByRole('link', { name: /^Pull/ }).click();
  await expect(heron.verdict).toContainText('Ines is never seen, but hidden by low wall from 0.0 to 8.0 s.');
  await page.keyboard.press('Control+z');
  await expect(heron.verdict).toContainText('Ines is hidden by the carter from 5.0 to 5.1 s.');
  await page.getByRole('button', { name: /The carter steps aside 1\.20 m at B/ }).click();
  await expect(heron.verdict).not.toContainText('hidden');
});

test.describe('on a screen that is touched', () => {
  test.use({ hasTouch: true });

  test('two fingers scale the floor, and what is between them stays there', async ({ heron, page }) => {
    await drawn(heron);
    const bar = page.getByTestId('scale-bar');
    const scale = await bar.textContent();
    const ground = await heron.settledBox(page.getByTestId('floor-ground'));
    const [x, y] = [ground.x + ground.width / 2, ground.y + 60];
    const touch = await page.context().newCDPSession(page);
    const fingers = (apart: number) => [
      { x: x - apart, y, id: 1 },
      { x: x + apart, y, id: 2 },
    ];
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(30) });
    for (let apart = 40; apart <= 240; apart += 20)
      await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(apart) });
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect(bar).not.toHaveText(scale!);
  });
});
