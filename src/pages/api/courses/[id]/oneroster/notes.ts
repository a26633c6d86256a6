import { endpoint, oneRosterNotes } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/oneroster/notes', ({ as, id }) => oneRosterNotes(as, id));
