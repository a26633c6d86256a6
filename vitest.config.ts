import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.ts', 'tests/*.test.ts'],
    setupFiles: ['tests/support/phrases.ts'],
    // What hangs is ended; what is slow because the machine is busy is not.
    testTimeout: 120_000,
    hookTimeout: 120_000,
    env: { LOG_LEVEL: 'warn' },
    // No test changes what a module is or keeps anything in one but under its own ids: loading each module once a
    // worker halves the time.
    isolate: false,
    maxWorkers: '100%',
  },
});
