import { backupCommand, restoreCommand } from './backups/commands.js';
import { describeBroken } from './backups/brokenFolder.js';
import { readConfig } from './config.js';
import { BrokenStore } from './database/brokenStore.js';

/** `backup` makes a backup; `restore` lists them, or restores one. */
async function main([command, name]: readonly string[]): Promise<void> {
  const config = readConfig(process.env);
  try {
    console.log(command === 'backup' ? await backupCommand(config) : await restoreCommand(config, name));
  } catch (error) {
    throw error instanceof BrokenStore ? new Error(await describeBroken(error, config.dataFolder)) : error;
  }
}

main(process.argv.slice(2)).catch((error: unknown) => {
  console.error(error instanceof Error && !process.env['DEBUG'] ? error.message : error);
  process.exitCode = 1;
});
