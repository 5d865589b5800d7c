import { expect, test } from './heron';

test('a pull follows a subject that walks; with another lead it is soft, and the page says so', async ({ heron, page }) => {
  await heron.openCopy('4B');
  await page.getByTestId('move-end-pull-1').focus();
  const side = page.getByLabel('Selection and marks');
  await side.getByLabel('goes to', { exact: true }).click();
  await page.getByTitle('follow Ines').click();
  await expect(side.getByRole('heading', { name: 'The pull to Ines' })).toBeVisible();
  await side.getByLabel('lead').fill('-1');
  await side.getByLabel('lead').press('Enter');
  await expect(page.getByRole('button', { name: 'Undo: change the target of the pull', exact: true })).toBeEnabled();
  await side.getByLabel('motion', { exact: true }).click();
  await page.getByTitle('gentle landing').click();
  await side.getByLabel('cue', { exact: true }).click();
  await page.getByTitle('a hand signal').click();
  await side.getByLabel('count-in').fill('2.5');
  await side.getByLabel('count-in').press('Enter');
  await heron.expectSaved();
  await page.reload();
  await page.getByTestId('move-end-pull-1').focus();
  await expect(side.getByLabel('lead')).toHaveValue('-1');
  await expect(side.getByLabel('count-in')).toHaveValue('2.5');
  await expect(
    side.locator('.ant-select-selection-item, .ant-select-content').filter({ hasText: 'gentle landing' }),
  ).toBeVisible();
});

test('the track starts soft: a blur in percent of the width, which the viewfinder draws', async ({ heron, page }) => {
  await heron.openCopy('9C');
  const side = page.getByLabel('Selection and marks');
  await side.getByLabel('focus starts at').click();
  await page.getByTitle('to a blur').click();
  await side.getByLabel('blur, of the width').fill('3');
  await side.getByLabel('blur, of the width').press('Enter');
  await expect(heron.verdict).toContainText('Soft from 0.0 s');
  const view = page.getByTestId('viewfinder');
  const width = (await view.boundingBox())!.width - 2;
  await expect
    .poll(async () => Number(/subject-1 ([\d.]+)/.exec((await view.getAttribute('data-blurs'))!)![1]) / width)
    .toBeCloseTo(0.03, 3);
  // number of pixels over which Maren's edges are blurred
  const spread = () =>
    view.evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      let steepest = 0;
      for (let at = 4; at < data.length; at += 4) steepest = Math.max(steepest, Math.abs(data[at]! - data[at - 4]!));
      return steepest;
    });
  const soft = await spread();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(heron.verdict).toContainText('Sharp for all');
  await expect.poll(spread).toBeGreaterThan(2 * soft);
});

test('peaking is drawn as it is set, and remembered', async ({ heron, page }) => {
  await heron.openCopy('9C');
  const view = page.getByTestId('viewfinder');
  const whites = () =>
    view.evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      let count = 0;
      for (let at = 0; at < data.length; at += 4) if (data[at]! > 225 && data[at + 1]! > 225 && data[at + 2]! > 225) count++;
      return count;
    });
  await expect.poll(whites).toBe(0);
  await page.getByRole('button', { name: 'Peaking' }).click();
  await expect.poll(whites).toBeGreaterThan(20);
  const some = await whites();
  const strength = page.getByRole('slider', { name: 'Strength of the peaking' });
  for (let press = 0; press < 6; press++) await strength.press('ArrowRight');
  await expect.poll(whites).toBeGreaterThan(some);
  await page.getByRole('button', { name: 'Magnify' }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Peaking' })).toHaveAttribute('aria-pressed', 'true');
});

test('the time axis is zoomed around the playhead, moved and fitted; drags snap to events', async ({ heron, page }) => {
  await heron.openCopy('9C');
  const start = page.getByTestId('move-start-pull-1');
  const before = (await start.boundingBox())!.x;
  // snaps to the end of Maren's beat nearby
  await heron.drag(start, 60, 0);
  await expect(start).not.toHaveAttribute('aria-valuetext', '4.0 s');
  await heron.drag(start, -57, 0);
  await expect(start).toHaveAttribute('aria-valuenow', '4');
  await page.keyboard.press('Escape');
  for (let press = 0; press < 3; press++) await page.keyboard.press('+');
  const shown = page.getByRole('slider', { name: 'Part of the shot that is shown' });
  await expect(shown).toHaveAttribute('aria-valuetext', /^0\.0 s to 2\.\d s$/);
  await expect(start).toHaveCount(0);
  await shown.press('ArrowRight');
  await expect(shown).toHaveAttribute('aria-valuetext', /^0\.3 s/);
  await page.keyboard.press('f');
  await expect(shown).toHaveCount(0);
  expect((await start.boundingBox())!.x).toBeCloseTo(before, 0);
  await page.mouse.move(before + 6, (await page.getByTestId('channel').boundingBox())!.y + 120);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -400);
  await page.keyboard.up('Control');
  await expect(shown).toBeVisible();
  await expect(start).toBeVisible();
});

test('a course is worked out and bent point by point; an impossible plan offers the smallest changes', async ({
  heron,
  page,
}) => {
  await heron.openCopy('4B');
  await page.keyboard.press('l');
  await page.getByRole('button', { name: /^Follow/ }).click();
  await expect(heron.verdict).toContainText(
    /Sharp for all 8\.4 s that must be, if all goes as planned: \d+ of 100 takes are kept\./,
  );
  const point = page.getByTestId('course-1');
  await point.press('Shift+ArrowDown');
  await expect(page.getByRole('button', { name: 'Undo: change the course', exact: true })).toBeEnabled();
  await heron.drag(point, 40, 0);
  await expect(point).not.toHaveAttribute('aria-valuetext', '4.0 s');

  const until = page.getByRole('slider', { name: 'Old Tam must be sharp until' });
  await until.focus();
  await page.getByRole('textbox', { name: 'until' }).fill('7');
  await page.getByRole('textbox', { name: 'until' }).press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Work out the pulls L', exact: true }).click();
  await expect(page.getByRole('note').filter({ hasText: 'no focus distance keeps everything sharp' })).toContainText(
    'From 5.4 s',
  );
  const changes = page.getByRole('group', { name: 'Changes that make everything sharp' });
  await changes.getByRole('button', { name: /(must be sharp .* later|may go soft .* sooner)/ }).click();
  await expect(changes).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Follow/ })).toContainText('sharp for all');
});

test('a long computation of the pulls can be cancelled', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('4B');
  const stored = await heron.api<{ version: number; slate: string; scene: string; title: string; plan: object }>(
    'get',
    `shots/${shotId}`,
  );
  const { version, slate, scene, title } = stored;
  const plan = { ...stored.plan, durationS: 600, captureFps: 480 };
  await heron.api('put', `shots/${shotId}`, { version, slate, scene, title, plan });
  await page.reload();
  await expect(heron.verdict).toContainText('s that must be');
  await page.keyboard.press('l');
  await page.getByRole('button', { name: 'Cancel', exact: true }).click();
  await expect(page.getByText(/of 4 ways tried/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Work out the pulls L', exact: true })).toHaveAttribute('aria-expanded', 'false');
});
