import type { ShotChange } from '@still-heron/core';

/** A saved version as far as it matters for how long it is kept. */
export interface Kept {
  readonly shotId: string;
  readonly version: number;
  readonly savedAt: Date;
  readonly name: string;
  readonly changes: readonly ShotChange[] | null;
}

const DAY_MS = 24 * 3_600_000;
/** Age from which one version for each day is enough; before that, one for each hour. */
const MONTH_MS = 30 * DAY_MS;

/**
 * Which of the versions older than an hour are removed: of each shot, the last of every hour stays for thirty days, then the last of every day.
 * The newest of a shot stays, and so does each that a person has named.
 *
 * @param old - by shot and version, ascending
 * @param newest - version of each shot's newest one
 * @returns what is removed, and what stays but now also stands for what was removed just before it
 */
export function thinned(
  old: readonly Kept[],
  newest: ReadonlyMap<string, number>,
  now: Date,
): { readonly removed: readonly Kept[]; readonly changed: readonly Kept[] } {
  const lastOfSpan = new Map(old.map((one) => [spanOf(one, now), one.version]));
  const [removed, changed]: [Kept[], Kept[]] = [[], []];
  let waiting: Kept[] = [];
  for (const one of old) {
    if (waiting[0] && waiting[0].shotId !== one.shotId) waiting = [];
    const stays = one.name !== '' || one.version === newest.get(one.shotId) || one.version === lastOfSpan.get(spanOf(one, now));
    if (!stays) {
      removed.push(one);
      waiting.push(one);
      continue;
    }
    if (waiting.length > 0) changed.push({ ...one, changes: allOf([...waiting, one]) });
    waiting = [];
  }
  return { removed, changed };
}

/** The shot and the hour of a version, or its day if it is old. */
function spanOf({ shotId, savedAt }: Kept, now: Date): string {
  const iso = savedAt.toISOString();
  return `${shotId} ${now.getTime() - savedAt.getTime() > MONTH_MS ? iso.slice(0, 10) : iso.slice(0, 13)}`;
}

/** What any of the versions changed; null if that is not known of one. */
function allOf(versions: readonly Kept[]): ShotChange[] | null {
  if (versions.some(({ changes }) => changes === null)) return null;
  return [...new Set(versions.flatMap(({ changes }) => changes ?? []))];
}
