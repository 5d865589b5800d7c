import type { Finding, FindingPlace, MarkHit } from '@still-heron/core';

/** Key of each result of a pull; keys apply to one place after the other. */
export const HIT_KEYS: Readonly<Record<string, MarkHit>> = {
  h: 'hit',
  l: 'late',
  e: 'early',
  f: 'in-front',
  b: 'behind',
  o: 'overshot',
  s: 'searched',
  w: 'false-start',
};

type ByKind = Readonly<Partial<Record<FindingPlace['kind'], Finding>>>;

/** What the same keys, and two more, say at other places. F is nearer, B farther. */
export const FINDING_KEYS: Readonly<Record<string, ByKind>> = {
  h: { arrival: 'fine', beat: 'fine', 'key-moment': 'fine' },
  l: { arrival: 'late', beat: 'settled-late' },
  e: { arrival: 'early' },
  f: { arrival: 'in-front', beat: 'drifted-nearer', 'key-moment': 'in-front' },
  b: { arrival: 'behind', beat: 'drifted-farther', 'key-moment': 'behind' },
  o: { arrival: 'overshot' },
  s: { arrival: 'searched', beat: 'searched', 'key-moment': 'searched' },
  z: { beat: 'left-zone', 'key-moment': 'left-zone' },
  j: { beat: 'camera-jumped', 'key-moment': 'camera-jumped' },
};

/** The choice after one, round and round; after the last nothing is said. */
export function nextOf<T>(choices: readonly T[], chosen: T | null): T | null {
  return chosen === null ? choices[0]! : (choices[choices.indexOf(chosen) + 1] ?? null);
}
