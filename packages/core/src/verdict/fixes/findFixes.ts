import { isAllAutomatic, type ShotPlan } from '../../plan/index.js';
import { evaluateFrames } from '../evaluatePull.js';
import { followFixes, solverFixes, orderFixes, splitFixes } from './trackFixes.js';
import { gain, type Fix, type FixChange, fixResultOf, type TriedFix } from './fix.js';
import { pullFixes } from './pullFixes.js';
import { sightFixes } from './sightFixes.js';
import { stepBackFixes, stopFixes, walkFixes, wheelFixes } from './setupFixes.js';

/** Largest number of fixes offered. */
const MAX_OFFERED = 8;

/**
 * Finds changes that make a plan sharper: pulls retimed or re-eased, a follow, a split focus, a re-solved track, another order,
 * a reversed shot, a narrower stop, a shorter walk, a step aside, the camera farther back, another gear, or hard stops. Each is tried by
 * evaluating the changed plan. Of each kind, the smallest change with the largest gain is kept. Best result first, then lowest
 * cost.
 *
 * @param onTried - told after each kind of fix how many kinds are tried, of how many
 * @returns empty for a plan that can't be evaluated or needs no fix
 */
export function findFixes(plan: ShotPlan, onTried: (kinds: number, total: number) => void = () => undefined): Fix[] {
  const { verdict, track } = evaluateFrames(plan);
  // nobody makes the pulls of a shot that is left to autofocus
  if (verdict.status !== 'judged' || track === null || isAllAutomatic(plan)) return [];
  const isSharp = verdict.outcome === 'sharp';
  if (isSharp && verdict.hiddenSpans.length === 0) return [];
  const base = { plan, verdict, track };
  const was = fixResultOf(verdict);
  const sight = () => sightFixes(plan, verdict);
  const sharper: readonly (() => TriedFix[])[] = [
    () => pullFixes(base),
    () => followFixes(plan, verdict),
    () => splitFixes(base),
    () => stopFixes(plan),
    () => solverFixes(plan),
    () => orderFixes(plan, verdict),
    () => walkFixes(plan, verdict),
    () => wheelFixes(plan, verdict),
    () => stepBackFixes(plan),
  ];
  const kinds = isSharp ? [sight] : [...sharper, sight];
  const found = kinds.flatMap((find, index) => {
    const fixes = find();
    onTried(index + 1, kinds.length);
    return fixes;
  });
  return found
    .filter((mend) => gain(mend, was) > 0)
    .sort((a, b) => gain(b, a) || costOf(a) - costOf(b))
    .slice(0, MAX_OFFERED)
    .map(({ beatsLost: _, unjudgedS: __, ...mend }: TriedFix): Fix => mend);
}

/** Rough cost of a change to everybody on the set, by kind. A retimed pull also costs its size in tenths of a second. */
const COSTS: Readonly<Record<FixChange['kind'], number>> = {
  earlier: 0,
  later: 0,
  longer: 0,
  shorter: 0,
  easing: 0.5,
  lead: 1,
  split: 2,
  reference: 2,
  follow: 3,
  'hard-stops': 4,
  gear: 4.5,
  'solve-track': 5,
  'step-aside': 5.5,
  'step-back': 6,
  'shorter-walk': 6.5,
  'other-order': 8,
  reversed: 9,
  stop: 0,
};

function costOf({ change, stopsLost }: TriedFix): number {
  return stopsLost * 10 + COSTS[change.kind] + ('byS' in change ? change.byS : 0);
}
