import { addSubject, newPlan } from '@still-heron/core';
import { expect, test } from './heron';

test('the demo production: every shot with its kit, its pull and its verdict', async ({ heron, page }) => {
  const demo = (await heron.api<{ id: string; name: string }[]>('get', 'productions')).find(
    ({ name }) => name === 'The Bell Foundry',
  )!;
  await heron.open(`/productions/${demo.id}/shots`);
  await expect(page.getByRole('listitem').filter({ hasText: 'Lantern to the mould' })).toContainText(
    /65 mm T2\.2\s*· rack.*Soft.*Soft from 5\.4 s: Ines is up to 40 cm in front of the zone while the pull to D is under way/s,
  );
  await expect(page.getByRole('listitem').filter({ hasText: 'The fork is struck' })).toContainText(/135 mm T3\.2.*Tight/s);
  await expect(page.getByRole('listitem').filter({ hasText: 'Bronze at the lip' })).toContainText(/32 mm T4\.5.*fixed.*Sharp/s);
  await expect(page.getByTestId('sketch').locator('path')).toHaveCount(9);
  await page.getByRole('radio', { name: 'feet and inches' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Lantern to the mould' })).toContainText(
    /Ines is up to 1' 3¾" in front/,
  );
  await page.getByRole('radio', { name: 'metres' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Lantern to the mould' })).toContainText('40 cm');
});

test.describe('shooting order', () => {
  const titles = ['Bell in the yard', 'Rope over the beam', 'Door of the furnace'];

  test('new, duplicate, move by pointer and by keyboard, delete and bring back', async ({ heron, page }) => {
    const productionId = await heron.newProduction('Order film');
    await heron.open(`/productions/${productionId}/shots`);
    await page.getByRole('button', { name: 'Make the first shot' }).click();
    for (const [index, title] of titles.entries()) {
      await page.getByLabel('Title').fill(title);
      await page.getByLabel('Title').press('Enter');
      await heron.expectSaved();
      await page.getByRole('link', { name: 'Order film' }).click();
      await expect(page.getByText(title)).toBeVisible();
      if (index < 2) await page.getByRole('button', { name: 'New shot' }).click();
    }
    const order = async () => (await page.getByTestId('shot-slate').allInnerTexts()).join(' ');
    const stored = async () => (await heron.shots(productionId)).map(({ slate }) => slate).join(' ');
    await expect.poll(order).toBe('1A 1B 1C');

    await page.getByRole('button', { name: 'Duplicate 1B Rope over the beam' }).click();
    await expect.poll(order).toBe('1A 1B 1B-2 1C');

    await heron.drag(page.getByRole('button', { name: 'Move 1C Door of the furnace in shooting order' }), 0, -200);
    await expect.poll(order).toMatch(/^1A 1C|^1C 1A/);
    await expect.poll(stored).toBe(await order());

    const before = (await order()).split(' ');
    await page.getByRole('button', { name: /^Move 1A/ }).focus();
    // dnd-kit says each step in a live region once it has been taken
    const announced = page.locator('[id^=DndLiveRegion]');
    await page.keyboard.press('Space');
    await expect(announced).toContainText(/Picked up 1A|1A .* is over place/);
    // dnd-kit listens to arrows a moment after it says that the row is picked up
    await expect(async () => {
      await page.keyboard.press('ArrowDown');
      await expect(announced).toContainText(`is over place ${before.indexOf('1A') + 2} of 4`, { timeout: 2000 });
    }).toPass();
    await page.keyboard.press('Space');
    const at = before.indexOf('1A');
    [before[at], before[at + 1]] = [before[at + 1]!, before[at]!];
    await expect.poll(order).toBe(before.join(' '));
    await expect.poll(stored).toBe(before.join(' '));

    await page.getByRole('button', { name: 'Delete 1B Rope over the beam' }).click();
    await expect.poll(order).not.toContain('1B 1B-2');
    await page.getByRole('button', { name: 'Restore' }).click();
    await expect.poll(order).toBe(before.join(' '));
    await page.getByRole('link', { name: 'Open 1A Bell in the yard' }).focus();
    await page.keyboard.press('Delete');
    await expect.poll(order).not.toContain('1A');
    await page.keyboard.press('Control+z');
    await expect.poll(order).toBe(before.join(' '));
    await page.reload();
    await expect.poll(order).toBe(before.join(' '));
  });
});

test('of many shots only those near the visible ones are drawn, and each has its verdict when it is reached', async ({
  heron,
  page,
}) => {
  const [shot] = await heron.shots((await heron.api<{ id: string }[]>('get', 'productions'))[0]!.id);
  const { scene, plan } = shot!;
  const productionId = await heron.newProduction('Long film');
  for (let number = 1; number <= 80; number++)
    await heron.api('post', `productions/${productionId}/shots`, { scene, slate: `${number}A`, title: `Shot ${number}`, plan });
  const asked: number[] = [];
  page.on('response', (response) => {
    const ids = new URL(response.url()).searchParams.get('shots');
    if (ids) asked.push(ids.split(',').length);
  });
  // the first answer gets lost: the page asks again
  await page.route(`**/api/productions/${productionId}/plans?*`, (route) => route.abort(), { times: 1 });
  await heron.open(`/productions/${productionId}/shots`);
  await expect(page.getByRole('heading', { name: '80 shots' })).toBeVisible();
  await expect(page.getByTestId('shot-state').first()).toBeVisible();
  expect(await page.getByTestId('shot-slate').count()).toBeLessThan(30);
  await page.getByRole('main').evaluate((main) => main.scrollTo(0, main.scrollHeight));
  const last = page.getByRole('listitem').filter({ hasText: 'Shot 80' });
  await expect(last.getByTestId('shot-state')).toBeVisible();
  await expect(last).toHaveAttribute('aria-posinset', '80');
  expect(await page.getByTestId('shot-slate').count()).toBeLessThan(30);
  // every plan came once, some at a time
  await expect.poll(() => asked.reduce((sum, count) => sum + count, 0)).toBe(80);
  expect(Math.max(...asked)).toBeLessThanOrEqual(25);
});

test('productions are renamed, and an empty name keeps the old one', async ({ heron, page }) => {
  await heron.newProduction('Old name');
  await heron.open('/productions');
  const row = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: 'Open the shots of Old name' }) });
  await row.getByLabel('Working title').fill(' ');
  await expect(row.getByText('A name is needed. Without one, the old name stays: “Old name”.')).toBeVisible();
  await row.getByLabel('Working title').fill('New name');
  await row.getByLabel('Working title').press('Enter');
  await expect(page.getByRole('link', { name: 'Open the shots of New name' })).toBeVisible();
});

test('a shot that does not exist says so, and leads back', async ({ heron, page }) => {
  await heron.open('/shots/00000000-0000-0000-0000-000000000000/pull');
  await expect(page.getByRole('heading', { name: 'There is no such shot.' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to the productions' }).click();
  await expect(page).toHaveURL(/productions/);
});

test('how the piece looks: a new shot begins with the production’s frame, blur and enlargement, and the viewfinder draws it', async ({
  heron,
  page,
}) => {
  const productionId = await heron.newProduction('Look');
  const plan = addSubject(newPlan(), { name: 'Ines', distanceMm: 3000 });
  await heron.api('post', `productions/${productionId}/shots`, { scene: '', slate: '1A', title: '', plan });
  await heron.open(`/productions/${productionId}/shots`);
  await page.getByText('Look and frame of new shots').click();
  await page.getByRole('combobox', { name: 'delivered frame' }).click();
  await page.getByTitle('2.39 : 1').click();
  const blur = page.getByLabel('background blur, of the width');
  await blur.fill('1.5');
  await blur.press('Enter');
  const enlarged = page.getByLabel('enlarged later in the edit');
  await enlarged.fill('10');
  await enlarged.press('Enter');
  await expect
    .poll(() => heron.api('get', `productions/${productionId}`))
    .toMatchObject({ frameAspect: 2.39, lookBlurPercent: 1.5, enlargedPercent: 10 });
  await page.getByRole('button', { name: /^New shot/ }).click();
  await expect(page).toHaveURL(/\/setup$/);
  await expect(page.getByLabel('enlarged later in the edit')).toHaveValue('10');
  await expect(page.getByLabel('delivered frame, width to height')).toHaveValue('2.39');
  const made = (await heron.shots(productionId)).find(({ slate }) => slate === '1B')!;
  expect(made.plan.goals.blurPercent).toBe(1.5);
  await page.getByRole('link', { name: /^Pull/ }).click();
  await page.getByLabel('Name').first().fill('Ines');
  await page.keyboard.press('Tab');
  await page.keyboard.type('3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('img', { name: 'Delivered frame: 2.39 : 1' })).toBeVisible();

  // the stop is the one that gives the look; another departs from it, and says so
  await page.getByRole('link', { name: /^Set-up/ }).click();
  const look = page.getByTestId('look-stop');
  await expect(look).toHaveText(/^The background blurs to 1\.[56]\d % of the picture’s width, and the look asks for 1\.5 %\.$/);
  await page.getByRole('slider', { name: 'Stop', exact: true }).focus();
  for (let k = 0; k < 4; k++) await page.keyboard.press('ArrowRight');
  await expect(look).toContainText('gives it.');
  await look.getByRole('button', { name: /^Shoot at T/ }).click();
  await expect(look).toHaveText(/asks for 1\.5 %\.$/);

  // a shot that is liked makes the look of the next
  await page.getByRole('link', { name: /^Stop/ }).click();
  await page.getByRole('button', { name: /^Background/ }).click();
  const wanted = page.getByLabel('blur, at least');
  await wanted.fill('0.8');
  await wanted.press('Enter');
  await page.getByRole('button', { name: 'Begin new shots with 0.8 %' }).click();
  await expect(page.getByText('New shots of this production begin with it.')).toBeVisible();
});
