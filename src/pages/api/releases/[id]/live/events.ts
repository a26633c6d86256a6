import { endpoint, liveEvents } from '../../../../../server';

/** A page opens it with the id of what it has; a browser that comes back names the last one by its header. */
export const GET = endpoint('GET /api/releases/{id}/live/events', ({ as, id, request, session, query }) =>
  liveEvents(as, id, {
    last: request.headers.get('last-event-id') ?? query.after,
    session,
    gone: request.signal,
  }),
);
