import { changePull } from '@still-heron/core';
import { expect, test } from './heron';

test('takes are logged in seconds, one key corrects a repeated fault, and a good take ends the shot', async ({ heron, page }) => {
  // by the clock: a pull on a cue has no start of its own to correct
  const { shotId } = await heron.openCopy('4B', 'pull', (plan) => changePull(plan, 'pull-1', { trigger: 'clock' }));
  await page.keyboard.press('7');
  const advice = page.getByTestId('go-again');
  await expect(advice).toContainText('No take yet');
  await expect(page.getByText('Roll, check and log: a good take is Y, then T.')).toBeVisible();
  const late = page.getByRole('radiogroup', { name: 'How D was hit' }).getByRole('radio', { name: 'late' });
  const takes = page.getByRole('list', { name: 'Takes, the latest first' }).getByRole('listitem');
  for (const number of [1, 2]) {
    await late.click();
    // the rest was fine: with a fault it is usable at best; a worse grade is said by hand
    await page.keyboard.press('y');
    await expect(page.getByRole('radiogroup', { name: 'Focus' }).getByRole('radio', { name: 'usable' })).toBeChecked();
    await page.getByRole('radiogroup', { name: 'Focus' }).getByRole('radio', { name: 'soft' }).click();
    await page.keyboard.press('t');
    await expect(takes).toHaveCount(number);
  }
  await expect(takes.first()).toContainText(/2.*soft, good.*late at D.*T2\.2 · rack/s);
  await expect(advice).toContainText('Change something first');
  const before = await heron.api<{ plan: { focusTrack: { pulls: { startS: number }[] } } }>('get', `shots/${shotId}`);
  await expect(page.getByRole('complementary', { name: 'What to change' })).toContainText('2 times late at D: start sooner');
  await page.keyboard.press('x');
  await expect(page.getByRole('button', { name: 'Undo: 2 times late at D: start sooner' })).toBeEnabled();
  await heron.expectSaved();
  await expect
    .poll(async () => (await heron.api<typeof before>('get', `shots/${shotId}`)).plan.focusTrack.pulls[0]!.startS)
    .toBeCloseTo(before.plan.focusTrack.pulls[0]!.startS - 0.2, 6);

  // a good take is two presses
  await page.getByRole('button', { name: 'The rest was fine Y' }).click();
  await page.getByRole('button', { name: 'Log take 3 T' }).click();
  await expect(advice).toContainText('Move on: 1 of 3 takes can be used.');
  await expect(takes.first()).toContainText('every mark hit');

  // a soft take is kept for its performance
  await page.getByRole('button', { name: 'Circle take 1' }).click();
  await expect(page.getByRole('button', { name: 'Circle take 1' })).toHaveAttribute('aria-pressed', 'true');
  await expect(advice).toContainText('Move on: 2 of 3');
  await page.getByRole('button', { name: 'Delete take 2' }).click();
  await expect(takes).toHaveCount(2);
  await page.reload();
  await expect(takes).toHaveCount(2);
  await expect(page.getByRole('heading', { name: 'Take 4' })).toBeVisible();
});

test('a take that the server refuses is reported, and the input stays', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.keyboard.press('7');
  await page.getByRole('radiogroup', { name: 'Focus' }).getByRole('radio', { name: 'soft' }).click();
  await page.getByRole('radiogroup', { name: 'Performance' }).getByRole('radio', { name: 'good' }).click();
  await page.route('**/api/shots/*/takes', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()));
  await page.keyboard.press('t');
  await expect(page.getByText(/Take 1 was not logged: The server does not answer/)).toBeVisible();
  await expect(page.getByRole('radiogroup', { name: 'Focus' }).getByRole('radio', { name: 'soft' })).toBeChecked();
  await page.unroute('**/api/shots/*/takes');
  await page.keyboard.press('t');
  await expect(page.getByRole('list', { name: 'Takes, the latest first' })).toContainText('soft, good');
});

test('late at a pull on a cue, nothing in the plan is moved: a longer count is advised', async ({ heron, page }) => {
  await heron.openCopy('4B');
  await page.keyboard.press('7');
  const late = page.getByRole('radiogroup', { name: 'How D was hit' }).getByRole('radio', { name: 'late' });
  for (const number of [1, 2]) {
    await late.click();
    await page.keyboard.press('t');
    await expect(page.getByRole('list', { name: 'Takes, the latest first' }).getByRole('listitem')).toHaveCount(number);
  }
  await expect(page.getByRole('complementary', { name: 'What to change' })).toContainText(
    'late at D: a longer count before the cue',
  );
});
