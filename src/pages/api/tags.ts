import { endpoint, listTags, ok } from '../../server';

export const GET = endpoint('teacher', null, async ({ as }) => ok(await listTags(as)));
