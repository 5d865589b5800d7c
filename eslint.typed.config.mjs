import ts from 'typescript-eslint';

/** Rules that know the types. They need a minute, so `npm test` runs them and `npm run check` does not. */
export default ts.config({
  files: ['apps/web/src/**/*.{ts,tsx}', 'apps/server/src/**/*.ts', 'packages/*/src/**/*.ts'],
  ignores: ['**/*.test.{ts,tsx}', '**/*.fixture.ts', '**/dist/**'],
  linterOptions: { reportUnusedDisableDirectives: 'off' },
  languageOptions: {
    parser: ts.parser,
    parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
  },
  plugins: { '@typescript-eslint': ts.plugin, 'react-hooks': { rules: {} } },
  rules: {
    '@typescript-eslint/no-floating-promises': 'error',
    '@typescript-eslint/no-misused-promises': 'error',
    '@typescript-eslint/no-unnecessary-condition': 'error',
  },
});
