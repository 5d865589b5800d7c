import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { circleArguments } from './check.mjs';
import { installed, ROOT } from './run.mjs';

test('a circle of files is found, also one of types', () => {
  const folder = mkdtempSync(join(ROOT, 'tools/circle-'));
  try {
    writeFileSync(join(folder, 'a.ts'), "import type { B } from './b';\nexport type A = B | null;\n");
    writeFileSync(join(folder, 'b.ts'), "import type { A } from './a';\nexport type B = { readonly a: A };\n");
    const { status, stdout } = spawnSync(
      process.execPath,
      [installed('dependency-cruiser/bin/dependency-cruise.mjs'), ...circleArguments(folder)],
      { cwd: ROOT, encoding: 'utf8' },
    );
    expect(status).not.toBe(0);
    expect(stdout).toContain('no-circle');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
