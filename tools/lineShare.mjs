import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const CODE = /\.(ts|tsx|mjs)$/;
const TEST = /(\.(test|spec|e2e|fuzz)\.|(^|\/)(e2e|test|tests)\/)/;

/** Share of test lines among all non-blank code lines, over tracked and new files. */
export function lineShare(root) {
  const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], {
    cwd: root,
    encoding: 'utf8',
  }).split('\n');
  let testLines = 0;
  let allLines = 0;
  for (const file of files.filter((path) => CODE.test(path))) {
    const lines = countLines(join(root, file));
    allLines += lines;
    if (TEST.test(file)) testLines += lines;
  }
  return { testLines, allLines, percent: (100 * testLines) / Math.max(1, allLines) };
}

function countLines(path) {
  try {
    return readFileSync(path, 'utf8')
      .split('\n')
      .filter((line) => line.trim() !== '').length;
  } catch {
    return 0; // deleted, but still in the index
  }
}
