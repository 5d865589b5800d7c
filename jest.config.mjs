/** One project per workspace that has unit tests. Workspaces are tested from their sources. */
const swc = (extra = {}) => [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true, decorators: true },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
      ...extra,
    },
    module: { type: 'commonjs', ignoreDynamic: true },
  },
];

const shared = {
  // temporary files may be in memory; what is compiled for tests lasts longer
  cacheDirectory: '<rootDir>/node_modules/.cache/jest',
  testEnvironment: 'node',
  transform: { '^.+\\.(t|j|mj)sx?$': swc() },
  transformIgnorePatterns: ['/node_modules/(?!(comlink|idb-keyval|react-hotkeys-hook|@still-heron)/)'],
  moduleNameMapper: {
    '^@still-heron/(core|contract|wording)$': '<rootDir>/packages/$1/src/index.ts',
    // use d3's CommonJS bundles: Jest loads no native ESM
    '^d3-([a-z-]+)$': '<rootDir>/node_modules/d3-$1/dist/d3-$1.js',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
};

export default {
  projects: [
    { ...shared, displayName: 'core', roots: ['<rootDir>/packages/core'] },
    { ...shared, displayName: 'wording', roots: ['<rootDir>/packages/wording'] },
    {
      ...shared,
      displayName: 'server',
      roots: ['<rootDir>/apps/server', '<rootDir>/packages/contract'],
      globalSetup: '<rootDir>/apps/server/test/globalSetup.mjs',
      globalTeardown: '<rootDir>/apps/server/test/globalTeardown.mjs',
    },
    { ...shared, displayName: 'page', roots: ['<rootDir>/apps/web'] },
    {
      ...shared,
      displayName: 'components',
      roots: ['<rootDir>/apps/web'],
      testMatch: ['**/*.test.tsx'],
      testEnvironment: 'jsdom',
      // packages for browsers are native ESM, which Jest does not load
      testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'] },
      setupFiles: ['<rootDir>/apps/web/test/browser.ts'],
      setupFilesAfterEnv: ['@testing-library/jest-dom'],
      moduleNameMapper: { ...shared.moduleNameMapper, '\\.module\\.css$': '<rootDir>/apps/web/test/styles.ts' },
    },
    { ...shared, displayName: 'house', roots: ['<rootDir>/tools'] },
  ].map((project) => ({
    testMatch: ['**/*.test.ts', '**/*.test.mjs'],
    ...project,
    modulePathIgnorePatterns: ['/dist/'],
  })),
  testTimeout: 60_000,
};
