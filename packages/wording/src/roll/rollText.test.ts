import { chooseWheel, defaultWheel, prepareRoll } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { backToStartText, zoneLabel, zoneRoomText } from './rollText';

test('where the ring goes before the next take, at the ring or at the wheel', () => {
  const back = (plan: ReturnType<typeof twoPeople>) => prepareRoll(plan)!.figuresAt(0).now;
  expect(backToStartText('A', back(twoPeople()), twoPeople(), 'metric')).toMatch(/^Back to A: 2\.90 m, ring \d+°\.$/);
  const geared = chooseWheel(twoPeople(), null, defaultWheel({ name: 'Wheel', wheelPerRing: 2 }));
  expect(backToStartText('2.90 m', back(geared), geared, 'metric')).toMatch(/^Back to 2\.90 m, wheel \d+°\.$/);
});

test('the zone: who is in it, and how near to its limits', () => {
  const place = { subjectId: 'subject-1', isInside: true, distanceMm: 3000, toNearMm: 420, toFarMm: 800, changesInS: 2 };
  const plan = { subjects: [{ id: 'subject-1', name: 'Ines' }] } as unknown as Parameters<typeof zoneLabel>[1];
  const labels = [true, false].flatMap((isInside) =>
    [2, null].map((changesInS) => zoneLabel({ ...place, isInside, changesInS }, plan)),
  );
  expect(labels).toEqual([
    'Ines leaves the zone',
    'Ines stays in the zone',
    'Ines enters the zone',
    'Ines stays outside the zone',
  ]);
  expect(zoneRoomText(place, 'metric')).toBe('42 cm to its near limit, 80 cm to its far one');
  expect(zoneRoomText({ ...place, toFarMm: Infinity }, 'metric')).toBe('42 cm to its near limit, no far limit');
  expect(zoneRoomText({ ...place, toNearMm: -300 }, 'metric')).toBe('30 cm in front of it');
  expect(zoneRoomText({ ...place, toFarMm: -1500 }, 'metric')).toBe('1.50 m behind it');
});
