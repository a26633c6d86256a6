import { confirmMail, endpoint } from '../../../../server';

export const PUT = endpoint('PUT /api/account/mail/confirmed', ({ as, body }) => confirmMail(as, body.token));
