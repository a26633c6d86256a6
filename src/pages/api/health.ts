import { canWrite, described, json, log, theApp } from '../../server';

const answer = async () => {
  try {
    const app = await theApp();
    if (await canWrite(app.db)) return json({ ok: true, version: app.config.version, database: 'ok' });
  } catch (error) {
    log.error({ err: error }, 'cannot start');
  }
  return json({ ok: false, database: 'unavailable' }, 503);
};

export const GET = described(answer, 'anyone', { does: 'Whether the application can keep what it is sent.' });
