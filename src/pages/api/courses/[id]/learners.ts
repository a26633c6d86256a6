import { bodies, endpoint, fromIn, listRoster, makeLearner, takeOff } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id, search }) => listRoster(as, id, { words: (search.get('words') ?? '').slice(0, 200), from: fromIn(search) }));
export const POST = endpoint('teacher', bodies.newLearner, ({ as, id, body }) => makeLearner(as, id, body));
export const DELETE = endpoint('teacher', bodies.takenOff, ({ as, id, body }) => takeOff(as, id, body.learners));
