import { endpoint, removeFramework } from '../../../server';

export const DELETE = endpoint('DELETE /api/outcomes/{id}', ({ as, id }) => removeFramework(as, id));
