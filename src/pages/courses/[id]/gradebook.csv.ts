import { allowed, csvAnswer, failed, gradebookCsv, guarded, openCourse } from '../../../server';

export const GET = guarded(async (app, { locals, params }) => {
  const teacher = allowed(await locals.person(), 'teacher');
  if (!teacher.ok) return failed(teacher);
  const as = { ...app, person: teacher.value };
  const course = await openCourse(as, params.id ?? '');
  if (!course.ok) return failed(course);
  const csv = await gradebookCsv(as, course.value.id);
  return csv.ok ? csvAnswer(csv.value, course.value.title) : failed(csv);
});
