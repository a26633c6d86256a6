import { allowed, bytesAnswer, failed, guarded, sittingSource } from '../../../../../server';

const numberIn = (value: string | null | undefined) => (value && /^\d{1,5}$/.test(value) ? Number(value) : null);

/** What a source shows, by its number in the sitting's edition; `captions`: its captions, as WebVTT; `w`: the width of a picture in pixels. */
export const GET = guarded(async (app, { request, params, locals, url }) => {
  const learner = allowed(await locals.person(), 'learner');
  if (!learner.ok) return failed(learner);
  const what = url.searchParams.has('captions') ? 'captions' : 'medium';
  const found = await sittingSource({ ...app, person: learner.value }, params.id ?? '', numberIn(params.n) ?? -1, what, numberIn(url.searchParams.get('w')));
  return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : failed(found);
});
