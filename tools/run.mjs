import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Shared by the other tools. Plain Node: runs before packages are installed. */
export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
export const TSC = join(ROOT, 'node_modules/typescript7/bin/tsc');

/** Path of a file of an installed package: npm puts packages either beside a workspace or at the root. */
export function installed(path, workspace = '.') {
  const beside = join(ROOT, workspace, 'node_modules', path);
  return existsSync(beside) ? beside : join(ROOT, 'node_modules', path);
}

/** A failed step. Only its message is printed. */
export class StepFailed extends Error {}

/**
 * Runs a program to its end and passes its output through.
 *
 * @throws {StepFailed} if it does not exit with 0
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

/** Starts a long-running program; it ends with this process. */
export function start(command, args, { env = {}, cwd = ROOT, stdio = 'inherit' } = {}) {
  const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  return child;
}

/** Newest modification time below a path in ms; 0 if it does not exist. */
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

/** Runs the steps of a tool; a failed step prints its message and sets exit code 1. */
export async function main(steps) {
  try {
    await steps();
  } catch (error) {
    console.error(error instanceof StepFailed ? `\n${error.message}` : error);
    process.exitCode = 1;
  }
}
