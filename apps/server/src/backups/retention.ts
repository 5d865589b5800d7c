const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** How many spans of each length keep their newest backup. */
const KEPT = [
  { spanMs: HOUR_MS, spans: 24 },
  { spanMs: DAY_MS, spans: 7 },
  { spanMs: 7 * DAY_MS, spans: 4 },
] as const;

/** How long backups are kept that are made before an update or a restoration. */
const BEFORE_MS = 28 * DAY_MS;

/** A backup, as far as its keeping goes. */
export interface Kept {
  readonly name: string;
  readonly madeAtMs: number;
  readonly reason: string;
}

/**
 * Backups that are no longer kept. The newest of each of the last 24 hours, 7 days and 4 weeks stays, and so does each one that a person has
 * made. Those from before an update or a restoration stay for 4 weeks. The newest of all always stays.
 */
export function outdated<B extends Kept>(backups: readonly B[], nowMs: number): B[] {
  const newestFirst = [...backups].sort((a, b) => b.madeAtMs - a.madeAtMs);
  const kept = new Set<B>(newestFirst.slice(0, 1));
  for (const backup of newestFirst) {
    const isBefore = backup.reason.startsWith('before-') && nowMs - backup.madeAtMs <= BEFORE_MS;
    if (backup.reason === 'by-hand' || isBefore) kept.add(backup);
  }
  for (const { spanMs, spans } of KEPT) {
    const now = Math.floor(nowMs / spanMs);
    const seen = new Set<number>();
    for (const backup of newestFirst) {
      const span = Math.floor(backup.madeAtMs / spanMs);
      if (now - span < spans && !seen.has(span)) kept.add(backup);
      seen.add(span);
    }
  }
  return newestFirst.filter((backup) => !kept.has(backup));
}
