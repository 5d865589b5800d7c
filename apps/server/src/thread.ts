import { MAKE_BACKUP } from './backups/makeBackup.js';
import { READ_PICTURE } from './pictures/read-picture.js';
import { KEEP_RATE, STOP_RATES } from './stop/rates.js';
import { REPORT } from './takes/report/reportTask.js';
import { WRAP_UP } from './takes/wrapUpTask.js';
import type { Task } from './work/task.js';

const TASKS = [KEEP_RATE, MAKE_BACKUP, READ_PICTURE, REPORT, STOP_RATES, WRAP_UP] as unknown as readonly Task<unknown, unknown>[];

/** Runs a task in a thread of the pool. */
export default function run({ name, input }: { readonly name: string; readonly input: unknown }): unknown {
  const task = TASKS.find((one) => one.name === name);
  if (!task) throw new Error(`There is no task ${name}.`);
  return task.run(input);
}
