import { endpoint, fromIn, openGradebook } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id, search }) => openGradebook(as, id, { words: (search.get('words') ?? '').slice(0, 200), from: fromIn(search) }));
