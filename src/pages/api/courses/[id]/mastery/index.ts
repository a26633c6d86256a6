import { endpoint, masteryOfCourse } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/mastery', ({ as, id }) => masteryOfCourse(as, id));
