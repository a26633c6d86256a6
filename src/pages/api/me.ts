import { endpoint, myData, savedJson } from '../../server';

export const GET = endpoint('GET /api/me', async ({ as }) => {
  const data = await myData(as);
  return data.ok ? savedJson(data.value, data.value.account.name) : data;
});
