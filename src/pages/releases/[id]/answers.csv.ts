import { answersFile, endpoint, savedStream } from '../../../server';

export const GET = endpoint('GET /releases/{id}/answers.csv', async ({ as, id }) => {
  const found = await answersFile(as, id, 'csv');
  return found.ok ? savedStream(found.value.lines, 'text/csv; charset=utf-8', found.value.title, 'csv') : found;
});
