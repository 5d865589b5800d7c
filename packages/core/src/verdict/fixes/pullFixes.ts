import { changePull, isTriggeredByEvent, type Pull, type ShotPlan } from '../../plan/index.js';
import { EASINGS } from '../../hand/index.js';
import type { CompleteVerdict } from '../pullVerdict.js';
import { smallestBest, type TriedFix, tryFix } from './fix.js';

/** Largest shift tried, and its step. */
const MAX_SHIFT_S = 2;
const STEP_S = 0.1;
const STEPS = Array.from({ length: Math.round(MAX_SHIFT_S / STEP_S) }, (_, k) => Number(((k + 1) * STEP_S).toFixed(3)));

const KINDS = ['earlier', 'later', 'longer', 'shorter'] as const;
/** Kinds of a pull that an event sets off: it can't start before the event. */
const AFTER_EVENT = KINDS.filter((kind) => kind === 'later' || kind === 'shorter');

/** Pulls that cause softness or are hard for the hand. */
export function blamedPulls(plan: ShotPlan, verdict: CompleteVerdict): readonly Pull[] {
  const blamed = new Set<string | null>();
  for (const { cause } of verdict.softSpans) if ('pullId' in cause) blamed.add(cause.pullId);
  for (const { pullId, grade, handPeakDegPerS } of verdict.pulls)
    if (grade === 'too-hard' || grade === 'tight' || handPeakDegPerS > plan.maxHandDegPerS) blamed.add(pullId);
  return plan.focusTrack.pulls.filter(({ id }) => blamed.has(id));
}

/** For each such pull: earlier, later, longer, shorter, and other easings. */
export function pullFixes(plan: ShotPlan, verdict: CompleteVerdict): TriedFix[] {
  return blamedPulls(plan, verdict).flatMap((pull) => [
    ...(isTriggeredByEvent(pull) ? AFTER_EVENT : KINDS).flatMap((kind) =>
      smallestBest(STEPS.flatMap((byS) => tryPull(plan, pull, kind, byS))),
    ),
    ...smallestBest(
      EASINGS.filter((easing) => easing !== pull.easing).flatMap((easing) =>
        tryFix({ kind: 'easing', pullId: pull.id, easing }, changePull(plan, pull.id, { easing })),
      ),
    ),
  ]);
}

function tryPull(plan: ShotPlan, pull: Pull, kind: (typeof KINDS)[number], byS: number): TriedFix[] {
  const { startS, durationS } = pull;
  const requested = {
    earlier: { startS: startS - byS },
    later: { startS: startS + byS },
    // a longer pull keeps its landing and starts earlier
    longer: { startS: startS - byS, durationS: durationS + byS },
    shorter: { startS: startS + byS, durationS: durationS - byS },
  }[kind];
  const changed = changePull(plan, pull.id, requested);
  const now = changed.focusTrack.pulls.find(({ id }) => id === pull.id)!;
  // limited by its neighbours or the shot, it is no longer the change it claims to be
  const isAsIntended =
    Math.abs(now.startS - requested.startS) < 1e-6 &&
    Math.abs(now.durationS - ('durationS' in requested ? requested.durationS : durationS)) < 1e-6;
  return isAsIntended ? tryFix({ kind, pullId: pull.id, byS }, changed) : [];
}
