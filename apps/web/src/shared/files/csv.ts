import type { CsvTable } from '@still-heron/core';
import Papa from 'papaparse';

/** Possible cell separators, least ambiguous first: a comma can also be a decimal comma. */
const SEPARATORS = ['\t', ';', '|', ','] as const;

/** Splits a CSV file into rows of cells. Uses the least ambiguous separator in its first line, and respects quotes. */
export function parseCsv(text: string): CsvTable {
  const first = text.replace(/^\uFEFF/, '').split(/\r?\n/, 1)[0] ?? '';
  const delimiter = SEPARATORS.find((separator) => first.includes(separator)) ?? ',';
  return Papa.parse<string[]>(text, { delimiter, skipEmptyLines: false }).data.map((row) => row.map(readBack));
}

/** A cell that a spreadsheet would compute, and one that `asText` has changed. A number with a sign is only a number. */
const COMPUTED = /^[=+\-@\t\r]/;
const SIGNED_NUMBER = /^[+-]?(\d+(\.\d*)?|\.\d+)$/;
const AS_TEXT = /^'(?=['=+\-@\t\r])/;

/** A cell as a spreadsheet shows it, never computes it: with an apostrophe before it. `readBack` takes the apostrophe away. */
function asText(cell: string): string {
  return (COMPUTED.test(cell) && !SIGNED_NUMBER.test(cell)) || AS_TEXT.test(cell) ? `'${cell}` : cell;
}

function readBack(cell: string): string {
  return cell.replace(AS_TEXT, '');
}

/** A table as CSV text. No cell in it is a formula; `parseCsv` reads the same cells back. */
export function printCsv(table: readonly (readonly string[])[]): string {
  return `${Papa.unparse(table.map((row) => row.map(asText)))}\r\n`;
}

/** Offers a text as a file download. */
export function saveFile(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** Asks the user for a file and reads it. @returns null if cancelled */
export function askForFile(accept: string): Promise<{ name: string; text: string } | null> {
  return new Promise((answer) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => {
      const file = input.files?.[0];
      if (!file) answer(null);
      else void file.text().then((text) => answer({ name: file.name, text }));
    };
    input.oncancel = () => answer(null);
    input.click();
  });
}
