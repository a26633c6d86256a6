import pino from 'pino';

/** Structured logs, a JSON line each, on standard error: standard output belongs to whoever started the program. Passwords and cookies never reach it. */
export const log = pino(
  { level: process.env.LOG_LEVEL ?? 'info', base: null, redact: ['password', '*.password', 'cookie', '*.cookie'] },
  pino.destination({ dest: 2, sync: false }),
);
