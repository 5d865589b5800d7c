import { expect, test } from './heron';

/** Number of edits in the outbox of the browser; runs in the page. */
const unsentEdits = () =>
  new Promise<number>((done, fail) => {
    const opening = indexedDB.open('still-heron-outbox');
    opening.onerror = () => fail(opening.error);
    opening.onsuccess = () => {
      const count = opening.result.transaction('unsent').objectStore('unsent').count();
      count.onsuccess = () => {
        opening.result.close();
        done(count.result);
      };
    };
  });

test('the same shot was saved elsewhere: the page says so, changes nothing, and offers a choice', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('9C');
  const saveElsewhere = async (title: string) => {
    const { version, scene, slate, plan } = await heron.api<{ version: number; scene: string; slate: string; plan: unknown }>(
      'get',
      `shots/${shotId}`,
    );
    await heron.api('put', `shots/${shotId}`, { version, scene, slate, plan, title });
  };
  const storedTitle = async () => (await heron.api<{ title: string }>('get', `shots/${shotId}`)).title;

  await saveElsewhere('Theirs');
  await page.getByLabel('Title').fill('Mine');
  await page.getByLabel('Title').press('Enter');
  const bar = page.getByRole('alert');
  await expect(bar).toContainText(/This shot was saved elsewhere at \d\d:\d\d\. Nothing is overwritten until you choose\./);
  await expect(bar).toContainText(/There.*the title: .* → Theirs/);
  await expect(bar).toContainText(/Here.*the title: .* → Mine/);
  await expect(bar).toContainText('there → herethe title: Theirs → Mine');
  await expect(page.getByText('Not saved: changed elsewhere')).toBeVisible();
  expect(await storedTitle()).toBe('Theirs');
  await bar.getByRole('button', { name: 'Keep mine' }).click();
  await heron.expectSaved();
  expect(await storedTitle()).toBe('Mine');

  // theirs is what is stored now, also if they have saved again since; it is not sent back to them
  await saveElsewhere('Theirs again');
  await page.getByTestId('mark-B').fill('5');
  await page.getByTestId('mark-B').press('Enter');
  await expect(bar).toContainText('mark B: 5.40 m → 5.00 m');
  await saveElsewhere('Theirs at last');
  await bar.getByRole('button', { name: 'Use theirs' }).click();
  await heron.expectSaved();
  await expect(page.getByTestId('mark-B')).toHaveValue('5.40');
  await expect(page.getByLabel('Title')).toHaveValue('Theirs at last');
  const { version } = await heron.api<{ version: number }>('get', `shots/${shotId}`);
  await page.getByRole('button', { name: 'Undo: use the version saved elsewhere' }).click();
  await expect(page.getByTestId('mark-B')).toHaveValue('5.00');
  await heron.expectSaved();
  expect((await heron.api<{ version: number }>('get', `shots/${shotId}`)).version).toBe(version + 1);
});

test('two devices change different things at once: both stay, and each says what the other did', async ({
  heron,
  page,
  browser,
}) => {
  const { shotId } = await heron.openCopy('9C');
  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto(`${heron.server.address}/shots/${shotId}/pull`);
  await other.getByTestId('mark-A').fill('2.8');
  await other.getByTestId('mark-A').press('Enter');
  await expect(other.getByText(/^Saved \d\d:\d\d$/)).toBeVisible();
  await page.getByTestId('mark-B').fill('5');
  await page.getByTestId('mark-B').press('Enter');
  const bar = page.getByRole('alert');
  await expect(bar).toContainText(/This shot was saved on a computer at \d\d:\d\d/);
  await expect(bar).toContainText(/There.*mark A: 3\.10 m → 2\.80 m.*Here.*mark B: 5\.40 m → 5\.00 m/);
  await bar.getByRole('button', { name: 'Keep both' }).press('Enter');
  await expect(page.getByTestId('mark-A')).toHaveValue('2.80');
  await expect(page.getByTestId('mark-B')).toHaveValue('5.00');
  await heron.expectSaved();
  const { plan } = await heron.api<{ plan: { marks: { distanceMm: number }[] } }>('get', `shots/${shotId}`);
  expect(plan.marks.map(({ distanceMm }) => distanceMm)).toEqual([2800, 5000]);
  // the other device meets the merged version in its turn
  await other.getByLabel('Title').fill('Both of us');
  await other.getByLabel('Title').press('Enter');
  await other.getByRole('alert').getByRole('button', { name: 'Keep both' }).click();
  await expect(other.getByTestId('mark-B')).toHaveValue('5.00');
  await expect(other.getByText(/^Saved \d\d:\d\d$/)).toBeVisible();
  await context.close();
});

test('the server stops and starts: edits are kept, the page says so, and they are sent when it is back', async ({
  heron,
  page,
  server,
}) => {
  const { shotId } = await heron.openCopy('9C');
  await server.stop();
  await page.getByTestId('mark-B').fill('4.4');
  await page.getByTestId('mark-B').press('Enter');
  await expect(page.getByText('Kept here: no server')).toBeVisible();
  await page.getByTestId('mark-A').fill('2.8');
  await page.getByTestId('mark-A').press('Enter');
  await expect(heron.verdict).toContainText('Maren');
  await server.start();
  await heron.expectSaved();
  const { plan } = await heron.api<{ plan: { marks: { distanceMm: number }[] } }>('get', `shots/${shotId}`);
  expect(plan.marks.map(({ distanceMm }) => distanceMm)).toEqual([2800, 4400]);
});

test('a part that cannot be loaded leaves the page as it is, and comes later', async ({ heron, page }) => {
  let refused = 0;
  await page.route('**/assets/RingDial-*', (route) => (refused++ < 2 ? route.abort() : route.continue()));
  await heron.openCopy('9C');
  await page.getByTestId('mark-B').fill('4.4');
  await page.getByTestId('mark-B').press('Enter');
  await expect(page.getByTestId('mark-B')).toHaveValue('4.40');
  await expect(page.getByTestId('dial')).toBeVisible({ timeout: 20_000 });
  expect(refused).toBeGreaterThan(1);
});

test('a page that cannot be loaded says so, and is asked for again at the next visit', async ({ heron, page }) => {
  let refused = 0;
  await page.route('**/assets/StopPage-*', (route) => (refused++ < 1 ? route.abort() : route.continue()));
  const { shotId } = await heron.openCopy('9C');
  await page.keyboard.press('4');
  await expect(page.getByRole('alert')).toContainText('Your edits are kept here.');
  await page.keyboard.press('3');
  await expect(heron.verdict).toBeVisible();
  await page.keyboard.press('4');
  await expect(page.getByTestId('stop-surface')).toBeVisible();
  expect(page.url()).toContain(`${shotId}/stop`);
  expect(refused).toBe(2);
});

test('a page closed before the server took an edit sends it at the next visit of any page', async ({ heron, page }) => {
  const { shotId, productionId } = await heron.openCopy('9C');
  await page.route('**/api/shots/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  await page.getByTestId('mark-B').fill('4.4');
  await page.getByTestId('mark-B').press('Enter');
  await expect(page.getByText('Kept here: no server')).toBeVisible();
  await page.unroute('**/api/shots/*');
  await heron.open(`/productions/${productionId}/shots`);
  await expect
    .poll(
      async () =>
        (await heron.api<{ plan: { marks: { distanceMm: number }[] } }>('get', `shots/${shotId}`)).plan.marks[1]!.distanceMm,
    )
    .toBe(4400);
});

test('a reload keeps everything, also edits that are not sent yet', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByTestId('mark-B').fill('4.4');
  await page.getByTestId('mark-B').press('Enter');
  await expect.poll(() => page.evaluate(unsentEdits)).toBe(1);
  await page.reload();
  await expect(page.getByTestId('mark-B')).toHaveValue('4.40');
  await heron.expectSaved();
});
