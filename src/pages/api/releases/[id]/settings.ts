import { bodies, changeSettings, endpoint, openSettings } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => openSettings(as, id));
export const PUT = endpoint('teacher', bodies.releaseChange, ({ as, id, body }) => changeSettings(as, id, bodies.timed(body)));
