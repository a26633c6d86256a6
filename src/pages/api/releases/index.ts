import { bodies, endpoint, publish } from '../../../server';

export const POST = endpoint('teacher', bodies.publication, ({ as, body }) => publish(as, body));
