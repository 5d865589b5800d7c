import reactHooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** Rules that know the types. They need a minute, so `npm test` runs them and `npm run check` does not. */
export default ts.config(
  { ignores: ['**/dist/', '**/node_modules/'] },
  {
    files: ['apps/web/src/**/*.{ts,tsx}', 'apps/server/src/**/*.ts', 'packages/*/src/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}', '**/*.fixture.ts'],
    linterOptions: { reportUnusedDisableDirectives: 'off' },
    languageOptions: {
      parser: ts.parser,
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    plugins: { '@typescript-eslint': ts.plugin, 'react-hooks': reactHooks },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/no-unnecessary-condition': 'error',
    },
  },
);
