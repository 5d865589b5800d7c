import {
  addPull,
  addStay,
  addSubject,
  changeMark,
  changePull,
  evaluatePull,
  newPlan,
  ringOf,
  setDuration,
  setHandLimit,
  type ShotPlan,
} from '@still-heron/core';
import { type PullChartInput, pullChartLayout } from './pullChartLayout';
import { judge, TWO_PEOPLE as two } from '../../twoPeople.fixture';

const lay = (plan: ShotPlan, changes: Partial<PullChartInput> = {}) =>
  pullChartLayout({ plan, verdict: judge(plan), axis: 'hand', units: 'metric', size: { width: 900, height: 560 }, ...changes });
const pointsOf = (path: string) =>
  [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

describe('the hand’s axis', () => {
  test('equal turn of the ring is equal height, near below', () => {
    const { scale } = lay(two);
    const ring = ringOf(two.optics.lens);
    const [a, b, c] = [2.9, 2.45, 2.05].map((metres) => ({ deg: ring.angleAt(metres * 1000), y: scale.y(metres * 1000) })) as [
      P,
      P,
      P,
    ];
    expect((b.y - a.y) / (b.deg - a.deg)).toBeCloseTo((c.y - b.y) / (c.deg - b.deg), 9);
    expect(c.y).toBeGreaterThan(a.y);
  });

  test('a height is a distance and back, and what is off the axis is held at its edge', () => {
    const { scale, top, bottom } = lay(two);
    for (const mm of [2050, 2300, 2900]) expect(scale.distanceAt(scale.y(mm))).toBeCloseTo(mm, 6);
    expect(scale.y(100)).toBe(bottom);
    expect(scale.y(Infinity)).toBe(top);
    expect(scale.distanceAt(-500)).toBe(scale.distanceAt(top));
  });

  test('a ring whose angles fall towards near is drawn the same way up', () => {
    const points = [
      { distanceMm: null, ringDeg: 280 },
      { distanceMm: 3000, ringDeg: 200 },
      { distanceMm: 1500, ringDeg: 110 },
      { distanceMm: 650, ringDeg: 0 },
    ];
    const { scale } = lay({ ...two, optics: { ...two.optics, lens: { ...two.optics.lens, ring: { kind: 'table', points } } } });
    expect(scale.y(2050)).toBeGreaterThan(scale.y(2900));
    expect(scale.distanceAt(scale.y(2050))).toBeCloseTo(2050, 5);
  });

  test('a single mark is seen with its zone around it', () => {
    const alone = addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 });
    const { scale, top, bottom } = lay(alone);
    expect(scale.y(2900)).toBeGreaterThan(top + 60);
    expect(scale.y(2900)).toBeLessThan(bottom - 60);
  });
});

type P = { deg: number; y: number };

describe('the plain axis', () => {
  test('equal distance is equal height, far above, and infinity lies at the top', () => {
    const far = changeMark(two, 'mark-2', { distanceMm: null });
    const { scale, top } = lay(two, { axis: 'distance' });
    expect(scale.y(2000) - scale.y(2400)).toBeCloseTo(scale.y(2400) - scale.y(2800), 6);
    expect(lay(far, { axis: 'distance' }).marks[1]!.y).toBe(top);
    expect(pointsOf(lay(far, { axis: 'distance' }).track).every(({ y }) => Number.isFinite(y))).toBe(true);
  });
});

test('the track runs from the height of its start to that of its target, over the whole width', () => {
  const layout = lay(two);
  const points = pointsOf(layout.track);
  expect(points[0]).toEqual({ x: layout.left, y: expect.closeTo(layout.marks[0]!.y, 2) as number });
  expect(points[points.length - 1]).toEqual({ x: layout.right, y: expect.closeTo(layout.marks[1]!.y, 2) as number });
  expect(points.length).toBeLessThan(900);
});

test('a long shot is drawn with no more points than the chart has pixels', () => {
  const long = { ...two, durationS: 300, captureFps: 48 };
  const layout = lay(long);
  expect(pointsOf(layout.track).length).toBeLessThan(1600);
  expect(judge(long).frameCount).toBe(14_400);
});

test('soft spans lie where the frames are soft', () => {
  const late = changePull(two, 'pull-1', { startS: 6 });
  const layout = lay(late);
  const [span] = judge(late).softSpans;
  expect(layout.soft[0]!.x).toBeCloseTo(layout.x(span!.fromS), 9);
  expect(layout.soft[0]!.x + layout.soft[0]!.width).toBeCloseTo(layout.x(span!.toS), 9);
});

test('labels of marks close together keep apart, in order', () => {
  let plan = two;
  for (const distanceMm of [2060, 2070, 2055]) plan = addSubject(plan, { name: 'Bohdan', distanceMm });
  const heights = lay(plan)
    .marks.map(({ labelY }) => labelY)
    .sort((a, b) => a - b);
  for (let k = 1; k < heights.length; k++) expect(heights[k]! - heights[k - 1]!).toBeGreaterThanOrEqual(19.99);
});

test('distance labels keep apart, and read as a lens is engraved', () => {
  const { distances } = lay(two);
  for (let k = 1; k < distances.length; k++) expect(distances[k]!.at - distances[k - 1]!.at).toBeGreaterThanOrEqual(30);
  expect(distances.map(({ label }) => label)).toEqual(expect.arrayContaining(['3', '2']));
  expect(lay(two, { units: 'imperial' }).distances.map(({ label }) => label)).toEqual(expect.arrayContaining(["7'", "10'"]));
});

test('moves say from where to where, how long, and how it sits; words that would collide go to the next row', () => {
  const crowded = changePull(addPull(two, 'mark-1', 5.1), 'pull-2', { startS: 5.1, durationS: 0.5 });
  const { pulls: moves } = lay(crowded);
  expect(moves[0]!.words).toMatch(/^A → B {2}1\.0 s {2}\w+$/);
  expect(moves.map(({ row }) => row)).toEqual([0, 1]);
});

test('however many pulls and subjects there are, the chart keeps half of the height and folds words away', () => {
  let plan: ShotPlan = { ...setDuration(two, 40), focusTrack: { ...two.focusTrack, pulls: [] } };
  for (let k = 0; k < 17; k++) plan = addPull(plan, k % 2 === 0 ? 'mark-2' : 'mark-1', 1 + 2.2 * k);
  for (let k = 0; k < 5; k++) plan = addSubject(plan, { name: `Someone ${k}`, distanceMm: 4000 + 500 * k });
  const size = { width: 900, height: 480 };
  const layout = lay(plan, { size });
  expect(plan.focusTrack.pulls.length).toBe(17);
  expect(layout.bottom).toBeGreaterThanOrEqual(size.height / 2);
  const shown = layout.pulls.filter(({ row }) => row !== null);
  expect(shown.length).toBeGreaterThan(0);
  expect(shown.every(({ words }) => /^[A-Z] → [A-Z]$/.test(words))).toBe(true);
  const lowest = Math.max(...layout.lanes.map(({ y }) => y + layout.laneHeight), layout.movesY);
  expect(lowest).toBeLessThanOrEqual(size.height);
  // one pull has room for all of its words
  expect(lay(two).pulls[0]!.words).toContain('1.0 s');
});

test('the speed of the hand lies under the time axis, with its fastest moment named, and the limit where it is reached', () => {
  const size = { width: 900, height: 480 };
  const { speed } = lay(two, { size });
  const verdict = evaluatePull(two);
  if (verdict.status !== 'judged') throw new Error(verdict.status);
  expect(speed!.words).toBe(`${verdict.fastest.maxHandDegPerS.toFixed(0)}°/s at ${verdict.fastest.timeS.toFixed(1)} s`);
  expect(speed!.limitY).toBeNull();
  const slow = setHandLimit(two, 20);
  expect(lay(slow, { size }).speed!.limitY).toBeGreaterThan(speed!.topY);
  expect(lay({ ...two, focusTrack: { ...two.focusTrack, pulls: [] } }, { size }).speed).toBeNull();
});

test('a held domain keeps the axis still while the plan changes', () => {
  const { domain, scale } = lay(two);
  const moved = lay(changeMark(two, 'mark-2', { distanceMm: 1200 }), { domain });
  expect(moved.scale.y(2500)).toBe(scale.y(2500));
});

test('without a verdict the axes, lanes and handles are drawn all the same', () => {
  const layout = lay(addStay(two, 'subject-2', { distanceMm: 1500, fromS: 9 }), { verdict: null });
  expect(layout).toMatchObject({ track: '', band: '', subjects: [] });
  expect(layout.lanes).toHaveLength(2);
  expect(layout.pulls).toHaveLength(1);
});
