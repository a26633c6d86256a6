import { bytesAnswer, endpoint, queries, sittingSource } from '../../../../../server';

const numberIn = (value: string | undefined) => (value && /^\d{1,5}$/.test(value) ? Number(value) : -1);

export const GET = endpoint(
  'learner',
  { does: 'What a source shows, by its number in the sitting’s edition.', query: queries.sittingSource, gives: ['image/*', 'audio/*', 'video/*', 'text/vtt'] },
  async ({ as, id, params, query: { w, captions }, request }) => {
    const found = await sittingSource(as, id, numberIn(params.n), captions ? 'captions' : 'medium', w);
    return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : found;
  },
);
