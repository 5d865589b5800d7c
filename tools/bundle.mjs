import { builtinModules } from 'node:module';
import { join } from 'node:path';
import { build } from 'rolldown';
import { main, ROOT } from './run.mjs';

const SERVER = join(ROOT, 'apps/server');

/** Packages that read files beside their code, and optional ones that are not installed. */
const OUTSIDE = [
  ...['@electric-sql/pglite', 'piscina', 'pdfkit', 'swagger-ui-dist', '@fontsource/', '@nestjs/mapped-types/'],
  ...['@nestjs/microservices', '@fastify/static', 'class-transformer/storage', 'pg-native', 'bufferutil', 'utf-8-validate'],
];

/**
 * Bundles the compiled server into a few files, which load in a third of the time of some thousand, and makes the database
 * that a first start copies.
 */
await main(async () => {
  await build({
    input: Object.fromEntries(['main', 'thread', 'data'].map((name) => [name, join(SERVER, `dist/${name}.js`)])),
    platform: 'node',
    external: (id) => /^node:/.test(id) || builtinModules.includes(id) || OUTSIDE.some((name) => id.startsWith(name)),
    output: {
      dir: join(SERVER, 'bundle'),
      format: 'esm',
      cleanDir: true,
      chunkFileNames: '[name].js',
      // names of classes are shown in messages
      keepNames: true,
      minify: { compress: false, mangle: false, codegen: { removeWhitespace: true } },
    },
  });
  const { makeNewStore } = await import('../apps/server/dist/database/newStore.js');
  await makeNewStore(join(SERVER, 'bundle/newStore'));
});
