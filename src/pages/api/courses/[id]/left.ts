import { endpoint, listLeft } from '../../../../server';

export const GET = endpoint('teacher', { does: 'Who is not on the roster any more, and of whom the course still keeps something.' }, ({ as, id }) => listLeft(as, id));
