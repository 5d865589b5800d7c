import { outdated } from './retention';

const HOUR = 3_600_000;
const NOW = Date.UTC(2026, 10, 28, 16, 30);

test('a month of hourly backups leaves 24 hours, 7 days and 4 weeks', () => {
  const all = Array.from({ length: 24 * 40 }, (_, hour) => ({
    name: String(hour),
    madeAtMs: NOW - hour * HOUR,
    reason: 'hourly',
  }));
  const gone = new Set(outdated(all, NOW));
  const ages = all.filter((backup) => !gone.has(backup)).map(({ madeAtMs }) => (NOW - madeAtMs) / HOUR);
  expect(ages.slice(0, 24)).toEqual(Array.from({ length: 24 }, (_, hour) => hour));
  // behind them one for each day, made in its last hour, and one for each week
  const days = ages.filter((age) => age >= 24).map((age) => new Date(NOW - age * HOUR).toISOString().slice(0, 13));
  expect(days.slice(0, 5)).toEqual(['2026-11-26T23', '2026-11-25T23', '2026-11-24T23', '2026-11-23T23', '2026-11-22T23']);
  expect(ages.length).toBeGreaterThanOrEqual(24 + 5 + 2);
  expect(ages.length).toBeLessThanOrEqual(24 + 7 + 4);
  expect(Math.max(...ages)).toBeGreaterThan(14 * 24);
  expect(Math.max(...ages)).toBeLessThanOrEqual(28 * 24);
});

test('what a person made stays; what was made before an update stays for four weeks; the newest stays always', () => {
  const of = (reason: string, days: number) => ({ name: `${reason} ${days}`, madeAtMs: NOW - days * 24 * HOUR, reason });
  const old = [of('by-hand', 400), of('before-update', 27), of('before-restore', 29), of('hourly', 300)];
  expect(outdated(old, NOW).map(({ name }) => name)).toEqual(['before-restore 29', 'hourly 300']);
  expect(outdated([of('start', 500)], NOW)).toEqual([]);
});
