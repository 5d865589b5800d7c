import { makeBackup } from '../backups/makeBackup.js';

/** What can be computed beside the server: input and result can be sent to another thread and back. */
export const TASKS = { makeBackup };

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
