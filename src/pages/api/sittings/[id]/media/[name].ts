import { allowed, bytesAnswer, failed, guarded, sittingMedium } from '../../../../../server';

const numberIn = (value: string | null) => (value !== null && /^\d{1,5}$/.test(value) ? Number(value) : null);

/** A learner's medium, by the name it has in their sitting: `q` the question, `w` the width of a picture in pixels; `captions`: its captions, as WebVTT. */
export const GET = guarded(async (app, { request, params, locals, url }) => {
  const learner = allowed(await locals.person(), 'learner');
  if (!learner.ok) return failed(learner);
  const { id = '', name = '' } = params;
  const what = url.searchParams.has('captions') ? 'captions' : 'medium';
  const found = await sittingMedium({ ...app, person: learner.value }, id, numberIn(url.searchParams.get('q')) ?? 0, name, what, numberIn(url.searchParams.get('w')));
  return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : failed(found);
});
