import { ringOf, withinReach } from '../../kit/index.js';
import {
  activeBeats,
  DEFAULT_PULL,
  type FocusTarget,
  type FocusTrackPlan,
  nextId,
  type Pull,
  reversed,
  type ShotPlan,
  targetMm,
} from '../../plan/index.js';
import { focusReferences, focusTrack, solveTrack, trimmedPlans, type Tube, tubeOf } from '../../track/index.js';
import type { CompleteVerdict, SoftSpan } from '../pullVerdict.js';
import { type FixBase, knownOutside, smallestBest, type TriedFix, tryFix } from './fix.js';
import { blamedPulls } from './pullFixes.js';

/** Leads tried for a follow, smallest first. */
const LEADS_TRIED_S = [0, 0.1, -0.1, 0.2, -0.2, 0.3, -0.3, 0.4, -0.4];

/** Makes the track follow a subject that walks out of the zone, or changes its lead. */
export function followFixes(plan: ShotPlan, verdict: CompleteVerdict): TriedFix[] {
  const walkers = softestSubjects(verdict.softSpans.filter(({ cause }) => FOLLOWABLE.has(cause.kind)));
  const followed = plan.focusTrack.pulls.filter(({ target }) => target.kind === 'subject' && walkers.has(target.subjectId));
  const leads = [plan.focusTrack.start, ...plan.focusTrack.pulls.map(({ target }) => target)].flatMap((target) =>
    target?.kind === 'subject' && walkers.has(target.subjectId)
      ? smallestBest(
          LEADS_TRIED_S.flatMap((leadS) =>
            tryFix({ kind: 'lead', subjectId: target.subjectId, leadS }, led(plan, target, leadS)),
          ),
        )
      : [],
  );
  const follows = [...walkers]
    .filter((subjectId) => followed.every(({ target }) => target.kind !== 'subject' || target.subjectId !== subjectId))
    .flatMap((subjectId) => {
      const first = verdict.softSpans.find((span) => span.subjectId === subjectId)!;
      return smallestBest(
        LEADS_TRIED_S.slice(0, 5).flatMap((leadS) => {
          const changed = withFollow(plan, first, leadS);
          return changed ? tryFix({ kind: 'follow', subjectId, leadS }, changed) : [];
        }),
      );
    });
  return [...leads, ...follows];
}

/** Largest number of subjects for whom changes are tried: of many, those who are soft longest. */
const MAX_SUBJECTS_TRIED = 3;

/** Subjects of soft spans, the one with the longest first. */
export function softestSubjects(spans: readonly SoftSpan[]): ReadonlySet<string> {
  const frames = new Map<string, number>();
  for (const { subjectId, fromFrame, toFrame } of spans)
    frames.set(subjectId, (frames.get(subjectId) ?? 0) + toFrame - fromFrame);
  const sorted = [...frames].sort(([, a], [, b]) => b - a).map(([subjectId]) => subjectId);
  return new Set(sorted.slice(0, MAX_SUBJECTS_TRIED));
}

const FOLLOWABLE: ReadonlySet<string> = new Set([
  'walks',
  'camera-moves',
  'under-way',
  'starts-too-late',
  'tracking-off',
  'left-too-soon',
]);

function led(plan: ShotPlan, was: FocusTarget, leadS: number): ShotPlan {
  const changed = (target: FocusTarget): FocusTarget =>
    target === was && target.kind === 'subject' ? { ...target, leadS } : target;
  const { start, pulls } = plan.focusTrack;
  return {
    ...plan,
    focusTrack: { start: start && changed(start), pulls: pulls.map((pull) => ({ ...pull, target: changed(pull.target) })) },
  };
}

/**
 * Turns the pull that should have reached the subject into a follow. Without such a pull, adds one that lands when the beat
 * starts.
 */
function withFollow(plan: ShotPlan, { cause, beatId, subjectId, fromS }: SoftSpan, leadS: number): ShotPlan | null {
  const target: FocusTarget = { kind: 'subject', subjectId, leadS };
  const { start, pulls } = plan.focusTrack;
  const withFocusTrack = (track: FocusTrackPlan): ShotPlan => ({ ...plan, focusTrack: track });
  const blamed = 'pullId' in cause ? cause.pullId : null;
  const pullId = blamed ?? [...pulls].reverse().find((pull) => pull.startS <= fromS)?.id;
  const beat = plan.beats.find(({ id }) => id === beatId)!;
  if (pullId !== undefined) {
    const at = pulls.findIndex(({ id }) => id === pullId);
    const aimed = pulls.map((pull, index) => (index === at ? { ...pull, target } : pull));
    if (at >= 0 && goesTo(plan, pulls[at]!.target, subjectId)) return withFocusTrack({ start, pulls: aimed });
  } else if (start && goesTo(plan, start, subjectId)) return withFocusTrack({ start: target, pulls });
  // in the gap before the beat
  const before = [...pulls].reverse().find((pull) => pull.startS < beat.fromS);
  const freeS = before ? before.startS + before.durationS : 0;
  const next = pulls.find((pull) => pull.startS >= beat.fromS);
  const durationS = Math.min(0.8, (next?.startS ?? plan.durationS) - freeS);
  const startS = Math.max(freeS, Math.min(beat.fromS, fromS) - durationS);
  if (durationS < 0.2 || startS + durationS > (next?.startS ?? plan.durationS)) return null;
  const added: Pull = { ...DEFAULT_PULL, id: nextId('pull', pulls), startS, durationS, target };
  return withFocusTrack({ start, pulls: [...pulls, added].sort((a, b) => a.startS - b.startS) });
}

function goesTo(plan: ShotPlan, target: FocusTarget, subjectId: string): boolean {
  return target.kind === 'mark' && plan.marks.some(({ id, subjectId: owner }) => id === target.markId && owner === subjectId);
}

/**
 * Moves a hold elsewhere within the zone: between the subjects required during it. A landmark can serve as the reference there.
 */
export function splitFixes(base: FixBase): TriedFix[] {
  const { plan, verdict } = base;
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  if (track === null) return [];
  // beats of which a share is enough may lose frames at their ends
  const tubes = [plan, ...trimmedPlans(plan)].map(tubeOf);
  const settings = [null, ...track.pulls];
  return settings.flatMap((pull, index) => {
    const next = track.pulls[index];
    const position = pull?.to ?? track.start;
    if (position.target.kind !== 'mark' && position.target.kind !== 'distance') return [];
    const [fromS, toS] = [pull?.endS ?? 0, next?.startS ?? plan.durationS];
    if (!verdict.softSpans.some((span) => span.fromS < toS && span.toS > fromS)) return [];
    const room = tubes
      .map((tube) => commonRoom(tube, fromS * plan.captureFps, toS * plan.captureFps))
      .find((one) => one !== null);
    if (!room) return [];
    const [low, high] = room;
    const fromMm = position.distanceMm;
    const at = (mm: number): FocusTarget => ({ kind: 'distance', distanceMm: targetMm(mm) });
    const middleMm = ring.distanceAt((low + high) / 2);
    const toMm = inSteps(middleMm, (mm) => isBetween(ring.angleAt(withinReach(ring, mm)), low, high));
    const known = knownOutside(base, pull?.startS ?? 0, next?.endS ?? plan.durationS);
    const splits = tryFix({ kind: 'split', fromMm, toMm, at: null }, aimed(plan, pull?.pullId ?? null, at(toMm)), 0, known);
    const mark =
      position.target.kind === 'mark'
        ? plan.marks.find((one) => 'markId' in position.target && one.id === position.target.markId)
        : undefined;
    const things = mark ? focusReferences(plan, mark).filter(({ focusMm }) => isBetween(ring.angleAt(focusMm), low, high)) : [];
    const inPlace = things
      .slice(0, 1)
      .flatMap(({ name, focusMm }) =>
        tryFix({ kind: 'reference', fromMm, toMm: focusMm, at: name }, aimed(plan, pull?.pullId ?? null, at(focusMm)), 0, known),
      );
    return [...splits, ...inPlace];
  });
}

/** Ring angles that all required frames of a span allow; null if there are none, or nothing is required. */
function commonRoom({ lowDeg, highDeg, required }: Tube, fromFrame: number, toFrame: number): readonly [number, number] | null {
  let [low, high] = [-Infinity, Infinity];
  for (let frame = Math.ceil(fromFrame - 1e-6); frame < Math.min(toFrame, required.length); frame++) {
    if (!required[frame]) continue;
    [low, high] = [Math.max(low, lowDeg[frame]!), Math.min(high, highDeg[frame]!)];
  }
  return low > high || low === -Infinity ? null : [low, high];
}

/** Steps of a distance that can be taped, coarsest first, in mm. */
const TAPE_STEPS_MM = [50, 10, 1];

/** A distance rounded to the coarsest step that still does. */
function inSteps(mm: number, does: (mm: number) => boolean): number {
  if (mm === Infinity) return mm;
  return TAPE_STEPS_MM.map((step) => Math.round(mm / step) * step).find(does) ?? mm;
}

const isBetween = (value: number, low: number, high: number) => value >= low && value <= high;

function aimed(plan: ShotPlan, pullId: string | null, target: FocusTarget): ShotPlan {
  const { start, pulls } = plan.focusTrack;
  const line =
    pullId === null
      ? { start: target, pulls }
      : { start, pulls: pulls.map((pull) => (pull.id === pullId ? { ...pull, target } : pull)) };
  return { ...plan, focusTrack: line };
}

/** Swaps the order of two beats around a pull that is too hard, or reverses the whole shot. */
export function orderFixes(plan: ShotPlan, verdict: CompleteVerdict): TriedFix[] {
  const hard = blamedPulls(plan, verdict);
  if (hard.length === 0) return [];
  return [...oppositeLanding(plan, hard), ...tryFix({ kind: 'reversed' }, reversed(plan))];
}

/** Only if both subjects stand still and have one beat each; otherwise another order would change the story. */
function oppositeLanding(plan: ShotPlan, hard: readonly Pull[]): TriedFix[] {
  const asked = activeBeats(plan).filter(({ requirement: kind }) => kind === 'sharp');
  const [first, second, ...others] = [...asked].sort((a, b) => a.fromS - b.fromS);
  const stands = (subjectId: string) => plan.subjects.find(({ id }) => id === subjectId)!.stays.length === 1;
  if (!first || !second || others.length > 0 || hard.length !== 1 || plan.focusTrack.pulls.length !== 1 || !plan.focusTrack.start)
    return [];
  if (first.subjectId === second.subjectId || !stands(first.subjectId) || !stands(second.subjectId)) return [];
  const partners = new Map([
    [first, second],
    [second, first],
  ]);
  const swapped = plan.beats.map((beat) => ({ ...beat, subjectId: (partners.get(beat) ?? beat).subjectId }));
  const [pull] = plan.focusTrack.pulls;
  const line = { start: pull!.target, pulls: [{ ...pull!, target: plan.focusTrack.start }] };
  return tryFix(
    { kind: 'other-order', firstId: second.subjectId, secondId: first.subjectId },
    { ...plan, beats: swapped, focusTrack: line },
  );
}

export function solverFixes(plan: ShotPlan): TriedFix[] {
  const laid = solveTrack(plan, 'fewest-holds');
  return laid ? tryFix({ kind: 'solve-track', holds: laid.holds, cuesGivenUp: laid.cuesGivenUp }, laid.plan) : [];
}
