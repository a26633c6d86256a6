import { randomBytes } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';

export interface Config {
  /** Where data and media are kept. */
  readonly data: string;
  readonly databaseUrl: string;
  readonly databaseAuthToken: string | undefined;
  /** The address people use; null: whatever loopback name or IP address they came by. */
  readonly publicUrl: URL | null;
  readonly secret: string;
  /** The demo shows its accounts on the sign-in page. */
  readonly demo: boolean;
  readonly version: string;
  readonly logLevel: string;
  readonly root: string;
}

/** Reads the configuration from the environment; a value that makes no sense stops the start with a sentence. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const root = env.VAULT_DROP_ROOT ?? process.cwd();
  const data = resolve(root, env.VAULT_DROP_DATA ?? 'data');
  mkdirSync(data, { recursive: true });
  return {
    data,
    databaseUrl: env.DATABASE_URL ?? `file:${join(data, 'vault-drop.db')}`,
    databaseAuthToken: env.DATABASE_AUTH_TOKEN,
    publicUrl: env.PUBLIC_URL ? address(env.PUBLIC_URL) : null,
    secret: env.VAULT_DROP_SECRET ?? keptSecret(join(data, 'secret')),
    demo: env.VAULT_DROP_DEMO === '1',
    version: (JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')) as { version: string }).version,
    logLevel: env.LOG_LEVEL ?? 'info',
    root,
  };
}

function address(text: string): URL {
  const url = URL.canParse(text) ? new URL(text) : null;
  if (!url || !/^https?:$/.test(url.protocol)) throw new Error(`PUBLIC_URL has to be an http or https address, as in https://questions.example.org; it is "${text}"`);
  return url;
}

/** The sign-in secret: made at the first start, readable by the owner alone; whoever starts second reads what the first has written. */
function keptSecret(file: string): string {
  try {
    writeFileSync(file, randomBytes(32).toString('base64url'), { flag: 'wx', mode: 0o600 });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  }
  return readFileSync(file, 'utf8');
}
