import { addPull, addStay, addSubject, changePull, changeStay, newPlan, setDuration, type ShotPlan } from '@still-heron/core';
import type { Page } from '@playwright/test';
import { expect, type Heron, shownTime, test } from './heron';

interface Logged {
  readonly id: string;
  readonly number: number;
  readonly hasTrack: boolean;
  readonly take: {
    readonly durationS: number;
    readonly isCutShort: boolean;
    readonly isCircled: boolean;
    readonly focus: string | null;
    readonly cues: { readonly pullId: string; readonly timeS: number }[];
    readonly hits: { readonly pullId: string; readonly hit: string; readonly lateS: number | null }[];
    readonly findings: readonly object[];
    readonly focusChecks: readonly object[];
    readonly startTimecode: string;
    readonly track: string | null;
  };
}

/** Four seconds, two people, and one pull after a second and a half. */
function shortPlan(changes: Parameters<typeof changePull>[2] = {}): ShotPlan {
  let plan = setDuration(newPlan(), 4);
  plan = addSubject(plan, { name: 'Old Tam', distanceMm: 2900 });
  plan = addSubject(plan, { name: 'Ines', distanceMm: 2050 });
  plan = addPull(plan, 'mark-2', 1.5);
  return changePull(plan, 'pull-1', { startS: 1.5, durationS: 0.8, countInS: 0.5, ...changes });
}

/** Creates a shot and opens it on Roll, without count-in. */
async function openRoll(heron: Heron, page: Page, plan = shortPlan(), options: object = {}) {
  const productionId = await heron.newProduction('Roll');
  const shot = { scene: '4', slate: '4Z', title: 'Quick pull', plan };
  const { id: shotId } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, shot);
  const stored = JSON.stringify({ countInS: 0, hasSound: false, vibrates: false, turnedBy: 'wheel', ...options });
  await page.addInitScript((value) => localStorage.setItem('still-heron.roll', value), stored);
  await heron.open(`/shots/${shotId}/roll`);
  await expect(page.getByTestId('roll-next')).toContainText('2.05');
  return { shotId, productionId, takes: () => heron.api<Logged[]>('get', `shots/${shotId}/takes`) };
}

const phase = (page: Page) => page.getByTestId('roll-phase');

/** Waits until the roll shows a time. */
const untilRoll = (page: Page, timeS: number) =>
  expect.poll(() => shownTime(page.getByTestId('roll-time')), { intervals: [50] }).toBeGreaterThanOrEqual(timeS);

/** Turns the simulated wheel to the second mark by keys until the figure is right. */
async function turnToB(page: Page): Promise<void> {
  for (let press = 0; press < 80; press++) {
    const figure = Number(/\d+\.\d+/.exec((await page.getByTestId('roll-now').textContent()) ?? '')?.[0]);
    if (Math.abs(figure - 2.05) < 0.015) return;
    const towards = figure > 2.05 ? 'ArrowRight' : 'ArrowLeft';
    await page.keyboard.press(figure > 2.3 ? 'Shift+ArrowRight' : towards);
    // the figure is drawn a frame later
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  }
}

test('a whole set-up: rehearsed by taps, rolled with the simulated wheel, logged, corrected, rolled again, circled, reported', async ({
  heron,
  page,
}) => {
  test.setTimeout(120_000);
  const { shotId, productionId, takes } = await openRoll(heron, page);
  await page.getByRole('button', { name: /^Rehearse/ }).click();
  const tap = page.getByTestId('rehearsal-tap');
  await expect(tap).toContainText('run 1');
  await page.keyboard.press('r');
  await expect(tap).toContainText('the pull to B starts');
  await expect.poll(() => shownTime(page.getByTestId('rehearsal-time')), { intervals: [50] }).toBeGreaterThanOrEqual(1.4);
  await page.keyboard.press('r');
  await page.getByRole('button', { name: 'Use these times' }).click();
  await heron.expectSaved();
  await page.getByRole('button', { name: '← back to the roll' }).click();
  // roll with the pull a second late
  await expect(page.getByTestId('roll-next')).toContainText('B');
  await page.keyboard.press('Space');
  await expect(phase(page)).toHaveText('Rolling');
  await expect(page.getByTestId('roll-when')).toContainText('in ');
  await untilRoll(page, 2.3);
  await turnToB(page);
  await expect(page.getByText('End of the shot.')).toBeVisible();
  await page.keyboard.press('Space');
  const after = page.getByRole('region', { name: 'After the take' });
  await expect(after).toContainText('late at B by');
  await expect(after).toContainText(/Look first at (Old Tam|Ines), \d\d:\d\d:\d\d:\d\d\./);
  await expect(after.getByRole('heading', { name: 'Take 1' })).toBeVisible();
  await expect(page.getByTestId('back-to-start')).toHaveText(/^Back to A: .* (ring|wheel) \d+(\.\d)?°\.$/);
  // log it
  await after.getByRole('radiogroup', { name: 'Performance' }).getByRole('radio', { name: 'fair' }).click();
  await page.keyboard.press('t');
  await expect(after).toBeHidden();
  const [first] = await takes();
  expect(first).toMatchObject({
    number: 1,
    hasTrack: true,
    take: { isCutShort: false, hits: [{ said: null, measured: 'late' }], ringFrom: 'on-screen' },
  });
  expect(first!.take.hits[0]!.lateS).toBeGreaterThan(0.5);
  expect(first!.take.startTimecode).toMatch(/^\d\d:\d\d:\d\d:\d\d$/);
  // apply its correction with one key on the same page
  await page.keyboard.press('Space');
  await untilRoll(page, 0.6);
  await page.keyboard.press('Space');
  await expect(after).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'What to change' })).toContainText('late at B');
  await page.keyboard.press('x');
  await expect(page.getByRole('button', { name: /Undo: .*late at B/ })).toBeEnabled();
  // roll again with a motor that follows the plan
  await expect(after.getByRole('heading', { name: 'Take 2' })).toBeVisible();
  await page.keyboard.press('t');
  await expect(after).toBeHidden();
  await page.getByRole('radio', { name: /runs the focus track by itself/ }).click();
  await page.keyboard.press('Space');
  await expect(page.getByText('End of the shot.')).toBeVisible();
  await page.keyboard.press('Space');
  // the pull is hit; the plan itself now leaves Old Tam too early
  await expect(after.getByRole('radiogroup', { name: 'How B was hit' })).toBeVisible();
  await expect(after).toContainText('by its track hit');
  await after.getByRole('checkbox', { name: 'circled' }).check();
  await page.getByRole('button', { name: 'Log take 3 T' }).click();
  await expect(after).toBeHidden();
  expect((await takes())[2]).toMatchObject({
    number: 3,
    take: { isCircled: true, focus: null, hits: [{ said: null, measured: 'hit' }] },
  });
  // files for the editor
  await page.keyboard.press('7');
  await expect(page.getByRole('list', { name: 'Takes, the latest first' }).getByRole('listitem')).toHaveCount(3);
  await expect(page.getByTestId('go-again')).toContainText('Move on');
  const [report] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Report, PDF' }).click()]);
  expect(report.suggestedFilename()).toContain('4Z');
  const [timeline] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'OTIO' }).click()]);
  expect(timeline.suggestedFilename()).toMatch(/\.otio$/);
  await page.getByRole('button', { name: 'Check take 3' }).click();
  await expect(page.getByRole('img', { name: 'Plan and take over time' })).toBeVisible();
  expect(shotId).not.toBe(productionId);
});

test('two devices show the same roll; each sees the cues of the other, and either ends it', async ({ heron, page, browser }) => {
  const { shotId, takes } = await openRoll(heron, page, shortPlan({ trigger: 'look', cue: 'she looks up' }));
  const context = await browser.newContext();
  const operator = await context.newPage();
  await operator.goto(`${heron.server.address}/shots/${shotId}/roll`);
  await expect(page.getByTestId('line-state')).toContainText(/with a computer, clocks within \d+ ms/);
  const within = /within (\d+) ms/.exec((await page.getByTestId('line-state').textContent())!)![1];
  expect(Number(within)).toBeLessThan(20);
  await page.keyboard.press('Space');
  await expect(phase(operator)).toHaveText('Rolling');
  await expect(operator.getByText('from a computer')).toBeVisible();
  // both clocks agree within a frame or two
  const [here, there] = await Promise.all([page, operator].map((one) => one.getByTestId('roll-time').textContent()));
  expect(Math.abs(parseFloat(here!) - parseFloat(there!))).toBeLessThanOrEqual(0.21);
  await expect(page.getByTestId('roll-when')).toHaveText('waits');
  await operator.keyboard.press('c');
  await expect(page.getByTestId('roll-when')).not.toHaveText('waits');
  // the ring here is shown there
  await page.keyboard.press('Shift+ArrowRight');
  await expect(operator.getByTestId('roll-now')).not.toContainText('2.90');
  // what is seen there comes into the take here
  await operator.getByRole('group', { name: 'Seen just now' }).getByRole('button', { name: 'camera jumped' }).click();
  await operator.keyboard.down('w');
  await untilRoll(page, (await shownTime(page.getByTestId('roll-time'))) + 0.3);
  await operator.keyboard.up('w');
  // ending somebody else's take is asked once
  await operator.keyboard.press('Space');
  await expect(operator.getByRole('button', { name: /Yes, end the take of/ })).toBeVisible();
  await operator.getByRole('button', { name: 'Let it roll' }).click();
  await expect(phase(page)).toHaveText('Rolling');
  await operator.keyboard.press('Space');
  await operator.keyboard.press('Space');
  await expect(phase(page)).toHaveText('Ready');
  await expect.poll(async () => (await takes()).length).toBe(1);
  const [take] = await takes();
  expect(take!.take.cues).toMatchObject([{ pullId: 'pull-1' }]);
  expect(take!.take.cues[0]!.timeS).toBeGreaterThan(1.4);
  expect(take!.take.findings).toMatchObject([{ at: { kind: 'time' }, found: 'camera-jumped' }]);
  expect(take!.take.focusChecks).toHaveLength(1);
  // its list is the newest without a visit
  await operator.keyboard.press('7');
  await expect(operator.getByRole('list', { name: 'Takes, the latest first' }).getByRole('listitem')).toHaveCount(1);
  await context.close();
});

test('the server dies during a take: the take continues, and is complete when the server is back', async ({
  heron,
  page,
  server,
}) => {
  const { takes } = await openRoll(heron, page, shortPlan(), { turnedBy: 'motor-line' });
  await page.keyboard.press('Space');
  await expect(phase(page)).toHaveText('Rolling');
  await untilRoll(page, 0.7);
  await server.kill();
  await expect(page.getByTestId('line-state')).toContainText('the roll continues here');
  await expect(page.getByText('End of the shot.')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('The take is kept on this device')).toBeVisible();
  await server.start();
  await expect(page.getByRole('heading', { name: 'Take 1' })).toBeVisible({ timeout: 15_000 });
  const [take] = await takes();
  expect(take).toMatchObject({
    number: 1,
    hasTrack: true,
    take: { isCutShort: false, measured: { focus: 'sharp' }, hits: [{ measured: 'hit' }] },
  });
  expect(take!.take.durationS).toBeGreaterThan(3.9);
});

test('the page dies during a take: the recording is there at the next visit, marked as cut short', async ({ heron, page }) => {
  const { shotId, takes } = await openRoll(heron, page, shortPlan(), { turnedBy: 'motor-line' });
  await page.keyboard.press('Space');
  await expect(phase(page)).toHaveText('Rolling');
  await untilRoll(page, 1.5);
  // the page gets no warning before a crash
  const crash = page.waitForEvent('crash');
  await page.goto('chrome://crash').catch(() => null);
  await crash;
  const again = await page.context().newPage();
  // a recording counts as abandoned some seconds after its last sign of life; then a visit logs it
  await expect(async () => {
    await again.goto(`${heron.server.address}/shots/${shotId}/takes`);
    await expect(again.getByRole('list', { name: 'Takes, the latest first' })).toContainText('cut short', { timeout: 1500 });
  }).toPass();
  const [take] = await takes();
  expect(take).toMatchObject({ hasTrack: true, take: { isCutShort: true } });
  expect(take!.take.durationS).toBeGreaterThan(0.4);
});

test('the figures are large enough at a quarter of the size, and a phone can end the take', async ({ heron, page }) => {
  // the pull comes after all that is looked at, on a slow machine as well
  const plan = changePull(setDuration(shortPlan(), 90), 'pull-1', { startS: 80 });
  await openRoll(heron, page, plan);
  await page.keyboard.press('Space');
  await expect(phase(page)).toHaveText('Rolling');
  const size = (id: string) => page.getByTestId(id).evaluate((one) => parseFloat(getComputedStyle(one).fontSize));
  // text of at least eleven pixels is readable
  for (const id of ['roll-now', 'roll-next', 'roll-when']) expect((await size(id)) / 4).toBeGreaterThan(11);
  await page.setViewportSize({ width: 390, height: 844 });
  const end = page.getByRole('button', { name: /End the take/ });
  await expect(end).toBeInViewport();
  expect((await end.boundingBox())!.height).toBeGreaterThanOrEqual(44);
  await end.click();
  await expect(phase(page)).toHaveText('Ready');
});

test('slow practice is judged and not logged; only the next cue can be shown', async ({ heron, page }) => {
  const { takes } = await openRoll(heron, page, shortPlan(), { turnedBy: 'motor-line', view: 'alone' });
  await expect(page.getByTestId('roll-now'))
    .toBeHidden()
    .catch(() => null);
  // the steps above the speed move it down when they come
  await expect(page.getByRole('list', { name: 'Before the take' })).toBeVisible();
  await page.getByRole('radio', { name: 'practice' }).click();
  await page.getByRole('radio', { name: '50 %' }).click();
  await page.getByRole('button', { name: /Practise at 50 %/ }).click();
  await untilRoll(page, 0.1);
  const startedMs = Date.now();
  const fromS = await shownTime(page.getByTestId('roll-time'));
  await untilRoll(page, fromS + 0.8);
  // 0.8 s of the shot take 1.6 s; the two readings can be a frame or two apart
  expect(Date.now() - startedMs).toBeGreaterThan(1300);
  await page.keyboard.press('Space');
  await expect(page.getByText('Practice at 50 %: not a take.')).toBeVisible();
  expect(await takes()).toEqual([]);
});

test('while the action is tapped, the cues of the plan are given', async ({ heron, page }) => {
  await page.addInitScript(() => {
    const given: number[] = [];
    Object.assign(window, { given });
    navigator.vibrate = () => given.push(performance.now()) > 0;
  });
  await openRoll(heron, page, shortPlan(), { vibrates: true });
  await page.getByRole('button', { name: /^Rehearse/ }).click();
  const tap = page.getByTestId('rehearsal-tap');
  await expect(tap).toContainText('run 1');
  await page.keyboard.press('r');
  // three counts and the start of the pull at 1.5 s
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { given: number[] }).given.length), { timeout: 8000 })
    .toBeGreaterThanOrEqual(4);
  await page.keyboard.press('r');
  await expect(page.getByText('As planned')).toHaveCount(0);
});

test('one pull is practised again and again, each run beside the one before, and none is logged', async ({ heron, page }) => {
  test.setTimeout(60_000);
  const { takes } = await openRoll(heron, page, shortPlan(), { turnedBy: 'motor-line' });
  await page.getByRole('radio', { name: 'practice' }).click();
  await page.getByRole('radio', { name: 'to B, the hardest' }).click();
  await page.keyboard.press('Space');
  const last = page.getByRole('region', { name: 'The last run' });
  await expect(last).toContainText('To B: hit.', { timeout: 15_000 });
  await expect(last.getByRole('row', { name: /^B/ })).toContainText('direct');
  await expect(phase(page)).toHaveText(/Rolls in/);
  await expect(last).toContainText('before:', { timeout: 20_000 });
  await page.getByRole('button', { name: 'End the practice' }).click();
  await expect(page.getByText('Practice: not a take.')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /^Practise/ })).toBeVisible();
  expect(await takes()).toEqual([]);
});

test('an edit on one device is the plan of the next roll on every other', async ({ heron, page, browser }) => {
  const { shotId } = await openRoll(heron, page);
  const context = await browser.newContext();
  const second = await context.newPage();
  await second.goto(`${heron.server.address}/shots/${shotId}/roll`);
  await expect(second.getByTestId('roll-next')).toContainText('2.05');
  const shot = await heron.api<{ version: number; plan: ShotPlan }>('get', `shots/${shotId}`);
  const marks = shot.plan.marks.map((mark) => (mark.id === 'mark-2' ? { ...mark, distanceMm: 2400 } : mark));
  const document = { scene: '4', slate: '4Z', title: 'Quick pull', plan: { ...shot.plan, marks } };
  await heron.api('put', `shots/${shotId}`, { version: shot.version, ...document });
  for (const one of [page, second]) await expect(one.getByTestId('roll-next')).toContainText('2.40');
  await context.close();
});

test('a device at the port turns the ring, and receives the focus track', async ({ heron, page }) => {
  await openRoll(heron, page, shortPlan(), { turnedBy: 'port' });
  const told = page.evaluate(
    (address) =>
      new Promise<string>((done) => {
        const device = new WebSocket(address);
        (window as unknown as { device: WebSocket }).device = device;
        const turned = JSON.stringify({ kind: 'wheel', device: 'wheel on the arm', ringDeg: 100 });
        // like a real wheel it goes on reporting, so that a page that connects later hears it
        device.onopen = () => setInterval(() => device.readyState === WebSocket.OPEN && device.send(turned), 100);
        device.onmessage = ({ data }) => String(data).includes('drive') && done(String(data));
      }),
    `${heron.server.address.replace('http', 'ws')}/api/devices`,
  );
  await expect(page.getByTestId('roll-now')).not.toContainText('2.90');
  await page.keyboard.press('Space');
  expect(JSON.parse(await told)).toMatchObject({ kind: 'drive' });
  await page.keyboard.press('Space');
});

test('without a focus track the page says where to begin', async ({ heron, page }) => {
  const productionId = await heron.newProduction('Empty');
  const { id } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, {
    scene: '',
    slate: '1',
    title: '',
    plan: newPlan(),
  });
  await heron.open(`/shots/${id}/roll`);
  await expect(page.getByText('There is no focus track to roll yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Make one in Pull' }).click();
  await expect(page).toHaveURL(/\/pull$/);
});

test('where nobody pulls, Roll tells when the zone is entered, and how far it is', async ({ heron, page }) => {
  await heron.openCopy('12A');
  await page.keyboard.press('6');
  const zone = page.getByRole('region', { name: 'Zone' });
  await expect(zone).toContainText('Hand cart enters the zone');
  await expect(zone.getByTestId('roll-when')).toHaveText(/^in \d\.\d s$/);
  await expect(zone).toContainText('m behind it');
});

test('Roll tells the pace of a follow, what is focused on there, who comes in, and where autofocus is at risk', async ({
  heron,
  page,
}) => {
  const options = { countInS: 0, hasSound: false, vibrates: false, turnedBy: 'nobody', isClockTriggered: true };
  await page.addInitScript((value) => localStorage.setItem('still-heron.roll', value), JSON.stringify(options));
  await heron.openCopy('12C');
  await page.keyboard.press('6');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('roll-entrance')).toHaveText(/^Carter comes in from the right in \d\.\d s$/);
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('set before it focuses by itself');
  await expect(page.getByTestId('roll-risk')).toHaveText(/^At risk in \d\.\d s: Carter is nearer than Ines/);
  await page.keyboard.press('Space');
  // she walks from 6 m to 2 m, and the ring goes with her
  let plan = addSubject(setDuration(newPlan(), 6), { name: 'Ines', distanceMm: 6000 });
  plan = addStay(plan, 'subject-1', { distanceMm: 2000, fromS: 5 });
  plan = changeStay(plan, 'subject-1', 'stay-1', { untilS: 1 });
  plan = { ...plan, focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: 0 }, pulls: [] } };
  const productionId = await heron.newProduction('Follow');
  const shot = { scene: '4', slate: '4Y', title: 'She comes nearer', plan };
  const { id } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, shot);
  await heron.open(`/shots/${id}/roll`);
  await expect(page.getByTestId('roll-pace')).toHaveText(/^0°\/s nearer, fastest \d+°\/s in \d\.\d s$/);
  await expect(page.getByRole('region', { name: 'Now' })).toContainText('near eye');
  await expect(page.getByRole('checkbox', { name: /ticks at the pace/ })).toHaveCount(0);
});
