import type { Config } from './config.js';
import { openDatabase } from './database/driver.js';
import type { OpenDatabase } from './database/openDatabase.js';

/**
 * Opens the database of the server. What an older version left is backed up before it is changed.
 *
 * @throws {DataFolderInUse}, {BrokenStore}, {NewerStore}, {OtherPostgres}
 */
export function openForServer(config: Config): Promise<OpenDatabase> {
  return openDatabase({
    ...config,
    beforeMigration: async (store) => {
      const { backUp } = await import('./backups/backUp.js');
      await backUp(store, config, 'before-update');
    },
  });
}
