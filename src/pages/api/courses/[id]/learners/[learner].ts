import { dataOf, endpoint, eraseLearner, savedJson } from '../../../../../server';

export const GET = endpoint('teacher', { does: 'What a course holds of a learner, as a file.', gives: ['application/json'] }, async ({ as, id, params }) => {
  const data = await dataOf(as, id, params.learner ?? '');
  return data.ok ? savedJson(data.value, data.value.account.name) : data;
});
export const DELETE = endpoint('teacher', { does: 'Erases all that a course holds of a learner.' }, ({ as, id, params }) => eraseLearner(as, id, params.learner ?? ''));
