import { bodies, endpoint, makeLearner } from '../../../../server';

export const POST = endpoint('teacher', bodies.newLearner, ({ as, id, body }) => makeLearner(as, id, body));
