/** A moment as one says it: `today at 16:43`, `yesterday at 09:10`, `on 12 November at 08:00`. */
export function momentOf(iso: string, nowMs: number): string {
  const date = new Date(iso);
  const time = date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  const day = (ms: number) => new Date(ms).setHours(0, 0, 0, 0);
  const daysAgo = Math.round((day(nowMs) - day(date.getTime())) / (24 * 3_600_000));
  if (daysAgo === 0) return `today at ${time}`;
  if (daysAgo === 1) return `yesterday at ${time}`;
  return `on ${date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })} at ${time}`;
}
