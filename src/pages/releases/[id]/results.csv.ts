import { allowed, failed, guarded, resultsCsv, resultsOf } from '../../../server';

export const GET = guarded(async (app, { locals, params }) => {
  const teacher = allowed(await locals.person(), 'teacher');
  if (!teacher.ok) return failed(teacher);
  const found = await resultsOf({ ...app, person: teacher.value }, params.id ?? '');
  if (!found.ok) return failed(found);
  const name = found.value.release.title.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'results';
  return new Response(resultsCsv(found.value), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="results.csv"; filename*=UTF-8''${encodeURIComponent(name)}.csv`,
      'cache-control': 'no-store',
    },
  });
});
