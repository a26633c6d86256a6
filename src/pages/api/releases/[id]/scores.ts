import { endpoint, sendAgain } from '../../../../server';

export const POST = endpoint('POST /api/releases/{id}/scores', async ({ as, id, body }) => {
  const sent = await sendAgain(as, id, body.learnerId);
  if (sent.ok) as.jobs?.wake();
  return sent;
});
