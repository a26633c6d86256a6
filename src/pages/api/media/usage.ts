import { clearUnused, endpoint, mediaUsage } from '../../../server';

export const GET = endpoint('teacher', { does: 'How much the teacher’s media take, and what of it nothing uses.' }, ({ as }) => mediaUsage(as));
export const DELETE = endpoint('teacher', { does: 'Takes away the media that nothing of the teacher’s uses.' }, ({ as }) => clearUnused(as));
