import { answersFile, endpoint, savedStream } from '../../../server';

export const GET = endpoint('GET /releases/{id}/answers.jsonl', async ({ as, id }) => {
  const found = await answersFile(as, id, 'jsonl');
  return found.ok ? savedStream(found.value.lines, 'application/x-ndjson', found.value.title, 'jsonl') : found;
});
