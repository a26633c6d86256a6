import { applyEdition, endpoint, fail, previewEdition } from '../../../../../server';

const numberIn = (text: string | undefined) => (/^\d{1,6}$/.test(text ?? '') ? Number(text) : null);

export const GET = endpoint('GET /api/releases/{id}/editions/{number}', async ({ as, id, params }) => {
  const number = numberIn(params.number);
  return number === null ? fail('notFound') : previewEdition(as, id, number);
});
export const PUT = endpoint('PUT /api/releases/{id}/editions/{number}', async ({ as, id, params, body }) => {
  const number = numberIn(params.number);
  return number === null ? fail('notFound') : applyEdition(as, id, number, body.spare);
});
