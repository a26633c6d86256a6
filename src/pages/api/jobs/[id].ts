import { endpoint, openJob } from '../../../server';

export const GET = endpoint('GET /api/jobs/{id}', ({ as, id }) => openJob(as, id));
