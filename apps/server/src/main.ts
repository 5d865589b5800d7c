import 'reflect-metadata';
import { readConfig } from './config.js';
import { createApp } from './create-app.js';

/** Starts the server and prints its address; exits with a clear message if it can't. */
async function main(): Promise<void> {
  const config = readConfig(process.env);
  const app = await createApp(config);
  try {
    await app.listen(config.port, config.host);
  } catch (error) {
    await app.close();
    throw (error as NodeJS.ErrnoException).code === 'EADDRINUSE'
      ? new Error(`Port ${config.port} is in use. Stop the program that uses it, or set PORT to another one.`)
      : error;
  }
  const where = config.databaseUrl === null ? config.dataFolder : 'the PostgreSQL server of DATABASE_URL';
  console.log(`Still Heron is at ${(await app.getUrl()).replace('[::1]', 'localhost')}\nIts data is in ${where}`);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error && !process.env['DEBUG'] ? error.message : error);
  process.exitCode = 1;
});
