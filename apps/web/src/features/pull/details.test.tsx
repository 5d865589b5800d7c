import { addPull, addSubject, changePull, newPlan, type ShotPlan } from '@still-heron/core';
import { screen, within } from '@testing-library/react';
import { renderPage } from '../../../test/renderPage';
import { useAppSelector } from '../../shared/store/hooks';
import { selectPlan } from '../shot/shotSlice';
import { BeatDetails } from './BeatDetails';
import { PullDetails } from './PullDetails';

/** Ten seconds; a pull from Tam to Ines from 4 s to 5 s. */
function plan(): ShotPlan {
  let made: ShotPlan = { ...addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), durationS: 10, captureFps: 24 };
  made = addSubject(made, { name: 'Ines', distanceMm: 2050 });
  return changePull(addPull(made, 'mark-2', 4), 'pull-1', { startS: 4, durationS: 1 });
}

/** The fields always show the plan as it is now. */
function Live({ of }: { readonly of: 'pull' | 'beat' }) {
  const now = useAppSelector(selectPlan)!;
  const pull = now.focusTrack.pulls[0];
  const beat = now.beats[0];
  if (of === 'pull') return pull ? <PullDetails move={pull} plan={now} verdict={null} units="metric" /> : null;
  return beat ? <BeatDetails beat={beat} plan={now} verdict={null} /> : null;
}

describe('the fields of a pull', () => {
  test('a typed start moves it; a landing after the end of the shot says what would do', async () => {
    const { user, planNow } = renderPage(<Live of="pull" />, plan());
    await user.click(screen.getByTestId('move-starts'));
    await user.keyboard('4.1{Enter}');
    expect(planNow().focusTrack.pulls[0]!.startS).toBeCloseTo(4.1, 9);
    await user.click(screen.getByTestId('move-lasts'));
    await user.keyboard('6{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent(
      '6.00 s is out of range: the next pull, or the end of the shot, comes there. Type 0.04 to 5.90 s.',
    );
    await user.clear(screen.getByTestId('move-lasts'));
    await user.keyboard('24f{Enter}');
    expect(planNow().focusTrack.pulls[0]!.durationS).toBeCloseTo(1, 9);
    expect(screen.getByText('lands at 5.10 s')).toBeInTheDocument();
  });

  test('the words of its cue are kept, and it can be deleted', async () => {
    const { user, planNow } = renderPage(<Live of="pull" />, changePull(plan(), 'pull-1', { trigger: 'look' }));
    await user.type(screen.getByLabelText('words of the cue'), 'she lifts the lantern{Enter}');
    expect(planNow().focusTrack.pulls[0]!.cue).toBe('she lifts the lantern');
    await user.click(screen.getByRole('button', { name: 'Delete this pull' }));
    expect(planNow().focusTrack.pulls).toEqual([]);
  });
});

describe('the fields of a requirement', () => {
  test('deliberately soft asks how soft; nothing required asks for no share', async () => {
    const { user, planNow } = renderPage(<Live of="beat" />, plan());
    const kinds = () => within(screen.getByRole('radiogroup', { name: 'Requirement' }));
    expect(screen.getByLabelText('share of the span')).toHaveValue('100');
    expect(screen.queryByLabelText('blur, of the width')).toBeNull();
    await user.click(kinds().getAllByRole('radio')[1]!);
    expect(planNow().beats[0]!.requirement).toBe('soft');
    expect(screen.getByLabelText('blur, of the width')).toBeInTheDocument();
    await user.click(kinds().getAllByRole('radio')[2]!);
    expect(planNow().beats[0]!.requirement).toBe('none');
    expect(screen.queryByLabelText('share of the span')).toBeNull();
  });

  test('half of the span is 0.5 in the plan, and its end stays after its start', async () => {
    const { user, planNow } = renderPage(<Live of="beat" />, plan());
    await user.click(screen.getByLabelText('share of the span'));
    await user.keyboard('50{Enter}');
    expect(planNow().beats[0]!.requiredShare).toBe(0.5);
    await user.click(screen.getByLabelText('from'));
    await user.keyboard('11{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent('11.00 s is out of range');
  });
});
