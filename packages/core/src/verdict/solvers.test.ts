import { twoPeople } from '../../test/plans';
import { caseCount } from '../../test/caseCount';
import { RANDOM_PLANS } from '../../test/randomPlans';
import { ringOf } from '../kit/index';
import { changeBeat, checkPlan, ringReach, type ShotPlan, zoneLensAt } from '../plan/index';
import { focusTrack, maxRingDegPerS, pullTiming, SOLVER_WAYS, solveTrack, type Tube, tubeOf } from '../track/index';
import { landingWindow, minPullTimeS } from '../hand/index';
import { evaluatePull, evaluateResult } from './evaluatePull';
import type { CompleteVerdict } from './pullVerdict';

const PLANS = RANDOM_PLANS.slice(0, caseCount(80));

const judged = (plan: ShotPlan): CompleteVerdict => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('not judged');
  return verdict;
};
const lineDegs = (plan: ShotPlan, frames: number) => {
  const track = focusTrack(plan, ringOf(plan.optics.lens))!;
  return Array.from({ length: frames }, (_, frame) => track.ringDegAt(frame / plan.captureFps));
};

/** Angles tried by the brute forces, in degrees apart. */
const GRID_DEG = 2;
const COARSE_DEG = 5;
const gridOf = ({ lowDeg, highDeg }: { lowDeg: number; highDeg: number }, stepDeg = GRID_DEG) =>
  Array.from({ length: Math.floor((highDeg - lowDeg) / stepDeg) + 1 }, (_, k) => lowDeg + k * stepDeg);

test.each(SOLVER_WAYS)('%s: on every plan it can be saved, and breaks no limit of ring, hand or order', (way) => {
  for (const given of PLANS) {
    const plan = way === 'retime' ? (solveTrack(given, 'fewest-holds')?.plan ?? given) : given;
    const laid = solveTrack(plan, way);
    if (!laid) continue;
    expect(checkPlan(laid.plan)).toEqual([]);
    const reach = ringReach(plan);
    const verdict = judged(laid.plan);
    expect(Math.min(...verdict.track.ringDeg)).toBeGreaterThanOrEqual(reach.lowDeg - 1e-9);
    expect(Math.max(...verdict.track.ringDeg)).toBeLessThanOrEqual(reach.highDeg + 1e-9);
    expect(verdict.pulls.filter(({ grade }) => grade === 'too-hard')).toEqual([]);
    expect(verdict.fastest.maxHandDegPerS).toBeLessThanOrEqual(verdict.fastest.limitDegPerS * (1 + 1e-6));
  }
});

describe('follow', () => {
  test('where some line keeps everyone it does, and no line turns less by more than a millionth of a degree', () => {
    let [kept, impossible] = [0, 0];
    for (const plan of PLANS) {
      const laid = solveTrack(plan, 'follow')!;
      const tube = tubeOf(plan);
      const verdict = judged(laid.plan);
      if (laid.impossible !== null) {
        impossible++;
        expect(verdict.sharpFrames).toBeLessThan(verdict.requiredFrames);
        continue;
      }
      kept++;
      expect(verdict.sharpFrames).toBe(verdict.requiredFrames);
      const degs = lineDegs(laid.plan, tube.required.length);
      const turn = degs.slice(1).reduce((sum, deg, index) => sum + Math.abs(deg - degs[index]!), 0);
      expect(turn).toBeLessThanOrEqual(leastTurn(tube) + 1e-6);
    }
    // neither is rare
    expect(Math.min(kept, impossible)).toBeGreaterThan(PLANS.length / 10);
  });

  test('with room kept it stands clear of the edge, and turns more for it', () => {
    const plan = RANDOM_PLANS.find((one) => {
      const laid = solveTrack(one, 'follow');
      return laid !== null && laid.impossible === null && laid.holds > 3;
    })!;
    const [taut, roomy] = [0, 0.4].map((roomShare) => judged(solveTrack(plan, 'follow', { roomShare })!.plan));
    expect(roomy!.tightest!.marginMm).toBeGreaterThan(taut!.tightest!.marginMm + 1);
    expect(roomy!.sharpFrames).toBe(roomy!.requiredFrames);
  });

  test('no more room is kept than the hand has time for, nor than there usually is', () => {
    for (const plan of PLANS) {
      const laid = solveTrack(plan, 'follow', { roomShare: 0.6 });
      if (!laid || laid.impossible !== null) continue;
      const { fastest, sharpFrames, requiredFrames } = judged(laid.plan);
      expect(sharpFrames).toBe(requiredFrames);
      expect(fastest.maxHandDegPerS).toBeLessThanOrEqual(fastest.limitDegPerS * (1 + 1e-6));
    }
    const soft = changeBeat(twoPeople(), 'beat-2', { requirement: 'soft', fromS: 4.5, blurPercent: 0.5 });
    const line = judged(solveTrack(soft, 'follow', { roomShare: 0.3 })!.plan).track.ringDeg;
    // it stays where Old Tam is sharp instead of going to the middle of what is soft enough
    expect(Math.max(...line) - Math.min(...line)).toBeLessThan(10);
  });
});

/** As in the test of the string, told apart on purpose: what costs least is an interval. */
function leastTurn({ lowDeg, highDeg }: Tube): number {
  let [from, to, cost] = [lowDeg[0]!, highDeg[0]!, 0];
  for (let frame = 1; frame < lowDeg.length; frame++) {
    const [down, up] = [lowDeg[frame]!, highDeg[frame]!];
    if (down > to) [from, to, cost] = [down, down, cost + down - to];
    else if (up < from) [from, to, cost] = [up, up, cost + from - up];
    else [from, to] = [Math.max(from, down), Math.min(to, up)];
  }
  return cost;
}

test('impossible is said exactly where trying every angle at every frame finds no line', () => {
  for (const plan of PLANS) {
    const tube = tubeOf(plan);
    const mostDeg = maxRingDegPerS(plan) / plan.captureFps;
    const found = solveTrack(plan, 'follow')!.impossible;
    // a grid finds only what leaves it a step of room, so it searches a wider tube for one bound and a narrower for the other
    const wide = firstUnreached(widened(tube, COARSE_DEG), mostDeg + 2 * COARSE_DEG);
    if (wide !== null) expect(found).not.toBeNull();
    if (firstUnreached(tube, mostDeg) === null) expect(found).toBeNull();
    if (found?.why === 'at-once') {
      const frame = Math.round(found.fromS * plan.captureFps);
      expect(tube.lowDeg[frame]!).toBeGreaterThan(tube.highDeg[frame]!);
    }
  }
});

function widened({ lowDeg, highDeg, required }: Tube, by: number): Tube {
  return { lowDeg: lowDeg.map((deg) => deg - by), highDeg: highDeg.map((deg) => deg + by), required };
}

/** Every angle of a grid that can have been reached, frame by frame. */
function firstUnreached(tube: Tube, mostDeg: number): number | null {
  const grid = gridOf({ lowDeg: -2 * COARSE_DEG, highDeg: 290 }, COARSE_DEG);
  const span = Math.floor(mostDeg / COARSE_DEG + 1e-9);
  let reached = new Uint8Array(grid.length).fill(1);
  for (let frame = 0; frame < tube.required.length; frame++) {
    const before = reached;
    reached = new Uint8Array(grid.length);
    for (let at = 0; at < grid.length; at++) {
      if (grid[at]! < tube.lowDeg[frame]! || grid[at]! > tube.highDeg[frame]!) continue;
      for (let k = Math.max(0, at - span); k <= Math.min(grid.length - 1, at + span) && !reached[at]; k++)
        reached[at] = before[k]!;
    }
    if (!reached.includes(1)) return frame;
  }
  return null;
}

describe('the fewest holds', () => {
  test('never more than trying every parting of the beats and every angle needs, and none where that finds none', () => {
    let compared = 0;
    for (const plan of PLANS) {
      const laid = solveTrack(plan, 'fewest-holds');
      const least = bruteHolds(plan, tubeOf(plan));
      if (!laid || least === null) continue;
      compared++;
      expect(laid.holds).toBeLessThanOrEqual(least);
      const verdict = judged(laid.plan);
      expect(verdict.sharpFrames).toBe(verdict.requiredFrames);
    }
    expect(compared).toBeGreaterThan(PLANS.length / 4);
  });
});

/**
 * The fewest settings, by every grid angle for every run of needed frames, that a hand gets from one to the next in the time
 * between; null for none.
 */
function bruteHolds(plan: ShotPlan, tube: Tube): number | null {
  const ring = ringOf(plan.optics.lens);
  const grid = gridOf(ringReach(plan));
  let counts: number[] | null = null;
  let lastNeeded = 0;
  for (let frame = 0; frame < tube.required.length; frame++) {
    if (!tube.required[frame]) continue;
    const first = frame;
    let [low, high] = [-Infinity, Infinity];
    for (; tube.required[frame]; frame++)
      [low, high] = [Math.max(low, tube.lowDeg[frame]!), Math.min(high, tube.highDeg[frame]!)];
    const availableS = (first - lastNeeded) / plan.captureFps;
    const lens = zoneLensAt(plan.optics, first / plan.captureFps);
    const before: readonly number[] | null = counts;
    counts = grid.map((deg, at): number => {
      if (deg < low || deg > high) return Infinity;
      if (before === null) return 1;
      const { widthDeg } = landingWindow(lens, ring, ring.distanceAt(deg));
      return before.reduce((least: number, count: number, from: number): number => {
        const isSame = from === at;
        const gets = isSame || minPullTimeS(plan, Math.abs(deg - grid[from]!), widthDeg) <= availableS;
        return gets ? Math.min(least, count + (isSame ? 0 : 1)) : least;
      }, Infinity);
    });
    lastNeeded = frame - 1;
  }
  const least = Math.min(...(counts ?? [Infinity]));
  return Number.isFinite(least) ? least : null;
}

test('fixed: no other setting keeps more, and the key moments come before everything', () => {
  for (const plan of PLANS.slice(0, 60)) {
    const laid = solveTrack(plan, 'fixed');
    if (!laid) continue;
    const ring = ringOf(plan.optics.lens);
    const valueOf = (one: ShotPlan) => {
      const { beats, sharpFrames } = evaluateResult(one)!;
      return [beats.filter(({ isKeyMomentKept }) => isKeyMomentKept).length, sharpFrames] as const;
    };
    const [keys, frames] = valueOf(laid.plan);
    for (const deg of gridOf({ lowDeg: 0, highDeg: ring.throwDeg }).filter((_, k) => k % 4 === 0)) {
      const mm = ring.distanceAt(deg);
      const start = { kind: 'distance' as const, distanceMm: mm === Infinity ? null : mm };
      const [otherKeys, otherFrames] = valueOf({ ...plan, focusTrack: { start, pulls: [] } });
      expect(keys).toBeGreaterThanOrEqual(otherKeys);
      if (otherKeys === keys && plan.beats.length === 1) expect(frames).toBeGreaterThanOrEqual(otherFrames);
    }
  }
});

test('retime: existing pulls move to the time that loses the least, with their free range', () => {
  const plan = RANDOM_PLANS.slice(0, 60)
    .map((one) => solveTrack(one, 'fewest-holds'))
    .find((laid) => laid !== null && laid.holds === 3 && judged(laid.plan).outcome === 'sharp')!.plan;
  const shifted = {
    ...plan,
    focusTrack: { ...plan.focusTrack, pulls: plan.focusTrack.pulls.map((pull) => ({ ...pull, startS: pull.startS - 0.05 })) },
  };
  const laid = solveTrack(shifted, 'retime')!;
  expect(laid.plan.focusTrack.pulls.map(({ target }) => target)).toEqual(plan.focusTrack.pulls.map(({ target }) => target));
  expect(judged(laid.plan).sharpFrames).toBe(judged(plan).sharpFrames);
  for (const { startS, earliestStartS, latestStartS, durationS, longestS, lostFrames } of laid.timings) {
    expect(lostFrames).toBe(0);
    expect(earliestStartS).toBeLessThanOrEqual(latestStartS);
    expect(startS).toBeGreaterThanOrEqual(earliestStartS - 0.5);
    expect(durationS).toBeLessThanOrEqual(longestS);
  }
  // for one pull alone the answer is the same, and the others stay
  const [first] = laid.timings;
  expect(pullTiming(laid.plan, first!.pullId)!.earliestStartS).toBeCloseTo(first!.earliestStartS, 9);
  expect(pullTiming(laid.plan, 'nobody')).toBeNull();
  expect(solveTrack({ ...plan, focusTrack: { ...plan.focusTrack, pulls: [] } }, 'retime')).toBeNull();
});
