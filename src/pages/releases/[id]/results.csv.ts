import { endpoint, questionMarks, resultsCsv, resultsOf, savedAs } from '../../../server';

export const GET = endpoint('GET /releases/{id}/results.csv', async ({ as, id }) => {
  const found = await resultsOf(as, id);
  if (!found.ok) return found;
  const csv = resultsCsv(found.value, await questionMarks(as, found.value));
  return savedAs(csv, 'text/csv; charset=utf-8', found.value.release.title, 'csv');
});
