import { endpoint, makeEdition, openCorrections, previewCorrection } from '../../../../../server';

export const GET = endpoint('GET /api/releases/{id}/editions', ({ as, id }) => openCorrections(as, id));
export const POST = endpoint('POST /api/releases/{id}/editions', ({ as, id, body: { number, ...correction } }) =>
  number === null ? previewCorrection(as, id, correction) : makeEdition(as, id, number, correction),
);
