import { changeInstallation, endpoint, openInstallation } from '../../server';

export const GET = endpoint('GET /api/installation', ({ as }) => openInstallation(as));
export const PUT = endpoint('PUT /api/installation', ({ as, body }) => changeInstallation(as, body));
