import { bytesAnswer, endpoint, queries, sittingMedium } from '../../../../../server';

export const GET = endpoint(
  'learner',
  { does: 'A medium, by the name it has in the learner’s sitting.', query: queries.sittingMedium, gives: ['image/*', 'audio/*', 'video/*', 'text/vtt'] },
  async ({ as, id, params, query: { q, w, captions }, request }) => {
    const found = await sittingMedium(as, id, q, params.name ?? '', captions ? 'captions' : 'medium', w);
    return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : found;
  },
);
