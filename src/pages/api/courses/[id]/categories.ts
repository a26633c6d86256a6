import { bodies, endpoint, saveCategories } from '../../../../server';

export const PUT = endpoint(
  'teacher',
  { does: 'Saves the weight categories of a course, all of them at once.', body: bodies.categories, maxBytes: 256 * 1024 },
  ({ as, id, body }) => saveCategories(as, id, body.categories, body.from),
);
