import { BENCHES, runBenches } from './list.mjs';
import { startServer } from './server.mjs';

/** Runs the benchmarks that are named, and prints their results as JSON. */
const names = process.argv.slice(2);
const unknown = names.filter((name) => !BENCHES[name]);
if (unknown.length > 0)
  throw new Error(`There is no benchmark ${unknown.join(', ')}. There are: ${Object.keys(BENCHES).join(', ')}.`);
const server = await startServer();
try {
  console.log(JSON.stringify(await runBenches(names, server.address)));
} finally {
  await server.stop();
}
