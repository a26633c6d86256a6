import { bodies, endpoint, keepCategories } from '../../../../server';

export const PUT = endpoint(
  'teacher',
  { does: 'Keeps the weight categories of a course, all of them at once.', body: bodies.categories, maxBytes: 256 * 1024 },
  ({ as, id, body }) => keepCategories(as, id, body.categories),
);
