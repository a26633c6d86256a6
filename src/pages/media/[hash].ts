import { allowed, bytesAnswer, failed, guarded, readMedium } from '../../server';

/** A teacher's own medium, at the Bench. Learners have theirs through their sitting. */
export const GET = guarded(async (app, { request, params, locals }) => {
  const teacher = allowed(await locals.person(), 'teacher');
  if (!teacher.ok) return failed(teacher);
  const found = await readMedium({ ...app, person: teacher.value }, params.hash ?? '');
  return found.ok ? bytesAnswer(request, found.value.bytes, found.value.type) : failed(found);
});
