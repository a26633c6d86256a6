import { endpoint, keepClassRecord, listClassRecords, ok } from '../../../../server';

export const GET = endpoint('GET /api/board/records', async ({ as }) => ok(await listClassRecords(as)));
export const POST = endpoint('POST /api/board/records', ({ as, body }) => keepClassRecord(as, body));
