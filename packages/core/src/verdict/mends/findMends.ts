import type { ShotPlan } from '../../pull/index.js';
import { evaluatePull } from '../evaluatePull.js';
import { followMends, layMends, orderMends, splitMends } from './lineMends.js';
import { gain, type Mend, type MendChange, resultOf, type Tried } from './mend.js';
import { moveMends } from './moveMends.js';
import { backMends, stopMends, walkMends, wheelMends } from './setMends.js';

/** Offered at most: the best few are all that anyone picks from. */
const MOST_OFFERED = 8;

/**
 * What would mend a plan: its moves otherwise timed or eased, the line going with someone, set between two, or laid anew; the order, or the whole shot, the other way round; a darker stop, a shorter
 * way, the camera farther back, another gear, hard stops. Each is tried by judging the plan it makes; of each kind the smallest change that gains most is kept. Best first: what keeps the most, then
 * what costs the least.
 *
 * @returns none for a plan that can't be judged, or needs nothing
 */
export function findMends(plan: ShotPlan): Mend[] {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged' || verdict.outcome === 'sharp') return [];
  const was = resultOf(verdict);
  const found = [
    ...moveMends(plan, verdict),
    ...followMends(plan, verdict),
    ...splitMends(plan, verdict),
    ...stopMends(plan),
    ...layMends(plan),
    ...orderMends(plan, verdict),
    ...walkMends(plan, verdict),
    ...wheelMends(plan, verdict),
    ...backMends(plan),
  ];
  return found
    .filter((mend) => gain(mend, was) > 0)
    .sort((a, b) => gain(b, a) || costOf(a) - costOf(b))
    .slice(0, MOST_OFFERED)
    .map(({ beatsLost: _, ...mend }: Tried): Mend => mend);
}

/** What a change costs everyone else on the set, roughly: a move shifted costs the puller a thought, light costs the picture, the order costs the story. A move costs its tenths of a second. */
const COSTS: Readonly<Record<MendChange['kind'], number>> = {
  earlier: 0,
  later: 0,
  longer: 0,
  shorter: 0,
  easing: 0.5,
  lead: 1,
  split: 2,
  'stand-in': 2,
  follow: 3,
  'hard-stops': 4,
  gear: 4.5,
  'lay-line': 5,
  'step-back': 6,
  'shorter-walk': 6.5,
  'other-order': 8,
  reversed: 9,
  stop: 0,
};

function costOf({ change, stopsLost }: Tried): number {
  return stopsLost * 10 + COSTS[change.kind] + ('byS' in change ? change.byS : 0);
}
