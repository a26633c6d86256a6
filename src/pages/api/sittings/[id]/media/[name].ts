import { bytesAnswer, endpoint, sittingMedium } from '../../../../../server';

export const GET = endpoint(
  'GET /api/sittings/{id}/media/{name}',
  async ({ as, id, params, query: { q, w, captions }, request }) => {
    const found = await sittingMedium(as, id, q, params.name, captions ? 'captions' : 'medium', w);
    return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : found;
  },
);
