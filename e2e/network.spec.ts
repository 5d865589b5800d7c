import type { Browser, Page } from '@playwright/test';
import { expect, test } from './heron';

/** A phone in the same network. It has accepted the server's own certificate. */
async function phone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, ignoreHTTPSErrors: true });
  return context.newPage();
}

/** Opens the server on its own page. @returns the address and the code that it shows */
async function open(page: Page): Promise<{ address: string; code: string }> {
  await page.getByRole('button', { name: 'Open to the network' }).click();
  await expect(page.getByTestId('network-sentence')).toContainText('Still Heron is open to your network.');
  const code = (await page.getByTestId('crew-code').textContent())!;
  const address = (await page.getByRole('list', { name: 'Addresses' }).getByRole('listitem').first().textContent())!.trim();
  await expect(page.getByRole('img', { name: `QR code of ${address} with the crew code` })).toBeVisible();
  return { address, code };
}

async function give(device: Page, code: string): Promise<void> {
  const field = device.getByRole('textbox', { name: 'Crew code' });
  await field.fill(code);
  await field.press('Enter');
}

for (const around of [test.beforeEach, test.afterEach]) around(({ heron }) => heron.api('post', 'network/close'));

test('opened by one press, a phone comes in with the code, rolls along, and keeps its edits through a new code', async ({
  heron,
  page,
  browser,
}) => {
  const { shotId } = await heron.openCopy('9C');
  await heron.open('/devices');
  await expect(page.getByTestId('network-sentence')).toHaveText('Only this machine can use Still Heron.');
  const { address, code } = await open(page);

  const tablet = await phone(browser);
  await tablet.goto(`${address}/shots/${shotId}/pull`);
  await expect(tablet.getByRole('heading', { name: 'This device needs the crew code.' })).toBeVisible();
  await give(tablet, 'ABCD-EFGH');
  await expect(tablet.getByRole('alert')).toContainText('This is not the crew code.');
  await give(tablet, code.toLowerCase().replace('-', ''));
  await expect(tablet.getByTestId('verdict')).toBeVisible();

  // a live connection over the network
  await heron.open(`/shots/${shotId}/roll`);
  await tablet.goto(`${address}/shots/${shotId}/roll`);
  await expect(page.getByTestId('line-state')).toContainText('clocks within');
  await tablet.getByRole('button', { name: /^Roll/ }).click();
  await expect(page.getByTestId('roll-phase')).toHaveText('Rolling');

  // a new code turns the tablet out; what it does meanwhile is not lost
  await page.goto(`${heron.server.address}/devices`);
  await page.getByRole('button', { name: 'Change the code' }).click();
  await expect(page.getByTestId('crew-code')).not.toHaveText(code);
  const newCode = (await page.getByTestId('crew-code').textContent())!;
  await expect(tablet.getByText('This device needs the crew code.')).toBeVisible();
  await expect(tablet.getByTestId('roll-phase')).toBeVisible();
  await tablet.goto(`${address}/shots/${shotId}/pull`);
  await give(tablet, code);
  await expect(tablet.getByRole('alert')).toContainText('This is not the crew code.');
  await give(tablet, newCode);
  await tablet.getByTestId('mark-B').fill('4.4');
  await expect(tablet.getByTestId('verdict')).toBeVisible();
  await page.getByRole('button', { name: 'Change the code' }).click();
  await expect(page.getByTestId('crew-code')).not.toHaveText(newCode);
  await tablet.getByTestId('mark-B').press('Enter');
  await give(tablet, (await page.getByTestId('crew-code').textContent())!);
  await expect
    .poll(
      async () =>
        (await heron.api<{ plan: { marks: { distanceMm: number }[] } }>('get', `shots/${shotId}`)).plan.marks[1]!.distanceMm,
    )
    .toBe(4400);
  await tablet.context().close();
});

test('a scanned code lets a device in at once and does not stay in its address; closing turns it out', async ({
  heron,
  page,
  browser,
}) => {
  await heron.open('/devices');
  const { address, code } = await open(page);
  const device = await phone(browser);
  await device.goto(`${address}/productions#crew-code=${code}`);
  await expect(device.getByRole('heading', { name: 'New production' })).toBeVisible();
  expect(device.url()).toBe(`${address}/productions`);
  await device.goto(`${address}/devices`);
  await expect(device.getByTestId('crew-code')).toHaveText(code);
  await expect(device.getByText('Only the machine that runs Still Heron can change the code')).toBeVisible();
  await expect(device.getByRole('button', { name: 'Change the code' })).toHaveCount(0);
  // by keyboard
  await page.getByRole('button', { name: 'Close to the network' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('network-sentence')).toHaveText('Only this machine can use Still Heron.');
  await device.reload().catch(() => null);
  await expect(device.getByTestId('crew-code')).toHaveCount(0);
  await device.context().close();
});
