import { addPull, addRun, addStay, changePull, rehearsedEvents, type ShotPlan, withRehearsedTimes } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { limitedText, rehearsalEventText } from './rehearsalText';

const walking = (): ShotPlan => addStay(twoPeople(), 'subject-2', { distanceMm: 1500, fromS: 6 });
const texts = (plan: ShotPlan) => rehearsedEvents(plan).map((event) => rehearsalEventText(plan, event));

test('arrivals, departures and pulls in words; a cue in its own', () => {
  expect(texts(walking())).toEqual(expect.arrayContaining(['Ines leaves B', 'the pull to B starts', 'Ines comes to C']));
  expect(texts(changePull(walking(), 'pull-1', { cue: 'the bell' }))).toContain('the bell');
  expect(texts(changePull(twoPeople(), 'pull-1', { target: { kind: 'distance', distanceMm: 1000 } }))).toEqual([
    'the pull starts',
  ]);
});

test('an event that can’t be where it was tapped says where it can be', () => {
  const plan = addPull(twoPeople(), 'mark-1', 7);
  const taps = rehearsedEvents(plan).map(({ event, timeS }) => ({ event, timeS: timeS > 6 ? 4.2 : timeS }));
  const { limited } = withRehearsedTimes(addRun(plan, taps));
  expect(limited.map((time) => limitedText(plan, time))).toEqual([
    expect.stringMatching(
      /^The pull to A starts: rehearsed at 4\.2 s, but it can only be at 5\.\d s, after the event before it\.$/,
    ),
  ]);
});
