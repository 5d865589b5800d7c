import { expect, type Heron, shownTime, test } from './heron';

async function markB(heron: Heron): Promise<void> {
  await heron.openCopy('12A', 'floor');
  await heron.page.getByTestId('floor-mark-B').focus();
  await expect(heron.page.getByTestId('mark-distance')).toHaveValue('2.60');
}

test('one key measures a mark: the simulated tape reads the drawn distance with its noise, and says that it is simulated', async ({
  heron,
  page,
}) => {
  await markB(heron);
  const distance = page.getByTestId('mark-distance');
  await page.keyboard.press('l');
  await expect(page.getByText(/^by laser, accurate to about 5 mm · simulated$/)).toBeVisible();
  const read = Number(await distance.inputValue());
  expect(Math.abs(read - 2.6)).toBeLessThan(0.05);
  await expect(page.getByRole('button', { name: 'Undo: laser B' })).toBeEnabled();
  await page.keyboard.press('t');
  await expect(page.getByText(/^by tape, accurate to about 1\.0 cm · simulated$/)).toBeVisible();
  // a typed distance counts as taped
  await distance.fill('2.75');
  await page.keyboard.press('Enter');
  await expect(page.getByText('· simulated')).toHaveCount(0);
  // a device at the port fills the selected mark
  await page.getByTestId('floor-mark-A').focus();
  await heron.api('post', 'measuring/readings', { device: 'laser on the matte box', method: 'laser', distanceMm: 8912 });
  await expect(distance).toHaveValue('8.91');
  await expect(page.getByText(/^by laser, accurate to about 5 mm$/)).toBeVisible();
});

test('the room of a mark differs before and behind; a typed miss names the stop that allows it, and one press sets it', async ({
  heron,
  page,
}) => {
  await markB(heron);
  const room = page.getByTestId('mark-room');
  await expect(room).toContainText('68 cm nearer');
  await expect(room).toContainText('1.44 m farther');
  await expect(room).toContainText('ring at 25.6°');
  const miss = page.getByLabel('allowed miss ±');
  await miss.fill('50');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Inside the zone, with 18 cm of room\.$/)).toBeVisible();
  await miss.fill('90');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Outside the zone at this stop\. T10 would be enough, 1⅓ stops less light\./)).toBeVisible();
  await page.getByRole('button', { name: 'Use T10' }).click();
  await expect(page.getByText(/^Inside the zone, with/)).toBeVisible();
  await miss.fill('280');
  await page.keyboard.press('Enter');
  await expect(page.getByText('No stop is enough: the miss reaches the lens.')).toBeVisible();
});

test('an object to focus on instead is found and used; how a mark is taped, and its question, are kept', async ({
  heron,
  page,
}) => {
  const { shotId } = await heron.openCopy('12A', 'floor');
  await page.getByTestId('floor-mark-B').focus();
  const sand = page.getByTestId('focus-references').getByRole('button', { name: /sand box/ });
  await expect(sand).toContainText('sharp at the mark');
  await expect(page.getByTestId('focus-references').getByRole('button', { name: /^gate post 5/ })).toContainText(
    'soft at the mark',
  );
  await sand.click();
  await expect(sand).toHaveAttribute('aria-pressed', 'true');
  await page.getByText('Tape mark, and what to ask the performer for').click();
  await page.getByRole('button', { name: 'yellow tape' }).click();
  await page.getByLabel('ask for').fill('cart here, bell to the lens');
  await page.keyboard.press('Enter');
  await page.getByLabel('hard stop on the wheel here').check();
  await heron.expectSaved();
  const { plan } = await heron.api<{ plan: { marks: Record<string, unknown>[] } }>('get', `shots/${shotId}`);
  expect(plan.marks[1]).toMatchObject({
    focusReferenceId: 'landmark-3',
    tapeColour: 'yellow',
    pose: 'cart here, bell to the lens',
    hasHardStop: true,
  });
  await page.getByRole('link', { name: /Set-up/ }).click();
  await expect(page.getByText(/Hard stops are planned at B/)).toBeVisible();
});

test('a blocking move shows its figures before it is added; it becomes ordinary keys, and one undo takes it back', async ({
  heron,
  page,
}) => {
  await heron.openCopy('9C', 'setup');
  await page.getByRole('link', { name: /Floor/ }).click();
  await page.getByRole('button', { name: 'Draw the set' }).click();
  await page.keyboard.press('m');
  await page.getByRole('button', { name: /^Push in or pull back/ }).click();
  const panel = page.getByRole('complementary', { name: 'Push in or pull back' });
  await expect(panel).toContainText('not in the plan yet');
  await expect(panel).toContainText('a spotter and a cleared path');
  await expect(panel.getByTestId('move-figures')).toContainText('sharp for');
  const figure = (word: string) =>
    panel.getByTestId('move-figures').locator('div').filter({ hasText: word }).locator('dd').first();
  await panel.getByLabel('distance at the end').fill('1.5');
  await page.keyboard.press('Enter');
  await expect(figure('path of the camera')).toHaveText('1.60 m');
  await panel.getByLabel('time of the move').fill('2');
  await page.keyboard.press('Enter');
  await expect(figure('mean speed')).toHaveText('0.80 m/s');
  await expect(page.getByTestId('floor-camera-2')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo: draw the set' })).toBeEnabled();
  await panel.getByRole('button', { name: 'Add to the plan' }).click();
  await expect(page.getByRole('button', { name: 'Undo: blocking move: Push in or pull back' })).toBeEnabled();
  // an ordinary camera key: it can be dragged
  const distance = page.getByTestId('floor-mark-distance').first();
  await expect(distance).toHaveText('3.10');
  await heron.drag(page.getByTestId('floor-camera-2'), 0, 60);
  await expect(page.getByRole('button', { name: 'Undo: move the camera' })).toBeEnabled();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('floor-camera-2')).toHaveCount(0);
});

test('two runs are tapped; their means become the times, and their spread the uncertainty', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('12A', 'floor');
  await page.getByRole('button', { name: 'Rehearse' }).click();
  const tap = page.getByTestId('rehearsal-tap');
  const clock = page.getByTestId('rehearsal-time');
  for (const leavesS of [0.5, 0.9]) {
    await page.keyboard.press('r');
    await expect(tap).toContainText('Hand cart leaves A');
    await expect.poll(() => shownTime(clock)).toBeGreaterThanOrEqual(leavesS);
    await page.keyboard.press('r');
    await expect(tap).toContainText('Hand cart comes to B');
    await expect.poll(() => shownTime(clock)).toBeGreaterThanOrEqual(leavesS + 0.7);
    await tap.click();
    await expect(tap).toContainText('start the clock');
  }
  await expect(page.getByText('Planned, and the average of 2 runs')).toBeVisible();
  // what the times would change is shown before they are used
  const side = page.getByRole('complementary', { name: 'Rehearse' });
  await expect(side.getByText('Now:')).toBeVisible();
  await expect(side.getByText('With these times:')).toBeVisible();
  await expect(side.getByRole('list', { name: 'Changes by these times' })).toContainText(/the length: 10\.0 s → \d\.\d s/);
  await page.getByRole('button', { name: 'Use these times' }).click();
  await expect(page.getByText('The plan has these times.')).toBeVisible();
  await heron.expectSaved();
  const { plan } = await heron.api<{
    plan: {
      rehearsals: { taps: { timeS: number }[] }[];
      subjects: { timingSigmaS: number; stays: { fromS: number; untilS: number }[] }[];
    };
  }>('get', `shots/${shotId}`);
  expect(plan.rehearsals).toHaveLength(2);
  const [cart] = plan.subjects;
  const mean = (tap: number) => plan.rehearsals.reduce((sum, { taps }) => sum + taps[tap]!.timeS, 0) / 2;
  expect(cart!.stays[0]!.untilS).toBeCloseTo(mean(0), 6);
  expect(cart!.stays[1]!.fromS).toBeCloseTo(mean(1), 6);
  expect(cart!.timingSigmaS).toBeGreaterThan(0.01);
  expect(cart!.timingSigmaS).not.toBe(0.2);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Undo: a rehearsal run' })).toBeEnabled();
});

test('entrances and exits are shown, and sideways movement is told from movement in depth', async ({ heron, page }) => {
  await heron.openCopy('12A', 'floor');
  await page.getByTestId('floor-mark-A').focus();
  for (let k = 0; k < 5; k++) await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByText(/Hand cart enters at \d\.\d s/)).toBeAttached();
  const sentence = page.getByTestId('floor-sentence');
  await expect(sentence).toContainText('Out of frame, to the left.');
  await page.keyboard.press('Escape');
  await page.getByRole('slider', { name: 'Playhead' }).focus();
  for (let k = 0; k < 90; k++) await page.keyboard.press('ArrowRight');
  await expect(sentence).toContainText(/a second nearer, .* a second to the right: the ring must turn/);
});

test('tape and drawing disagree: the page says what that would cost', async ({ heron, page }) => {
  await markB(heron);
  await page.getByTestId('floor-mark-B').focus();
  for (let k = 0; k < 12; k++) await page.keyboard.press('ArrowLeft');
  const panel = page.getByRole('region', { name: 'Mark B' });
  await expect(panel).toContainText('stale: moved in the drawing, now 1.40 m');
  // on every step, until somebody measures again, keeps the tape or goes by the drawing
  for (const step of ['Pull', 'Stop', 'Roll', 'Set-up', 'Floor']) {
    await page.getByRole('link', { name: new RegExp(`^${step}`) }).click();
    await expect(page.getByLabel('Stale distances')).toContainText('B stale');
  }
  await page.getByRole('button', { name: 'Select mark B' }).click();
  await panel.getByRole('button', { name: 'Keep 2.60 m' }).click();
  await expect(page.getByLabel('Stale distances')).toHaveCount(0);
  await expect(panel).toContainText(/drawn 1\.40 m, taped 2\.60 m: the tape counts, difference 1\.20 m\./);
  await expect(panel).toContainText(/If the drawing is right, \d\.\d s more are soft: tape again\./);
  await panel.getByRole('button', { name: 'Draw it where it was taped' }).click();
  await expect(panel).not.toContainText('the tape counts');
  await expect(page.getByTestId('mark-distance')).toHaveValue('2.60');
  await page.keyboard.press('Control+z');
  await panel.getByRole('button', { name: 'Use the drawn distance' }).click();
  await expect(page.getByTestId('mark-distance')).toHaveValue('1.40');
  // a drawn distance that is typed moves the mark; a tape is typed beside it
  await page.getByTestId('mark-distance').fill('1.9');
  await page.keyboard.press('Enter');
  await expect(panel).toContainText('drawn distance');
  await page.getByTestId('mark-tape').fill('1.95');
  await page.keyboard.press('Enter');
  await expect(panel).toContainText('drawn 1.90 m, taped 1.95 m: the tape counts');
});
