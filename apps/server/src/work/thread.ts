import { type TaskName, TASKS } from './tasks.js';

/** Runs a task in a thread of the pool. */
export default function run({ name, input }: { readonly name: TaskName; readonly input: unknown }): unknown {
  return (TASKS[name] as (input: unknown) => unknown)(input);
}
