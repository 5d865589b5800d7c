import { twoPeople } from '../../test/plans';
import { setGoals } from '../plan/index';
import { newTake } from './newTake';
import type { Take } from './take';
import { wrapUp } from './wrapUp';

const plan = twoPeople();
const take = (changes: Partial<Take> = {}): Take => ({ ...newTake(plan, 1), ...changes });
const sharp = take({ focus: 'sharp', usable: [{ fromS: 0, toS: 5 }] });
const soft = take({ focus: 'soft' });

test.each<[string, Take[], Partial<typeof plan.goals>, string]>([
  ['nothing was shot', [], {}, 'not-shot'],
  ['nobody said how it was', [soft, take()], {}, 'not-said'],
  ['every take is soft', [soft, soft], {}, 'none'],
  ['it could happen once, and was soft', [soft], { isOneChance: true }, 'lost'],
  ['one is sharp for 5 s', [soft, sharp], { screenTimeS: 5 }, 'done'],
  ['one is sharp for 5 s, and 6 are wanted', [sharp], { screenTimeS: 6 }, 'too-short'],
  ['it could happen once, was sharp for 5 s, and 6 are wanted', [sharp], { isOneChance: true, screenTimeS: 6 }, 'too-short'],
  ['one is circled though soft', [take({ focus: 'soft', isCircled: true, usable: [{ fromS: 0, toS: 5 }] })], {}, 'done'],
  ['the sharp one is no good', [take({ ...sharp, isNoGood: true })], {}, 'none'],
  ['the sharp one is of a simulator', [take({ ...sharp, ringFrom: 'on-screen' })], {}, 'not-shot'],
])('%s: %#', (_, takes, goals, state) => {
  expect(wrapUp(setGoals(plan, goals), takes)).toMatchObject({ state });
});

test('with the longest span, and the one that is wanted', () => {
  expect(wrapUp(setGoals(plan, { screenTimeS: 6 }), [sharp])).toEqual({
    state: 'too-short',
    takes: 1,
    longestScreenS: 5,
    wantedScreenS: 6,
  });
});
