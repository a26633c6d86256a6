// The steps a fresh machine needs before anything else runs. Only what Node.js ships with is used here: nothing may be
// installed yet.
import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
export const env = { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' };

const at = (...parts) => join(root, ...parts);

/** Runs a command in the project's folder; ends the whole run with its exit code when it fails. */
export function run(command, args, more = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, env, stdio: 'inherit', ...more });
  if (error) console.error(`${command}: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

/**
 * Runs commands side by side, each with its lines in one piece once it has ended; the first that fails ends the others
 * and the whole run with its exit code.
 */
export async function together(...commands) {
  const children = commands.map(([command, args]) =>
    spawn(command, args, { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] }),
  );
  const ended = (child, [command]) =>
    new Promise((done) => {
      const said = [];
      for (const stream of [child.stdout, child.stderr]) stream.on('data', (bytes) => said.push(bytes));
      child.on('error', (error) => said.push(Buffer.from(`${command}: ${error.message}\n`)));
      child.on('close', (status) => {
        process.stdout.write(Buffer.concat(said));
        if (status !== 0) {
          for (const other of children) other.kill();
          process.exit(status > 0 ? status : 1);
        }
        done();
      });
    });
  await Promise.all(children.map((child, i) => ended(child, commands[i])));
}

export const tool = (name) => at('node_modules/.bin', name);

function filesBelow(path) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path).flatMap((name) => filesBelow(join(path, name)));
}

function digestOf(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((path) => filesBelow(at(path))).sort())
    hash.update(file).update('\0').update(readFileSync(file));
  return hash.digest('hex');
}

/** Does `work`, unless it was done before from the same inputs. */
function unlessDone(stamp, inputs, work) {
  const digest = digestOf(inputs);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === digest) return;
  work();
  writeFileSync(stamp, digest);
}

export function install() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 18)) {
    console.error(`Vault Drop needs Node.js 20.18 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
  unlessDone(at('node_modules/.vault-drop'), ['package-lock.json'], () => {
    console.log('Installing packages…');
    run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  });
}

export function build() {
  unlessDone(
    at('dist/.vault-drop'),
    ['src', 'public', 'astro.config.ts', 'package-lock.json', 'scripts/compress.mjs'],
    () => {
      console.log('Building…');
      run(tool('astro'), ['build'], { stdio: ['ignore', 'ignore', 'inherit'] });
      run(process.execPath, ['scripts/compress.mjs']);
      // What runs in worker threads, as one file: packages are loaded as they are.
      const bundle = [
        '--bundle',
        '--platform=node',
        '--format=esm',
        '--target=node20',
        '--packages=external',
        '--log-level=warning',
      ];
      run(tool('esbuild'), ['src/server/work/worker.ts', ...bundle, '--outfile=dist/work/worker.mjs']);
    },
  );
}

const CHROMIUM = '/usr/bin/chromium';

/** Debian's Chromium, for the browser tests: installed where we may, else named. */
export function browser() {
  if (existsSync(CHROMIUM)) return;
  const ask =
    'The browser tests need Debian’s Chromium: run `apt-get install -y chromium` as root, then `npm test` again.';
  if (process.getuid?.() !== 0) {
    console.error(ask);
    process.exit(1);
  }
  console.log('Installing Chromium…');
  try {
    execFileSync('apt-get', ['update'], { stdio: 'ignore' });
    execFileSync('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  } catch {
    console.error(ask);
    process.exit(1);
  }
}
