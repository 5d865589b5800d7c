import { expect, test } from './heron';

test.describe('from two tape measures to a verdict', () => {
  test('by pointer', async ({ heron, page }) => {
    await heron.open('/productions');
    await page.getByLabel('Working title').last().fill('Pointer film');
    await page.getByRole('button', { name: 'Create the production' }).click();
    await page.getByRole('button', { name: 'Make the first shot' }).click();

    // Set-up: camera, lens and stop
    await page.getByRole('combobox', { name: 'Camera', exact: true }).click();
    await page.keyboard.type('full frame, 16');
    await page.getByTitle('Full frame, 16:9 · 36 × 20.25').last().click();
    await page.getByTestId('focal-length').fill('75');
    await page.getByTestId('widest-stop').fill('2');
    await page.getByTestId('widest-stop').blur();
    const knob = page.getByRole('slider', { name: 'Stop', exact: true });
    await heron.drag(knob, -30, 0);
    await expect(knob).not.toHaveAttribute('aria-valuetext', 'T3.2');
    const stop = await knob.getAttribute('aria-valuetext');

    // Pull: two distances and a pull between them
    await page.getByRole('link', { name: /Pull/ }).click();
    await page.getByLabel('name').fill('Old Tam');
    await page.getByLabel('tape distance').fill('2.9');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(heron.verdict).toContainText('Sharp for all 10.0 s');
    await page.getByLabel('name').fill('Ines');
    await page.getByLabel('tape distance').fill("6'9");
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('button', { name: /^Pull to B/ }).click();
    await expect(heron.verdict).toContainText('Sharp for all');

    // move the pull later: Ines must be sharp from its previous landing
    await heron.drag(page.getByTestId('move-body-pull-1'), 150, 0);
    await expect(heron.verdict).toContainText(
      /Soft from \d\.\d s:\s*Ines is up to .* in front of the zone, because the pull to B starts only at/,
    );
    await expect(page.getByTestId('soft-span').first()).toBeVisible();
    const sentence = await heron.sentence();

    // everything is there after a reload
    await heron.expectSaved();
    await page.reload();
    await heron.expectSentence(sentence);
    await expect(page.getByTestId('mark-A')).toHaveValue('2.90');
    await expect(page.getByTestId('mark-B')).toHaveValue('2.06');
    await page.getByRole('link', { name: /Set-up/ }).click();
    await expect(page.getByTestId('focal-length')).toHaveValue('75');
    await expect(page.getByRole('slider', { name: 'Stop', exact: true })).toHaveAttribute('aria-valuetext', stop!);
    await expect(page.getByText('Full frame, 16:9 · 36 × 20.25')).toBeVisible();
  });

  test('by keyboard alone', async ({ heron, page }) => {
    const { keyboard } = page;
    const tabTo = async (name: RegExp | string) => {
      for (let presses = 0; presses < 60; presses++) {
        await keyboard.press('Tab');
        const label = await page.evaluate(() => {
          const element = document.activeElement as HTMLInputElement | null;
          return element?.getAttribute('aria-label') ?? element?.labels?.[0]?.textContent ?? element?.textContent ?? '';
        });
        if (typeof name === 'string' ? label === name : name.test(label)) return;
      }
      throw new Error(`Tab never came to ${name}`);
    };
    await heron.open('/productions');
    await expect(page.getByLabel('Working title').last()).toBeFocused();
    await keyboard.type('Keyboard film');
    await keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'No shots yet.' })).toBeVisible();
    await keyboard.press('n');

    await expect(page.getByTestId('focus-tried')).toBeVisible();
    await tabTo('Stop');
    await keyboard.press('ArrowRight');
    await expect(page.getByRole('slider', { name: 'Stop', exact: true })).toHaveAttribute('aria-valuetext', 'T3.5');
    await tabTo('focal length');
    await keyboard.type('75');
    await keyboard.press('Enter');
    await keyboard.press('Tab');
    await expect(page.getByTestId('focal-length')).toHaveValue('75');
    await page.locator('body').press('Escape');
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await keyboard.press('3');

    await expect(page.getByRole('heading', { name: 'Who must be sharp first?' })).toBeVisible();
    await keyboard.type('Old Tam');
    await keyboard.press('Tab');
    await keyboard.type('2.9');
    await keyboard.press('Enter');
    await expect(heron.verdict).toContainText('Sharp for all 10.0 s');
    await keyboard.press('n');
    await keyboard.type('Ines');
    await keyboard.press('Tab');
    await keyboard.type('205cm');
    await keyboard.press('Enter');
    await expect(page.getByTestId('mark-B')).toHaveValue('2.05');
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await keyboard.press('p');
    const landing = page.getByTestId('move-end-pull-1');
    await expect(landing).toBeVisible();
    await tabTo(/^Landing of the pull to B/);
    for (let press = 0; press < 3; press++) await keyboard.press('Shift+ArrowRight');
    await expect(heron.verdict).toContainText(/Soft from .* while the pull to B is under way/);
    // the first press predicts the result: wait until its verdict is saved
    await heron.expectSaved();
    const sentence = await heron.sentence();
    await page.reload();
    await heron.expectSentence(sentence);
  });
});

test('a wrong distance names one that is accepted, and nothing is lost', async ({ heron, page }) => {
  await heron.openCopy('9C');
  const field = page.getByTestId('mark-A');
  for (const [typed, said] of [
    ['nearish', "“nearish” can't be read as a distance. Type a distance such as 2.4, 240cm, 7'11\", 95in or inf."],
    ["7'12", 'has twelve inches or more after the feet. Type inches below 12, or inches alone such as 95in.'],
    ['0', 'A distance of 0 is at the image plane. Type a distance above 0.'],
    ['0.001', 'is closer than a tape can measure. Type 0.020 m or more.'],
  ] as const) {
    await field.fill(typed);
    await field.press('Enter');
    await expect(page.getByRole('alert')).toContainText(said);
    await expect(field).toHaveValue(typed);
    await expect(field).toHaveAttribute('aria-invalid', 'true');
  }
  await field.press('Escape');
  await expect(field).toHaveValue('3.10');
  await field.fill('inf');
  await field.press('Enter');
  await expect(field).toHaveValue('∞');
});
