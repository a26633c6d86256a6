import { allowed, bodies, bodyOf, failed, guarded, json, makeTicket, readTicket, TICKET_SECONDS, takeMoves, ticketName } from '../../../../server';

/** A learner's moves. The sitting's own ticket lets them in; without one, the session is looked up and a new ticket given. */
export const POST = guarded(async (app, { request, params, cookies, locals }) => {
  const sittingId = params.id ?? '';
  const secure = app.config.publicUrl?.protocol === 'https:';
  const session = cookies.get(`${secure ? '__Secure-' : ''}vault-drop.session_token`)?.value;
  const ticket = readTicket(app.config.secret, cookies.get(ticketName(sittingId))?.value, session, app.now());
  let learnerId = ticket?.sittingId === sittingId ? ticket.learnerId : null;
  if (learnerId === null) {
    const learner = allowed(await locals.person(), 'learner');
    if (!learner.ok) return failed(learner);
    learnerId = learner.value.id;
  }
  const body = await bodyOf(request, bodies.sentMoves);
  if (!body.ok) return failed(body);
  const answer = await takeMoves(app, sittingId, learnerId, body.value);
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
