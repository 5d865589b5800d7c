import { backupLine, brokenStoreText, emptyStartText, newerStoreText, noSuchBackupText, otherPostgresText } from './storeText';

const MADE = new Date(2026, 10, 28, 16, 0).getTime();
const backup = { name: 'one.backup.gz', madeAt: new Date(MADE).toISOString(), productions: 1, shots: 14, takes: 0 };
const store = { folder: '/data/pglite', reason: 'a file is missing', writtenAtMs: MADE + 42 * 60_000 };

test('a broken database is told with what the newest backup holds, and what it lacks', () => {
  expect(brokenStoreText(store, backup).split('\n')).toEqual([
    'The database in /data/pglite can’t be opened: a file is missing.',
    'It stays there as it is.',
    'The newest good backup was made on 28 November 2026, 16:00. It holds 1 production, 14 shots, no takes.',
    'Changes after that, up to 28 November 2026, 16:42, are not in it.',
    'To use it:              npm run restore -- one.backup.gz',
    'To start without data: npm run restore -- --empty',
    'Both put the broken folder aside and delete nothing.',
  ]);
  expect(brokenStoreText({ ...store, writtenAtMs: MADE + 1000 }, backup)).not.toContain('Changes after');
  expect(brokenStoreText({ ...store, writtenAtMs: null }, backup)).not.toContain('Changes after');
  expect(brokenStoreText(store, null)).toContain('There is no backup of it.');
});

test('another version’s database is told with the version and what to do', () => {
  expect(newerStoreText('/data', '7.1.0', '0.1.0')).toMatch(/^Still Heron 7\.1\.0 wrote .* Start the newer version/);
  expect(newerStoreText('/data', '', '0.1.0')).toMatch(/^A newer Still Heron wrote/);
  expect(otherPostgresText('/data', '19', '18')).toContain('Start the newer version');
  expect(otherPostgresText('/data', '17', '18')).toContain('npm run restore');
});

test('backups on a terminal', () => {
  expect(backupLine(backup)).toBe('one.backup.gz\n  28 November 2026, 16:00: 1 production, 14 shots, no takes');
  expect(noSuchBackupText(null, '/b')).toBe('There are no backups in /b.');
  expect(noSuchBackupText('x', '/b')).toContain('no backup x');
  expect(emptyStartText(null)).toContain('There was no database.');
});
