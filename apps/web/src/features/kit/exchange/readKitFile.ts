import { KIT_FORMAT } from './kitFormat';
import type { KitFile } from '@still-heron/contract';
import {
  type CsvReading,
  type KitKind,
  type Problem,
  problem,
  readCameraTable,
  readLensTable,
  readRigTable,
  readWheelTable,
} from '@still-heron/core';
import { parseCsv } from '../../../shared/files/csv';

export type KitFileReading =
  { readonly status: 'read'; readonly file: KitFile } | { readonly status: 'unread'; readonly problems: readonly Problem[] };

const EMPTY: KitFile = { format: KIT_FORMAT, schema: 1, cameras: [], lenses: [], wheels: [], rigs: [] };

/**
 * Reads a kit file: a whole kit as JSON, or a table of cameras, lenses, wheels or rigs as CSV. The first line tells which. The server checks
 * the contents of a JSON file.
 */
export function readKitFile(text: string): KitFileReading {
  const given = text.replace(/^\uFEFF/, '').trim();
  if (given.startsWith('{') || given.startsWith('[')) return readJson(given);
  const table = parseCsv(text);
  const hasHeading = (pattern: RegExp) => table[0]?.some((heading) => pattern.test(heading)) ?? false;
  if (hasHeading(/wheel\W*deg/i)) return withItems('wheels', readWheelTable(table));
  if (hasHeading(/^\s*camera\s*$/i)) return withItems('cameras', readCameraTable(table));
  if (hasHeading(/^\s*rig\s*$/i)) return withItems('rigs', readRigTable(table));
  return withItems('lenses', readLensTable(table));
}

function withItems(kind: KitKind, reading: CsvReading<unknown>): KitFileReading {
  return reading.status === 'unread' ? reading : { status: 'read', file: { ...EMPTY, [kind]: [...reading.items] } };
}

function readJson(given: string): KitFileReading {
  const unread = (found: Problem): KitFileReading => ({ status: 'unread', problems: [found] });
  try {
    const file = JSON.parse(given) as Partial<KitFile> | null;
    if (file?.format !== KIT_FORMAT) return unread(problem('wrong-file', 'the file', { file: 'kit', format: KIT_FORMAT }));
    return { status: 'read', file: { ...EMPTY, ...file } };
  } catch (error) {
    const text = error instanceof Error ? error.message : '';
    return unread(problem('unreadable', 'the file', { text, what: 'json' }));
  }
}
