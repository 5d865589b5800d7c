import { expect, test } from './heron';

test('a full disk at the server passes: the edit is kept here, the page says why, and it is saved without another edit', async ({
  heron,
  page,
}) => {
  const { shotId } = await heron.openCopy('9C', 'setup');
  const address = `**/api/shots/${shotId}`;
  const full = { code: 'disk-full', message: 'the disk of the server is full', path: '', need: 'free space on it' };
  await page.route(address, (route) =>
    route.request().method() === 'PUT' ? route.fulfill({ status: 507, json: full }) : route.continue(),
  );
  await page.getByLabel('Title').fill('Kept while the disk is full');
  await page.getByLabel('Title').press('Enter');
  const state = page.getByRole('banner').getByRole('status');
  await expect(state).toContainText('Kept here: the disk of the server is full');
  await page.unroute(address);
  await heron.expectSaved();
  expect((await heron.api<{ title: string }>('get', `shots/${shotId}`)).title).toBe('Kept while the disk is full');
});

test('a shot that was deleted elsewhere keeps the edit of this device, and comes back with it', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('9C', 'setup');
  const address = `**/api/shots/${shotId}`;
  await page.route(address, (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  await page.getByLabel('Title').fill('Only on this device');
  await page.getByLabel('Title').press('Enter');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('Kept here: no server');
  const { version } = await heron.api<{ version: number }>('get', `shots/${shotId}`);
  await heron.api('delete', `shots/${shotId}?version=${version}`);
  await page.unroute(address);
  await page.reload();
  await expect(page.getByText('This shot was deleted elsewhere.')).toBeVisible();
  await expect(page.getByRole('alert')).toHaveText('An edit that was not saved is kept on this device.');
  await page.getByRole('button', { name: 'Restore the shot with this edit' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Only on this device');
  await heron.expectSaved();
  expect((await heron.api<{ title: string }>('get', `shots/${shotId}`)).title).toBe('Only on this device');
});

test('a shot that is deleted while it is open says so, and is restored where it stands', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('9C', 'setup');
  const { version } = await heron.api<{ version: number }>('get', `shots/${shotId}`);
  await heron.api('delete', `shots/${shotId}?version=${version}`);
  await page.getByLabel('Title').fill('Edited after it was deleted');
  await page.getByLabel('Title').press('Enter');
  const state = page.getByRole('banner').getByRole('status');
  await expect(state).toContainText('Not saved: there is no such shot');
  await page.getByRole('button', { name: 'Restore the shot' }).click();
  await heron.expectSaved();
  expect((await heron.api<{ title: string }>('get', `shots/${shotId}`)).title).toBe('Edited after it was deleted');
});
