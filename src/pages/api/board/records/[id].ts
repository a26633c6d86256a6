import { deleteClassRecord, endpoint, openClassRecord } from '../../../../server';

export const GET = endpoint('GET /api/board/records/{id}', ({ as, id }) => openClassRecord(as, id));
export const DELETE = endpoint('DELETE /api/board/records/{id}', ({ as, id }) => deleteClassRecord(as, id));
