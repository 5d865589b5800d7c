import ts from 'typescript-eslint';
import everyRule from './eslint.config.mjs';

/** All rules, and those that know the types. These need a minute, so `npm test` runs them and `npm run check` does not. */
export default ts.config(...everyRule, {
  files: ['apps/web/src/**/*.{ts,tsx}', 'apps/server/src/**/*.ts', 'packages/*/src/**/*.ts'],
  ignores: ['**/*.test.{ts,tsx}', '**/*.fixture.ts'],
  languageOptions: {
    parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
  },
  rules: {
    '@typescript-eslint/no-floating-promises': 'error',
    '@typescript-eslint/no-misused-promises': 'error',
    '@typescript-eslint/no-unnecessary-condition': 'error',
  },
});
