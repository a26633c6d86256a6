import { endpoint, listTags, ok } from '../../server';

export const GET = endpoint('teacher', { does: 'The tags of the questions the teacher may see.' }, async ({ as }) => ok(await listTags(as)));
