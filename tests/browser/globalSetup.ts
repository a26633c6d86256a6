import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';

/** Makes the demo's data once: each worker starts a server of its own on a copy of it. */
export default async function seedOnce(): Promise<() => void> {
  const data = mkdtempSync(join(tmpdir(), 'vault-drop-'));
  // Inherited by the workers, which are started after this.
  process.env.VAULT_DROP_TEST_SEED = data;
  const env = {
    ...process.env,
    VAULT_DROP_DATA: data,
    VAULT_DROP_DEMO: '1',
    NODE_ENV: 'production',
    LOG_LEVEL: 'warn',
  };
  await promisify(execFile)('node', ['--import', 'tsx', 'demo/seed.ts'], { env });
  return () => rmSync(data, { recursive: true, force: true });
}
