import { TASKS, type Task, type TaskName } from './tasks';

/** What runs in a worker thread: one task at a time, by its name. */
export default function work<Name extends TaskName>({ name, input }: Task<Name>): unknown {
  return (TASKS[name] as (input: unknown) => unknown)(input);
}
