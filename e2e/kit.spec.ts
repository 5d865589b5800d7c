import { changeMark, addSubject, defaultLens, newPlan, setLens } from '@still-heron/core';
import type { Page } from '@playwright/test';
import { expect, type Heron, test } from './heron';

async function pick(page: Page, label: string, word: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  // a long list contains only visible rows, so type to filter it
  await page.keyboard.type(word);
  await page.getByTitle(word, { exact: true }).last().click();
}

async function fill(page: Page, testId: string, text: string): Promise<void> {
  await page.getByTestId(testId).fill(text);
  await page.getByTestId(testId).press('Enter');
}

/** Chooses a generated file in the page's file dialog. */
async function chooseFile(page: Page, open: () => Promise<void>, name: string, text: string): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await open();
  await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}

async function newLens(heron: Heron, name: string): Promise<void> {
  const { page } = heron;
  await heron.open('/kit/lenses');
  await page.getByRole('button', { name: 'New lens' }).click();
  await expect(page.getByTestId('kit-name')).toHaveValue('New lens');
  await fill(page, 'kit-name', name);
  await expect(page.getByRole('link', { name: new RegExp(`^${name}`) })).toBeVisible();
}

const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

test('a lens is calibrated, used in a shot, changed, and updated in the shot', async ({ heron, page }) => {
  await newLens(heron, 'Loft 85');
  await fill(page, 'kit-focal-length', '85');
  await fill(page, 'kit-close-focus', '0.85');
  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  await page.getByRole('button', { name: 'Calibrate step by step' }).click();
  await expect(page.getByRole('heading', { name: 'Step 1 of 7' })).toBeVisible();
  await expect(page.getByText('Turn the ring to infinity')).toBeVisible();
  await fill(page, 'calibration-reading', '0');
  await expect(page.getByRole('heading', { name: 'Step 2 of 7' })).toBeVisible();
  await page.getByTestId('calibration-reading').fill('far round');
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByRole('alert')).toContainText('“far round” is not a number');
  await fill(page, 'calibration-reading', '270');
  // no reading is made up: the expected angle is only a hint
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing was read. Type what the ring shows, or leave this one out.');
  for (let step = 3; step <= 7; step++) {
    await expect(page.getByRole('heading', { name: `Step ${step} of 7` })).toBeVisible();
    const reading = page.getByTestId('calibration-reading');
    await expect(reading).toHaveValue('');
    const hint = /about (\d+)\?/.exec((await reading.getAttribute('placeholder'))!)![1]!;
    if (step === 5) await page.getByRole('button', { name: 'Leave this one out' }).click();
    else await fill(page, 'calibration-reading', hint);
  }
  await expect(page.getByText(/6 points\. They differ from a smooth scale by \d\.\d°\./)).toBeVisible();
  await page.getByRole('button', { name: 'Use these 6 points' }).click();
  await expect(page.getByRole('heading', { name: 'Scale · 6 points' })).toBeVisible();
  await saved(page);

  // a shot uses it
  const { shotId, productionId } = await heron.openCopy('9C', 'setup', (plan) =>
    changeMark(plan, plan.marks[1]!.id, { method: 'picture' }),
  );
  await pick(page, 'Lens', 'Loft 85');
  // a tape to the image plane does not change with the lens; what was read off the ring does
  const stale = page.getByLabel('Stale distances');
  await expect(stale).toContainText('B stale');
  await stale.getByRole('button', { name: 'Still right' }).click();
  await expect(stale).toHaveCount(0);
  await heron.expectSaved();

  // a scale point is read again in the kit: the ring is redrawn at once
  await page.getByRole('link', { name: 'Open it in Kit' }).nth(1).click();
  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  const ring = page.getByRole('slider', { name: 'The ring' });
  const before = await ring.getAttribute('aria-valuetext');
  const reading = page.getByTestId('point-reading-2');
  await fill(page, 'point-reading-2', String(Number(await reading.inputValue()) + 9));
  await expect(ring).not.toHaveAttribute('aria-valuetext', before!);
  await saved(page);

  // the list of shots says so
  await heron.open(`/productions/${productionId}/shots`);
  await expect(page.getByText('Kit has changed: lens')).toBeVisible();

  // the shot shows the change and its effect; after an update the distances must be measured again
  await heron.open(`/shots/${shotId}/setup`);
  const change = page.getByLabel('The lens has changed in Kit');
  await expect(change).toContainText('1 of 6 scale points changed, by up to 9.0°');
  await expect(change).toContainText(/In this shot: .*A moves from 62\.\d° to 70\.\d° of the ring/);
  await expect(page.getByRole('link', { name: /Set-up.*check this/ })).toBeVisible();
  await change.getByRole('button', { name: 'Use the new one' }).click();
  await expect(change).toHaveCount(0);
  await expect(stale).toContainText('B stale');
  await page.getByRole('link', { name: /Pull/ }).click();
  await expect(page.getByText('stale: lens changed')).toBeVisible();
  await fill(page, 'mark-B', '3.05');
  await expect(stale).toHaveCount(0);
  await heron.expectSaved();
  await page.reload();
  await expect(page.getByTestId('mark-B')).toHaveValue('3.05');
  await expect(stale).toHaveCount(0);
});

test('the ring is dragged, turned by keys and typed; impossible points are named and not saved', async ({ heron, page }) => {
  await newLens(heron, 'Ring of its own');
  const ring = page.getByRole('slider', { name: 'The ring' });
  await fill(page, 'ring-distance', '2');
  await expect(ring).toHaveAttribute('aria-valuetext', /^2\.00 m at /);
  await ring.press('ArrowLeft');
  await expect(ring).toHaveAttribute('aria-valuetext', /^1\.99 m at /);
  await heron.drag(page.getByTestId('ring-figure').first(), 60, 40);
  await expect(ring).not.toHaveAttribute('aria-valuetext', /^1\.99 m at /);
  await fill(page, 'ring-distance', '0.1');
  await expect(page.getByRole('alert')).toContainText('outside the range of the ring');
  await page.getByTestId('ring-distance').press('Escape');

  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  await page.getByRole('button', { name: 'Add a point' }).click();
  const point = page.getByRole('form', { name: 'New scale point' });
  const add = async (distance: string, reading: string) => {
    await point.getByLabel('distance of the new point').fill(distance);
    await point.getByLabel('reading of the new point').fill(reading);
    await point.getByLabel('reading of the new point').press('Enter');
  };
  // no figure is suggested: what nobody read is not on the ring
  await add('inf', '');
  await expect(point.getByRole('alert')).toContainText('There is no number');
  await add('inf', '0');
  await expect(page.getByText('There is only 1 scale point. Needed: at least 2')).toHaveCount(0);
  await expect(page.getByText('The ring is unchanged until these points make a scale.')).toBeVisible();
  for (const [distance, reading] of [
    ['0.5', '280'],
    ['2', '58'],
    ['1', '123'],
  ] as const)
    await add(distance, reading);
  await expect(page.getByText('The ring is unchanged so far')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Scale · 4 points' })).toBeVisible();
  await fill(page, 'point-reading-1', '900');
  await expect(page.getByTestId('scale-why')).toContainText('900° turns back against its neighbours. Needed: an angle between');
  await expect(page.locator('[data-testid=ring-pip][data-off]')).toHaveCount(1);
  await saved(page);
  await page.getByRole('button', { name: 'Discard them' }).click();
  await expect(page.locator('[data-testid=ring-pip][data-off]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: add a scale point' }).click();
  await expect(page.getByRole('heading', { name: 'Scale · 3 points' })).toBeVisible();
});

test('a scale from a file is read as a whole, or refused by line and column', async ({ heron, page }) => {
  await newLens(heron, 'From a file');
  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  const read = (name: string, text: string) =>
    chooseFile(page, () => page.getByRole('button', { name: 'Read a CSV file' }).click(), name, text);
  await read('mixed.csv', "\uFEFFdistance;ring deg\r\ninf;0\r\n3 m;80,5\r\n6'6;110\r\n0,5 m;280\r\n");
  await expect(page.getByRole('heading', { name: 'Scale · 4 points' })).toBeVisible();
  await expect(page.getByTestId('point-reading-1')).toHaveValue('80.5');
  for (const [name, text, said] of [
    ['commas.csv', 'distance m,ring deg\n2,4,95\n', 'line 2 This line has 3 cells, the heading 2'],
    ['bare.csv', '3,80\n2,120\n', 'line 1 There is no heading'],
    ['units.csv', 'distance,ring deg\n3,80\n', 'line 2, distance “3” has no unit'],
    [
      'huge.csv',
      `distance m,deg\n${Array.from({ length: 100_000 }, (_, k) => `${1 + k / 100},${k}`).join('\n')}`,
      'There are 100000 scale points',
    ],
  ] as const) {
    await read(name, text);
    await expect(page.getByRole('alert')).toContainText(`Nothing was read from ${name}`);
    await expect(page.getByRole('alert')).toContainText(said);
    await expect(page.getByRole('heading', { name: 'Scale · 4 points' })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a ring that answers by speed has no marks, and says why', async ({ heron, page }) => {
  await heron.openCopy('9C', 'setup');
  await pick(page, 'Lens', 'Stills zoom 24–70 mm f/2.8');
  await expect(page.getByRole('note').filter({ hasText: 'This ring answers to the speed of turning' })).toBeVisible();
  await page.getByRole('link', { name: /Pull/ }).click();
  await expect(page.getByTestId('mark-ring').first()).toHaveText('no mark on this ring holds');
  await expect(page.getByRole('note').filter({ hasText: 'No ring mark and no hard stop holds' })).toBeVisible();
  await heron.open('/kit/lenses');
  await page.getByRole('link', { name: /^Stills zoom/ }).click();
  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  await expect(page.getByText('A ring that answers to speed has no scale')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Calibrate step by step' })).toHaveCount(0);
});

test('a camera is tested step by step, and other software makes a test outdated', async ({ heron, page }) => {
  await heron.open('/kit/cameras');
  await page.getByRole('button', { name: 'New camera' }).click();
  await fill(page, 'kit-name', 'Tried body');
  await page.getByRole('button', { name: 'Test step by step' }).click();
  await expect(page.getByRole('heading', { name: 'Can the picture be magnified to judge focus?' })).toBeVisible();
  await page.keyboard.press('y');
  await expect(page.getByRole('heading', { name: 'Can the camera outline sharp edges (peaking)?' })).toBeVisible();
  await page.keyboard.press('x');
  await page.keyboard.press('s');
  await page.getByRole('button', { name: 'Stop here; answers are kept' }).click();
  await expect(page.getByRole('button', { name: 'Magnify on Rear screen: yes', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Peaking on Rear screen: no', exact: true })).toBeVisible();
  await expect(page.getByText('2 of 9 tested.')).toBeVisible();
  await page.getByLabel('software').fill('2.0');
  await page.getByLabel('software').press('Enter');
  await expect(page.getByText('2 to test again: 2 with other software.')).toBeVisible();
  await page.getByRole('button', { name: 'Peaking on Rear screen: no, test again' }).click();
  await expect(page.getByRole('button', { name: 'Peaking on Rear screen: untested', exact: true })).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Magnify on Rear screen: yes, test again' })).toBeVisible();
});

test('wheels are compared, and a rig says what is missing', async ({ heron, page }) => {
  await heron.open('/kit/wheels');
  await page.getByRole('link', { name: /^Hand wheel, gear 1\.6/ }).click();
  await expect(page.getByRole('row', { name: /Hand wheel, gear 1\.6/ })).toContainText('1.60');
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByTestId('kit-name')).toHaveValue('Hand wheel, gear 1.6 (2)');
  await fill(page, 'wheel-ratio', '4');
  await page.getByLabel('from', { exact: true }).fill('inf');
  await page.getByLabel('from', { exact: true }).press('Enter');
  await expect(page.getByRole('row', { name: /gear 1\.6 \(2\)/ })).toContainText(/\d grips/);
  await expect(page.getByTestId('sentence')).toContainText('1 regrip');
  await page.getByRole('button', { name: 'Delete this wheel' }).click();
  await expect(page.getByText('was deleted. Shots that used it keep their copies.')).toBeVisible();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByTestId('kit-name')).toHaveValue('Hand wheel, gear 1.6 (2)');

  await heron.open('/kit/rigs');
  await page.getByRole('link', { name: /^Stabiliser/ }).click();
  await expect(page.getByText('1 of 6 parts missing:')).toBeVisible();
  await page.getByRole('checkbox', { name: 'batteries' }).check();
  await expect(page.getByText('Complete: all 6 parts are here.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: batteries here' }).click();
  await expect(page.getByText('1 of 6 parts missing:')).toBeVisible();
});

test('the whole kit as a file and back; a table of lenses; a file with a fault', async ({ heron, page }) => {
  await heron.open('/kit/lenses');
  const kit = await heron.api<object>('get', 'kit/export');
  const readFile = async (name: string, text: string) => {
    await page.getByRole('button', { name: 'Files' }).click();
    await chooseFile(page, () => page.getByRole('menuitem', { name: 'Import a kit file…' }).click(), name, text);
  };
  await readFile('kit.json', JSON.stringify(kit));
  await expect(page.getByText(/^0 items read from kit\.json\. \d+ were already there\.$/)).toBeVisible();
  await readFile('lenses.csv', 'name,focal length mm,widest stop,close focus mm\nTable 24,24,T2.2,0.28m\nTable 40,40,2.2,400\n');
  await expect(page.getByText('2 items read from lenses.csv.')).toBeVisible();
  await page.getByTestId('kit-search').fill('table 40');
  await expect(page.getByTestId('kit-row')).toHaveCount(1);
  await page.getByTestId('kit-row').click();
  await expect(page.getByTestId('kit-focal-length')).toHaveValue('40');
  await readFile('wrong.csv', 'name,focal length mm,widest stop,close focus mm\nGood,24,2,280\nBad,twenty,2,280\n');
  await expect(page.getByTestId('problem-list')).toContainText(
    "line 3, focal length mm “twenty” can't be read as a number. Needed: a number with a decimal point.",
  );
  await page.getByTestId('kit-search').fill('good');
  await expect(page.getByText('No match for “good”.')).toBeVisible();
});

test('two people change one lens: neither is overwritten, and the server may go away meanwhile', async ({
  heron,
  page,
  server,
}) => {
  await newLens(heron, 'Of two people');
  await saved(page);
  const id = page.url().split('/').pop()!;
  const stored = await heron.api<{ item: { notes: string }; version: number }>('get', `kit/lenses/${id}`);
  await heron.api('put', `kit/lenses/${id}`, { version: stored.version, item: { ...stored.item, notes: 'theirs' } });
  await page.getByLabel('notes').fill('mine');
  await page.getByLabel('notes').press('Enter');
  await expect(page.getByRole('alert')).toContainText('This was changed elsewhere.');
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await saved(page);
  expect((await heron.api<{ item: { notes: string } }>('get', `kit/lenses/${id}`)).item.notes).toBe('mine');
  await page.getByRole('button', { name: 'Undo: keep mine' }).click();
  await expect(page.getByLabel('notes')).toHaveValue('theirs');
  await saved(page);

  await server.stop();
  await page.getByLabel('notes').fill('while it was away');
  await page.getByLabel('notes').press('Enter');
  await expect(page.getByText('Kept here: no server')).toBeVisible();
  await server.start();
  await saved(page);
  expect((await heron.api<{ item: { notes: string } }>('get', `kit/lenses/${id}`)).item.notes).toBe('while it was away');
});

test('lenses side by side: sorted by a column, compared at distances that are typed, and the next shot’s ring that turns the other way', async ({
  heron,
  page,
}) => {
  await heron.open('/kit/lenses');
  await expect(page.getByTestId('kit-name')).toBeVisible();
  await page.keyboard.press('6');
  const table = page.getByRole('table');
  await expect(table).toBeVisible();
  const first = () => table.locator('tbody tr[data-row-key]').first();
  await page.getByRole('columnheader', { name: 'throw' }).click();
  await expect(first()).toContainText('Stills zoom');
  await expect(first()).toContainText('120°');
  await page.getByRole('columnheader', { name: 'throw' }).click();
  await expect(first()).not.toContainText('Stills zoom');
  const row = table.getByRole('row', { name: /^65 mm T2\.2/ });
  const turn = row.getByRole('cell').nth(4);
  const before = await turn.textContent();
  await page.getByLabel('to', { exact: true }).fill('0.5');
  await page.getByLabel('to', { exact: true }).press('Enter');
  await expect(turn).toHaveText('not on the ring');
  await page.getByLabel('to', { exact: true }).fill('1');
  await page.getByLabel('to', { exact: true }).press('Enter');
  await expect(turn).toHaveText(before!);
  await page.getByLabel('stop', { exact: true }).fill('T8');
  await page.getByLabel('stop', { exact: true }).press('Enter');
  await expect(page.getByRole('alert')).toContainText('T8');

  const productionId = await heron.newProduction('Other way');
  const shot = (slate: string, nearerTurns: 'clockwise' | 'anticlockwise') => {
    const lens = defaultLens({ name: `Lens ${slate}`, focalLengthMm: 50, nearerTurns });
    const plan = addSubject(setLens(newPlan(), lens, false), { name: 'Ines', distanceMm: 3000 });
    return heron.api<{ id: string }>('post', `productions/${productionId}/shots`, { scene: '', slate, title: '', plan });
  };
  await shot('1A', 'clockwise');
  const { id } = await shot('1B', 'anticlockwise');
  await heron.open(`/shots/${id}/setup`);
  await expect(page.getByTestId('turns-other-way')).toHaveText(
    'Nearer is anticlockwise here. In the shot before, 1A, it is the other way.',
  );
  await page.getByRole('link', { name: /^Roll/ }).click();
  await expect(page.getByTestId('turns-other-way')).toBeVisible();
});
