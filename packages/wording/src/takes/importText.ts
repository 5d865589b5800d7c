import { counted } from '../figure.js';

/** What became of the takes of a file. */
export interface Imported {
  readonly fresh: number;
  /** Those that were here already, and are equal */
  readonly same: number;
  readonly replaced: number;
  /** Those that differ, and stay as they are here */
  readonly left: number;
}

/** "9 takes imported. 4 were here already. 1 was replaced. 2 differ, and stay as they are here." */
export function importedText({ fresh, same, replaced, left }: Imported): string {
  if (fresh + replaced + left === 0) return `${counted(same, 'take')} read: all of them are here already, and nothing differs.`;
  return [
    `${counted(fresh, 'take')} imported.`,
    same > 0 && `${same} ${same === 1 ? 'was' : 'were'} here already.`,
    replaced > 0 && `${replaced} ${replaced === 1 ? 'was' : 'were'} replaced.`,
    left > 0 && `${left} ${left === 1 ? 'differs, and stays as it is' : 'differ, and stay as they are'} here.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** Asked before takes that differ are replaced: "2 takes of the file differ from those here." */
export function differingTakesText(count: number): string {
  return `${counted(count, 'take')} of the file ${count === 1 ? 'differs from the one' : 'differ from those'} here.`;
}
