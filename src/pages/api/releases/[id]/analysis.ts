import { analysisOf, endpoint } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/analysis', async ({ as, id }) => {
  const analysis = await analysisOf(as, id);
  if (analysis.ok && !analysis.value.isCurrent) as.jobs?.wake();
  return analysis;
});
