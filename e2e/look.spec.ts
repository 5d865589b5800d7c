import AxeBuilder from '@axe-core/playwright';
import { newTake, type ShotPlan } from '@still-heron/core';
import type { Page } from '@playwright/test';
import { expect, type Heron, test } from './heron';

/** A screen, opened from the one before it in its test. */
interface Screen {
  readonly name: string;
  readonly open: (heron: Heron) => Promise<unknown>;
}

/** Screens that are opened one after the other in the same page: loading it takes longer than looking at it. */
const SCREENS: Readonly<Record<string, readonly Screen[]>> = {
  'productions and devices': [
    { name: 'productions', open: (heron) => heron.open('/productions') },
    {
      name: 'backups',
      open: async (heron) => {
        await heron.goTo('/backups');
        await expect(heron.page.getByTestId('backup-sentence')).toBeVisible();
      },
    },
    {
      name: 'other devices',
      open: async (heron) => {
        await heron.api('post', 'network/open');
        await heron.goTo('/devices');
        await expect(heron.page.getByTestId('crew-code')).toBeVisible();
      },
    },
    {
      name: 'the question for the crew code',
      open: async (heron) => {
        await heron.page.route('**/api/productions', (route) =>
          route.fulfill({ status: 401, json: { code: 'needs-crew-code' } }),
        );
        await heron.open('/productions');
        await expect(heron.page.getByRole('textbox', { name: 'Crew code' })).toBeVisible();
      },
    },
  ],
  'shots and the log': [
    {
      name: 'shots',
      open: async (heron) => {
        const productions = await heron.api<{ id: string; name: string }[]>('get', 'productions');
        await heron.open(`/productions/${productions.find(({ name }) => name === 'The Bell Foundry')!.id}/shots`);
        await expect(heron.page.getByTestId('shot-state').first()).toBeVisible();
      },
    },
    {
      name: 'the log and a take',
      open: async (heron) => {
        const { shotId, productionId } = await heron.openCopy('9C');
        const { plan } = await heron.api<{ plan: ShotPlan }>('get', `shots/${shotId}`);
        const take = { ...newTake(plan, 1), focus: 'sharp', predictedKeepRate: 0.4 };
        await heron.api('post', `shots/${shotId}/takes`, { rolledAt: '2026-03-01T10:00:00.000Z', take });
        await heron.goTo(`/productions/${productionId}/takes`);
        await expect(heron.page.getByTestId('log-sentence')).toBeVisible();
      },
    },
    {
      name: 'pull before the first distance',
      open: async (heron) => {
        const productionId = await heron.newProduction('Empty film');
        await heron.goTo(`/productions/${productionId}/shots`);
        await heron.page.getByRole('button', { name: 'Make the first shot' }).click();
        await heron.page.getByRole('link', { name: /Pull/ }).click();
        await expect(heron.page.getByRole('heading', { name: 'Who must be sharp first?' })).toBeVisible();
      },
    },
  ],
  'pull and roll': [
    { name: 'pull', open: (heron) => heron.openCopy('4B') },
    { name: 'pull with a move selected', open: (heron) => heron.page.getByTestId('move-start-pull-1').click() },
    {
      name: 'roll',
      open: async (heron) => {
        await heron.page.keyboard.press('6');
        await expect(heron.page.getByTestId('roll-now')).toBeVisible();
      },
    },
    {
      name: 'roll, while it waits for its cue',
      open: async (heron) => {
        await heron.openCopy('14A');
        await heron.page.evaluate(() =>
          localStorage.setItem('still-heron.roll', '{"countInS":0,"turnedBy":"wheel","hasSound":false}'),
        );
        await heron.page.keyboard.press('6');
        await expect(heron.page.getByTestId('roll-now')).toBeVisible();
        await heron.page.keyboard.press('Space');
        await expect(heron.page.getByTestId('roll-when')).toHaveText('waits');
      },
    },
  ],
  'set-up': ['Set-up', 'Depth', 'Table', 'Solve', 'Light'].map((view) => ({
    name: view,
    open: (heron) =>
      view === 'Set-up' ? heron.openCopy('9A', 'setup') : heron.page.getByRole('radio', { name: view, exact: true }).click(),
  })),
  stop: ['What would help most', 'Goals and schedule'].map((fold, index) => ({
    name: fold,
    open: async (heron: Heron) => {
      if (index === 0) await heron.openCopy('9C', 'stop');
      const button = heron.page.getByRole('button', { name: fold, exact: true });
      if ((await button.getAttribute('aria-expanded')) === 'false') await button.click();
      await expect(heron.page.locator('[data-testid=drawn][data-done=true]')).toBeAttached({ timeout: 30_000 });
    },
  })),
  kit: [
    { name: 'lenses', open: (heron) => heron.open('/kit/lenses') },
    ...['cameras', 'wheels', 'rigs', 'calculator'].map((place) => ({
      name: place,
      open: async (heron: Heron) => {
        await heron.goTo(`/kit/${place}`);
        await expect(heron.page.getByTestId('surface')).toBeVisible();
      },
    })),
    {
      name: 'the scale of a ring',
      open: async (heron) => {
        await heron.goTo('/kit/lenses');
        await heron.page.getByRole('link', { name: /^65 mm/ }).click();
        await heron.page.getByRole('radio', { name: 'Scale of the ring' }).click();
      },
    },
  ],
  floor: [
    {
      name: 'a mark that is held',
      open: async (heron) => {
        await heron.openCopy('4B', 'setup');
        await heron.page.getByRole('link', { name: /Floor/ }).click();
        await heron.page.getByRole('button', { name: 'Draw the set' }).click();
        await heron.page.getByTestId('floor-mark-D').focus();
      },
    },
    {
      name: 'everything held',
      open: async (heron) => {
        await heron.openCopy('12A', 'floor');
        await heron.page.keyboard.press('Control+a');
        await expect(heron.page.getByText('7 items selected')).toBeVisible();
      },
    },
    {
      name: 'a move people make',
      open: async (heron) => {
        await heron.page.keyboard.press('Escape');
        await heron.page.keyboard.press('m');
        await heron.page.getByRole('button', { name: /^Slide out/ }).click();
      },
    },
    {
      name: 'rehearse',
      open: async (heron) => {
        await heron.page.reload();
        await heron.page.getByRole('button', { name: 'Rehearse' }).click();
      },
    },
  ],
};

// tests of different pages can run in parallel
test.describe.configure({ mode: 'parallel' });

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'];

/** Accessibility violations found by axe; in the second light only those that depend on colours. */
async function seriousFaults(page: Page, isSecond: boolean): Promise<string[]> {
  const runOnly = isSecond ? ['color-contrast'] : RULES;
  // there are no frames, and passes are not needed
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'], runOnly });
  const { violations } = await axe.analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join('; ')}`);
}

for (const [group, screens] of Object.entries(SCREENS)) {
  test(`${group}: no serious fault in either light`, async ({ heron, page }) => {
    for (const { name, open } of screens) {
      await test.step(name, async () => {
        await open(heron);
        for (const light of ['Noon', 'Dusk']) {
          await page.getByRole('radio', { name: light }).click();
          await expect(page.locator('html')).toHaveAttribute('data-light', light.toLowerCase());
          expect.soft(await seriousFaults(page, light === 'Dusk'), `${name}, ${light}`).toEqual([]);
        }
      });
    }
  });
}

test('the light is remembered, and the keys of a screen are shown by a key', async ({ heron, page }) => {
  await heron.openCopy('9C');
  await page.getByRole('radio', { name: 'Noon' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-light', 'noon');
  await expect(heron.verdict).toBeVisible();
  await page.keyboard.press('?');
  const keys = page.getByRole('complementary', { name: 'Keys of this screen' });
  await expect(keys).toContainText('play or pause');
  await keys.press('Escape');
  await expect(keys).toHaveCount(0);
  await page.keyboard.press('1');
  await expect(page.getByTestId('focus-tried')).toBeVisible();
  await page.keyboard.press('0');
  await expect(page).toHaveURL(/\/shots$/);
});

test('fonts ship with the page, and nothing is requested from any other host', async ({ heron, page, server }) => {
  const hosts = new Set<string>();
  page.on('request', (request) => hosts.add(new URL(request.url()).origin));
  await heron.openCopy('9C');
  await page.evaluate(() => document.fonts.ready);
  const fonts = await page.evaluate(() =>
    [...document.fonts].filter(({ status }) => status === 'loaded').map(({ family }) => family.replaceAll('"', '')),
  );
  expect(new Set(fonts)).toEqual(new Set(['Atkinson Hyperlegible Next', 'Atkinson Hyperlegible Mono']));
  expect([...hosts]).toEqual([server.address]);
});

test('long names do not break the screens', async ({ heron, page }) => {
  const { shotId } = await heron.openCopy('4B');
  const long = 'Wilhelmina Featherstonehaugh-Cholmondeley, third apprentice at the great furnace';
  await page.getByRole('button', { name: 'Select mark A, Old Tam' }).click();
  await page.getByLabel('name').first().fill(long);
  await page.getByLabel('name').first().press('Enter');
  await page.getByLabel('Title').fill(`${long} ${long}`.slice(0, 120));
  await page.getByLabel('Title').press('Enter');
  await heron.expectSaved();
  for (const step of ['pull', 'setup']) {
    await heron.open(`/shots/${shotId}/${step}`);
    await expect(page.getByTestId(step === 'pull' ? 'verdict' : 'sentence')).toBeVisible();
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(overflow).toBe(0);
    await expect(page.getByRole('radio', { name: 'Noon' })).toBeInViewport({ ratio: 1 });
  }
});
