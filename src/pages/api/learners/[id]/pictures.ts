import { drawPictures, endpoint } from '../../../../server';

export const PUT = endpoint('PUT /api/learners/{id}/pictures', ({ as, id }) => drawPictures(as, id));
