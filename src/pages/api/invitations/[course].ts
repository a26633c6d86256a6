import { answerInvitation, endpoint } from '../../../server';

export const PUT = endpoint('PUT /api/invitations/{course}', ({ as, params }) =>
  answerInvitation(as, params.course, true),
);
export const DELETE = endpoint('DELETE /api/invitations/{course}', ({ as, params }) =>
  answerInvitation(as, params.course, false),
);
