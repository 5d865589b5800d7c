import { expect, test } from './heron';

test('a soft shot is opened, fixed and sharp in two keys from the list', async ({ heron, page }) => {
  const { productionId } = await heron.openCopy('4B', 'setup');
  await heron.open(`/productions/${productionId}/shots`);
  await page.getByRole('link', { name: /^Open 4B/ }).focus();
  await page.keyboard.press('Enter');
  await expect(heron.verdict).toContainText('while the pull to D is under way');
  await heron.expectFixes();
  await page.keyboard.press('x');
  await expect(heron.verdict).toContainText('Sharp for all 8.4 s that must be');
});

test('requirements: deliberately soft, a key moment, may be soft; each with its share and a way to its worst frame', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C');
  const side = page.getByLabel('Selection and marks');
  await page.getByRole('slider', { name: 'Bohdan must be sharp until' }).focus();
  await side.getByRole('button', { name: 'Set a key moment' }).click();
  const key = page.getByRole('slider', { name: 'Key moment of Bohdan' });
  await expect(key).toHaveAttribute('aria-valuetext', '7.3 s');
  await heron.drag(key, -400, 0);
  // it stays inside its beat
  await expect(side.getByLabel('key moment')).toHaveValue('5.60');
  await key.press('ArrowRight');
  await expect(side.getByLabel('key moment')).toHaveValue('5.64');
  // the pull lands after it: half of the beat is enough, and the key moment is missed
  await side.getByLabel('share of the span').fill('50');
  await side.getByLabel('share of the span').press('Enter');
  await page.getByTestId('move-end-pull-1').focus();
  for (let press = 0; press < 3; press++) await page.getByTestId('move-end-pull-1').press('Shift+ArrowRight');
  await expect(heron.verdict).toContainText('The key moment at 5.6 s is missed.');
  await expect(key).toHaveAttribute('aria-valuetext', '5.6 s, missed');
  await key.focus();
  await side.getByRole('button', { name: /^least room at/ }).click();
  await expect(page.getByTestId('playhead')).toContainText('5.6 s');

  await page.getByRole('slider', { name: 'Maren must be sharp until' }).focus();
  await side.getByRole('radio', { name: 'soft', exact: true }).click();
  await expect(heron.verdict).toContainText('Too sharp from 0.0 s: Maren is sharp, and a blur of 1 %');
  await side.getByRole('radio', { name: 'may be soft' }).click();
  await expect(heron.verdict).not.toContainText('Too sharp');
  await expect(page.getByRole('button', { name: 'Undo: change when Maren must be soft', exact: true })).toBeEnabled();
});

test('two alternates: each has its track and its own requirements', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByRole('button', { name: 'Split into alternates A and B' }).click();
  const ways = page.getByRole('radiogroup', { name: 'Alternate that is shown' });
  await ways.getByRole('radio', { name: 'B' }).click();
  await page.getByTestId('move-start-pull-1').focus();
  await page.keyboard.press('Delete');
  await expect(page.getByTestId('move-start-pull-1')).toHaveCount(0);
  await page.getByRole('slider', { name: 'Bohdan must be sharp until' }).focus();
  await page.getByLabel('alternate', { exact: true }).click();
  await page.getByTitle('A only', { exact: true }).click();
  await expect(page.getByRole('slider', { name: 'Bohdan must be sharp until' })).toHaveCount(0);
  await expect(heron.verdict).toContainText('Sharp for all 4.0 s that must be');
  await ways.getByRole('radio', { name: 'A' }).click();
  await expect(page.getByTestId('move-start-pull-1')).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Bohdan must be sharp until' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep alternate A only' }).click();
  await expect(ways).toHaveCount(0);
  await expect(heron.verdict).toContainText('Sharp for all 7.4 s');
});

test('shot in reverse: everything is mirrored and labelled, and one undo takes it back', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByRole('button', { name: 'Plan it reversed' }).click();
  await expect(page.getByRole('note').filter({ hasText: 'Shot reversed' })).toContainText('the edit plays it backwards');
  await expect(page.getByTestId('move-start-pull-1')).toHaveAttribute('aria-valuetext', '3.4 s');
  await expect(page.getByRole('slider', { name: 'Bohdan must be sharp from' })).toHaveAttribute('aria-valuetext', '0.0 s');
  await expect(heron.verdict).toContainText('Sharp for all 7.4 s');
  await page.getByRole('button', { name: 'Undo: plan it reversed', exact: true }).click();
  await expect(page.getByTestId('move-start-pull-1')).toHaveAttribute('aria-valuetext', '4.0 s');
  await expect(page.getByRole('note').filter({ hasText: 'Shot reversed' })).toHaveCount(0);
});
