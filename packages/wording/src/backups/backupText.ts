import { counted } from '../figure.js';
import type { SentencePart } from '../sentence.js';
import { holdsText, type ToldBackup } from './storeText.js';

/** Why a backup was made. */
export const BACKUP_REASON_WORDS: Readonly<Record<string, string>> = {
  start: 'at the start',
  hourly: 'by itself, every hour',
  'by-hand': 'by hand',
  'before-update': 'before an update',
  'before-restore': 'before a restore',
};

const MINUTE_MS = 60_000;

/** Age in the largest unit that says enough: `a moment`, `12 minutes`, `5 hours`, `3 days`. */
export function ageText(ms: number): string {
  const minutes = Math.floor(ms / MINUTE_MS);
  if (minutes < 1) return 'a moment';
  if (minutes < 60) return counted(minutes, 'minute');
  const hours = Math.floor(minutes / 60);
  return hours < 48 ? counted(hours, 'hour') : counted(Math.floor(hours / 24), 'day');
}

const UNITS = ['B', 'kB', 'MB', 'GB', 'TB'];

/** Size of a file: `900 B`, `8.8 kB`, `12 MB`. */
export function sizeText(bytes: number): string {
  const step = bytes < 1000 ? 0 : Math.min(UNITS.length - 1, Math.floor(Math.log10(bytes) / 3));
  const value = bytes / 1000 ** step;
  return `${step > 0 && value < 10 ? value.toFixed(1) : Math.round(value)} ${UNITS[step]}`;
}

/** How safe the data is, in a sentence. @param newest - null if there is none */
export function backupSentence(newest: ToldBackup | null, failure: string | null, nowMs: number): SentencePart[] {
  const parts: SentencePart[] = [];
  if (failure !== null) parts.push({ tone: 'soft', text: `The last backup failed: ${failure}.` });
  if (newest === null) parts.push({ tone: 'edge', text: 'There is no backup yet.' });
  else {
    const age = ageText(nowMs - Date.parse(newest.madeAt));
    parts.push({ tone: failure === null ? 'sharp' : 'edge', text: `The newest backup was made ${age} ago.` });
    parts.push({ tone: 'plain', text: `It holds ${holdsText(newest)}.` });
  }
  return parts;
}

/** Where the backups are, and how long they are kept. */
export function backupPlaceText(folder: string, freeBytes: number): string {
  return `They are in ${folder} on the server’s machine, where ${sizeText(freeBytes)} are free. Copy one to another disk from time to time.`;
}

export const BACKUPS_KEPT =
  'A backup is made at each start and every hour in which something changes. Each is opened and compared before it counts. One is kept for each of the last 24 hours, 7 days and 4 weeks. Those made by hand stay.';

/** Asked before a backup is restored. @param when - time of the backup as the page shows it */
export function restoreQuestion(when: string): string {
  return `Everything becomes as it was ${when}. What is there now is backed up first, so you can go back.`;
}

/** A moment as one says it: `today at 16:43`, `yesterday at 09:10`, `on 12 November at 08:00`. */
export function whenText(iso: string, nowMs: number): string {
  const date = new Date(iso);
  const time = date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  const day = (ms: number) => new Date(ms).setHours(0, 0, 0, 0);
  const daysAgo = Math.round((day(nowMs) - day(date.getTime())) / (24 * 3_600_000));
  if (daysAgo === 0) return `today at ${time}`;
  if (daysAgo === 1) return `yesterday at ${time}`;
  return `on ${date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })} at ${time}`;
}

/** Told after a backup was restored. */
export function restoredSentence(backup: ToldBackup, nowMs: number): string {
  return `Everything is as it was ${whenText(backup.madeAt, nowMs)}: ${holdsText(backup)}.`;
}
