import { TASKS, type Task, type TaskName } from './tasks';

/** The entry of a worker thread: one task at a time, by name. */
export default function work<Name extends TaskName>({ name, input, begun }: Task<Name>): unknown {
  begun.postMessage(null);
  begun.close();
  return (TASKS[name] as (input: unknown) => unknown)(input);
}
