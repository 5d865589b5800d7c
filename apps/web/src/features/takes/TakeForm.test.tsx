import { addPull, addSubject, newPlan, newTake, presetRig, type ShotPlan, type Take } from '@still-heron/core';
import { fireEvent, screen, within } from '@testing-library/react';
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

function openForm(shot = plan(), changes: Partial<Take> = {}) {
  const take = { ...newTake(shot, 1), ...changes };
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
        take={take}
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
  expect(hit('B', 'hit')).not.toBeChecked();
  await user.keyboard('ol');
  expect(hit('B', 'overshot')).toBeChecked();
  expect(hit('C', 'late')).toBeChecked();
  await user.keyboard('h');
  expect(hit('B', 'hit')).toBeChecked();
  expect(draftNow().hits).toEqual({ 'pull-1': 'hit', 'pull-2': 'late' });
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

test('nothing is said until somebody says it; Y says the rest, and what was said is taken back by a second press', async () => {
  const { user, hit, draftNow } = openForm();
  expect(draftNow()).toMatchObject({ hits: {}, focus: null, performance: null });
  await user.keyboard('ly');
  expect(draftNow()).toMatchObject({ hits: { 'pull-1': 'late', 'pull-2': 'hit' }, focus: 'usable', performance: 'good' });
  await user.click(hit('B', 'late'));
  expect(hit('B', 'late')).not.toBeChecked();
  await user.keyboard('uupn');
  expect(draftNow()).toMatchObject({ hits: { 'pull-2': 'hit' }, focus: null, performance: 'fair', isNoGood: true });
});

test('what the track shows stands beside what is said, and a disagreement is seen', async () => {
  const measured = { focus: 'soft' as const, usable: [{ fromS: 1, toS: 3 }] };
  const { user, draftNow } = openForm(plan(), {
    measured,
    hits: [{ pullId: 'pull-1', said: null, measured: 'late', lateS: 0.4, landsLateS: null, offDeg: 1, turn: null }],
  });
  expect(screen.getByText('by its track late by 0.4 s')).toBeInTheDocument();
  expect(screen.getByText('by its track soft')).toBeInTheDocument();
  await user.keyboard('y');
  expect(draftNow()).toMatchObject({ hits: { 'pull-2': 'hit' }, focus: null });
});

/** A shot without pulls: who must be sharp, and when it matters most. */
function fixedShot(): ShotPlan {
  const made = addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 });
  return { ...made, beats: made.beats.map((beat) => ({ ...beat, keyMomentS: 4 })) };
}

test('a shot without pulls is asked about its spans and key moments, by the same keys', async () => {
  const { user, draftNow } = openForm(fixedShot());
  const of = (name: RegExp) => within(screen.getByRole('radiogroup', { name }));
  await user.keyboard('fj');
  expect(of(/Old Tam, 0.0 to/).getByRole('radio', { name: 'drifted nearer' })).toBeChecked();
  expect(of(/key moment of Old Tam/).getByRole('radio', { name: 'camera jumped' })).toBeChecked();
  expect(draftNow().findings.map(({ found }) => found)).toEqual(['drifted-nearer', 'camera-jumped']);
});

test('in and out are typed; what is no time of the take, or ends before it begins, is refused and says why', async () => {
  const { user, draftNow } = openForm(fixedShot(), { durationS: 10 });
  await user.click(screen.getByText('In and out'));
  await user.click(screen.getByRole('button', { name: 'Add a span: use' }));
  const [from, to] = [screen.getByLabelText('use from'), screen.getByLabelText('to')];
  await user.clear(to);
  await user.type(to, '7.5{Enter}');
  await user.clear(from);
  await user.type(from, '3{Enter}');
  expect(draftNow().usable).toEqual([{ fromS: 3, toS: 7.5 }]);
  await user.clear(to);
  await user.type(to, '40{Enter}');
  expect(screen.getByText('A time within the take is needed: seconds from 0 to 10.0.')).toBeInTheDocument();
  await user.clear(to);
  await user.type(to, '2{Enter}');
  expect(screen.getByText('It must end after it begins.')).toBeInTheDocument();
  expect(draftNow().usable).toEqual([{ fromS: 3, toS: 7.5 }]);
});

test('a timecode on the slate that is none is refused, and says what would do', async () => {
  const { user, draftNow } = openForm();
  await user.click(screen.getByText('Marks, slate, repairs'));
  const field = screen.getByLabelText('timecode on the slate');
  await user.type(field, '10:61:00:00{Enter}');
  expect(screen.getByText(/A timecode at 24 frames a second is needed/)).toBeInTheDocument();
  expect(draftNow().startTimecode).toBe('');
  await user.clear(field);
  await user.type(field, '10:15:00:00{Enter}');
  expect(draftNow().startTimecode).toBe('10:15:00:00');
});

test('in and out are moved on a bar: a frame by an arrow key, and never past one another', async () => {
  const { user, draftNow } = openForm(fixedShot(), { durationS: 10 });
  await user.click(screen.getByText('In and out'));
  await user.click(screen.getByRole('button', { name: 'Add a span: use' }));
  await user.click(screen.getByRole('button', { name: 'Add a span: focus check' }));
  const at = (name: string) => screen.getByRole('slider', { name });
  expect(draftNow().usable).toEqual([{ fromS: 0, toS: 2 }]);
  const press = (name: string, key: 'ArrowRight' | 'ArrowLeft' | 'End', keyCode: number) =>
    fireEvent.keyDown(at(name), { key, keyCode, which: keyCode });
  press('use 1: out', 'ArrowRight', 39);
  press('use 1: out', 'ArrowRight', 39);
  expect(draftNow().usable![0]!.toS).toBeCloseTo(2 + 2 / 24, 2);
  press('use 1: in', 'ArrowRight', 39);
  expect(draftNow().usable![0]!.fromS).toBeCloseTo(1 / 24, 2);
  press('use 1: in', 'End', 35);
  const [span] = draftNow().usable!;
  expect(span!.fromS).toBeLessThan(span!.toS);
  press('focus check 1: out', 'ArrowLeft', 37);
  expect(draftNow().focusChecks[0]!.toS).toBeCloseTo(2 - 1 / 24, 2);
});

test('a look at the focus has its display, magnification and confidence; the next look keeps it', async () => {
  const rig = { ...presetRig('On the shoulder', 'shoulder', 'puller'), display: 'the small display' };
  const { user, draftNow } = openForm({ ...plan(), rig });
  const sure = within(screen.getByRole('radiogroup', { name: 'How sure' }));
  await user.click(sure.getByRole('radio', { name: 'fairly sure' }));
  expect(draftNow()).toMatchObject({ checkedOn: 'the small display', checkConfidence: 'fairly-sure' });
  // without a grade there is nothing to keep
  expect(screen.queryByRole('button', { name: 'Look again elsewhere' })).toBeNull();
  await user.type(screen.getByLabelText('magnified, times'), '4{Enter}');
  await user.click(within(screen.getByRole('radiogroup', { name: 'Focus' })).getByRole('radio', { name: 'sharp' }));
  await user.click(screen.getByRole('button', { name: 'Look again elsewhere' }));
  const look = { on: 'the small display', magnification: 4, confidence: 'fairly-sure', focus: 'sharp' };
  expect(draftNow()).toMatchObject({ earlierLooks: [look], checkedOn: '', checkMagnification: null, focus: null });
  await user.click(screen.getByRole('button', { name: /Remove the look/ }));
  expect(draftNow().earlierLooks).toEqual([]);
});

test('somebody lost and back: what the track shows can be contradicted, and what it does not show is typed', async () => {
  const { user, draftNow } = openForm(plan(), { durationS: 10 });
  await user.click(screen.getByText('Lost and back'));
  await user.type(screen.getByLabelText('somebody was lost from'), '3{Enter}');
  await user.type(screen.getByLabelText('and back at'), '2{Enter}');
  expect(screen.getByText('It must end after it begins.')).toBeInTheDocument();
  expect(screen.queryByRole('radiogroup', { name: 'How it came back' })).toBeNull();
  await user.clear(screen.getByLabelText('and back at'));
  await user.type(screen.getByLabelText('and back at'), '3.8{Enter}');
  await user.click(within(screen.getByRole('radiogroup', { name: 'How it came back' })).getByRole('radio', { name: 'gentle' }));
  expect(draftNow().recoveries).toEqual([{ fromS: 3, toS: 3.8, said: 'gentle', measured: null }]);
  const first = within(screen.getByRole('radiogroup', { name: 'How it came back, 1' }));
  await user.click(first.getByRole('radio', { name: 'jerked' }));
  expect(draftNow().recoveries).toMatchObject([{ said: 'jerked' }]);
});

test('a fault at any time: typed, said, and taken away again', async () => {
  const { user, draftNow } = openForm();
  await user.click(screen.getByText('Other faults'));
  await user.type(screen.getByLabelText('fault at'), '3.3{Enter}');
  await user.click(
    within(screen.getByRole('radiogroup', { name: 'What went wrong then' })).getByRole('radio', { name: 'camera jumped' }),
  );
  expect(draftNow().findings).toEqual([{ at: { kind: 'time', timeS: 3.3 }, found: 'camera-jumped' }]);
  await user.click(within(screen.getByText(/camera jumped at 3.3 s/)).getByRole('button', { name: 'Remove' }));
  expect(draftNow().findings).toEqual([]);
});

test('one press logs it', async () => {
  const { user, onLog } = openForm();
  await user.click(screen.getByRole('button', { name: /Log take 3/ }));
  expect(onLog).toHaveBeenCalledTimes(1);
});
