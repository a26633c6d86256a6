import { bytesAnswer, endpoint, sittingSource } from '../../../../../server';

const numberIn = (value: string | undefined) => (value && /^\d{1,5}$/.test(value) ? Number(value) : -1);

export const GET = endpoint(
  'GET /api/sittings/{id}/sources/{n}',
  async ({ as, id, params, query: { w, captions }, request }) => {
    const found = await sittingSource(as, id, numberIn(params.n), captions ? 'captions' : 'medium', w);
    return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : found;
  },
);
