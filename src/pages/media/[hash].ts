import { bytesAnswer, endpoint, readMedium } from '../../server';

/** At the Bench. Learners have theirs through their sitting. */
export const GET = endpoint('GET /media/{hash}', async ({ as, params, request }) => {
  const found = await readMedium(as, params.hash);
  return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : found;
});
