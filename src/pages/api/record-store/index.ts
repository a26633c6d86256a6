import { endpoint, nameRecordStore, openRecordStore, removeRecordStore } from '../../../server';

export const GET = endpoint('GET /api/record-store', ({ as }) => openRecordStore(as));
export const PUT = endpoint('PUT /api/record-store', ({ as, body }) => nameRecordStore(as, body));
export const DELETE = endpoint('DELETE /api/record-store', ({ as }) => removeRecordStore(as));
