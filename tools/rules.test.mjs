import { ESLint } from 'eslint';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

// each of these lines breaks a rule on purpose, to prove that the rule works
const root = resolve(fileURLToPath(import.meta.url), '../..');
const lint = async (filePath, code) => {
  const [result] = await new ESLint({ cwd: root }).lintText(code, { filePath: resolve(root, filePath) });
  return result.messages.map(({ message }) => message).join('\n');
};

test.each([
  [
    'packages/core/src/units/x.ts',
    "import { depthOfField } from '../optics/index.js';\ndepthOfField();",
    'units imports only stages to its left',
  ],
  [
    'packages/core/src/optics/x.ts',
    "import { ringOf } from '../kit/index.js';\nringOf();",
    'optics imports only stages to its left',
  ],
  [
    'packages/core/src/plan/edits/x.ts',
    "import { tubeOf } from '../../track/index.js';\ntubeOf();",
    'plan imports only stages to its left',
  ],
  ['packages/core/src/floor/x.ts', "import { get } from 'node:http';\nget();", 'The core imports nothing'],
  [
    'packages/core/src/verdict/x.ts',
    "import { ShotView } from '@still-heron/contract';\nShotView();",
    'The core imports nothing',
  ],
  ['packages/core/src/verdict/x.ts', 'export const now = Date.now();', 'The core has no clock'],
  ['packages/core/src/kit/x.ts', 'export const dice = Math.random();', 'The core has no dice'],
  ['apps/server/src/shots/x.ts', "import { x } from '@still-heron/web';\nx();", 'The server never imports the page'],
  ['apps/server/src/shots/x.ts', "import pg from 'pg';\npg();", 'Only database/ names a driver'],
  ['apps/web/src/features/x.ts', "import { IsInt } from 'class-validator';\nIsInt();", 'The page never imports the server'],
  ['apps/web/src/features/pull/x.tsx', "import { IsInt } from 'class-validator';\nIsInt();", 'The page never imports the server'],
  ['apps/web/src/ui/x.tsx', "import { pull } from '../features/pull/pull';\npull();", 'ui imports only parts to its left'],
  [
    'apps/web/src/features/kit/lens/x.tsx',
    "import { pull } from '../../pull/pull';\npull();",
    'kit imports only parts to its left',
  ],
  [
    'apps/web/src/features/kit/x.tsx',
    "import styles from '../pull/pull.module.css';\nstyles.x();",
    'kit imports only parts to its left',
  ],
  [
    'apps/web/src/ui/x.tsx',
    "import { useRef } from 'react';\nexport function X() {\n  const times = useRef(0);\n  return <p>{times.current}</p>;\n}",
    'Cannot access refs during render',
  ],
  ['apps/web/src/features/roll/x.tsx', "import { Select } from 'antd';\nSelect();", 'Controls of antd come from ui/antd'],
  ['apps/web/src/features/roll/x.tsx', "import { app } from '../../app/store';\napp();", 'roll imports only parts to its left'],
])('%s: %s', async (file, code, expected) => {
  expect(await lint(file, code)).toContain(expected);
});

test('what the rules allow passes', async () => {
  expect(
    await lint('packages/core/src/kit/x.ts', "import { conjugates } from '../optics/index.js';\nconjugates(50, 2000);\n"),
  ).toBe('');
});
