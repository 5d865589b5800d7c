import {
  addSubject,
  chooseLens,
  conjugates,
  defaultLens,
  newPlan,
  setReading,
  type KitLens,
  type ShotPlan,
} from '@still-heron/core';
import { expect, type Heron, test } from './heron';

/** In truth this ring is at 12° at infinity and turns 55° for each mm of extension; nobody has measured that. */
const photoLens = defaultLens({ name: 'Photo 50', focalLengthMm: 50, closeFocusMm: 600 });
const trueDeg = (distanceMm: number) => Math.round(12 + 55 * conjugates(50, distanceMm).extensionMm);
const kitLens: KitLens = { lens: photoLens, isHired: false, holdTestedOn: '', holdTestedBy: '', notes: '' };

/** Five people: A, C and E are taped; B and D stand somewhere. */
const stoodAt = [900, 1400, 2100, 3200, 5000];
const fivePeople = (lensId: string): ShotPlan =>
  stoodAt.reduce(
    (plan, mm, index) => addSubject(plan, { name: `Person ${index + 1}`, distanceMm: index % 2 === 0 ? mm : 1000 }),
    chooseLens(newPlan(), lensId, photoLens),
  );

async function openShot(heron: Heron, plan: (lensId: string) => ShotPlan) {
  const { id: lensId } = await heron.api<{ id: string }>('post', 'kit/lenses', { item: kitLens });
  const productionId = await heron.newProduction('Readings');
  const { id } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Five marks on a photo lens',
    plan: plan(lensId),
  });
  await heron.open(`/shots/${id}/pull`);
  await expect(heron.page.getByTestId('mark-E')).toBeVisible();
  return { id, lensId };
}

const storedPlan = async (heron: Heron, id: string) => (await heron.api<{ plan: ShotPlan }>('get', `shots/${id}`)).plan;

test('five readings and three tapes make the scale of a ring, in the shot and in Kit', async ({ heron, page }) => {
  const { id, lensId } = await openShot(heron, fivePeople);
  const field = page.getByTestId('ring-reading');
  for (const [index, letter] of ['A', 'B', 'C', 'D', 'E'].entries()) {
    // by pointer and by keyboard in turn
    const mark = page.getByRole('button', { name: `Select mark ${letter},` });
    if (index % 2 === 0) await mark.click();
    else await mark.press('Enter');
    await expect(page.getByRole('region', { name: `Mark ${letter}`, exact: true })).toBeVisible();
    await field.fill(String(trueDeg(stoodAt[index]!)));
    await field.press('Enter');
    const says = page.getByTestId('reading-says');
    await expect(says).toContainText('by an assumed ring');
    if (index % 2 === 1) await says.getByRole('button', { name: 'Nobody taped it' }).click();
  }
  await expect(page.getByTestId('mark-B')).not.toHaveValue('1.40');
  const scale = page.getByTestId('ring-scale');
  await expect(scale).toContainText('A, C and E were read and measured, so they would make the ring’s scale.');
  await scale.getByRole('button', { name: 'Use it for Photo 50 in Kit' }).click();
  await expect(scale).toContainText('Photo 50 has this scale in Kit now.');
  await expect(page.getByTestId('mark-B')).toHaveValue('1.40');
  // readings of whole degrees tell 3.2 m to a few centimetres
  await expect(page.getByTestId('mark-D')).toHaveValue(/^3\.[12]/);
  await heron.expectSaved();
  expect((await storedPlan(heron, id)).optics.lens.ring.kind).toBe('fitted');
  expect((await heron.api<{ item: KitLens }>('get', `kit/lenses/${lensId}`)).item.lens.ring.kind).toBe('fitted');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('mark-B')).not.toHaveValue('1.40');
});

test('a reading off the ring is refused, and G takes what a wheel at the port sends', async ({ heron, page }) => {
  const { id } = await openShot(heron, fivePeople);
  await page.getByRole('button', { name: 'Select mark B,' }).click();
  const card = page.getByTestId('ring-reading-card');
  const field = page.getByTestId('ring-reading');
  await field.fill('281');
  await field.press('Enter');
  await expect(card).toContainText('281° is off the ring. Type 0° to 280°.');
  await field.press('Escape');
  await page.getByRole('button', { name: 'Select mark A,' }).click();
  await page.getByRole('button', { name: 'Take from wheel or motor' }).click();
  await expect(card.getByRole('alert')).toContainText('No wheel or motor has sent its angle yet.');
  await page.evaluate(
    (address) => {
      const device = new WebSocket(address);
      const turned = JSON.stringify({ kind: 'wheel', device: 'wheel on the arm', ringDeg: 97.5 });
      device.onopen = () => setInterval(() => device.readyState === WebSocket.OPEN && device.send(turned), 50);
    },
    `${heron.server.address.replace('http', 'ws')}/api/devices`,
  );
  await expect(async () => {
    await page.keyboard.press('g');
    await expect(field).toHaveValue('97.5', { timeout: 200 });
  }).toPass();
  await heron.expectSaved();
  expect((await storedPlan(heron, id)).marks[0]!.reading).toEqual({ kind: 'ring', deg: 97.5 });
});

test('a strip on the barrel is read once its diameter is known; marks that contradict each other are named', async ({
  heron,
  page,
}) => {
  await openShot(heron, (lensId) => {
    const plan = ['mark-1', 'mark-2'].reduce(
      (now, mark, index) => setReading(now, mark, { kind: 'ring', deg: index === 0 ? 80 : 120 }),
      [2000, 2000].reduce(
        (now, distanceMm, index) => addSubject(now, { name: `Person ${index + 1}`, distanceMm }),
        chooseLens(newPlan(), lensId, photoLens),
      ),
    );
    return [3000, 4000, 5000].reduce((now, distanceMm) => addSubject(now, { name: `Far ${distanceMm}`, distanceMm }), plan);
  });
  await expect(page.getByTestId('ring-scale')).toContainText('B: two readings of the same distance are 80° and 120°.');
  await page.getByRole('button', { name: 'Select mark C,' }).click();
  await page.getByRole('combobox', { name: 'ring read in' }).click();
  await page.getByTitle('mm along a strip on the barrel').click();
  const field = page.getByTestId('ring-reading');
  await field.fill('30');
  await field.press('Enter');
  await expect(page.getByTestId('ring-reading-card')).toContainText('The diameter of the barrel is not known.');
  const diameter = page.getByLabel('diameter of the barrel under the strip');
  await diameter.fill('64');
  await diameter.press('Enter');
  await field.fill('30');
  await field.press('Enter');
  // 30 mm of a circle of 201 mm are 54° of the ring
  await expect(page.getByTestId('reading-says')).toContainText('30 mm along the strip');
  await expect(page.getByTestId('reading-says')).toContainText('ring 53.7°');
});

test('a lens with a scale of readings can be opened in Kit: a reading is corrected, and the scale follows', async ({
  heron,
  page,
}) => {
  const { lensId } = await openShot(heron, fivePeople);
  const points = [900, 2100, 5000].map((distanceMm) => ({ distanceMm, ringDeg: trueDeg(distanceMm) }));
  const ring = { kind: 'fitted' as const, atInfinityDeg: 12, degPerMm: 55, points };
  const { version } = await heron.api<{ version: number }>('get', `kit/lenses/${lensId}`);
  await heron.api('put', `kit/lenses/${lensId}`, { version, item: { ...kitLens, lens: { ...photoLens, ring } } });
  await heron.open(`/kit/lenses/${lensId}`);
  await page.getByRole('radio', { name: 'Scale of the ring' }).click();
  await expect(page.getByRole('heading', { name: 'Scale · 3 points' })).toBeVisible();
  const reading = page.getByTestId('point-reading-1');
  await reading.fill(String(Number(await reading.inputValue()) + 2));
  await reading.press('Enter');
  await expect(async () => {
    const { item } = await heron.api<{ item: KitLens }>('get', `kit/lenses/${lensId}`);
    expect(item.lens.ring).toMatchObject({ kind: 'fitted' });
    expect(item.lens.ring.kind === 'fitted' && item.lens.ring.atInfinityDeg).not.toBe(12);
    expect(item.lens.closeFocusMm).toBe(600);
  }).toPass();
});
