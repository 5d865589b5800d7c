import { ringOf } from '../kit/index.js';
import { activeBeats, type ShotPlan } from '../plan/index.js';
import { followArrivals } from '../roll/index.js';
import { focusTrack } from '../track/index.js';
import { object, oneOf, quantity, type Shape, text, variant } from '../shape.js';
import { MARK_HITS } from './scorePulls.js';

/** What is said of a place of a take beside its pulls. The first says that nothing was wrong. */
export const FINDINGS = [
  'fine',
  'drifted-nearer',
  'drifted-farther',
  'left-zone',
  'camera-jumped',
  'settled-late',
  ...MARK_HITS.filter((hit) => hit !== 'hit'),
] as const;
export type Finding = (typeof FINDINGS)[number];

/** A place of a take at which something can be said, beside its pulls. */
export type FindingPlace =
  /** Somebody followed arrives at a mark */
  | { readonly kind: 'arrival'; readonly subjectId: string; readonly markId: string }
  | { readonly kind: 'beat'; readonly beatId: string }
  | { readonly kind: 'key-moment'; readonly beatId: string }
  /** Seconds from the start of the take */
  | { readonly kind: 'time'; readonly timeS: number };

export interface LoggedFinding {
  readonly at: FindingPlace;
  readonly found: Finding;
}

/** What can go wrong at each kind of place, the most frequent first. */
export const FINDINGS_AT: Readonly<Record<FindingPlace['kind'], readonly Finding[]>> = {
  arrival: ['fine', 'late', 'early', 'in-front', 'behind', 'overshot', 'searched', 'settled-late'],
  beat: ['fine', 'drifted-nearer', 'drifted-farther', 'left-zone', 'searched', 'settled-late', 'camera-jumped'],
  'key-moment': ['fine', 'in-front', 'behind', 'searched', 'left-zone', 'camera-jumped'],
  time: ['drifted-nearer', 'drifted-farther', 'left-zone', 'searched', 'settled-late', 'camera-jumped', 'fine'],
};

/** Whether two findings speak of the same place. Two of a time are never the same. */
export function isSamePlace(a: FindingPlace, b: FindingPlace): boolean {
  if (a.kind === 'arrival') return b.kind === 'arrival' && a.subjectId === b.subjectId && a.markId === b.markId;
  if (a.kind === 'time' || b.kind === 'time') return false;
  return a.kind === b.kind && a.beatId === (b as typeof a).beatId;
}

/** A place that the log can ask about, with its time in the plan. */
export interface AskedPlace {
  readonly at: Exclude<FindingPlace, { readonly kind: 'time' }>;
  readonly timeS: number;
}

/** Arrivals of who is followed, beats and key moments of the alternate that is shown: places that the log can ask about, in order of time. */
export function askedPlaces(plan: ShotPlan): AskedPlace[] {
  const track = focusTrack(plan, ringOf(plan.optics.lens));
  // one who comes to a mark twice is asked about once, at the first time
  const arrivals = (track ? followArrivals(plan, track) : []).filter(
    (one, index, all) => all.findIndex((other) => other.subjectId === one.subjectId && other.markId === one.markId) === index,
  );
  const beats = activeBeats(plan).filter(({ requirement }) => requirement !== 'none');
  return [
    ...arrivals.map(({ timeS, subjectId, markId }) => ({ timeS, at: { kind: 'arrival' as const, subjectId, markId } })),
    ...beats.map(({ id, fromS }) => ({ timeS: fromS, at: { kind: 'beat' as const, beatId: id } })),
    ...beats.flatMap(({ id, keyMomentS }) =>
      keyMomentS === null ? [] : [{ timeS: keyMomentS, at: { kind: 'key-moment' as const, beatId: id } }],
    ),
  ].sort((a, b) => a.timeS - b.timeS);
}

/** @param idMax - longest id @param takeS - limits of a time in a take */
export function findingShape(idMax: { readonly max: number }, takeS: { readonly min: number; readonly max: number }) {
  const id = text(idMax);
  const place: Shape<FindingPlace> = variant<FindingPlace>({
    arrival: object<Extract<FindingPlace, { kind: 'arrival' }>>({ kind: oneOf('arrival'), subjectId: id, markId: id }),
    beat: object<Extract<FindingPlace, { kind: 'beat' }>>({ kind: oneOf('beat'), beatId: id }),
    'key-moment': object<Extract<FindingPlace, { kind: 'key-moment' }>>({ kind: oneOf('key-moment'), beatId: id }),
    time: object<Extract<FindingPlace, { kind: 'time' }>>({ kind: oneOf('time'), timeS: quantity(takeS) }),
  });
  return object<LoggedFinding>({ at: place, found: oneOf(...FINDINGS) });
}
