import { comparisonOf, endpoint } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/comparison', async ({ as, id }) => {
  const comparison = await comparisonOf(as, id);
  if (comparison.ok && !comparison.value.isCurrent) as.jobs?.wake();
  return comparison;
});
