import { endpoint, saveCategories } from '../../../../server';

export const PUT = endpoint('PUT /api/courses/{id}/categories', ({ as, id, body }) =>
  saveCategories(as, id, body.categories, body.from),
);
