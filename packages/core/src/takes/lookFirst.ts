import { activeBeats, type ShotPlan } from '../plan/index.js';
import { rollClock, type RollMode } from '../roll/index.js';
import { evaluatePull } from '../verdict/index.js';
import { verdictOf } from './asJudged.js';
import type { FindingPlace } from './findings.js';
import type { Take } from './take.js';

/** A moment of a take to look at when its focus is checked. */
export interface LookAt {
  readonly at: Extract<FindingPlace, { readonly kind: 'beat' | 'key-moment' }>;
  /** Seconds from the start of the take */
  readonly timeS: number;
}

/**
 * What to look at first when a take is checked: its key moments, then the worst moment of the beat that was kept worst. By the track of the take,
 * or without one by the plan. Moments that the take did not come to are left out.
 */
export function lookFirst(
  plan: ShotPlan,
  take: Pick<Take, 'track' | 'cues' | 'focusChecks' | 'durationS'>,
  pace?: RollMode,
): LookAt[] {
  const clock = rollClock(plan, take.cues, pace);
  const beats = activeBeats(plan).filter(({ requirement }) => requirement === 'sharp');
  const moments = beats.flatMap(({ id, keyMomentS }) =>
    keyMomentS === null ? [] : [{ at: { kind: 'key-moment' as const, beatId: id }, planS: keyMomentS }],
  );
  const worst = worstMoment(plan, take, pace);
  const timed = [...moments.sort((a, b) => a.planS - b.planS), ...(worst ? [worst] : [])].flatMap(({ at, planS }): LookAt[] => {
    const timeS = clock.realSAt(planS);
    return timeS === null || timeS > take.durationS ? [] : [{ at, timeS }];
  });
  return timed;
}

function worstMoment(plan: ShotPlan, take: Pick<Take, 'track' | 'cues' | 'focusChecks'>, pace: RollMode | undefined) {
  const planned = evaluatePull(plan);
  const judged = verdictOf(plan, take, pace) ?? (planned.status === 'judged' ? planned : null);
  if (!judged) return null;
  const { beats, subjects, captureFps } = judged;
  const blurAt = (subjectId: string, frame: number) =>
    subjects.find((subject) => subject.subjectId === subjectId)?.blurCircles[frame] ?? 0;
  const [worst] = beats
    .flatMap(({ beatId, subjectId, kind, share, worstFrame }) =>
      kind === 'sharp' && worstFrame !== null ? [{ beatId, share, worstFrame, blur: blurAt(subjectId, worstFrame) }] : [],
    )
    .sort((a, b) => a.share - b.share || b.blur - a.blur);
  return worst ? { at: { kind: 'beat' as const, beatId: worst.beatId }, planS: worst.worstFrame / captureFps } : null;
}
