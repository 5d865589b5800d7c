import { addSubject, type KeepRate, newPlan } from '@still-heron/core';
import { screen } from '@testing-library/react';
import { renderPage } from '../../../test/renderPage';
import { useAppSelector } from '../../shared/store/hooks';
import { selectPlan } from '../shot/shotSlice';
import { GoalsPanel } from './GoalsPanel';

function Live({ rate }: { readonly rate: KeepRate | null }) {
  return <GoalsPanel plan={useAppSelector(selectPlan)!} rate={rate} />;
}

const half = { keepRate: 0.5, takes: 2000, expectedTakes: 2, takesForNineOfTen: 4, setupsKept: [] } as unknown as KeepRate;
const plan = () => addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 });

test('kept in one of two takes, four takes are enough for 90 %; fewer can be planned, and undone', async () => {
  const { user, planNow } = renderPage(<Live rate={half} />, plan());
  expect(screen.getByLabelText('planned takes')).toHaveValue('4');
  await user.click(screen.getByLabelText('planned takes'));
  await user.keyboard('2{Enter}');
  expect(planNow().schedule.takes).toBe(2);
  await user.click(screen.getByRole('button', { name: 'Plan enough takes' }));
  expect(planNow().schedule.takes).toBeNull();
});

test('with one chance no number of takes is asked; kept too seldom, it names the shot to cut to', async () => {
  const { user, planNow } = renderPage(<Live rate={half} />, plan());
  await user.click(screen.getByRole('checkbox', { name: 'One chance only' }));
  expect(planNow().goals.isOneChance).toBe(true);
  expect(screen.queryByLabelText('planned takes')).toBeNull();
  expect(screen.getByText(/It can be lost for good/)).toBeInTheDocument();
  await user.type(screen.getByLabelText('if no take is kept, cut to'), 'the rope{Enter}');
  expect(screen.getByText('If it is lost, cut to: the rope.')).toBeInTheDocument();
});

test('before the keep rate is known, nothing is planned and nothing is feared', () => {
  renderPage(<Live rate={null} />, plan());
  expect(screen.queryByLabelText('planned takes')).toBeNull();
  expect(screen.queryByText(/lost/)).toBeNull();
});
