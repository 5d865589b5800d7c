import { KIT_FORMAT } from './kitFormat';
import type { KitFile } from '@still-heron/contract';
import { type Problem, problem, readLensTable, readWheelTable } from '@still-heron/core';
import { parseCsv } from '../../../shared/files/csv';

export type KitFileReading =
  { readonly status: 'read'; readonly file: KitFile } | { readonly status: 'unread'; readonly problems: readonly Problem[] };

const EMPTY: KitFile = { format: KIT_FORMAT, schema: 1, cameras: [], lenses: [], wheels: [], rigs: [] };

/**
 * Reads a kit file: a whole kit as JSON, or a table of lenses or wheels as CSV. The first line tells which. The server checks
 * the contents of a JSON file.
 */
export function readKitFile(text: string): KitFileReading {
  const given = text.replace(/^\uFEFF/, '').trim();
  if (given.startsWith('{') || given.startsWith('[')) return readJson(given);
  const table = parseCsv(text);
  const isWheels = table[0]?.some((heading) => /wheel\W*deg/i.test(heading)) ?? false;
  if (isWheels) {
    const reading = readWheelTable(table);
    return reading.status === 'unread' ? reading : { status: 'read', file: { ...EMPTY, wheels: [...reading.items] } };
  }
  const reading = readLensTable(table);
  return reading.status === 'unread' ? reading : { status: 'read', file: { ...EMPTY, lenses: [...reading.items] } };
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
