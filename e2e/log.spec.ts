import { readFileSync } from 'node:fs';
import { changePull, newTake, type ShotPlan, type Take } from '@still-heron/core';
import type { Page } from '@playwright/test';
import { expect, type Heron, test } from './heron';

/** A copy of a demo shot with varied takes, logged through the API. */
async function withTakes(heron: Heron, count = 60) {
  const { shotId, productionId } = await heron.openCopy('9C');
  const { plan } = await heron.api<{ plan: ShotPlan }>('get', `shots/${shotId}`);
  const pullId = plan.focusTrack.pulls[0]!.id;
  for (let k = 0; k < count; k++) {
    const fresh = newTake(plan, 1);
    const take: Take = {
      ...fresh,
      focus: k % 3 === 0 ? 'soft' : 'sharp',
      performance: 'good',
      isCircled: k === 7,
      predictedKeepRate: (k % 10) / 10,
      note: k === 4 ? 'the bell rang' : '',
      hits: [
        {
          pullId,
          said: null,
          measured: k % 4 === 0 ? 'late' : 'hit',
          lateS: 0.1 + (k % 4) / 10,
          landsLateS: null,
          offDeg: k % 2,
          turn: null,
        },
      ],
      gear: { ...fresh.gear, puller: k % 2 === 0 ? 'Ines' : 'Bohdan' },
    };
    const rolledAt = new Date(Date.UTC(2026, 2, 1 + Math.floor(k / 20), 10, k % 60)).toISOString();
    await heron.api('post', `shots/${shotId}/takes`, { rolledAt, take });
  }
  return { shotId, productionId, plan };
}

const rows = (page: Page) => page.getByRole('list', { name: 'Takes' }).locator('li:not([data-testid=log-head])');

test('the log of a production is paged, searched, filtered and sorted, and shows statistics', async ({ heron, page }) => {
  const { productionId } = await withTakes(heron);
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByTestId('log-sentence')).toHaveText('60 takes: 40 of 60 kept, 40 can be used.');
  await expect(rows(page)).toHaveCount(50);
  await page.getByTitle('2', { exact: true }).click();
  await expect(rows(page)).toHaveCount(10);
  await expect(page).toHaveURL(/page=2/);
  await page.getByLabel('Find in slate, title or note').fill('bell rang');
  await expect(rows(page)).toHaveCount(1);
  await expect(rows(page)).toContainText('late · the bell rang');
  await page.getByLabel('Find in slate, title or note').fill('');
  await page.getByRole('checkbox', { name: 'circled' }).click();
  await expect(rows(page)).toHaveCount(1);
  await page.getByRole('checkbox', { name: 'circled' }).click();
  await page.getByRole('combobox', { name: 'fault' }).click();
  await page.getByTitle('overshot', { exact: true }).click();
  await expect(page.getByText('No take matches.')).toBeVisible();
  await heron.open(`/productions/${productionId}/takes?puller=Ines&order=oldest`);
  await expect(rows(page)).toHaveCount(30);
  await expect(rows(page).first()).toContainText('1 Mar');
  // statistics
  const told = page.getByRole('complementary', { name: 'What the takes show' });
  await expect(told).toContainText(/by puller.*Bohdan.*67 %.*30.*Ines.*67 %.*30/s);
  await expect(told.getByRole('img', { name: /predicted.*over 60 takes/ })).toBeVisible();
  await expect(told).toContainText('pulls 0.25 s late, spread 0.11 s (60 measured)');
  await expect(page.getByRole('region', { name: 'Before anyone leaves' })).toContainText('Every shot has what it needs.');
  await rows(page).first().getByRole('link').click();
  await expect(page).toHaveURL(/\/shots\/.*\/takes$/);
});

test('takes are exported as JSON and imported into another production without loss; another file changes nothing', async ({
  heron,
  page,
}) => {
  const { shotId } = await withTakes(heron, 6);
  await page.keyboard.press('7');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'JSON' }).click()]);
  const foreign = readFileSync(await download.path(), 'utf8');
  await heron.openCopy('9C');
  await page.keyboard.press('7');
  await expect(page.getByTestId('go-again')).toContainText('No take yet');
  const read = async (name: string, content: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Import takes …' }).click(),
    ]);
    await chooser.setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(content) });
  };
  await read('none.csv', 'take,rolled at\nx,2026-03-01');
  await expect(page.getByText("can't be read as a number")).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await read('takes.json', foreign);
  await expect(page.getByText('6 takes imported.')).toBeVisible();
  const list = page.getByRole('list', { name: 'Takes, the latest first' });
  await expect(list.locator('> li')).toHaveCount(6);
  await read('takes.json', foreign);
  await expect(page.getByText('6 takes read: all of them are here already')).toBeVisible();
  await expect(list.locator('> li')).toHaveCount(6);
  const copied = await heron.api<{ take: Take }[]>('get', `shots/${page.url().split('/')[4]}/takes`);
  const original = await heron.api<{ take: Take }[]>('get', `shots/${shotId}/takes`);
  expect(copied.map(({ take }) => take)).toEqual(original.map(({ take }) => take));
});

test('measured errors are applied by one press; the time wanted on screen decides whether to go again', async ({
  heron,
  page,
}) => {
  const { shotId } = await withTakes(heron, 8);
  await page.keyboard.press('7');
  const side = page.getByRole('complementary', { name: 'What to change' });
  await expect(side).toContainText('(8 measured)');
  await side.getByRole('button', { name: 'Use them in the plan' }).click();
  await expect(side).toContainText('The plan uses them.');
  await heron.expectSaved();
  const { plan } = await heron.api<{ plan: ShotPlan }>('get', `shots/${shotId}`);
  expect(plan.focusTrack.pulls[0]!.cueSigmaS).toBeCloseTo(0.12, 2);
  expect(plan).toEqual(changePull(plan, plan.focusTrack.pulls[0]!.id, {}));
  await expect(page.getByTestId('go-again')).toContainText('Move on');
  await side.getByLabel('wanted on screen without a cut, s').fill('500');
  await side.getByLabel('wanted on screen without a cut, s').press('Enter');
  await expect(page.getByTestId('go-again')).toContainText(/Go again for length|Change something first/);
});

test('lens data is read as the track of a take, and a wrong file says where it is wrong', async ({ heron, page }) => {
  await withTakes(heron, 1);
  await page.keyboard.press('7');
  await page.getByRole('button', { name: 'Check take 1' }).click();
  const read = async (content: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Import lens data …' }).click(),
    ]);
    await chooser.setFiles({ name: 'lens.csv', mimeType: 'text/csv', buffer: Buffer.from(content) });
  };
  await read('time,distance m\n0,2.9\nsoon,2.9');
  await expect(page.getByText('line 3, time')).toBeVisible();
  // 8 could be metres or feet in this shot: the page asks
  await read('time,distance\n0,8\n0.5,8');
  await expect(page.getByText('line 3, time')).toBeHidden();
  const asked = page.getByRole('group', { name: 'Unit of the distances' });
  await expect(asked.getByRole('button')).toHaveText(['8 metres', '8 feet']);
  await read(`time,distance m\n${Array.from({ length: 20 }, (_, k) => `${k / 2},3`).join('\n')}`);
  await expect(page.getByRole('img', { name: 'Plan and take over time' })).toBeVisible();
  await expect(asked).toBeHidden();
});

test('distances of lens data without a unit: the answer reads them', async ({ heron, page }) => {
  await withTakes(heron, 1);
  await page.keyboard.press('7');
  await page.getByRole('button', { name: 'Check take 1' }).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Import lens data …' }).click(),
  ]);
  const lines = Array.from({ length: 20 }, (_, k) => `${k / 10},${k > 4 && k < 12 ? '' : 8}`);
  await chooser.setFiles({ name: 'lens.csv', mimeType: 'text/csv', buffer: Buffer.from(`time,distance\n${lines.join('\n')}`) });
  await page.getByRole('button', { name: '8 feet' }).click();
  await expect(page.getByText('Lens data read. It has no data for 0.8 s.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Plan and take over time' })).toBeVisible();
});

test('a production without takes says what to do', async ({ heron, page }) => {
  const productionId = await heron.newProduction('Nothing yet');
  await heron.open(`/productions/${productionId}/takes`);
  await expect(page.getByText('No takes yet.')).toBeVisible();
});
