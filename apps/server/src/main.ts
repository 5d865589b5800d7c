import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Config, readConfig } from './config.js';
import { BrokenStore } from './database/brokenStore.js';
import { portInUseText } from '@still-heron/wording';
import { openForServer } from './openForServer.js';

/** Starts the server and prints its address; exits with a clear message if it can't. */
async function main(): Promise<void> {
  const config = readConfig(process.env);
  // PostgreSQL is compiled in other threads meanwhile
  const [open, { createApp, NetworkService, ADDRESS_FILE }] = await Promise.all([
    openForServer(config).catch((error: unknown) => explain(error, config)),
    import('./serve.js'),
  ]);
  const app = await createApp(config, open);
  const network = app.get(NetworkService);
  try {
    await app.listen(config.port, '127.0.0.1');
    await network.openAtStart();
  } catch (error) {
    await app.close();
    throw (error as NodeJS.ErrnoException).code === 'EADDRINUSE' ? new Error(portInUseText(config.port)) : error;
  }
  const address = `http://127.0.0.1:${network.port}`;
  writeFileSync(join(config.dataFolder, ADDRESS_FILE), address);
  const where = config.databaseUrl === null ? config.dataFolder : 'the PostgreSQL server of DATABASE_URL';
  console.log(`Still Heron is at ${address}\nIts data is in ${where}`);
  const told = network.told();
  if (told !== null) console.log(told);
}

/** A database that can't be opened is told with the newest backup. */
async function explain(error: unknown, { dataFolder }: Config): Promise<never> {
  const { describeBroken } = await import('./backups/brokenFolder.js');
  throw error instanceof BrokenStore ? new Error(await describeBroken(error, dataFolder)) : error;
}

main().catch((error: unknown) => {
  console.error(error instanceof Error && !process.env['DEBUG'] ? error.message : error);
  process.exitCode = 1;
});
