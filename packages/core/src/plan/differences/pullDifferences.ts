import { isDeepEqual } from '../../deepEqual.js';
import { type Pull, pullEndS, type ShotPlan } from '../shotPlan.js';
import { matchItems } from './itemDifferences.js';

/** A pull that was added or removed, or what changed on it. */
export interface PullDifference {
  readonly kind: 'pull';
  readonly pullId: string;
  readonly change: 'added' | 'removed' | 'target' | 'start' | 'landing' | 'easing' | 'trigger' | 'other';
}

/** Differences of the start of the focus track, and of its pulls. */
export function trackDifferences(before: ShotPlan, after: ShotPlan): ({ readonly kind: 'track-start' } | PullDifference)[] {
  const { added, removed, kept } = matchItems(before.focusTrack.pulls, after.focusTrack.pulls);
  const difference = (change: PullDifference['change']) => (pull: Pull) => ({ kind: 'pull', pullId: pull.id, change }) as const;
  return [
    ...(isDeepEqual(before.focusTrack.start, after.focusTrack.start) ? [] : [{ kind: 'track-start' } as const]),
    ...added.map(difference('added')),
    ...removed.map(difference('removed')),
    ...kept.flatMap(([was, is]) => changesOf(was, is).map((change) => difference(change)(is))),
  ];
}

function changesOf(was: Pull, is: Pull): PullDifference['change'][] {
  const trigger = ({ trigger, cue, countInS, cueSigmaS }: Pull) => ({ trigger, cue, countInS, cueSigmaS });
  const others = ({ target: _1, startS: _2, durationS: _3, easing: _4, ...rest }: Pull) => {
    const { trigger: _5, cue: _6, countInS: _7, cueSigmaS: _8, ...other } = rest;
    return other;
  };
  return [
    ...(isDeepEqual(was.target, is.target) ? [] : ['target' as const]),
    ...(was.startS === is.startS ? [] : ['start' as const]),
    ...(pullEndS(was) === pullEndS(is) ? [] : ['landing' as const]),
    ...(was.easing === is.easing ? [] : ['easing' as const]),
    ...(isDeepEqual(trigger(was), trigger(is)) ? [] : ['trigger' as const]),
    ...(isDeepEqual(others(was), others(is)) ? [] : ['other' as const]),
  ];
}
