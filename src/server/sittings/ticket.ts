import { createHash, createHmac, timingSafeEqual } from 'node:crypto';

/**
 * A sitting's ticket: a signed, HttpOnly cookie that lets a learner's moves in without looking the session up each
 * time. It is bound to the sign-in it was given under, so that it is worth nothing once the learner has signed out of
 * that browser, and it is short-lived.
 */
export const TICKET_SECONDS = 600;

export interface Ticket {
  readonly sittingId: string;
  readonly learnerId: string;
}

const digest = (text: string) => createHash('sha256').update(text).digest('base64url').slice(0, 22);
const sign = (secret: string, text: string) => createHmac('sha256', `sitting:${secret}`).update(text).digest();

export const ticketName = (sittingId: string) => `vault-drop.sitting.${sittingId}`;

export function makeTicket(secret: string, { sittingId, learnerId }: Ticket, session: string, now: Date): string {
  const body = [sittingId, learnerId, Math.floor(now.getTime() / 1000) + TICKET_SECONDS, digest(session)].join('.');
  return `${body}.${sign(secret, body).toString('base64url')}`;
}

/** What a ticket says, if it is ours, of now and of this sign-in; else null. */
export function readTicket(
  secret: string,
  text: string | undefined,
  session: string | undefined,
  now: Date,
): Ticket | null {
  if (!text || !session) return null;
  const cut = text.lastIndexOf('.');
  const body = text.slice(0, Math.max(0, cut));
  const given = Buffer.from(text.slice(cut + 1), 'base64url');
  const right = sign(secret, body);
  if (given.length !== right.length || !timingSafeEqual(given, right)) return null;
  const [sittingId, learnerId, until, bound] = body.split('.');
  if (!sittingId || !learnerId || Number(until) * 1000 < now.getTime() || bound !== digest(session)) return null;
  return { sittingId, learnerId };
}
