// Many learners with a sitting each, written straight into the database: making passwords for a thousand takes minutes.
import { createHmac, randomUUID } from 'node:crypto';
import { sessionCookie } from '../src/server/accounts/auth';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { session, user } from '../src/server/database/accountTables';
import { courseLearner } from '../src/server/database/tables';
import { openRelease } from '../src/server/sittings/openRelease';
import { makeTicket, ticketName } from '../src/server/sittings/ticket';
import { must } from '../tests/support/app';
import { publishTen, type Seat } from './classroom';

const YEAR_MS = 365 * 24 * 3600 * 1000;

/** So many learners on a course of their own, signed in, each with a ticket for their sitting of ten questions. */
export async function seatSigned(app: App, teacher: As<Teacher>, people: number): Promise<Seat[]> {
  const { courseId, releaseId } = await publishTen(teacher, null);
  const at = new Date();
  const seats: Seat[] = [];
  for (let i = 0; i < people; i++) {
    const id = randomUUID();
    const name = `seat.${id.slice(0, 8)}`;
    const token = randomUUID();
    const both = { createdAt: at, updatedAt: at };
    await app.db
      .insert(user)
      .values({ id, name, email: `${id}@seats.invalid`, username: name, role: 'learner', ...both });
    await app.db
      .insert(session)
      .values({ id: randomUUID(), token, userId: id, expiresAt: new Date(at.getTime() + YEAR_MS), ...both });
    await app.db.insert(courseLearner).values({ courseId, learnerId: id, addedAt: at });
    const as: As<Learner> = { ...app, person: { id, name, username: name, role: 'learner' } };
    const { open } = must(await openRelease(as, releaseId));
    if (!open) throw new Error('The sitting has ended');
    const signed = `${token}.${createHmac('sha256', app.config.secret).update(token).digest('base64')}`;
    const ticket = makeTicket(app.config.secret, { sittingId: open.id, learnerId: id }, signed, new Date());
    seats.push({
      username: name,
      sittingId: open.id,
      items: open.question.items.map((item) => item.id),
      zones: open.question.zones.map((zone) => zone.id),
      cookie: `${sessionCookie(app.config)}=${encodeURIComponent(signed)}; ${ticketName(open.id)}=${encodeURIComponent(ticket)}`,
      last: 0,
      stored: new Set(),
      sent: new Set(),
    });
  }
  return seats;
}
