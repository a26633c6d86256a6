import { askForMail, endMail, endpoint, ok, openMorningMail, ownAddress } from '../../../../server';

export const GET = endpoint('GET /api/account/mail', async ({ as }) => ok(await openMorningMail(as)));
export const PUT = endpoint('PUT /api/account/mail', async ({ as, body, request }) => {
  const asked = await askForMail(as, body, ownAddress(as.config, request));
  as.jobs?.wake();
  return asked;
});
export const DELETE = endpoint('DELETE /api/account/mail', async ({ as }) => ok(await endMail(as)));
