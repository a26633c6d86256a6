import { bodies, endpoint, goTo } from '../../../../server';

export const POST = endpoint('learner', bodies.goingTo, ({ as, body, id }) => goTo(as, id, body.question));
