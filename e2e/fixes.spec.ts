import { changePull } from '@still-heron/core';
import { expect, test } from './heron';

test('fixes are offered with their results; one key applies the first, and undo takes it back', async ({ heron, page }) => {
  // by the clock: a pull on a cue is not started before it
  await heron.openCopy('4B', 'pull', (plan) => changePull(plan, 'pull-1', { trigger: 'clock' }));
  const fixes = page.getByRole('list', { name: 'Fixes' });
  const first = fixes.getByRole('button').first();
  await expect(first).toHaveText(
    /^Pull to D: start 0\.\d s sooner → \d+ of 100 takes kept, was 0; sharp for all 8\.4 s, tight\s*X$/,
  );
  await fixes.getByRole('button', { name: /^\d more$/ }).click();
  await expect(
    fixes.getByRole('button', {
      name: /^T2\.2 → T4\.5 \(between T4 and T5\.6\) → 0 of 100 takes kept, as before; sharp for 8\.\d of 8\.4 s, 2 stops less light/,
    }),
  ).toBeAttached();
  const before = await heron.sentence();
  expect(before).toContain('Soft from 5.4 s');
  await fixes.getByRole('button', { name: 'Fewer' }).click();
  const chart = (await page.getByTestId('channel').boundingBox())!;
  await page.keyboard.press('x');
  await expect(heron.verdict).toContainText('Sharp for all 8.4 s that must be');
  // nothing below the row has moved
  expect((await page.getByTestId('channel').boundingBox())!.y).toBe(chart.y);
  await expect(page.getByRole('button', { name: /^Undo: pull to D: start 0\.\d s sooner$/ })).toBeEnabled();
  await page.keyboard.press('Control+z');
  await expect(heron.verdict).toContainText('Soft from 5.4 s');
  await fixes.getByRole('button', { name: /^Work out the pulls: 3 holds/ }).click();
  await expect(heron.verdict).toContainText('Sharp for all 8.4 s that must be');
});

test('the pulls are worked out: each way shows its result before it is applied, by key and by pointer', async ({
  heron,
  page,
}) => {
  await heron.openCopy('4B');
  await page.keyboard.press('l');
  const ways = page.getByRole('group', { name: 'Work out the pulls' });
  await expect(ways.getByRole('button', { name: /^Fewest holds/ })).toContainText(
    /\d+ of 100 takes kept, was 0.*sharp for all 8\.4 s, tight, 3 holds, 1 pull by the clock instead of its cue/,
  );
  await expect(ways.getByRole('button', { name: /^Follow/ })).toContainText(/sharp for all 8\.4 s, at most \d+°\/s/);
  await expect(ways.getByRole('button', { name: /^Retime my pulls/ })).toContainText(/sharp for 8\.\d of 8\.4 s.* to spare/);
  await expect(ways.getByRole('button', { name: /^Fixed/ })).toContainText('sharp for 4.0 of 8.4 s');
  await ways.getByRole('button', { name: /^Fixed/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('move-start-pull-1')).toHaveCount(0);
  await expect(heron.verdict).toContainText('Sharp 4.0 of the 8.4 s that must be');
  await page.getByRole('button', { name: 'Work out the pulls L', exact: true }).click();
  await ways.getByRole('button', { name: /^Fewest holds/ }).click();
  await expect(page.getByTestId('move-start-pull-2')).toBeVisible();
  await expect(heron.verdict).toContainText('Sharp for all 8.4 s that must be');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(heron.verdict).toContainText('Soft from 5.4 s');
});

for (const { screen, job, list, doing, first } of [
  { screen: 'pull', job: 'fixes', list: 'Fixes', doing: 'Looking for fixes', first: /Pull to D: start/ },
  {
    screen: 'stop',
    job: 'improvements',
    list: 'What would help most',
    doing: 'Trying each with the same simulated takes',
    first: /Work out the pulls/,
  },
] as const)
  test(`a search that takes long can be given up, and started again: ${job}`, async ({ heron, page }) => {
    // the worker does not answer until the search is tried again
    await page.addInitScript((held) => {
      const post = Worker.prototype.postMessage as (message: { path?: string[] }, options?: object) => void;
      Worker.prototype.postMessage = function (this: Worker, message: { path?: string[] }, options?: object) {
        if (document.body.dataset.answers || !message.path?.includes(held)) post.call(this, message, options);
      };
    }, job);
    await heron.openCopy('4B', screen, (plan) => changePull(plan, 'pull-1', { trigger: 'clock' }));
    const found = page.getByLabel(list, { exact: true });
    await expect(found.getByRole('status')).toHaveText(`${doing} …`);
    await found.getByRole('button', { name: 'Give up' }).focus();
    await page.keyboard.press('Enter');
    await expect(found.getByRole('status')).toHaveText(`${doing}: given up.`);
    await page.evaluate(() => (document.body.dataset.answers = 'yes'));
    await found.getByRole('button', { name: 'Try again' }).click();
    await expect(found.getByRole('listitem').filter({ hasText: first }).first()).toBeVisible();
    await expect(found.getByRole('status')).toHaveCount(0);
  });
