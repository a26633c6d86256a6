import { endpoint, listAudit } from '../../../../server';

export const GET = endpoint('teacher', null, ({ as, id }) => listAudit(as, id));
