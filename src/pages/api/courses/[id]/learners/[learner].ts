import { dataOf, endpoint, eraseLearner, savedJson } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/learners/{learner}', async ({ as, id, params }) => {
  const data = await dataOf(as, id, params.learner);
  return data.ok ? savedJson(data.value, data.value.account.name) : data;
});
export const DELETE = endpoint('DELETE /api/courses/{id}/learners/{learner}', ({ as, id, params }) =>
  eraseLearner(as, id, params.learner),
);
