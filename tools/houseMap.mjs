import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, posix } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { PARTS, STAGES } from '../eslint.config.mjs';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
const DOCUMENT = join(ROOT, 'docs/architecture.md');

/** Order of the workspaces: a workspace imports only those before it. */
export const WORKSPACES = ['core', 'wording', 'contract', 'server', 'web', 'e2e', 'benchmarks'];

/** Order of the server's folders. */
export const SERVER_FOLDERS = [
  'database',
  'http',
  'network',
  'work',
  'backups',
  'kit',
  'productions',
  'shots',
  'pictures',
  'measuring',
  'stop',
  'takes',
  'roll',
  'health',
  'demo',
];

/** The levels that are drawn: their parts in order, and the part to which a file belongs. */
export const LEVELS = [
  { title: 'Workspaces', order: WORKSPACES, partOf: workspaceOf },
  { title: 'Stages of the core', order: STAGES, partOf: (file) => folderBelow(file, 'packages/core/src/') },
  { title: 'Folders of the server', order: SERVER_FOLDERS, partOf: (file) => folderBelow(file, 'apps/server/src/') },
  {
    title: 'Parts of the page',
    order: PARTS,
    partOf: (file) => folderBelow(file, 'apps/web/src/features/') ?? folderBelow(file, 'apps/web/src/'),
  },
];

function workspaceOf(file) {
  return /^(?:packages|apps)\/([^/]+)\//.exec(file)?.[1] ?? /^(e2e|benchmarks)\//.exec(file)?.[1] ?? null;
}

function folderBelow(file, parent) {
  if (!file.startsWith(parent)) return null;
  const [folder, rest] = file.slice(parent.length).split(/\/(.*)/);
  return rest ? folder : null;
}

/** All imports of the project's files by one another, as [from, to]; tests are left out. */
export function readImports() {
  const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], { cwd: ROOT, encoding: 'utf8' })
    .split('\n')
    .filter((file) => /\.(tsx?|mjs)$/.test(file) && !/\.(test|fixture)\.|\/test\//.test(file) && existsSync(join(ROOT, file)));
  return files.flatMap((file) => importsOf(file, readFileSync(join(ROOT, file), 'utf8')));
}

/** Imports in the text of a file, as [from, to] with paths from the root of the project. */
export function importsOf(file, text) {
  return [...text.matchAll(/(?:^|\s)(?:from|import)\s*\(?\s*'([^']+)'/g)].flatMap(([, target]) => {
    if (target.startsWith('.')) return [[file, posix.join(posix.dirname(file), target)]];
    const workspace = /^@still-heron\/(core|wording|contract)$/.exec(target)?.[1];
    return workspace ? [[file, `packages/${workspace}/src/index.ts`]] : [];
  });
}

/** Arrows between the parts of a level, as "from > to". */
export function arrowsOf({ partOf }, imports) {
  const arrows = new Set();
  for (const [from, to] of imports) {
    const [source, target] = [partOf(from), partOf(to)];
    if (source && target && source !== target) arrows.add(`${source} > ${target}`);
  }
  return [...arrows].sort();
}

/** Arrows that run against the order, and those of parts that the order does not name. */
export function arrowsBack({ order }, arrows) {
  return arrows.filter((arrow) => {
    const [from, to] = arrow.split(' > ').map((part) => order.indexOf(part));
    return from < 0 || to < 0 || to > from;
  });
}

/** Arrows without those that a longer way replaces: A > C goes if there are A > B and B > C. */
export function reduced(arrows) {
  const next = new Map();
  for (const arrow of arrows) {
    const [from, to] = arrow.split(' > ');
    next.set(from, [...(next.get(from) ?? []), to]);
  }
  const reaches = (from, to, steps = 0, seen = new Set()) =>
    (next.get(from) ?? []).some((part) => {
      if (part === to) return steps > 0;
      if (seen.has(part)) return false;
      seen.add(part);
      return (next.get(part) ?? []).includes(to) || reaches(part, to, steps + 1, seen);
    });
  return arrows.filter((arrow) => !reaches(...arrow.split(' > ')));
}

/** All diagrams as Markdown. */
export function drawMap(imports = readImports()) {
  return LEVELS.map((level) => {
    const lines = reduced(arrowsOf(level, imports)).map((arrow) => `  ${arrow.replace(' > ', ' --> ')}`);
    return `### ${level.title}\n\n\`\`\`mermaid\nflowchart RL\n${lines.join('\n')}\n\`\`\``;
  }).join('\n\n');
}

const [START, END] = ['<!-- map: written by node tools/houseMap.mjs -->', '<!-- end of map -->'];

/** The document with current diagrams. */
export function withMap(text, map = drawMap()) {
  const [before] = text.split(START);
  const after = text.slice(text.indexOf(END));
  return `${before}${START}\n\n${map}\n\n${after}`;
}

export const readDocument = () => readFileSync(DOCUMENT, 'utf8');

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) writeFileSync(DOCUMENT, withMap(readDocument()));
