import type { ShotPlan } from '../../pull/index.js';
import { evaluatePull } from '../evaluatePull.js';
import { followMends, layMends, orderMends, splitMends } from './lineMends.js';
import { gain, type Mend, type MendChange, resultOf, type Tried } from './mend.js';
import { moveMends } from './moveMends.js';
import { backMends, stopMends, walkMends, wheelMends } from './setMends.js';

/** Largest number of fixes offered. */
const MOST_OFFERED = 8;

/**
 * Finds changes that make a plan sharper: pulls retimed or re-eased, a follow, a split focus, a re-solved track, another order,
 * a reversed shot, a narrower stop, a shorter walk, the camera farther back, another gear, or hard stops. Each is tried by
 * evaluating the changed plan. Of each kind, the smallest change with the largest gain is kept. Best result first, then lowest
 * cost.
 *
 * @returns empty for a plan that can't be evaluated or needs no fix
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

/** Rough cost of a change to everybody on the set, by kind. A retimed pull also costs its size in tenths of a second. */
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
