import { expect, test } from './heron';

test('saved versions show their differences, and one is restored as an ordinary step', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByTestId('mark-B').fill('5.1');
  await page.getByTestId('mark-B').press('Enter');
  await heron.expectSaved();
  await page.getByTestId('move-start-pull-1').focus();
  await page.getByTestId('move-starts').fill('4.5');
  await page.getByTestId('move-starts').press('Enter');
  await expect(heron.verdict).toContainText('Soft from');
  await heron.expectSaved();
  await page.getByRole('button', { name: /^Saved .*saved versions$/ }).click();
  const panel = page.getByLabel('Saved versions', { exact: true });
  const versions = panel.getByRole('button', { name: /^\d\d:\d\d:\d\d/ });
  // two saves of this device in quick succession, and the one that made the shot
  await expect(versions).toHaveCount(2);
  await expect(versions.first()).toContainText('the latest');
  await expect(versions.first()).toContainText('this device: the marks and the focus track');
  await panel.getByRole('button', { name: /^2 saves from \d\d:\d\d:\d\d$/ }).click();
  await expect(versions).toHaveCount(3);
  await expect(versions.first()).toContainText('this device: the focus track');
  await expect(versions.nth(1)).toContainText('this device: the marks');
  await versions.first().click();
  await expect(panel).toContainText('Same as now.');
  await versions.last().click();
  const names = panel.getByLabel('Name, to keep it and find it again');
  await expect(names).toHaveCount(2);
  const name = names.last();
  await name.fill('as we found it');
  await name.press('Enter');
  await expect(versions.last()).toContainText('as we found it');
  await expect(panel).toContainText('mark B: 5.10 m → 5.40 m');
  await expect(panel).toContainText('the pull to B starts at: 4.50 s → 4.00 s');
  await expect(panel).toContainText('Sharp for all 7.4 s');
  await panel.getByRole('button', { name: 'Restore this version' }).last().click();
  await expect(panel).toHaveCount(0);
  await expect(page.getByTestId('mark-B')).toHaveValue('5.40');
  await expect(heron.verdict).toContainText('Sharp for all 7.4 s');
  const undo = page.getByRole('button', { name: /^Undo: restore the version of \d\d:\d\d:\d\d$/ });
  await undo.click();
  await expect(page.getByTestId('mark-B')).toHaveValue('5.10');
  await heron.expectSaved();
  await page.keyboard.press('v');
  await expect(versions.last()).toContainText('as we found it');
  await page.keyboard.press('Escape');
  await expect(panel).toHaveCount(0);
});

test('a shot that its page can’t show hides no other, says which it is, and goes back to the version before', async ({
  heron,
  page,
}) => {
  const { shotId, productionId } = await heron.openCopy('4B', 'setup');
  const [shot] = await heron.shots(productionId);
  const { scene, slate, title, plan } = shot!;
  await heron.api('post', `productions/${productionId}/shots`, { scene, slate: '4C', title: 'Beside it', plan });
  await heron.api('put', `shots/${shotId}`, { scene, slate, title: 'Broken since', plan, version: shot!.version });
  const broken = ({ plan: { optics: _, ...rest }, ...view }: typeof shot & object) => ({ ...view, plan: rest });
  await page.route(new RegExp(`/api/(productions/${productionId}/plans[?].*|shots/${shotId})$`), async (route) => {
    if (route.request().method() !== 'GET') return route.fallback();
    const answer = (await (await route.fetch()).json()) as (typeof shot & object) | (typeof shot & object)[];
    await route.fulfill({
      json: Array.isArray(answer) ? answer.map((view) => (view.id === shotId ? broken(view) : view)) : broken(answer),
    });
  });
  await heron.open(`/productions/${productionId}/shots`);
  await expect(page.getByRole('link', { name: 'Open 4C Beside it' })).toContainText('Soft');
  await page.getByRole('link', { name: 'Open 4B Broken since' }).click();
  await expect(page.getByRole('heading', { name: '4B Broken since can’t be shown.' })).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('Its stored plan is sound, but the page failed');
  await page.unrouteAll();
  await page.getByRole('button', { name: /^Go back to the version of/ }).click();
  await expect(heron.verdict).toBeVisible();
  expect((await heron.shots(productionId))[0]!.title).toBe(title);
});
