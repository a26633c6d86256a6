import { endpoint, resultsCsv, resultsOf, savedAs } from '../../../server';

export const GET = endpoint('GET /releases/{id}/results.csv', async ({ as, id }) => {
  const found = await resultsOf(as, id);
  return found.ok
    ? savedAs(resultsCsv(found.value), 'text/csv; charset=utf-8', found.value.release.title, 'csv')
    : found;
});
