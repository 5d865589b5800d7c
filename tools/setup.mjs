import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromiumPath } from './chromium.mjs';
import { installed, newestMs, node, ROOT, run, StepFailed, TSC } from './run.mjs';

const NODE_MODULES = join(ROOT, 'node_modules');
/** Copy of the lock file that was installed. */
const INSTALLED = join(NODE_MODULES, '.installed-from');
/** Its modification time is the time of the last build. */
const BUILT = join(NODE_MODULES, '.built-at');

/** Installs the packages of the lock file unless they are installed already. */
export function install() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new StepFailed(`Node ${process.versions.node} is too old: Still Heron needs 20.19 or newer.`);
  const wanted = readFileSync(join(ROOT, 'package-lock.json'), 'utf8');
  if (existsSync(INSTALLED) && readFileSync(INSTALLED, 'utf8') === wanted) return;
  console.log('Installing packages (a minute or so, once) …');
  run('npm ci', 'npm', ['ci', '--ignore-scripts', '--no-fund', '--no-audit', '--loglevel=error']);
  writeFileSync(INSTALLED, wanted);
}

const SOURCES = [
  'packages/core/src',
  'packages/wording/src',
  'packages/contract/src',
  'apps/server/src',
  'tools/bundle.mjs',
  'apps/web/src',
  'apps/web/public',
  'apps/web/index.html',
  'apps/web/vite.config.ts',
  'tsconfig.base.json',
  'package-lock.json',
];

/** Builds if the sources are newer than the build, or if part of it is missing. */
export function build({ force = false } = {}) {
  const builtMs = newestMs(BUILT);
  const outputs = [
    'packages/core/dist/index.js',
    'packages/wording/dist/index.js',
    'packages/contract/dist/index.js',
    'apps/server/dist/main.js',
    'apps/server/bundle/main.js',
    'apps/server/bundle/newStore/PG_VERSION',
    'apps/web/dist/index.html',
  ];
  const isWhole = outputs.every((path) => existsSync(join(ROOT, path)));
  if (!force && isWhole && SOURCES.every((path) => newestMs(join(ROOT, path)) < builtMs)) return;
  console.log('Building …');
  node('The compiler', [TSC, '-b', ...(force ? ['--force'] : []), 'apps/server']);
  node('Bundling the server', [join(ROOT, 'tools/bundle.mjs')]);
  node('Building the page', [installed('vite/bin/vite.js', 'apps/web'), 'build', '--logLevel', 'warn'], {
    cwd: join(ROOT, 'apps/web'),
  });
  compressAssets(join(ROOT, 'apps/web/dist/assets'));
  writeFileSync(BUILT, '');
}

/** Writes a gzipped copy beside each compressible asset; the server sends that one. */
function compressAssets(folder) {
  for (const name of readdirSync(folder).filter((file) => /\.(js|css|svg)$/.test(file))) {
    writeFileSync(join(folder, `${name}.gz`), gzipSync(readFileSync(join(folder, name)), { level: 9 }));
  }
}

const MEMORY_DISK = '/dev/shm';
const TESTS = 'still-heron-tests-';
/** Data folders of two test servers and of the browsers take a tenth of this. */
const TEST_BYTES = 4e9;

/**
 * Keeps temporary files of the tests in memory where the system has room for that: the databases of a run force some hundred thousand
 * writes, which a disk makes twice as slow. The folder is removed when this process ends.
 */
export function keepTestsInMemory() {
  if (process.env.TMPDIR || !existsSync(MEMORY_DISK)) return;
  const { bavail, bsize } = statfsSync(MEMORY_DISK);
  if (bavail * bsize < TEST_BYTES) return;
  removeLeftBehind();
  const folder = join(MEMORY_DISK, `${TESTS}${process.pid}`);
  mkdirSync(folder);
  process.env.TMPDIR = folder;
  process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
}

/** Removes folders of runs that were interrupted. */
function removeLeftBehind() {
  for (const name of readdirSync(MEMORY_DISK).filter((one) => one.startsWith(TESTS)))
    if (!existsSync(`/proc/${name.slice(TESTS.length)}`)) rmSync(join(MEMORY_DISK, name), { recursive: true, force: true });
}

/** Debian's Chromium for the page tests: installed if missing and permitted; otherwise prints the command. */
export function installChromium() {
  if (existsSync(chromiumPath())) return;
  const command = 'apt-get update && apt-get install -y --no-install-recommends chromium-headless-shell';
  if (process.getuid?.() !== 0 || spawnSync('apt-get', ['--version']).status !== 0) {
    throw new StepFailed(
      `The tests of the page need Chromium. Install it with:\n  sudo sh -c '${command}'\nor set STILL_HERON_CHROMIUM to its path.`,
    );
  }
  console.log('Installing Chromium (a minute or so, once) …');
  run(
    'Installing Chromium',
    'sh',
    ['-c', `(${command}) >/tmp/still-heron-chromium.log 2>&1 || { tail -20 /tmp/still-heron-chromium.log; exit 1; }`],
    { env: { DEBIAN_FRONTEND: 'noninteractive' } },
  );
}
