import fc from 'fast-check';
import { fewerCorners, stringDegAt, tautString } from './tautString';
import { caseCount } from '../../../test/caseCount';

/**
 * The least turn any line through a tube can have: the angles that cost the least so far are an interval, and everything else
 * costs its distance from it more.
 */
function leastTurn(low: readonly number[], high: readonly number[]): number {
  let [from, to, cost] = [low[0]!, high[0]!, 0];
  for (let frame = 1; frame < low.length; frame++) {
    const [down, up] = [low[frame]!, high[frame]!];
    if (down > to) [from, to, cost] = [down, down, cost + down - to];
    else if (up < from) [from, to, cost] = [up, up, cost + from - up];
    else [from, to] = [Math.max(from, down), Math.min(to, up)];
  }
  return cost;
}

/** Whether some line gets through with at most so much a frame. */
function getsThrough(low: readonly number[], high: readonly number[], mostDeg: number): boolean {
  let [from, to] = [low[0]!, high[0]!];
  for (let frame = 1; frame < low.length; frame++) {
    [from, to] = [Math.max(from - mostDeg, low[frame]!), Math.min(to + mostDeg, high[frame]!)];
    if (from > to) return false;
  }
  return true;
}

const stepsOf = (degs: readonly number[]) => degs.slice(1).map((deg, index) => Math.abs(deg - degs[index]!));
const turnOf = (degs: readonly number[]) => stepsOf(degs).reduce((sum, step) => sum + step, 0);

const tubes = fc
  .array(fc.record({ at: fc.integer({ min: 0, max: 400 }), width: fc.integer({ min: 0, max: 240 }) }), {
    minLength: 1,
    maxLength: 60,
  })
  .map((frames) => ({ low: frames.map(({ at }) => at / 4), high: frames.map(({ at, width }) => (at + width) / 4) }));

test('one setting where one fits, and a straight way where it must turn', () => {
  expect(tautString([0, 0, 1], [4, 3, 9])).toEqual([{ frame: 0, ringDeg: 2 }]);
  expect(tautString([0, 0, 4], [1, 9, 5])).toEqual([
    { frame: 0, ringDeg: 1 },
    { frame: 2, ringDeg: 4 },
  ]);
  // up and back again: it goes no farther than it must, and holds as long as it can
  expect(tautString([0, 0, 7, 0, 0], [2, 9, 9, 9, 3])).toEqual([
    { frame: 0, ringDeg: 2 },
    { frame: 2, ringDeg: 7 },
    { frame: 4, ringDeg: 3 },
  ]);
});

test('no other track inside the tube turns less, or has a lower peak speed', () => {
  fc.assert(
    fc.property(tubes, ({ low, high }) => {
      const corners = tautString(low, high);
      const degs = low.map((_, frame) => stringDegAt(corners, frame));
      expect(degs.filter((deg, frame) => !(deg >= low[frame]! - 1e-9 && deg <= high[frame]! + 1e-9))).toEqual([]);
      expect(turnOf(degs)).toBeCloseTo(leastTurn(low, high), 6);
      const peak = Math.max(0, ...stepsOf(degs));
      if (peak > 1e-6) expect(getsThrough(low, high, peak * (1 - 1e-6) - 1e-9)).toBe(false);
    }),
    { seed: 61, numRuns: caseCount(700) },
  );
});

test('with fewer corners it is as still, as slow, and inside all the same', () => {
  fc.assert(
    fc.property(tubes, ({ low, high }) => {
      const corners = tautString(low, high);
      const fewer = fewerCorners(corners, low, high);
      expect(fewer.length).toBeLessThanOrEqual(corners.length);
      const [all, some] = [corners, fewer].map((line) => low.map((_, frame) => stringDegAt(line, frame)));
      expect(some!.filter((deg, frame) => !(deg >= low[frame]! - 1e-8 && deg <= high[frame]! + 1e-8))).toEqual([]);
      expect(turnOf(some!)).toBeCloseTo(turnOf(all!), 6);
      expect(Math.max(0, ...stepsOf(some!))).toBeLessThanOrEqual(Math.max(0, ...stepsOf(all!)) + 1e-8);
    }),
    { seed: 62, numRuns: caseCount(400) },
  );
  // along a curved side: a corner at every frame of the string, few of the line
  const curve = Array.from({ length: 100 }, (_, frame) => 0.01 * frame * frame);
  const string = tautString(
    curve.map((deg) => deg - 3),
    curve.map((deg) => deg + 3),
  );
  expect(string.length).toBeGreaterThan(40);
  expect(
    fewerCorners(
      string,
      curve.map((deg) => deg - 3),
      curve.map((deg) => deg + 3),
    ).length,
  ).toBeLessThan(10);
});
