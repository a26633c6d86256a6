import { createHash, createHmac, timingSafeEqual } from 'node:crypto';
import { LRUCache } from 'lru-cache';

/**
 * The ticket of an attempt: a signed HttpOnly cookie that lets a learner's moves in without a session look-up each
 * time. It is bound to the session it was given under, so it is worthless after signing out, and it is short-lived.
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

/** Tickets that were found to be genuine, by their text and secret: a class sends the same ones again and again. */
const genuine = new LRUCache<string, true>({ max: 5000 });
function isGenuine(secret: string, text: string, cut: number): boolean {
  const known = `${secret} ${text}`;
  if (genuine.has(known)) return true;
  const given = Buffer.from(text.slice(cut + 1), 'base64url');
  const right = sign(secret, text.slice(0, Math.max(0, cut)));
  if (given.length !== right.length || !timingSafeEqual(given, right)) return false;
  genuine.set(known, true);
  return true;
}

/** The content of a ticket, if it is genuine, current and of this session; else null. */
export function readTicket(
  secret: string,
  text: string | undefined,
  session: string | undefined,
  now: Date,
): Ticket | null {
  if (!text || !session) return null;
  const cut = text.lastIndexOf('.');
  const body = text.slice(0, Math.max(0, cut));
  if (!isGenuine(secret, text, cut)) return null;
  const [sittingId, learnerId, until, bound] = body.split('.');
  if (!sittingId || !learnerId || Number(until) * 1000 < now.getTime() || bound !== digest(session)) return null;
  return { sittingId, learnerId };
}
