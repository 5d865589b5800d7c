import { changePull, isTriggeredByEvent, type Pull, pullEndS, type ShotPlan } from '../../plan/index.js';
import { EASINGS } from '../../hand/index.js';
import type { CompleteVerdict } from '../pullVerdict.js';
import type { KnownFrames } from '../frames.js';
import { type FixBase, knownOutside, smallestBest, type TriedFix, tryFix } from './fix.js';

/** Largest shift tried, and its step. */
const MAX_SHIFT_S = 2;
const STEP_S = 0.1;
const STEPS = Array.from({ length: Math.round(MAX_SHIFT_S / STEP_S) }, (_, k) => Number(((k + 1) * STEP_S).toFixed(3)));

/** A shot with more frames of subjects than this takes long to judge: fewer shifts are tried. */
const MANY_FRAMES = 50_000;
const COARSE_STEPS = [0.2, 0.4, 0.8, 1.6];

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

/** Largest number of pulls that are retimed: of a long shot, those that lose most. */
const MAX_PULLS_TRIED = 16;

/** For each such pull: earlier, later, longer, shorter, and other easings. */
export function pullFixes(base: FixBase): TriedFix[] {
  const { plan, verdict } = base;
  const lostBy = (pullId: string) =>
    verdict.softSpans
      .filter(({ cause }) => 'pullId' in cause && cause.pullId === pullId)
      .reduce((sum, { fromFrame, toFrame }) => sum + toFrame - fromFrame, 0);
  const worst = [...blamedPulls(plan, verdict)].sort((a, b) => lostBy(b.id) - lostBy(a.id)).slice(0, MAX_PULLS_TRIED);
  const steps = verdict.frameCount * verdict.subjects.length > MANY_FRAMES ? COARSE_STEPS : STEPS;
  return worst.flatMap((pull) => {
    const known = knownOutside(base, ...spanOf(plan, pull));
    return [
      ...(isTriggeredByEvent(pull) ? AFTER_EVENT : KINDS).flatMap((kind) =>
        smallestBest(steps.flatMap((byS) => tryPull({ plan, pull, known }, kind, byS))),
      ),
      ...smallestBest(
        EASINGS.filter((easing) => easing !== pull.easing).flatMap((easing) =>
          tryFix({ kind: 'easing', pullId: pull.id, easing }, changePull(plan, pull.id, { easing }), 0, known),
        ),
      ),
    ];
  });
}

/** Time in which the track can differ if a pull is moved between its neighbours: up to the landing of the next one. */
export function spanOf({ focusTrack: { pulls }, durationS }: ShotPlan, pull: Pull): [fromS: number, toS: number] {
  const at = pulls.findIndex(({ id }) => id === pull.id);
  const [before, after] = [pulls[at - 1], pulls[at + 1]];
  return [before ? pullEndS(before) : 0, after ? pullEndS(after) : durationS];
}

interface TriedPull {
  readonly plan: ShotPlan;
  readonly pull: Pull;
  readonly known: KnownFrames;
}

function tryPull({ plan, pull, known }: TriedPull, kind: (typeof KINDS)[number], byS: number): TriedFix[] {
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
  return isAsIntended ? tryFix({ kind, pullId: pull.id, byS }, changed, 0, known) : [];
}
