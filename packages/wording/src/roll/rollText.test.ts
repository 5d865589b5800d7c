import { chooseWheel, defaultWheel, prepareRoll } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { backToStartText } from './rollText';

test('where the ring goes before the next take, at the ring or at the wheel', () => {
  const back = (plan: ReturnType<typeof twoPeople>) => prepareRoll(plan)!.figuresAt(0).now;
  expect(backToStartText('A', back(twoPeople()), twoPeople(), 'metric')).toMatch(/^Back to A: 2\.90 m, ring \d+°\.$/);
  const geared = chooseWheel(twoPeople(), null, defaultWheel({ name: 'Wheel', wheelPerRing: 2 }));
  expect(backToStartText('2.90 m', back(geared), geared, 'metric')).toMatch(/^Back to 2\.90 m, wheel \d+°\.$/);
});
