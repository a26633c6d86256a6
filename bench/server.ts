// A server of the bench's own, over a folder of its own, that ends with it.
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface BenchServer {
  readonly origin: string;
  readonly env: NodeJS.ProcessEnv;
  start(): Promise<void>;
  pid(): number;
  /** Ends it at once, as a power cut does. */
  kill(): Promise<void>;
  stop(): void;
}

export function benchServer(port: number): BenchServer {
  const data = mkdtempSync(join(tmpdir(), 'vault-drop-bench-'));
  const origin = `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    VAULT_DROP_DATA: data,
    VAULT_DROP_ROOT: process.cwd(),
    NODE_ENV: 'production',
    LOG_LEVEL: 'warn',
  };
  let server: ChildProcess | null = null;
  // However this ends: a server left behind would answer the next run.
  process.on('exit', () => server?.kill());
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => process.exit(1));
  return {
    origin,
    env,
    start: async () => {
      server = spawn(process.execPath, ['server.mjs'], {
        env: { ...env, PORT: String(port), HOST: '127.0.0.1' },
        stdio: ['ignore', 'ignore', 'inherit'],
      });
      for (let tries = 0; !(await fetch(`${origin}/api/health`).catch(() => null))?.ok; tries++) {
        if (tries > 100 || server.exitCode !== null) throw new Error('The server did not start');
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
    },
    pid: () => server?.pid ?? 0,
    kill: async () => {
      const ended = new Promise((resolve) => server?.once('exit', resolve));
      server?.kill('SIGKILL');
      await ended;
    },
    stop: () => {
      server?.kill();
      rmSync(data, { recursive: true, force: true });
    },
  };
}
