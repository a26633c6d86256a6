import { bodies, endpoint, keepCategories } from '../../../../server';

export const PUT = endpoint('teacher', bodies.categories, ({ as, id, body }) => keepCategories(as, id, body.categories));
