import { counted } from '../figure.js';

/** A backup, as far as it is told. */
export interface ToldBackup {
  readonly name: string;
  /** ISO 8601 */
  readonly madeAt: string;
  readonly productions: number;
  readonly shots: number;
  readonly takes: number;
}

/** What a backup holds, such as `1 production, 14 shots, no takes`. */
export function holdsText({ productions, shots, takes }: Pick<ToldBackup, 'productions' | 'shots' | 'takes'>): string {
  const part = (count: number, one: string) => (count === 0 ? `no ${one}s` : counted(count, one));
  return [part(productions, 'production'), part(shots, 'shot'), part(takes, 'take')].join(', ');
}

/** A moment for a terminal, in this machine's time: `28 November 2026, 16:05`. */
export function momentText(ms: number): string {
  const date = new Date(ms);
  const day = date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
  return `${day}, ${date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
}

/**
 * Told at a start that finds a database it can't open.
 *
 * @param store - `writtenAtMs`: when its files were written last; null if that can't be told
 * @param newest - the newest backup that can be used; null if there is none
 */
export function brokenStoreText(
  store: { readonly folder: string; readonly reason: string; readonly writtenAtMs: number | null },
  newest: ToldBackup | null,
): string {
  const lines = [`The database in ${store.folder} can’t be opened: ${store.reason}.`, 'It stays there as it is.'];
  if (newest) {
    lines.push(`The newest good backup was made on ${momentText(Date.parse(newest.madeAt))}. It holds ${holdsText(newest)}.`);
    const written =
      store.writtenAtMs === null || store.writtenAtMs < Date.parse(newest.madeAt) ? null : momentText(store.writtenAtMs);
    if (written !== null && written !== momentText(Date.parse(newest.madeAt)))
      lines.push(`Changes after that, up to ${written}, are not in it.`);
    lines.push(`To use it:              npm run restore -- ${newest.name}`);
  } else lines.push('There is no backup of it.');
  lines.push('To start without data: npm run restore -- --empty', 'Both put the broken folder aside and delete nothing.');
  return lines.join('\n');
}

/** Told at a start that finds the database of a newer version. @param writtenBy - empty if unknown */
export function newerStoreText(where: string, writtenBy: string, own: string): string {
  const writer = writtenBy === '' ? 'A newer Still Heron' : `Still Heron ${writtenBy}`;
  return `${writer} wrote the database in ${where}. This is Still Heron ${own}, which can’t read it. Nothing was changed. Start the newer version, or set STILL_HERON_DATA to another folder.`;
}

/** Told at a start that finds files of another major version of PostgreSQL. */
export function otherPostgresText(folder: string, stored: string, own: string): string {
  const [writer, way] =
    Number(stored) > Number(own)
      ? ['A newer Still Heron', 'Start the newer version']
      : ['An older Still Heron', 'Restore a backup with “npm run restore”'];
  return `${writer} wrote the database in ${folder}, with PostgreSQL ${stored}. This one has PostgreSQL ${own} and can’t read it. Nothing was changed. ${way}, or set STILL_HERON_DATA to another folder.`;
}

/** A backup in a list on a terminal. */
export function backupLine(backup: ToldBackup): string {
  return `${backup.name}\n  ${momentText(Date.parse(backup.madeAt))}: ${holdsText(backup)}`;
}

export function madeText(backup: ToldBackup, folder: string): string {
  return `The backup ${backup.name} is in ${folder}. It holds ${holdsText(backup)}, and was opened to make sure.`;
}

/** @param before - backup of what was there before; null if it could not be opened */
export function restoredText(backup: ToldBackup, before: string | null): string {
  const done = `Everything is as it was on ${momentText(Date.parse(backup.madeAt))}: ${holdsText(backup)}.`;
  return before === null ? done : `${done}\nWhat was there before is kept as ${before}.`;
}

/** @param aside - new name of the folder; null if there was none */
export function putAsideText(aside: string | null): string {
  return aside === null ? 'There was no database.' : `The folder of the database was put aside as ${aside}.`;
}

export function emptyStartText(aside: string | null): string {
  return `${putAsideText(aside)}\nThe next start makes an empty one.`;
}

/** @param name - null if none was asked for */
export function noSuchBackupText(name: string | null, folder: string): string {
  if (name === null) return `There are no backups in ${folder}.`;
  return `There is no backup ${name} in ${folder}. Give the name of one of these:`;
}

/** Told at a start when the PostgreSQL server does not let us in. */
export function serverAwayText(reason: string): string {
  return `The PostgreSQL server of DATABASE_URL can’t be used: ${reason}. Start it, or correct DATABASE_URL. Without DATABASE_URL the data is kept in a folder.`;
}

/** Told at a start beside another server on the same database. */
export function sharedDatabaseText(): string {
  return 'Another Still Heron uses this database. Everything saved is shared. A roll and its devices are not: open them from one server.';
}

export const NO_EMPTY_SERVER =
  'With DATABASE_URL the data is on a PostgreSQL server. Name another database of it to start without data.';

/** Told when a backup would fill the disk. @param needMb - free space it needs, in MB */
export function noRoomForBackupText(freeMb: number, needMb: number): string {
  return `the disk has ${freeMb} MB free, and a backup needs ${needMb} MB for a while`;
}
