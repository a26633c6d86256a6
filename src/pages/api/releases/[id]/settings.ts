import { changeSettings, endpoint, openSettings, withDates } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/settings', ({ as, id }) => openSettings(as, id));
export const PUT = endpoint('PUT /api/releases/{id}/settings', ({ as, id, body: { from, ...settings } }) =>
  changeSettings(as, id, withDates(settings), from),
);
