import { readFileSync } from 'node:fs';
import { changePull, type Take } from '@still-heron/core';
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

interface Row {
  id: string;
  number: number;
  version: number;
  take: Take;
}

test('a crew’s loop: twelve takes by keys, three put right, one restored, exported, and read into another production', async ({
  heron,
  page,
}) => {
  const { shotId } = await heron.openCopy('4B');
  await page.keyboard.press('7');
  const list = page.getByRole('list', { name: 'Takes, the latest first' });
  const rows = (id: string) => heron.api<Row[]>('get', `shots/${id}/takes`);
  // a fault at the first mark, the rest was fine, circled: two to four keys a take
  const keys = ['yt', 'lyt', 'lyt', 'oyt', 'yt', 'fyt', 'byt', 'yt', 'eyt', 'nt', 'ykt', 'syt'];
  for (const [index, pressed] of keys.entries()) {
    await expect(page.getByRole('heading', { name: `Take ${index + 1}` })).toBeVisible();
    await page.keyboard.type(pressed);
    await expect(list.locator('> li')).toHaveCount(index + 1);
  }
  await expect(list.locator('> li').nth(1)).toContainText('every mark hit');
  await expect(list.locator('> li').nth(2)).toContainText('no good');

  // take 2 was not late after all: put right by keys, undone, and put right again by pointer
  const fault = (number: number) => list.locator('> li').nth(12 - number);
  await page.getByRole('button', { name: 'Change take 2' }).click();
  await expect(page.getByRole('button', { name: 'Save take 2 T' })).toBeVisible();
  await page.keyboard.type('ht');
  await expect(fault(2)).toContainText('every mark hit');
  await page.getByRole('button', { name: 'Undo the change' }).click();
  await expect(fault(2)).toContainText('late at D');
  await page.getByRole('button', { name: 'Change take 2' }).click();
  await page.getByRole('radiogroup', { name: 'How D was hit' }).getByRole('radio', { name: 'overshot' }).click();
  await page.getByRole('button', { name: 'Save take 2 T' }).click();
  await expect(fault(2)).toContainText('overshot at D');
  // take 3: in and out, and a fault that no mark has
  await page.getByRole('button', { name: 'Change take 3' }).click();
  await page.getByText('In and out').click();
  await page.getByRole('button', { name: 'Add a span: use' }).click();
  await page.getByLabel('to', { exact: true }).fill('3.5');
  await page.getByLabel('to', { exact: true }).press('Enter');
  await page.getByText('Other faults').click();
  await page.getByRole('textbox', { name: 'fault at' }).fill('6');
  await page.getByRole('textbox', { name: 'fault at' }).press('Enter');
  await page.getByRole('radiogroup', { name: 'What went wrong then' }).getByRole('radio', { name: 'camera jumped' }).click();
  await page.keyboard.press('t');
  await expect(fault(3)).toContainText('camera jumped');
  // take 4 is left as it was
  await page.getByRole('button', { name: 'Change take 4' }).click();
  await expect(page.getByRole('button', { name: 'Save take 4 T' })).toBeVisible();
  await page.keyboard.type('h');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Log take 13 T' })).toBeVisible();
  await expect(fault(4)).toContainText('overshot at D');
  // what was changed of one take is not lost by a look at another one
  await page.getByRole('button', { name: 'Change take 4' }).click();
  await expect(page.getByRole('button', { name: 'Save take 4 T' })).toBeVisible();
  await page.keyboard.type('k');
  await page.getByRole('button', { name: 'Change take 6' }).click();
  await expect(page.getByRole('button', { name: 'Save take 6 T' })).toBeVisible();
  await page.getByRole('button', { name: 'Change take 4' }).click();
  await expect(page.getByRole('button', { name: 'Save take 4 T' })).toBeVisible();
  await expect(page.getByRole('checkbox', { name: /circled/ })).toBeChecked();
  await page.keyboard.press('Escape');
  // neither is what is said of the next take
  const overshot = page.getByRole('radiogroup', { name: 'How D was hit' }).getByRole('radio', { name: 'overshot' });
  await overshot.click();
  await page.getByRole('button', { name: 'Change take 2' }).click();
  await page.getByRole('button', { name: 'Leave it as it was Esc' }).click();
  await expect(page.getByRole('button', { name: 'Log take 13 T' })).toBeVisible();
  await expect(overshot).toBeChecked();
  await overshot.click();
  await expect(overshot).not.toBeChecked();
  // its history says what was changed, and brings it back
  await page.getByRole('button', { name: 'Check take 3' }).click();
  await expect(page.getByRole('region', { name: 'Changes of take 3' })).toContainText('other faults, in and out');
  await page.getByRole('button', { name: 'Delete take 5' }).click();
  await expect(list.locator('> li')).toHaveCount(11);
  await page.getByRole('button', { name: 'Restore take 5' }).click();
  await expect(list.locator('> li')).toHaveCount(12);

  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'JSON' }).click()]);
  const file = { name: 'takes.json', mimeType: 'application/json', buffer: readFileSync(await download.path()) };
  const other = await heron.openCopy('4B');
  await page.keyboard.press('7');
  const read = async () => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Import takes …' }).click(),
    ]);
    await chooser.setFiles(file);
  };
  await read();
  await expect(page.getByText('12 takes imported.')).toBeVisible();
  const [here, there] = [await rows(shotId), await rows(other.shotId)];
  expect(there.map(({ number, take }) => ({ number, take }))).toEqual(here.map(({ number, take }) => ({ number, take })));
  expect(there.some(({ id }) => here.some((one) => one.id === id))).toBe(false);
  // read again: nothing is new. What was changed here is asked about
  await read();
  await expect(page.getByText('12 takes read: all of them are here already, and nothing differs.')).toBeVisible();
  const [first] = there;
  await heron.api('put', `takes/${first!.id}`, { version: first!.version, take: { ...first!.take, track: null, note: 'mine' } });
  await read();
  const asked = page.getByRole('group', { name: 'Takes that differ' });
  await expect(asked).toContainText('1 take of the file differs from the one here. 4B take 1: note');
  await asked.getByRole('button', { name: 'Leave them as they are here' }).click();
  await expect(page.getByText('1 differs, and stays as it is here.')).toBeVisible();
  await read();
  await asked.getByRole('button', { name: 'Take what the file has' }).click();
  await expect(page.getByText('1 was replaced.')).toBeVisible();
  expect((await rows(other.shotId))[0]!.take.note).toBe('');
});

test('a key pressed by mistake logs nothing; a take without pulls is asked about who must be sharp', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('4B', 'pull', (plan) => ({ ...plan, focusTrack: { ...plan.focusTrack, pulls: [] } }));
  await page.keyboard.press('7');
  await expect(page.getByRole('heading', { name: 'Take 1' })).toBeVisible();
  await page.keyboard.press('t');
  await expect(page.getByRole('alert')).toContainText('nothing is said of it. Press T again to log it.');
  await page.keyboard.type('fzut');
  const list = page.getByRole('list', { name: 'Takes, the latest first' });
  await expect(list).toContainText(/drifted nearer: .*; left the zone: /);
  const [{ take }] = await heron.api<[Row]>('get', `shots/${shotId}/takes`);
  expect(take).toMatchObject({ focus: 'sharp', hits: [], findings: [{ found: 'drifted-nearer' }, { found: 'left-zone' }] });
});

test('the same fault twice in a shot without pulls asks for a change, and one key makes the zone deeper', async ({
  heron,
  page,
}) => {
  const { shotId } = await heron.openCopy('4B', 'pull', (plan) => ({ ...plan, focusTrack: { ...plan.focusTrack, pulls: [] } }));
  const stopOf = async () => (await heron.api<{ plan: { optics: { stop: number } } }>('get', `shots/${shotId}`)).plan.optics.stop;
  const before = await stopOf();
  await page.keyboard.press('7');
  const list = page.getByRole('list', { name: 'Takes, the latest first' });
  for (const count of [1, 2]) {
    await expect(page.getByRole('heading', { name: `Take ${count}` })).toBeVisible();
    // left the zone, soft
    await page.keyboard.type('zuuut');
    await expect(list.locator('> li')).toHaveCount(count);
  }
  await expect(page.getByTestId('go-again')).toContainText('Change something first');
  const side = page.getByRole('complementary', { name: 'What to change' });
  await expect(side).toContainText(
    /2 times left the zone: .*: put a mark on the floor, or use a deeper zone; at T[\d.]+ the zone is deeper/,
  );
  await page.keyboard.press('x');
  await expect(page.getByRole('button', { name: /Undo: 2 times left the zone/ })).toBeEnabled();
  await heron.expectSaved();
  await expect.poll(async () => (await stopOf()) / before).toBeGreaterThan(1.3);
});
