import { expect, test } from './heron';
import type { Page } from '@playwright/test';

const starts = (page: Page) => page.getByTestId('move-start-pull-1').getAttribute('aria-valuenow').then(Number);
const lands = (page: Page) => page.getByTestId('move-end-pull-1').getAttribute('aria-valuenow').then(Number);

test('a pull is dragged: whole, by its start, by its landing, and to another distance; the verdict follows while it moves', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C');
  await expect(heron.verdict).toContainText('Sharp for all 7.4 s that must be');
  await heron.drag(page.getByTestId('move-body-pull-1'), 60, 0, { release: false });
  await expect(heron.verdict).toContainText('Soft from 5.6 s:');
  await page.mouse.up();
  const [start, end] = [await starts(page), await lands(page)];
  expect(start).toBeGreaterThan(4.5);
  expect(end - start).toBeCloseTo(1.6, 2);

  await heron.drag(page.getByTestId('move-start-pull-1'), -50, 0);
  expect(await starts(page)).toBeLessThan(start);
  expect(await lands(page)).toBeCloseTo(end, 2);
  await heron.drag(page.getByTestId('move-end-pull-1'), -40, 2);
  expect(await lands(page)).toBeLessThan(end);

  const landing = page.getByTestId('move-end-pull-1');
  await heron.drag(landing, 2, 60);
  await expect(landing).not.toHaveAttribute('aria-valuetext', /5\.40 m/);
  await expect(page.getByLabel('distance', { exact: true })).toBeVisible();
  await heron.drag(landing, 0, -58);
  await expect(landing).toHaveAttribute('aria-valuetext', /5\.40 m/);
});

test('Escape cancels a drag; undo and redo go step by step, by name', async ({ heron, page }) => {
  await heron.openCopy('9C');
  const sentence = await heron.sentence();
  await heron.drag(page.getByTestId('move-body-pull-1'), 80, 0, { release: false });
  await expect.poll(() => heron.sentence()).not.toBe(sentence);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await heron.expectSentence(sentence);
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();

  await heron.drag(page.getByTestId('move-body-pull-1'), 80, 0);
  const moved = await heron.settledSentence();
  await page.getByTestId('mark-B').fill('4.8');
  await page.getByTestId('mark-B').press('Enter');
  await page.getByRole('button', { name: 'Undo: measure B again' }).click();
  await heron.expectSentence(moved);
  await page.keyboard.press('Control+z');
  await heron.expectSentence(sentence);
  await page.keyboard.press('Control+Shift+z');
  await heron.expectSentence(moved);
  await expect(page.getByTestId('mark-B')).toHaveValue('5.40');
});

test('a rushed pull is too hard, and the time of the hand can be changed', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByTestId('move-start-pull-1').click();
  await page.getByTestId('move-lasts').fill('0.3');
  await page.getByTestId('move-lasts').press('Enter');
  await expect(heron.verdict).toContainText('Too hard: the pull to B has 0.30 s, and a hand needs 0.73 s.');
  await page.getByRole('button', { name: 'Time that a hand needs: how it is computed' }).focus();
  await expect(page.getByRole('tooltip').filter({ hasText: 'bits' })).toContainText('0.15 s + 0.22 s × 2.64 bits');
});

test('the playhead plays, stops, steps by frames and goes to a press; the soft part of the sentence leads there', async ({
  heron,
  page,
}) => {
  await heron.openCopy('4B');
  const flag = page.getByTestId('playhead');
  await page.keyboard.press('.');
  await page.keyboard.press('.');
  await page.keyboard.press(',');
  await expect(flag).toContainText('2.90 m');
  await page.getByRole('button', { name: /Soft from 5\.4 s/ }).click();
  await expect(flag).toContainText('5.4 s');
  await page.getByTestId('channel').click({ position: { x: 780, y: 60 } });
  await expect(flag).toContainText('sharp 6.7');
  const shown = async () => Number(/([\d.]+) s/.exec((await flag.textContent())!)![1]);
  await page.getByTestId('channel').click({ position: { x: 200, y: 60 } });
  const before = await shown();
  await page.keyboard.press('Space');
  await expect.poll(shown).toBeGreaterThan(before + 0.3);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /^Play/ })).toBeVisible();
  const stopped = await shown();
  // ten frames later it still stands there
  for (let frame = 0; frame < 10; frame++) await page.evaluate(() => new Promise(requestAnimationFrame));
  expect(await shown()).toBe(stopped);
});

test('marks and beats are dragged and nudged', async ({ heron, page }) => {
  await heron.openCopy('9C');
  const chip = page.getByRole('slider', { name: 'Mark B' });
  await heron.drag(chip, 0, 40);
  expect(Number(await page.getByTestId('mark-B').inputValue())).toBeLessThan(5.2);
  await page.keyboard.press('Control+z');
  await chip.press('ArrowUp');
  await expect(page.getByTestId('mark-B')).toHaveValue('5.41');
  await page.getByTestId('mark-B').press('Shift+ArrowDown');
  await expect(page.getByTestId('mark-B')).toHaveValue('5.31');

  const until = page.getByRole('slider', { name: 'Maren must be sharp until' });
  await heron.drag(until, 60, 0);
  await expect(heron.verdict).toContainText('Maren is up to');
  await expect(heron.verdict).toContainText('because the pull to B leaves at 4.0 s');
  await until.press('Shift+ArrowLeft');
  await page.getByLabel('share of the span').fill('50');
  await page.getByLabel('share of the span').press('Enter');
  await expect(page.getByLabel('Selection and marks')).toContainText(/\d\d % kept/);
  await page.getByRole('button', { name: 'Delete this span' }).click();
  await expect(until).toHaveCount(0);
  await expect(heron.verdict).toContainText('Sharp for all 3.4 s that must be');
});

test('a subject walks, must be sharp, and is removed again', async ({ heron, page }) => {
  await heron.openCopy('4A');
  await page.getByRole('button', { name: 'Select mark A, Old Tam' }).click();
  await page.getByLabel('walks on to').fill('1.4');
  await page.getByRole('button', { name: 'Walk', exact: true }).click();
  await expect(heron.verdict).toContainText('while walking, and no pull follows');
  await expect(page.getByLabel('arrives')).toHaveValue('4.0');
  await page.getByLabel('leaves').fill('3.5');
  await page.getByLabel('leaves').press('Enter');
  await expect(heron.verdict).toContainText('Soft from 3.');
  await page.getByRole('button', { name: 'Remove from the shot' }).click();
  await expect(page.getByRole('heading', { name: 'Who must be sharp first?' })).toBeVisible();
});

test('on the axis of ring angles the zone keeps its height; on the axis of distances it widens', async ({ heron, page }) => {
  await heron.openCopy('9C');
  const bandHeights = async () => {
    const path = (await page.getByTestId('zone-of-line').getAttribute('d'))!;
    const points = [...path.matchAll(/([\d.]+),([\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);
    const heightAt = (x: number) => {
      const ys = points.filter((point) => point[0] === x).map((point) => point[1]);
      return Math.max(...ys) - Math.min(...ys);
    };
    const xs = points.map(([x]) => x);
    return { near: heightAt(Math.min(...xs)), far: heightAt(Math.max(...xs)) };
  };
  const hand = await bandHeights();
  expect(hand.far / hand.near).toBeGreaterThan(0.8);
  expect(hand.far / hand.near).toBeLessThan(1.25);
  await page.keyboard.press('h');
  await expect(page.getByRole('radio', { name: 'distance' })).toBeChecked();
  const plain = await bandHeights();
  expect(plain.far / plain.near).toBeGreaterThan(2);
  await page.reload();
  await expect(page.getByRole('radio', { name: 'distance' })).toBeChecked();
});

test('keys work while a handle, a choice or a button is focused', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByTestId('move-start-pull-1').focus();
  await page.keyboard.press('Delete');
  await expect(page.getByTestId('move-start-pull-1')).toHaveCount(0);
  await expect(heron.verdict).toContainText('Bohdan is up to');
  await page.getByRole('radio', { name: 'distance' }).focus();
  await page.keyboard.press('p');
  await expect(page.getByTestId('move-start-pull-1')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('complementary', { name: 'Keys of this screen' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByLabel('name').fill('p?1');
  await expect(page.getByLabel('name')).toHaveValue('p?1');
  await expect(page.getByRole('complementary', { name: 'Keys of this screen' })).toHaveCount(0);
});

test('a pull goes to a distance of its own, to infinity, and back to a mark', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByTestId('move-end-pull-1').click();
  await page.getByLabel('goes to').click();
  await page.getByTitle('a distance', { exact: true }).click();
  const which = page.getByLabel('distance', { exact: true });
  await expect(which).toHaveValue('5.40');
  await which.fill('inf');
  await which.press('Enter');
  await expect(heron.verdict).toContainText('Bohdan is up to');
  await expect(page.getByTestId('playhead')).toBeAttached();
  await page.getByLabel('goes to').click();
  await page.getByTitle('B · 5.40 m').click();
  await expect(which).toHaveCount(0);
  await expect(heron.verdict).toContainText('Sharp for all 7.4 s that must be');
});

test('without a requirement the page says so, and one can be added', async ({ heron, page }) => {
  await heron.openCopy('4A');
  await page.getByRole('slider', { name: 'Old Tam must be sharp from' }).focus();
  await page.keyboard.press('Delete');
  await expect(heron.verdict).toHaveText('Nothing has to be sharp yet: choose a subject, and when.');
  await expect(page.getByRole('link', { name: /Pull.*in progress/ })).toBeVisible();
  await page.getByRole('button', { name: 'Select mark A, Old Tam' }).click();
  await page.getByRole('button', { name: 'Must be sharp from 0.0 s' }).click();
  await expect(heron.verdict).toContainText('Sharp for all 2.0 s that must be');
});

test('a mark nearer than the lens focuses is reported at the mark, in the step and in the verdict', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByTestId('mark-B').fill('0.5');
  await page.getByTestId('mark-B').press('Enter');
  await expect(page.getByText('closer than the lens can focus: 0.750 m')).toBeVisible();
  await expect(page.getByRole('link', { name: /Set-up.*check this/ })).toBeVisible();
  await expect(heron.verdict).toContainText('outside the range of the ring (0.750 m to ∞)');
});

test('letter, method, uncertainty and note of a mark are saved with the shot', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByRole('button', { name: 'Select mark B, Bohdan' }).click();
  const details = page.getByRole('region', { name: 'Mark B' });
  await details.getByLabel('measured by').click();
  await page.getByTitle('laser', { exact: true }).click();
  await details.getByLabel('accuracy ±').fill('0.5');
  await details.getByLabel('accuracy ±').press('Enter');
  await details.getByLabel('note').fill('third step from the top');
  await details.getByLabel('note').press('Enter');
  await details.getByLabel('letter').fill('K');
  await details.getByLabel('letter').press('Enter');
  await expect(page.getByTestId('mark-K')).toHaveValue('5.40');
  await expect(page.getByText('A → K')).toBeVisible();
  await page.getByRole('button', { name: 'How the room is computed: how it is computed' }).last().focus();
  await expect(page.getByRole('tooltip').filter({ hasText: 'measured by laser, accurate to about 5 mm' })).toBeVisible();
  await heron.expectSaved();
  await page.reload();
  await page.getByRole('button', { name: 'Select mark K, Bohdan' }).click();
  await expect(page.getByRole('region', { name: 'Mark K' }).getByLabel('note')).toHaveValue('third step from the top');
});

test('a distance for somebody who is there already becomes another mark of theirs, not a second person', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C');
  const people = page.getByRole('form', { name: 'New subject' });
  await people.getByLabel('name').fill(' maren ');
  await people.getByLabel('tape distance').fill('3.6');
  await people.getByLabel('tape distance').press('Enter');
  const notice = people.getByRole('alert');
  await expect(notice).toContainText('Maren is in this shot already.');
  await notice.getByRole('button', { name: 'Another mark for Maren' }).click();
  await expect(notice).toBeHidden();
  await expect(people.getByLabel('name')).toHaveValue('');
  await expect(page.getByRole('button', { name: 'Undo: Maren walks on' })).toBeVisible();

  // nobody walks to infinity, so only another name would do
  await people.getByLabel('name').fill('Maren');
  await people.getByLabel('tape distance').fill('inf');
  await people.getByRole('button', { name: 'Add' }).click();
  await expect(notice.getByRole('button')).toHaveText(['Another name']);
});

test('the playhead’s time is typed, and the speed of the hand lies under the chart with its fastest moment', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C');
  await expect(page.getByTestId('hand-speed')).toHaveAttribute('aria-label', /^Speed of the hand: \d+°\/s at 4\.8 s at most$/);
  const time = page.getByTestId('playhead-time');
  await time.fill('5.5');
  await time.press('Enter');
  await expect(page.getByTestId('playhead')).toContainText('5.5 s');
  await time.fill('90');
  await time.press('Enter');
  await expect(page.getByRole('alert')).toContainText('9.0');
  await time.press('Escape');
  await expect(page.getByTestId('playhead')).toContainText('5.5 s');
});
