import {
  type Finding,
  type FindingPlace,
  formatTime,
  hitOf,
  type LoggedFinding,
  type LookAt,
  type ShotPlan,
  type Take,
  takeTimeText,
  type UnitSystem,
} from '@still-heron/core';
import { subjectName } from '../names.js';
import { HIT_WORDS } from './hitWords.js';
import { faultText } from './takeText.js';

/** What was found at a place of a take. */
export const FINDING_WORDS: Readonly<Record<Finding, string>> = {
  ...HIT_WORDS,
  fine: 'fine',
  'drifted-nearer': 'drifted nearer',
  'drifted-farther': 'drifted farther',
  'left-zone': 'left the zone',
  'camera-jumped': 'camera jumped',
  'settled-late': 'settled late',
};

/** A place of a take: "Ines at B", "Ines, 3.0 to 9.0 s", "key moment of Ines". A place that the plan has no more says so. */
export function findingPlaceText(at: FindingPlace, plan: ShotPlan): string {
  if (at.kind === 'time') return formatTime(at.timeS);
  if (at.kind === 'arrival') {
    const letter = plan.marks.find(({ id }) => id === at.markId)?.letter;
    return `${subjectName(plan, at.subjectId)} at ${letter ?? 'a deleted mark'}`;
  }
  const beat = plan.beats.find(({ id }) => id === at.beatId);
  if (!beat) return at.kind === 'beat' ? 'a deleted span' : 'a deleted key moment';
  const who = subjectName(plan, beat.subjectId);
  if (at.kind === 'key-moment') return `key moment of ${who}`;
  return `${who}, ${beat.fromS.toFixed(1)} to ${formatTime(beat.toS)}`;
}

/** Faults at other places than pulls: "Ines drifted nearer"; empty without any. */
export function findingFaultText(findings: readonly LoggedFinding[], plan: ShotPlan): string {
  return findings
    .filter(({ found }) => found !== 'fine')
    .map(({ at, found }) => `${FINDING_WORDS[found]}: ${findingPlaceText(at, plan)}`)
    .join('; ');
}

/** Names of places of a take, as its shot has them. */
export interface PlaceNames {
  /** Target of a pull */
  readonly pullName: (pullId: string) => string;
  /** Another place at which something was found */
  readonly placeName: (at: FindingPlace) => string;
}

/** Every fault of a take: "in front at B", "camera jumped: 3.3 s". */
export function faultLines({ hits, findings }: Pick<Take, 'hits' | 'findings'>, { pullName, placeName }: PlaceNames): string[] {
  return [
    ...hits.flatMap((one) => {
      const hit = hitOf(one);
      return hit === null || hit === 'hit' ? [] : `${HIT_WORDS[hit]} at ${pullName(one.pullId)}`;
    }),
    ...findings.flatMap(({ at, found }) => (found === 'fine' ? [] : `${FINDING_WORDS[found]}: ${placeName(at)}`)),
  ];
}

/** A fault at a time of a take: "camera jumped at 3.3 s". */
export function findingTimeText(found: Finding, timeS: number): string {
  return `${FINDING_WORDS[found]} at ${formatTime(timeS)}`;
}

/** Faults of a take at its pulls and elsewhere: "late at B; camera jumped: 3.3 s", "every mark hit", "marks not said". */
export function takeFaultText({ hits, findings }: Pick<Take, 'hits' | 'findings'>, plan: ShotPlan, units: UnitSystem): string {
  const faults = [faultText(hits, plan, units), findingFaultText(findings, plan)].filter(Boolean).join('; ');
  if (faults) return faults;
  const { pulls } = plan.focusTrack;
  if (pulls.length === 0) return findings.length > 0 ? 'no fault' : '';
  const isHit = (pullId: string) => hits.some((one) => one.pullId === pullId && hitOf(one) === 'hit');
  return pulls.every(({ id }) => isHit(id)) ? 'every mark hit' : 'marks not said';
}

/** What to look at when a take is checked: "Look first at the key moment of Ines, 7.0 s; then at Old Tam, 2.3 s." Empty for nothing. */
export function lookFirstText(moments: readonly LookAt[], plan: ShotPlan, take: Pick<Take, 'startTimecode' | 'gear'>): string {
  const named = moments.map(({ at, timeS }) => {
    const beat = plan.beats.find(({ id }) => id === at.beatId);
    const who = beat ? subjectName(plan, beat.subjectId) : 'a deleted span';
    return `${at.kind === 'key-moment' ? `the key moment of ${who}` : who}, ${takeTimeText(timeS, take)}`;
  });
  if (named.length === 0) return '';
  return `Look first at ${named.join('; then at ')}.`;
}
