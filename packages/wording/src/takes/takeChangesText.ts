import { isDeepEqual, type Take } from '@still-heron/core';

/** Names of what a person may change of a take. */
const CHANGED: Readonly<Partial<Record<keyof Take, string>>> = {
  focus: 'focus',
  performance: 'performance',
  hits: 'marks',
  findings: 'other faults',
  isCircled: 'circled',
  isNoGood: 'no good',
  note: 'note',
  whyKept: 'why it is kept',
  usable: 'in and out',
  focusChecks: 'focus checks',
  measured: 'what its track shows',
  repairs: 'repairs',
  markMisses: 'missed marks',
  checkedOn: 'display of the check',
  checkMagnification: 'magnification of the check',
  checkConfidence: 'how sure the look was',
  earlierLooks: 'earlier looks',
  recoveries: 'lost and back',
  startTimecode: 'timecode',
  clip: 'file of the camera',
  durationS: 'length',
  cues: 'cues',
  alternate: 'alternate',
};

/** What differs between two versions of a take: "focus, note". */
export function takeChangesText(before: Omit<Take, 'track'>, after: Omit<Take, 'track'>): string {
  const differs = (key: keyof typeof before) => !isDeepEqual(before[key], after[key]);
  const names = (Object.entries(CHANGED) as [keyof typeof before, string][]).flatMap(([key, name]) => (differs(key) ? name : []));
  return names.length > 0 ? names.join(', ') : 'other details';
}
