import { answerInvitation, endpoint } from '../../../server';

export const PUT = endpoint('learner', { does: 'The learner says yes, and is in the course from then on.' }, ({ as, params }) => answerInvitation(as, params.course ?? '', true));
export const DELETE = endpoint('learner', { does: 'The learner says no to an invitation.' }, ({ as, params }) => answerInvitation(as, params.course ?? '', false));
