import { endpoint, sendToStoreAgain } from '../../../server';

export const POST = endpoint('POST /api/record-store/again', ({ as, body }) => sendToStoreAgain(as, body.all));
