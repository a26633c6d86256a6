import type { APIRoute } from 'astro';
import { canStore, endpointOf, json, log, StartProblem, theApp } from '../../server';

/** The reason is given to the person who started it, not to callers. */
const isStarter = (request: Request) =>
  process.env.VAULT_DROP_STARTER !== undefined && request.headers.get('x-starter') === process.env.VAULT_DROP_STARTER;

const answer: APIRoute = async ({ request }) => {
  let problem: string | null = null;
  try {
    const app = await theApp();
    if (await canStore(app)) return json({ ok: true, version: app.config.version, database: 'ok' });
  } catch (error) {
    log.error({ err: error }, 'cannot start');
    problem = error instanceof StartProblem ? error.message : (error as Error).message;
  }
  return json({ ok: false, database: 'unavailable', ...(problem && isStarter(request) ? { problem } : {}) }, 503);
};

export const GET = endpointOf('GET /api/health', answer);
