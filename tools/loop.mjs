import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const ROOT = join(import.meta.dirname, '..');
/** Source of the trial loop, and the file that holds its compiled form. */
const SOURCE = 'packages/core/loop/trialLoop.ts';
export const BYTES = join(ROOT, 'packages/core/src/trials/loopBytes.ts');

/** Compiles the trial loop to WebAssembly and returns the core file that contains it. */
export function loopFile() {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-loop-'));
  try {
    const out = join(folder, 'loop.wasm');
    const options = ['-O3', '--converge', '--noAssert', '--runtime', 'stub', '--use', 'abort='];
    execFileSync(process.execPath, [join(ROOT, 'node_modules/assemblyscript/bin/asc.js'), SOURCE, '-o', out, ...options], {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    const lines = [
      '/** `loop/trialLoop.ts` as WebAssembly, in hexadecimal. Written by `node tools/loop.mjs`, never by hand. */',
      `export const LOOP_BYTES =\n  '${readFileSync(out).toString('hex')}';`,
    ];
    return `${lines.join('\n')}\n`;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) writeFileSync(BYTES, loopFile());
