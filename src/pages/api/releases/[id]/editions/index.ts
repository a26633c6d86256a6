import { bodies, endpoint, makeEdition, openCorrections, previewCorrection } from '../../../../../server';

export const GET = endpoint('teacher', { does: 'The editions of a release, and what can be corrected in the newest.' }, ({ as, id }) => openCorrections(as, id));
export const POST = endpoint(
  'teacher',
  { does: 'What a correction would change (without a number); with one, makes that edition.', body: bodies.correction, maxBytes: 256 * 1024 },
  ({ as, id, body: { number, ...correction } }) => (number === null ? previewCorrection(as, id, correction) : makeEdition(as, id, number, correction)),
);
