interface Saved {
  readonly savedAt: string;
}

export interface DayOfSaves<T> {
  readonly day: string;
  readonly items: readonly T[];
}

/** Groups versions by the day they were saved; days and versions newest first. */
export function byDay<T extends Saved>(revisions: readonly T[]): DayOfSaves<T>[] {
  const days: { day: string; items: T[] }[] = [];
  for (const revision of revisions) {
    const day = new Date(revision.savedAt).toLocaleDateString('en-GB', {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    });
    const last = days[days.length - 1];
    if (last?.day === day) last.items.push(revision);
    else days.push({ day, items: [revision] });
  }
  return days;
}

export function timeOfDay(savedAt: string): string {
  return new Date(savedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' });
}
