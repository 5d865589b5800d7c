import { expect, test } from './heron';

/** A backup opens a second database, which takes long on a busy machine. */
const SLOW = { timeout: 120_000 };

test('a backup brings everything back, and one can return from it', async ({ heron, page }) => {
  const { shotId, productionId } = await heron.openCopy('4B', 'setup');
  await heron.open('/backups');
  await page.getByRole('button', { name: 'Back up now' }).click();
  const rows = page.getByRole('list', { name: 'Backups' }).getByRole('listitem');
  await expect(rows.first()).toContainText('by hand', SLOW);
  await expect(page.getByTestId('backup-sentence')).toContainText('The newest backup was made a moment ago.');

  const [shot] = await heron.shots(productionId);
  const { scene, slate, plan, version } = shot!;
  await heron.api('put', `shots/${shotId}`, { scene, slate, plan, version, title: 'Changed after the backup' });
  const title = async () => (await heron.shots(productionId))[0]!.title;
  expect(await title()).toBe('Changed after the backup');

  // the question is left by keyboard, and asked again
  const restore = rows.first().getByRole('button', { name: /^Restore the backup made today at/ });
  await restore.focus();
  await page.keyboard.press('Enter');
  await expect(rows.first().getByRole('button', { name: 'Restore it' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(rows.first().getByRole('button', { name: 'Restore it' })).toHaveCount(0);
  await restore.click();
  await rows.first().getByRole('button', { name: 'Restore it' }).click();
  const done = page.getByRole('status').filter({ hasText: 'Everything is as it was today at' });
  await expect(done).toBeVisible(SLOW);
  expect(await title()).toBe(shot!.title);
  await expect(rows.first()).toContainText('before a restore');

  await done.getByRole('button', { name: 'Go back to what was there before' }).click();
  await expect.poll(title, SLOW).toBe('Changed after the backup');
});
