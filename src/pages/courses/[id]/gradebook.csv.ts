import { endpoint, gradebookCsv, openCourse, savedAs } from '../../../server';

export const GET = endpoint('GET /courses/{id}/gradebook.csv', async ({ as, id, query }) => {
  const course = await openCourse(as, id);
  if (!course.ok) return course;
  const csv = await gradebookCsv(as, id, query);
  return csv.ok ? savedAs(csv.value, 'text/csv; charset=utf-8', course.value.title, 'csv') : csv;
});
