// The program as it is started and stopped: what it says where it cannot start, whom it believes an address of, how it
// ends.
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';

interface Started {
  readonly process: ChildProcess;
  /** Where it serves; null: it ended instead. */
  readonly origin: string | null;
  readonly ended: Promise<{ code: number | null; said: string }>;
}

const running = new Set<{ readonly child: ChildProcess; readonly data: string; readonly ended: Promise<unknown> }>();
test.afterEach(async () => {
  for (const { child, ended, data } of running) {
    child.kill('SIGKILL');
    await ended;
    rmSync(data, { recursive: true, force: true });
  }
  running.clear();
});

/** Starts the server with a folder of its own, on a port that is free, and waits until it serves or has ended. */
async function start(
  env: Record<string, string> = {},
  prepare: (data: string) => void = () => undefined,
): Promise<Started> {
  const data = mkdtempSync(join(tmpdir(), 'vault-drop-start-'));
  prepare(data);
  const child = spawn(process.execPath, ['server.mjs'], {
    env: { ...process.env, PUBLIC_URL: '', VAULT_DROP_DATA: data, LOG_LEVEL: 'silent', PORT: '0', ...env },
  });
  let said = '';
  let out = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const ended = new Promise<{ code: number | null; said: string }>((resolve) =>
    child.on('close', (code) => resolve({ code, said })),
  );
  running.add({ child, data, ended });
  const serving = new Promise<string>((resolve) =>
    child.stdout.on('data', (chunk: Buffer) => {
      out += chunk.toString();
      const found = /serves on (\S+)/.exec(out);
      if (found?.[1]) resolve(found[1]);
    }),
  );
  const origin = await Promise.race([serving, ended.then(() => null)]);
  return { process: child, origin, ended };
}

const FAULTS: readonly (readonly [
  name: string,
  env: Record<string, string>,
  prepare: (data: string) => void,
  code: number,
  said: RegExp,
])[] = [
  [
    'a port that is no number',
    { PORT: 'abc' },
    () => undefined,
    2,
    /PORT has to be a whole number from 0 to 65535; it is "abc"\./,
  ],
  ['proxies that are no number', { TRUST_PROXY: 'yes' }, () => undefined, 2, /TRUST_PROXY has to be a whole number/],
  [
    'an address that is none',
    { PUBLIC_URL: 'here' },
    () => undefined,
    1,
    /PUBLIC_URL has to be an http or https address/,
  ],
  [
    'an empty secret',
    {},
    (data) => writeFileSync(join(data, 'secret'), ''),
    1,
    /secret in .* is empty\. Delete that file/,
  ],
  [
    'a short secret',
    { VAULT_DROP_SECRET: 'short' },
    () => undefined,
    1,
    /VAULT_DROP_SECRET has to have 32 characters or more\./,
  ],
  [
    'a folder that cannot be written',
    { VAULT_DROP_DATA: '/proc/none' },
    () => undefined,
    1,
    /The folder for data, \/proc\/none, cannot be used/,
  ],
  [
    'an interrupted restore',
    {},
    (data) => mkdirSync(join(data, 'restoring')),
    1,
    /A restore was interrupted: .*npm run restore -- --finish.*--take-back/,
  ],
  [
    'a database that is none',
    {},
    (data) => writeFileSync(join(data, 'vault-drop.db'), 'not a database '.repeat(1000)),
    1,
    /Vault Drop cannot serve: /,
  ],
];
for (const [name, env, prepare, code, said] of FAULTS)
  test(`a start with ${name} ends with a sentence and a code`, async () => {
    const { origin, ended } = await start(env, prepare);
    expect(origin).toBeNull();
    const end = await ended;
    expect([end.code, end.said]).toEqual([code, expect.stringMatching(said)]);
    expect(end.said).not.toMatch(/\n\s+at /);
  });

test('a start on a port that is taken says so', async () => {
  const first = await start();
  const { code, said } = await (await start({ PORT: new URL(first.origin ?? '').port })).ended;
  expect([code, said]).toEqual([1, expect.stringMatching(/Port \d+ on 127\.0\.0\.1 is taken: set PORT to another\./)]);
});

/** One request over a connection that is kept. */
function asked(
  origin: string,
  path: string,
  {
    agent,
    headers = {},
    method = 'GET',
    body,
  }: { agent?: http.Agent; headers?: Record<string, string>; method?: string; body?: string } = {},
): Promise<http.IncomingMessage> {
  return new Promise((resolve, reject) => {
    const request = http.request(`${origin}${path}`, {
      method,
      headers: { origin, 'content-type': 'application/json', ...headers },
      ...(agent ? { agent } : {}),
    });
    request.on('response', (response) => response.resume().on('end', () => resolve(response)));
    request.on('error', reject);
    request.end(body);
  });
}

test('told to end, it finishes what it has begun and ends by itself, whoever keeps a connection', async () => {
  const { process: childProcess, origin, ended } = await start();
  const agent = new http.Agent({ keepAlive: true, maxSockets: 4 });
  if (!origin) throw new Error('It did not start');
  let over = false;
  void ended.then(() => {
    over = true;
  });
  // Clients that ask again as soon as they have their answer, and one that says nothing.
  const statuses: (number | undefined)[] = [];
  const clients = Array.from({ length: 3 }, async () => {
    while (!over) {
      try {
        statuses.push((await asked(origin, '/api/ping', { agent })).statusCode);
      } catch {
        return;
      }
    }
  });
  await expect.poll(() => statuses.length).toBeGreaterThan(10);
  // A password is being looked at when the signal comes: that takes a while.
  const begun = asked(origin, '/api/auth/sign-in/username', {
    method: 'POST',
    body: JSON.stringify({ username: 'nobody', password: 'seedlings-26' }),
  });
  await asked(origin, '/api/ping');
  childProcess.kill('SIGTERM');
  expect((await begun).statusCode).toBe(401);
  expect((await ended).code).toBe(0);
  await Promise.all(clients);
  expect(statuses.every((status) => status === 200)).toBe(true);
  agent.destroy();
});

test('behind https it says that it is there by https alone; and never otherwise', async () => {
  for (const [url, said] of [
    ['https://questions.example.org', 'max-age=31536000; includeSubDomains'],
    ['', undefined],
  ] as const) {
    const port = url ? '4484' : '4483';
    await start({ PUBLIC_URL: url, PORT: port });
    const origin = `http://127.0.0.1:${port}`;
    for (const path of ['/sign-in', '/mark.svg', '/api/ping']) {
      const { headers, statusCode } = await asked(origin, path, {
        headers: { host: url ? 'questions.example.org' : new URL(origin).host },
      });
      expect([path, statusCode, headers['strict-transport-security']]).toEqual([path, 200, said]);
    }
  }
});

test('addresses are believed of as many proxies as it is told of, counted from the last', async () => {
  const guess = async (origin: string, forwarded: string) =>
    (
      await asked(origin, '/api/joining', {
        method: 'PUT',
        headers: { 'x-forwarded-for': forwarded },
        body: JSON.stringify({
          code: 'QQQQ-QQQQ',
          name: 'Bryn Tarr',
          username: `bryn.${forwarded.length}`,
          password: 'seedlings-26',
        }),
      })
    ).statusCode;
  const behind = (await start({ TRUST_PROXY: '1' })).origin ?? '';
  // Whatever a client writes before it, the proxy's own word is the last.
  const guesses: (number | undefined)[] = [];
  for (let i = 0; i < 11; i++) guesses.push(await guess(behind, `10.9.8.${i}, 192.0.2.7`));
  expect(guesses.slice(0, 10)).not.toContain(429);
  expect(guesses[10]).toBe(429);
  expect(await guess(behind, '192.0.2.7, 192.0.2.8')).not.toBe(429);
  const open = (await start()).origin ?? '';
  for (let i = 0; i < 10; i++) expect(await guess(open, `192.0.2.${i}`)).not.toBe(429);
  expect(await guess(open, '192.0.2.99')).toBe(429);
});
