// `npm run dev`: the development server over the same data as the demo.
import { env, install, run, tool } from './steps.mjs';

install();
run(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], { env: { ...env, VAULT_DROP_DEMO: '1' } });
run(tool('astro'), ['dev', '--host', process.env.HOST ?? '127.0.0.1', '--port', process.env.PORT ?? '4321'], {
  env: { ...env, VAULT_DROP_DEMO: '1' },
});
