import { endpoint, sendMailNow } from '../../../../server';

export const POST = endpoint('POST /api/account/mail/now', async ({ as, body }) => {
  const sent = await sendMailNow(as, body.id);
  as.jobs?.wake();
  return sent;
});
