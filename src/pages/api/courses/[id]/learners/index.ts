import { bodies, endpoint, listRoster, makeLearner, queries, takeOff } from '../../../../../server';

export const GET = endpoint('teacher', { does: 'A page of the roster.', query: queries.page }, ({ as, id, query }) => listRoster(as, id, query));
export const POST = endpoint('teacher', { does: 'Makes a learner’s account and puts them on the roster.', body: bodies.newLearner }, ({ as, id, body }) =>
  makeLearner(as, id, body),
);
export const DELETE = endpoint('teacher', { does: 'Takes learners off the roster. What they did is kept.', body: bodies.takenOff }, ({ as, id, body }) =>
  takeOff(as, id, body.learners),
);
