import { chooseWheel, defaultWheel, prepareRoll } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { backToStartText, entranceText, paceText, practiceText, targetHintText, zoneLabel, zoneRoomText } from './rollText';

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

test('what is to be focused on, its pose, its tape, and what stands there instead', () => {
  const plan = twoPeople();
  const [first, ...others] = plan.marks;
  const known = {
    ...plan,
    subjects: plan.subjects.map((one) => (one.id === first!.subjectId ? { ...one, detail: 'near eye' } : one)),
    marks: [{ ...first!, pose: 'chin up', tapeColour: 'red' as const, tapeShape: 'tee' as const }, ...others],
  };
  const target = { kind: 'mark' as const, markId: first!.id };
  expect(targetHintText(target, known)).toBe('near eye · chin up · red tape');
  expect(targetHintText({ kind: 'subject', subjectId: first!.subjectId!, leadS: 0 }, known)).toBe('near eye');
  expect(targetHintText(target, { ...known, marks: [{ ...known.marks[0]!, tapeShape: 'none', pose: '' }] })).toBe('near eye');
  expect(targetHintText({ kind: 'distance', distanceMm: 3000 }, known)).toBe('');
  const long = { ...known, marks: [{ ...known.marks[0]!, pose: 'x'.repeat(160) }] };
  expect(targetHintText(target, long)).toHaveLength(90);
});

test('the pace of a follow, who comes in, and practice by its speed', () => {
  const pace = { degPerS: 17.6, way: 'nearer' as const, fastest: { degPerS: 41.6, inS: 1.24 } };
  expect(paceText(pace)).toBe('18°/s nearer, fastest 42°/s in 1.2 s');
  expect(paceText({ ...pace, fastest: null })).toBe('18°/s nearer, the fastest now');
  const plan = twoPeople();
  const name = plan.subjects[0]!.name;
  const entrance = { subjectId: plan.subjects[0]!.id, timeS: 6, side: 'left' as const };
  expect(entranceText(entrance, 3.9, plan)).toBe(`${name} comes in from the left in 2.1 s`);
  expect(entranceText({ ...entrance, side: 'ahead' }, 3.9, plan)).toContain('straight ahead');
  expect([practiceText(1), practiceText(0.5)]).toEqual(['Practice', 'Practice at 50 %']);
});
