import { endpoint, openJob } from '../../../server';

export const GET = endpoint('teacher', { does: 'How far a job of the teacher’s has come.' }, ({ as, id }) => openJob(as, id));
