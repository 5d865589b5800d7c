import type { RevisionView } from '@still-heron/contract';
import type { ShotChange } from '@still-heron/core';

/** Saves of one device in quick succession, newest first. A list shows them as one. */
export interface Stretch {
  readonly newest: RevisionView;
  readonly versions: readonly RevisionView[];
  /** What any of them changed; null if that is not known of one */
  readonly changes: readonly ShotChange[] | null;
}

/** Saves that follow one another within this time belong together. */
const PAUSE_MS = 5 * 60_000;

/** Joins saves that belong together. A version with a name begins a stretch of its own. @param versions - newest first */
export function stretchesOf(versions: readonly RevisionView[]): Stretch[] {
  const stretches: RevisionView[][] = [];
  for (const version of versions) {
    const current = stretches.at(-1);
    if (current && belongs(version, current.at(-1)!)) current.push(version);
    else stretches.push([version]);
  }
  return stretches.map((all) => ({ newest: all[0]!, versions: all, changes: changesOf(all) }));
}

function belongs(version: RevisionView, after: RevisionView): boolean {
  const isSame = version.savedBy.deviceId === after.savedBy.deviceId && version.savedBy.deviceId !== '';
  const pauseMs = Date.parse(after.savedAt) - Date.parse(version.savedAt);
  return isSame && version.name === '' && pauseMs < PAUSE_MS;
}

function changesOf(versions: readonly RevisionView[]): ShotChange[] | null {
  if (versions.some(({ changes }) => changes === null)) return null;
  return [...new Set(versions.toReversed().flatMap(({ changes }) => changes ?? []))];
}
