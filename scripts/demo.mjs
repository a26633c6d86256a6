// `npm run demo`: installs, builds, migrates, seeds and serves, from nothing but Node.js and npm. `--fresh` starts
// over.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { build, env, install, root, run } from './steps.mjs';

const unknown = process.argv.slice(2).filter((word) => word !== '--fresh');
if (unknown.length > 0) {
  console.error(`npm run demo knows only --fresh, not ${unknown.join(' ')}`);
  process.exit(2);
}
const data = resolve(root, process.env.VAULT_DROP_DATA ?? 'data');
const demo = {
  ...env,
  NODE_ENV: 'production',
  VAULT_DROP_DEMO: '1',
  LTI_LOOPBACK: '1',
  VAULT_DROP_DATA: data,
  VAULT_DROP_ROOT: root,
};
if (process.argv.includes('--fresh')) {
  if (process.env.DATABASE_URL) {
    console.error(
      '--fresh starts over with the file under VAULT_DROP_DATA; with DATABASE_URL set, empty that database yourself.',
    );
    process.exit(2);
  }
  // The database and nothing else: the folder may hold other things.
  for (const end of ['', '-wal', '-shm']) rmSync(join(data, `vault-drop.db${end}`), { force: true });
}

install();
build();
run(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], { env: demo });
const server = spawn(process.execPath, ['server.mjs'], { cwd: root, env: demo, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 1));
