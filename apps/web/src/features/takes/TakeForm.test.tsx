import { addPull, addSubject, newPlan, type ShotPlan } from '@still-heron/core';
import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { renderPage } from '../../../test/renderPage';
import { type Draft, freshDraft } from './draft';
import { TakeForm } from './TakeForm';

/** Tam at A, Ines at B and the cart at C; a pull to B and one to C. */
function plan(): ShotPlan {
  let made = addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 });
  made = addSubject(made, { name: 'Ines', distanceMm: 2050 });
  made = addSubject(made, { name: 'Cart', distanceMm: 5000 });
  return addPull(addPull(made, 'mark-2', 2), 'mark-3', 5);
}

function openForm() {
  const shot = plan();
  const drafts: Draft[] = [freshDraft()];
  const onLog = jest.fn();
  function Form() {
    const [draft, setDraft] = useState(drafts[0]!);
    drafts.push(draft);
    const pullIds = shot.focusTrack.pulls.map(({ id }) => id);
    return (
      <TakeForm
        draft={draft}
        plan={shot}
        units="metric"
        number={3}
        pullIds={pullIds}
        isLogging={false}
        onChange={setDraft}
        onLog={onLog}
      />
    );
  }
  const { user } = renderPage(<Form />);
  const hit = (mark: string, word: string) =>
    within(screen.getByRole('radiogroup', { name: `How ${mark} was hit` })).getByRole('radio', { name: word });
  return { user, hit, onLog, draftNow: () => drafts.at(-1)! };
}

test('a take is graded by keys alone, mark after mark, and from the first again', async () => {
  const { user, hit, draftNow } = openForm();
  expect(hit('B', 'hit')).toBeChecked();
  await user.keyboard('ol');
  expect(hit('B', 'overshot')).toBeChecked();
  expect(hit('C', 'late')).toBeChecked();
  await user.keyboard('h');
  expect(hit('B', 'hit')).toBeChecked();
  expect(Object.values(draftNow().hits)).toEqual(['hit', 'late']);
});

test('K circles it; soft and circled, the note asks why', async () => {
  const { user, draftNow } = openForm();
  expect(screen.getByLabelText('note')).toBeInTheDocument();
  await user.keyboard('k');
  expect(screen.getByRole('checkbox', { name: /circled/ })).toBeChecked();
  await user.click(within(screen.getByRole('radiogroup', { name: 'Focus' })).getByRole('radio', { name: 'soft' }));
  const why = screen.getByLabelText('why it is kept although soft');
  await user.type(why, 'the only one with the bell{Enter}');
  expect(draftNow()).toMatchObject({ isCircled: true, focus: 'soft', note: 'the only one with the bell' });
});

test('letters typed into the note grade nothing', async () => {
  const { user, draftNow } = openForm();
  await user.type(screen.getByLabelText('note'), 'looked late{Enter}');
  expect(draftNow()).toMatchObject({ hits: {}, isCircled: false, note: 'looked late' });
});

test('one press logs it', async () => {
  const { user, onLog } = openForm();
  await user.click(screen.getByRole('button', { name: /Log take 3/ }));
  expect(onLog).toHaveBeenCalledTimes(1);
});
