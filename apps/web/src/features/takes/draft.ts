import {
  type Finding,
  type FindingPlace,
  type FocusGrade,
  isSamePlace,
  type LoggedFinding,
  type LoggedHit,
  type MarkHit,
  NOT_MEASURED,
  type PerformanceGrade,
  type Take,
} from '@still-heron/core';

/** Fields of a take that a person fills in as they are. */
const PLAIN = [
  'isCircled',
  'isNoGood',
  'checkedOn',
  'checkMagnification',
  'checkConfidence',
  'earlierLooks',
  'recoveries',
  'repairs',
  'usable',
  'focusChecks',
  'clip',
  'startTimecode',
] as const;

/** What a person says of a take. Nothing is said until somebody says it. */
export interface Draft extends Pick<Take, (typeof PLAIN)[number]> {
  /** By pull; of missing ones nothing is said */
  readonly hits: Readonly<Record<string, MarkHit>>;
  readonly findings: readonly LoggedFinding[];
  readonly focus: FocusGrade | null;
  readonly performance: PerformanceGrade | null;
  readonly note: string;
  /** By mark: distance beyond it; missing ones were on the mark */
  readonly missedMm: Readonly<Record<string, number>>;
}

export function freshDraft(): Draft {
  return {
    hits: {},
    findings: [],
    focus: null,
    performance: null,
    isCircled: false,
    isNoGood: false,
    note: '',
    missedMm: {},
    checkedOn: '',
    checkMagnification: null,
    checkConfidence: null,
    earlierLooks: [],
    recoveries: [],
    repairs: [],
    usable: null,
    focusChecks: [],
    clip: '',
    startTimecode: '',
  };
}

/** @param hit - null takes back what was said */
export function withHit(draft: Draft, pullId: string, hit: MarkHit | null): Draft {
  const others = Object.entries(draft.hits).filter(([id]) => id !== pullId);
  return withFault({ ...draft, hits: Object.fromEntries(hit === null ? others : [...others, [pullId, hit]]) });
}

/** @param found - null takes back what was said of the place */
export function withFinding(draft: Draft, at: FindingPlace, found: Finding | null): Draft {
  const others = draft.findings.filter((one) => !isSamePlace(one.at, at));
  return withFault({ ...draft, findings: found === null ? others : [...others, { at, found }] });
}

export function foundAt({ findings }: Draft, at: FindingPlace): Finding | null {
  return findings.find((one) => isSamePlace(one.at, at))?.found ?? null;
}

/** A take that was said to be sharp is usable at best with a fault. */
function withFault(draft: Draft): Draft {
  const isFaulty = Object.values(draft.hits).some((hit) => hit !== 'hit') || draft.findings.some(({ found }) => found !== 'fine');
  return { ...draft, focus: isFaulty && draft.focus === 'sharp' ? 'usable' : draft.focus };
}

/** Says of everything of which nothing is said, and which no track shows, that it was fine. */
export function allFine(draft: Draft, take: Pick<Take, 'hits' | 'measured'>, pullIds: readonly string[]): Draft {
  const isKnown = (pullId: string) => take.hits.some((one) => one.pullId === pullId && one.measured !== null);
  const hits = Object.fromEntries(pullIds.flatMap((id) => (isKnown(id) ? [] : [[id, 'hit' as const]])));
  const fine = withFault({ ...draft, hits: { ...hits, ...draft.hits }, focus: draft.focus ?? 'sharp' });
  return { ...fine, focus: draft.focus ?? (take.measured ? null : fine.focus), performance: draft.performance ?? 'good' };
}

/** What was said of a take that is logged already. */
export function draftOf(take: Take): Draft {
  const plain = Object.fromEntries(PLAIN.map((key) => [key, take[key]])) as Pick<Take, (typeof PLAIN)[number]>;
  return {
    ...plain,
    hits: Object.fromEntries(take.hits.flatMap(({ pullId, said }) => (said === null ? [] : [[pullId, said]]))),
    findings: take.findings,
    focus: take.focus,
    performance: take.performance,
    note: take.note || take.whyKept,
    missedMm: Object.fromEntries(take.markMisses.map(({ markId, byMm }) => [markId, byMm])),
  };
}

/** @param take - the take they belong to; what its track shows stays beside what is said */
export function takeOfDraft(draft: Draft, take: Take): Take {
  const { hits, missedMm, note, ...said } = draft;
  const isSoft = (said.focus ?? take.measured?.focus ?? 'sharp') !== 'sharp';
  const known = take.hits.map(({ pullId }) => pullId);
  return {
    ...take,
    ...said,
    note,
    timecodeFrom: said.startTimecode === take.startTimecode ? take.timecodeFrom : 'slate',
    hits: [...known, ...Object.keys(hits).filter((id) => !known.includes(id))].flatMap((pullId): LoggedHit[] => {
      const one = take.hits.find((hit) => hit.pullId === pullId) ?? { pullId, measured: null, ...NOT_MEASURED };
      const next = { ...one, said: hits[pullId] ?? null };
      return next.said === null && next.measured === null ? [] : [next];
    }),
    markMisses: Object.entries(missedMm).flatMap(([markId, byMm]) => (byMm === 0 ? [] : [{ markId, byMm }])),
    whyKept: said.isCircled && isSoft ? note : '',
  };
}
