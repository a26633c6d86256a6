import { bodies, changeSettings, endpoint, openSettings } from '../../../../server';

export const GET = endpoint('teacher', { does: 'How a release runs, and what learners are allowed beyond that.' }, ({ as, id }) => openSettings(as, id));
export const PUT = endpoint('teacher', { does: 'Changes how a release runs.', body: bodies.releaseChange, maxBytes: 256 * 1024 }, ({ as, id, body: { from, ...settings } }) =>
  changeSettings(as, id, bodies.timed(settings), from),
);
