import type { CsvTable } from '@still-heron/core';
import Papa from 'papaparse';

/** What a file may part its cells with, the surest first: a comma may also be a decimal one. */
const SEPARATORS = ['\t', ';', '|', ','] as const;

/** Cuts a file into rows of cells. The separator is the surest one that stands in its first line; quotes are minded. */
export function parseCsv(text: string): CsvTable {
  const first = text.replace(/^\uFEFF/, '').split(/\r?\n/, 1)[0] ?? '';
  const delimiter = SEPARATORS.find((separator) => first.includes(separator)) ?? ',';
  return Papa.parse<string[]>(text, { delimiter, skipEmptyLines: false }).data;
}

/** A table as the text of a file. */
export function printCsv(table: readonly (readonly string[])[]): string {
  return `${Papa.unparse(table.map((row) => [...row]))}\r\n`;
}

/** Lets the browser save a text as a file. */
export function saveFile(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** Asks the person for a file, and reads it. @returns null when they think better of it */
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
