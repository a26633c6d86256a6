// A process of its own over the same database, which does what it is told: `otherProcess` starts it, and calls its
// functions.
import { type ChildProcess, fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { deserialize, serialize } from 'node:v8';
import { type App, makeApp } from '../../src/server/app';
import { readConfig } from '../../src/server/config';
import type { As, Learner, Person, Teacher } from '../../src/server/context';
import { sendDue } from '../../src/server/outboxRunner';
import { changeSettings, setAllowance } from '../../src/server/releases/settings';
import { receiveMoves } from '../../src/server/sittings/moves';
import { goTo } from '../../src/server/sittings/openRelease';

const FUNCTIONS = {
  receiveMoves: (app: App, ...args: Parameters<typeof receiveMoves> extends [unknown, ...infer Rest] ? Rest : never) =>
    receiveMoves(app, ...args),
  changeSettings: (
    app: App,
    person: Person,
    ...args: Parameters<typeof changeSettings> extends [unknown, ...infer Rest] ? Rest : never
  ) => changeSettings({ ...app, person } as As<Teacher>, ...args),
  setAllowance: (
    app: App,
    person: Person,
    ...args: Parameters<typeof setAllowance> extends [unknown, ...infer Rest] ? Rest : never
  ) => setAllowance({ ...app, person } as As<Teacher>, ...args),
  sendDue: (app: App) => sendDue(app),
  goTo: (app: App, person: Person, ...args: Parameters<typeof goTo> extends [unknown, ...infer Rest] ? Rest : never) =>
    goTo({ ...app, person } as As<Learner>, ...args),
};
type Functions = typeof FUNCTIONS;

export interface OtherProcess {
  call<Name extends keyof Functions>(
    name: Name,
    ...args: Parameters<Functions[Name]> extends [unknown, ...infer Rest] ? Rest : never
  ): Promise<Awaited<ReturnType<Functions[Name]>>>;
  end(): void;
}

interface Message {
  readonly n: number;
  readonly bytes: string;
}
const packed = (value: unknown): string => serialize(value).toString('base64');
const unpacked = (bytes: string): unknown => deserialize(Buffer.from(bytes, 'base64'));

/** `env`: settings beside the folder of its data. */
export function otherProcess(folder: string, env: Readonly<Record<string, string>> = {}): OtherProcess {
  const child: ChildProcess = fork(fileURLToPath(import.meta.url), [folder, JSON.stringify(env)], {
    execArgv: ['--import', 'tsx'],
    env: { ...process.env, OTHER_PROCESS: '1' },
  });
  const waiting = new Map<number, { done: (value: unknown) => void; failed: (error: Error) => void }>();
  let n = 0;
  child.on('message', ({ n: of, bytes, error }: Message & { error?: string }) => {
    const one = waiting.get(of);
    waiting.delete(of);
    if (error) one?.failed(new Error(error));
    else one?.done(unpacked(bytes));
  });
  child.on('exit', () => {
    for (const { failed } of waiting.values()) failed(new Error('The other process has ended'));
  });
  return {
    call: (name, ...args) =>
      new Promise((done, failed) => {
        waiting.set(++n, { done: done as (value: unknown) => void, failed });
        child.send({ n, bytes: packed({ name, args }) } satisfies Message);
      }),
    end: () => child.kill('SIGKILL'),
  };
}

if (process.env.OTHER_PROCESS === '1' && process.send) {
  const [, , data = '', more = '{}'] = process.argv;
  const app = makeApp(readConfig({ ...JSON.parse(more), VAULT_DROP_DATA: data, VAULT_DROP_ROOT: process.cwd() }));
  process.on('message', async ({ n, bytes }: Message) => {
    const { name, args } = unpacked(bytes) as { name: keyof Functions; args: never[] };
    try {
      process.send?.({
        n,
        bytes: packed(await (FUNCTIONS[name] as (app: App, ...rest: never[]) => unknown)(await app, ...args)),
      });
    } catch (error) {
      process.send?.({ n, bytes: '', error: (error as Error).stack });
    }
  });
}
