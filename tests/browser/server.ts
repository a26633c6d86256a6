import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const FIRST_PORT = 4500;
const START_MS = 120_000;
const ASK_EVERY_MS = 100;

/** A server with data of its own, for one worker. */
export interface TestServer {
  readonly origin: string;
  readonly data: string;
}
let present: TestServer | null = null;

/** The server of this worker. */
export function testServer(): TestServer {
  if (!present) throw new Error('No server runs yet: it is started with the first test of a worker');
  return present;
}
export const origin = (): string => testServer().origin;

/** Starts a server on a copy of the demo's data, and stops it after `use`. */
export async function withServer(worker: number, use: (server: TestServer) => Promise<void>): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'vault-drop-'));
  cpSync(process.env.VAULT_DROP_TEST_SEED ?? '', data, { recursive: true });
  const port = FIRST_PORT + worker;
  const server = spawn('node', ['server.mjs'], {
    env: {
      ...process.env,
      PORT: String(port),
      HOST: '127.0.0.1',
      VAULT_DROP_DATA: data,
      VAULT_DROP_DEMO: '1',
      LTI_LOOPBACK: '1',
      NODE_ENV: 'production',
      LOG_LEVEL: 'warn',
    },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  present = { origin: `http://127.0.0.1:${port}`, data };
  try {
    await answering(server, `${present.origin}/api/health`);
    await use(present);
  } finally {
    present = null;
    server.kill('SIGTERM');
    if (server.exitCode === null && server.signalCode === null) await once(server, 'exit');
    rmSync(data, { recursive: true, force: true });
  }
}

async function answering(server: ChildProcess, address: string): Promise<void> {
  const end = Date.now() + START_MS;
  while (Date.now() < end) {
    if (server.exitCode !== null) throw new Error(`The server ended with ${server.exitCode} before it answered`);
    if ((await fetch(address).catch(() => null))?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));
  }
  throw new Error(`The server did not answer within ${START_MS / 1000} s`);
}
