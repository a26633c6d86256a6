import { calendarMadeAt, endpoint, makeCalendarAddress, ok, takeCalendarBack } from '../../../server';

export const GET = endpoint('GET /api/account/calendar', async ({ as }) => ok(await calendarMadeAt(as)));
export const PUT = endpoint('PUT /api/account/calendar', async ({ as }) => ok(await makeCalendarAddress(as)));
export const DELETE = endpoint('DELETE /api/account/calendar', async ({ as }) => ok(await takeCalendarBack(as)));
