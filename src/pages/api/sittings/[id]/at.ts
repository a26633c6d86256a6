import { bodies, endpoint, goTo } from '../../../../server';

export const POST = endpoint('learner', { does: 'Goes to a question of a sitting.', body: bodies.goingTo }, ({ as, body, id }) => goTo(as, id, body.question));
