import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Plain Node, nothing installed yet: what the other tools share. */
export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
export const TSC = join(ROOT, 'node_modules/typescript7/bin/tsc');

/** A file of an installed package: npm puts packages beside a workspace or at the root, as it sees fit. */
export function installed(path, workspace = '.') {
  const beside = join(ROOT, workspace, 'node_modules', path);
  return existsSync(beside) ? beside : join(ROOT, 'node_modules', path);
}

/** A step that failed: its message is all that is shown. */
export class StepFailed extends Error {}

/**
 * Runs a program to its end, its output on ours.
 *
 * @throws {StepFailed} when it does not end with 0
 */
export function run(what, command, args, { env = {}, cwd = ROOT, quiet = false } = {}) {
  const { status, error, stdout, stderr } = spawnSync(command, args, {
    cwd,
    env: { ...process.env, ...env },
    stdio: quiet ? 'pipe' : 'inherit',
    encoding: 'utf8',
  });
  if (error || status !== 0)
    throw new StepFailed(
      `${what} failed${error ? `: ${error.message}` : ` (exit ${status})`}${quiet ? `\n${stdout}${stderr}` : ''}`,
    );
}

export const node = (what, args, options) => run(what, process.execPath, args, options);

/** Starts a program that goes on; ends with this one. */
export function start(command, args, { env = {}, cwd = ROOT, stdio = 'inherit' } = {}) {
  const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  return child;
}

/** Newest time of change below a place, in ms; 0 when it is not there. */
export function newestMs(place, skips = new Set(['node_modules', 'dist', '.data', '.git'])) {
  if (!existsSync(place)) return 0;
  const stat = statSync(place);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(
    0,
    ...readdirSync(place)
      .filter((name) => !skips.has(name))
      .map((name) => newestMs(join(place, name), skips)),
  );
}

/** Runs a tool's steps; a failed one ends it with its message and exit code 1. */
export async function main(steps) {
  try {
    await steps();
  } catch (error) {
    console.error(error instanceof StepFailed ? `\n${error.message}` : error);
    process.exitCode = 1;
  }
}
