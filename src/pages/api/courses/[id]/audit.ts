import { endpoint, listAudit } from '../../../../server';

export const GET = endpoint('teacher', { does: 'Who changed marks in a course, or what they rest on, the newest first.' }, ({ as, id }) => listAudit(as, id));
