import { addPull, addSubjectAt, defaultLens, newPlan, setDuration, setLens, type ShotPlan, walkTo } from '@still-heron/core';
import { expect, test } from './heron';

/** Ines stands in the middle at 4 m, and from 5 to 7 s walks across to 1.2 m beside it; Old Tam stands nearer from the start. */
function crossing(): ShotPlan {
  const ines = addSubjectAt(setDuration(newPlan(), 10), 'Ines', { xMm: 4000, yMm: 0 });
  const { camera } = ines.optics;
  const walked = walkTo(ines, 'subject-1', { xMm: 4000, yMm: 1200 }, 7);
  const pulled = addPull(walked, 'mark-2', 5);
  return { ...pulled, optics: { ...pulled.optics, camera: { ...camera, autofocusAreaPercent: 50 } } };
}

test('autofocus is held against the place in the picture, chosen with its risks, and refused by a lens that has no motor', async ({
  heron,
  page,
}) => {
  const productionId = await heron.newProduction('Autofocus');
  const { id } = await heron.api<{ id: string }>('post', `productions/${productionId}/shots`, {
    scene: '',
    slate: '1A',
    title: 'Ines crosses',
    plan: crossing(),
  });
  await heron.open(`/shots/${id}/stop`);
  await page.getByRole('button', { name: 'Methods', exact: true }).click();
  const automatic = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Choose automatic' }) });
  await expect(automatic).toContainText('Ines is outside the autofocus area');
  await expect(automatic).toContainText(/at risk for 4\.\d s of the 10\.0 s that must be sharp/);
  await expect(automatic).toContainText('The pull stays in the plan, and nobody makes it.');
  await page.getByRole('checkbox', { name: 'hands are needed for something else' }).click();
  await expect(automatic).toContainText('+ the hands are needed for something else');

  // by keyboard: the sentence tells the risk, a press on a risk goes there
  await page.getByRole('button', { name: 'Choose automatic' }).press('Enter');
  await expect(page.getByTestId('how-wide')).toContainText(
    /^Left to autofocus: at risk for 4\.\d of the 10\.0 s that must be sharp\./,
  );
  const risks = page.getByRole('list', { name: 'When autofocus is at risk' }).getByRole('button');
  await expect(risks).toHaveCount(2);
  await risks.last().press('Enter');
  await page.getByRole('link', { name: /^Pull/ }).click();
  await expect(heron.verdict).toContainText('Left to autofocus');
  await expect(heron.verdict).not.toContainText('Sharp');
  await expect(page.getByTestId('kept-takes')).toHaveCount(0);
  await expect(page.getByRole('link', { name: /Pull.*check this/ })).toBeVisible();

  // before the take: its own steps, and nobody cues a pull
  await page.getByRole('link', { name: /^Roll/ }).click();
  await expect(page.getByText('left to autofocus', { exact: true })).toBeVisible();
  const steps = page.getByRole('list', { name: 'Before the take' });
  await steps.getByRole('checkbox', { name: 'Put the autofocus area on Ines at A.' }).check();
  await expect(steps.getByRole('checkbox')).toHaveCount(3);

  // a lens without a motor refuses it, and another method can be chosen
  await heron.expectSaved();
  const { version, plan } = await heron.api<{ version: number; plan: ShotPlan }>('get', `shots/${id}`);
  const manual = setLens(plan, defaultLens({ name: '65 mm, by hand', focalLengthMm: 65, autofocus: 'no-motor' }), false);
  await heron.api('put', `shots/${id}`, { version, scene: '', slate: '1A', title: 'Ines crosses', plan: manual });
  await heron.open(`/shots/${id}/stop`);
  await expect(page.getByTestId('how-wide')).toContainText('Autofocus can’t be used: this lens has no autofocus motor.');
  await page.getByRole('button', { name: 'Choose fixed' }).click();
  await expect(page.getByRole('button', { name: 'Undo: use the method fixed' })).toBeEnabled();
  await page.getByRole('button', { name: 'Methods', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Choose automatic' })).toBeDisabled();
});
