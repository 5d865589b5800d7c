import { spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installed, main, node, run, StepFailed } from './run.mjs';
import { install } from './setup.mjs';

const DEBIAN = '/usr/lib/postgresql';
const isRoot = process.getuid?.() === 0;

/** The server's tests on a PostgreSQL server of their own, which is restarted and killed in the middle of saves. */
await main(async () => {
  install();
  const programs = findPrograms() ?? installPrograms();
  const place = mkdtempSync(join(tmpdir(), 'still-heron-postgres-'));
  const folder = join(place, 'data');
  const port = await freePort();
  const as = asOwner(place);
  const control = (...args) => [...as, join(programs, 'pg_ctl'), '-D', folder, '-w', '-l', join(place, 'log'), ...args];
  const act = (what, [command, ...args]) => run(what, command, args, { cwd: place, quiet: true });
  try {
    act('Making a database', [...as, join(programs, 'initdb'), '-D', folder, '-U', 'heron', '-A', 'trust', '-E', 'UTF8']);
    act('Starting PostgreSQL', control('-o', `-p ${port} -c listen_addresses=127.0.0.1 -k ${place}`, 'start'));
    const env = {
      STILL_HERON_TEST_SERVER: `postgres://heron@127.0.0.1:${port}/postgres`,
      STILL_HERON_TEST_RESTART: JSON.stringify(control('-m', 'immediate', 'restart')),
    };
    const jest = ['--experimental-vm-modules', '--no-warnings', installed('jest/bin/jest.js'), '--selectProjects', 'server'];
    const others = ['postgres', 'powerCut', '/src/'].flatMap((path) => ['--testPathIgnorePatterns', path]);
    node('The tests on PostgreSQL', [...jest, '--maxWorkers=2', ...others], { env });
    // alone, because it stops the server
    node('The tests that stop PostgreSQL', [...jest, '--testPathPatterns', 'test/postgres'], { env });
  } finally {
    const [command, ...args] = control('-m', 'immediate', 'stop');
    spawnSync(command, args, { cwd: place });
    rmSync(place, { recursive: true, force: true });
  }
});

/** Folder of PostgreSQL's programs; null if they are not there. */
function findPrograms() {
  if (!existsSync(DEBIAN)) return null;
  const newest = readdirSync(DEBIAN)
    .map(Number)
    .filter((version) => existsSync(join(DEBIAN, String(version), 'bin/initdb')))
    .sort((a, b) => b - a)[0];
  return newest === undefined ? null : join(DEBIAN, String(newest), 'bin');
}

function installPrograms() {
  if (!isRoot) throw new StepFailed('PostgreSQL is missing. Install it with “apt install postgresql”, and try again.');
  run('Installing PostgreSQL', 'apt-get', ['install', '-y', '--no-install-recommends', 'postgresql'], { quiet: true });
  return findPrograms();
}

/** PostgreSQL does not run as root: prefix of its commands for another user, who gets the folder. */
function asOwner(folder) {
  if (!isRoot) return [];
  const id = (flag) => Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout.trim());
  chownSync(folder, id('-u'), id('-g'));
  return ['setpriv', '--reuid=postgres', '--regid=postgres', '--clear-groups'];
}

function freePort() {
  return new Promise((found) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => found(port));
    });
  });
}
