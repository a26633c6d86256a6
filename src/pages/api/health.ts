import type { APIRoute } from 'astro';
import { canWrite, json, log, theApp } from '../../server';

export const GET: APIRoute = async () => {
  try {
    const app = await theApp();
    if (await canWrite(app.db)) return json({ ok: true, version: app.config.version, database: 'ok' });
  } catch (error) {
    log.error({ err: error }, 'cannot start');
  }
  return json({ ok: false, database: 'unavailable' }, 503);
};
