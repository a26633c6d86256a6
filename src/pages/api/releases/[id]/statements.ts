import { endpoint, savedStream, statementsFile } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/statements', async ({ as, id }) => {
  const found = await statementsFile(as, id);
  return found.ok
    ? savedStream(found.value.lines, 'application/x-ndjson', `${found.value.title}, statements`, 'jsonl')
    : found;
});
