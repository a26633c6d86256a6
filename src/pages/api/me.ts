import { endpoint, myData, savedJson } from '../../server';

export const GET = endpoint('learner', { does: 'All that is kept of the learner who asks, as a file.', gives: ['application/json'] }, async ({ as }) => {
  const data = await myData(as);
  return data.ok ? savedJson(data.value, data.value.account.name) : data;
});
