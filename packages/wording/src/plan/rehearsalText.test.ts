import { addStay, changePull, rehearsedEvents, type ShotPlan } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { rehearsalEventText } from './rehearsalText';

const walking = (): ShotPlan => addStay(twoPeople(), 'subject-2', { distanceMm: 1500, fromS: 6 });
const texts = (plan: ShotPlan) => rehearsedEvents(plan).map((event) => rehearsalEventText(plan, event));

test('arrivals, departures and pulls in words; a cue in its own', () => {
  expect(texts(walking())).toEqual(expect.arrayContaining(['Ines leaves B', 'the pull to B starts', 'Ines comes to C']));
  expect(texts(changePull(walking(), 'pull-1', { cue: 'the bell' }))).toContain('the bell');
  expect(texts(changePull(twoPeople(), 'pull-1', { target: { kind: 'distance', distanceMm: 1000 } }))).toEqual([
    'the pull starts',
  ]);
});
