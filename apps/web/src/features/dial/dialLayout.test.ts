import { addSubject, changeMark, defaultWheel } from '@still-heron/core';
import { DIAL, dialLayout } from './dialLayout';
import { judge, TWO_PEOPLE as two } from '../../twoPeople.fixture';

const angleOf = ({ x, y }: { x: number; y: number }) => (Math.atan2(x, -y) * 180) / Math.PI;

test('the needle stands where the ring does, at the marks and between them; the sweep only while it turns', () => {
  const verdict = judge(two);
  const needleAt = (frame: number) => {
    const { needle } = dialLayout(two, verdict, frame, 'metric');
    return angleOf({ x: needle.x2, y: needle.y2 });
  };
  // 280 degrees of throw, half of them on either side of the top
  expect(needleAt(0)).toBeCloseTo(verdict.track.ringDeg[0]! - 140, 6);
  expect(needleAt(230)).toBeCloseTo(verdict.track.ringDeg[230]! - 140, 6);
  expect(dialLayout(two, verdict, 0, 'metric').sweep).toBe('');
  expect(dialLayout(two, verdict, 108, 'metric').sweep).not.toBe('');
  const tick = dialLayout(two, verdict, 0, 'metric').marks[0]!;
  expect(angleOf({ x: tick.tickX, y: tick.tickY })).toBeCloseTo(needleAt(0), 6);
});

test('letters of marks that lie close together are kept apart, and none is off the dial', () => {
  let plan = two;
  for (const distanceMm of [2920, 2950, 2990]) plan = addSubject(plan, { name: `At ${distanceMm}`, distanceMm });
  const { marks, ticks } = dialLayout(plan, judge(plan), 0, 'metric');
  expect(marks).toHaveLength(5);
  for (const [index, one] of marks.entries())
    for (const other of marks.slice(index + 1)) expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(13);
  for (const { x, y } of ticks) {
    expect(Math.abs(x)).toBeLessThan(DIAL.width / 2 - 10);
    expect(y).toBeGreaterThan(-DIAL.middleY + 6);
    expect(y).toBeLessThan(DIAL.height - DIAL.middleY);
  }
  expect(ticks.map(({ label }) => label)).toContain('∞');
});

test('hard stops leave out what lies beyond them; a mark outside the ring is not on it', () => {
  const stops = changeMark(changeMark(two, 'mark-1', { hasHardStop: true }), 'mark-2', { hasHardStop: true });
  const set = { ...stops, wheel: defaultWheel({ name: 'Hand wheel', hasEndStops: true }) };
  expect(dialLayout(set, judge(set), 0, 'metric').beyond).toHaveLength(2);
  expect(dialLayout(two, null, 0, 'metric').beyond).toEqual([]);
  const close = changeMark(two, 'mark-2', { distanceMm: 300 });
  expect(dialLayout(close, judge(close), 0, 'imperial').marks.map(({ letter }) => letter)).toEqual(['A']);
});

test('a throw of more than the dial shows is drawn to scale on it', () => {
  const { lens } = two.optics;
  const long = { ...two, optics: { ...two.optics, lens: { ...lens, ring: { kind: 'helicoid' as const, focusThrowDeg: 900 } } } };
  const verdict = judge(long);
  const { needle } = dialLayout(long, verdict, 0, 'metric');
  expect(angleOf({ x: needle.x2, y: needle.y2 })).toBeCloseTo((verdict.track.ringDeg[0]! / 900) * 300 - 150, 6);
});
