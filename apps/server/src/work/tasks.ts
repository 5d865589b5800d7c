import { makeBackup } from '../backups/makeBackup.js';
import { readPictureTask } from '../pictures/read-picture.js';
import { keepRateTask, stopRatesTask } from '../stop/rates.js';
import { reportTask } from '../takes/report/reportTask.js';

/** What can be computed beside the server: input and result can be sent to another thread and back. */
export const TASKS = {
  keepRate: keepRateTask,
  stopRates: stopRatesTask,
  report: reportTask,
  readPicture: readPictureTask,
  makeBackup,
};

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
