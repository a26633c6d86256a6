import pino from 'pino';

/**
 * Of a failed statement only the first words are logged: its values are what people sent, tokens and addresses among
 * them.
 */
const MAX_STATEMENT = 200;
const shortened = (text: string): string => {
  const [statement = ''] = text.split('\nparams: ');
  return statement.length > MAX_STATEMENT ? `${statement.slice(0, MAX_STATEMENT)}…` : statement;
};

/** An error for the log: its class, message, stack and cause, and nothing else that may be attached to it. */
export function errorForLog(error: unknown): unknown {
  if (!(error instanceof Error)) return { message: shortened(String(error)) };
  const { code } = error as { code?: unknown };
  const at = error.stack?.indexOf('\n    at ') ?? -1;
  return {
    type: error.name,
    message: shortened(error.message),
    ...(typeof code === 'string' ? { code } : {}),
    ...(at === -1 ? {} : { stack: error.stack?.slice(at) }),
    ...(error.cause === undefined ? {} : { cause: errorForLog(error.cause) }),
  };
}

const SECRET = ['password', 'cookie', 'token', 'params'];

/**
 * Structured logs on standard error, one JSON line each: standard output belongs to whoever started the program.
 * Passwords, cookies and values of statements are never logged.
 */
export const log = pino(
  {
    level: process.env.LOG_LEVEL ?? 'info',
    base: null,
    redact: SECRET.flatMap((name) => [name, `*.${name}`]),
    serializers: { err: errorForLog, error: errorForLog },
  },
  pino.destination({ dest: 2, sync: false }),
);
