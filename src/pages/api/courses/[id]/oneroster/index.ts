import { endpoint, oneRosterOut, savedAs } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/oneroster', async ({ as, id }) => {
  const found = await oneRosterOut(as, id);
  return found.ok ? savedAs(found.value.bytes, 'application/zip', `${found.value.title}, marks`, 'zip') : found;
});
