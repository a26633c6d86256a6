import { OPERATIONS } from '../../../../contract';
import {
  allowed,
  bodyOf,
  endpointOf,
  failed,
  guarded,
  json,
  makeTicket,
  readTicket,
  receiveMoves,
  sessionCookie,
  TICKET_SECONDS,
  ticketName,
  tokenIn,
} from '../../../../server';

const { body: schema, maxBytes } = OPERATIONS['POST /api/sittings/{id}/moves'];

/**
 * The attempt's ticket lets moves in; without one the session and the enrolment are read, and a new ticket is given.
 */
const route = guarded(async (app, { request, params, cookies, locals }) => {
  const sittingId = params.id ?? '';
  const secure = app.config.publicUrl?.protocol === 'https:';
  const session = cookies.get(sessionCookie(app.config))?.value;
  const ticket = readTicket(app.config.secret, cookies.get(ticketName(sittingId))?.value, session, app.now());
  let learnerId = ticket?.sittingId === sittingId ? ticket.learnerId : null;
  if (learnerId === null) {
    const learner = allowed(await locals.person(), 'learner');
    if (!learner.ok) return failed(learner);
    learnerId = learner.value.id;
  }
  const body = await bodyOf(request, schema, maxBytes);
  if (!body.ok) return failed(body);
  // The learner may have signed out since the ticket was given.
  const answer = await receiveMoves(app, sittingId, learnerId, body.value, ticket ? tokenIn(session) : null);
  if (!answer.ok) return failed(answer);
  if (!ticket && session)
    cookies.set(ticketName(sittingId), makeTicket(app.config.secret, { sittingId, learnerId }, session, app.now()), {
      path: `/api/sittings/${sittingId}`,
      httpOnly: true,
      sameSite: 'strict',
      secure,
      maxAge: TICKET_SECONDS,
    });
  return json({ ok: true, value: answer.value });
});

export const POST = endpointOf('POST /api/sittings/{id}/moves', route);
