import { bodies, endpoint, makeEdition, openCorrections, previewCorrection } from '../../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => openCorrections(as, id));
/** Without a number: what it would change. With one: makes that edition. */
export const POST = endpoint('teacher', bodies.correction, ({ as, id, body: { number, ...correction } }) =>
  number === null ? previewCorrection(as, id, correction) : makeEdition(as, id, number, correction),
);
