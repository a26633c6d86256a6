import { bodies, changeInstallation, endpoint, openInstallation } from '../../server';

export const GET = endpoint('teacher', { does: 'What holds for the whole installation.' }, ({ as }) => openInstallation(as));
export const PUT = endpoint('teacher', { does: 'Changes what holds for the whole installation: an administrator’s to do.', body: bodies.installation }, ({ as, body }) =>
  changeInstallation(as, body),
);
