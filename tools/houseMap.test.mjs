import { arrowsBack, arrowsOf, importsOf, LEVELS, readDocument, readImports, reduced, withMap } from './houseMap.mjs';

const imports = readImports();

test('the diagrams of the architecture show the imports as they are', () => {
  const text = readDocument();
  expect(text).toBe(withMap(text));
});

test.each(LEVELS.map((level) => [level.title, level]))('%s: no arrow runs back', (_, level) => {
  expect(arrowsBack(level, arrowsOf(level, imports))).toEqual([]);
});

// each of these imports runs against an order on purpose, to prove that it is found
test.each([
  ['Workspaces', 'packages/core/src/plan/x.ts', "import { noteText } from '@still-heron/wording';", 'core > wording'],
  ['Stages of the core', 'packages/core/src/optics/x.ts', "import { ringOf } from '../kit/index.js';", 'optics > kit'],
  ['Folders of the server', 'apps/server/src/kit/x.ts', "import { Shots } from '../shots/shots.service.js';", 'kit > shots'],
  ['Parts of the page', 'apps/web/src/ui/x.tsx', "const Pull = lazy(() => import('../features/pull/PullPage'));", 'ui > pull'],
  ['Parts of the page', 'apps/web/src/features/extra/x.tsx', "import { api } from '../../shared/api/api';", 'extra > shared'],
])('%s: an import in %s is found', (title, file, text, arrow) => {
  const level = LEVELS.find((one) => one.title === title);
  const arrows = arrowsOf(level, [...imports, ...importsOf(file, text)]);
  expect(arrowsBack(level, arrows)).toEqual([arrow]);
});

test('an arrow that a longer way replaces is not drawn', () => {
  expect(reduced(['a > b', 'b > c', 'a > c', 'c > d', 'a > d', 'a > e'])).toEqual(['a > b', 'b > c', 'c > d', 'a > e']);
});
