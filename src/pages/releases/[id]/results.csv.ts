import { allowed, csvAnswer, failed, guarded, resultsCsv, resultsOf } from '../../../server';

export const GET = guarded(async (app, { locals, params }) => {
  const teacher = allowed(await locals.person(), 'teacher');
  if (!teacher.ok) return failed(teacher);
  const found = await resultsOf({ ...app, person: teacher.value }, params.id ?? '');
  return found.ok ? csvAnswer(resultsCsv(found.value), found.value.release.title) : failed(found);
});
