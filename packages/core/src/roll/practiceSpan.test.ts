import { twoPeople } from '../../test/plans';
import { addPull, changePull } from '../plan/index';
import { hardestPull, practiceSpan } from './practiceSpan';
import { rollClock } from './rollClock';

/** To Ines at 3 to 4 s, back at 6 to 7 s. */
const plan = changePull(
  addPull(changePull(twoPeople(), 'pull-1', { startS: 3, durationS: 1, countInS: 2 }), 'mark-1', 6),
  'pull-2',
  {
    startS: 6,
    durationS: 1,
    countInS: 0,
  },
);

test('one pull is practised from its count-in until a late landing would show, and not into the next pull', () => {
  expect(practiceSpan(plan, 'pull-1')).toEqual({ fromS: 1, toS: 5.5 });
  // without a count-in there is still a second to take hold
  expect(practiceSpan(plan, 'pull-2')).toEqual({ fromS: 5, toS: 8.5 });
  const close = changePull(plan, 'pull-2', { startS: 4.2 });
  expect(practiceSpan(close, 'pull-1')!.toS).toBe(4.2);
  expect(practiceSpan({ ...plan, durationS: 7.2 }, 'pull-2')!.toS).toBe(7.2);
  expect(practiceSpan(plan, 'pull-9')).toBeNull();
});

test('the hardest pull has least time for what it needs', () => {
  const pull = (pullId: string, neededS: number, availableS: number) => ({ pullId, neededS, availableS });
  expect(hardestPull([pull('easy', 0.5, 2), pull('hard', 0.6, 0.5), pull('long', 2, 3)])).toBe('hard');
  expect(hardestPull([pull('easy', 0.5, 2), pull('at once', 0.1, 0)])).toBe('at once');
  expect(hardestPull([])).toBeNull();
});

test('a roll that begins in the middle runs from there, at its own speed, and knows no time before', () => {
  const clock = rollClock(plan, [], { rate: 0.5, isClockTriggered: true, fromS: 5 });
  expect(clock.planSAt(0)).toBe(5);
  expect(clock.planSAt(2)).toBe(6);
  expect(clock.realSAt(7)).toBe(4);
  expect(clock.realSAt(4)).toBeNull();
  // a pull that waited before its beginning is over
  const waits = changePull(plan, 'pull-1', { trigger: 'look' });
  expect(rollClock(waits, [], { rate: 1, isClockTriggered: false, fromS: 5 }).waitingPullAt(3)).toBeNull();
});
