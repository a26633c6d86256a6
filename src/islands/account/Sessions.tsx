import { useEffect, useState } from 'react';
import type { SecurityRow, SessionRow, Wire } from '../../contract';
import type { ApiResult } from '../../ui/api';
import { api } from '../../ui/api';
import { moment } from '../../ui/when';

type Session = Wire<SessionRow>;
type Event = Wire<SecurityRow>;

const WHAT: Readonly<Record<string, string>> = {
  signedIn: 'Signed in',
  signInRefused: 'A sign-in was refused',
  accountLocked: 'Locked for ten minutes after wrong passwords',
  signedOutEverywhere: 'Signed out everywhere else',
  passwordChanged: 'The password was changed',
  passwordReset: 'The password was reset',
  accountMade: 'The account was made',
  adminGiven: 'Became an administrator',
  adminTaken: 'Is no administrator any more',
  secondFactorOn: 'A second factor was set up',
  secondFactorOff: 'The second factor was removed',
  accountsJoined: 'A platform’s person became this account',
  tokenMade: 'An access token was made',
  tokenTakenBack: 'An access token was taken back',
};

/** A browser's name from its user agent, in a word or two. */
function named(browser: string | null): string {
  if (!browser) return 'an unknown browser';
  const name =
    ['Edg', 'Firefox', 'Chrome', 'Safari'].find((candidate) => browser.includes(`${candidate}/`)) ?? 'a browser';
  const system = ['Android', 'iPhone', 'iPad', 'Windows', 'Mac OS', 'Linux'].find((candidate) =>
    browser.includes(candidate),
  );
  return `${name === 'Edg' ? 'Edge' : name}${system ? ` on ${system}` : ''}`;
}

/** The sessions of the account, each with a button that ends it, and its security events. */
export function Sessions() {
  const [sessions, setSessions] = useState<Session[] | null>(null);
  const [events, setEvents] = useState<Event[]>([]);
  const [said, setSaid] = useState('');
  const load = async () => {
    const [list, log] = await Promise.all([api('GET /api/account/sessions'), api('GET /api/account/events')]);
    if (list.ok) setSessions(list.value);
    else setSaid(`${list.error.message}. ${list.error.nextStep}`);
    if (log.ok) setEvents(log.value);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once
  useEffect(() => void load(), []);
  const end = async (ended: Promise<ApiResult<unknown>>, words: string) => {
    const done = await ended;
    setSaid(done.ok ? words : `${done.error.message}. ${done.error.nextStep}`);
    await load();
  };
  return (
    <>
      {!sessions && !said && <p role="status">Looking up…</p>}
      <ul>
        {sessions?.map(({ id, seen, address, browser, here }) => (
          <li key={id} className="flex flex-wrap items-center gap-3 border-b border-rule py-1.5">
            <span className="grow">
              {named(browser)}
              {here && <strong> · this one</strong>}
            </span>
            <span className="figures text-sm text-mute">
              {address ?? ''} · {moment(new Date(seen))}
            </span>
            {!here && (
              <button
                type="button"
                className="btn btn-quiet btn-sm"
                onClick={() => void end(api('DELETE /api/account/sessions/{id}', { id }), 'It is signed out.')}
              >
                Sign out
              </button>
            )}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-3 mt-3">
        <button
          type="button"
          className="btn btn-edge"
          disabled={!sessions || sessions.length < 2}
          onClick={() => void end(api('DELETE /api/account/sessions'), 'You are signed out everywhere else.')}
        >
          Sign out everywhere else
        </button>
        <p role="status">{said}</p>
      </div>
      {events.length > 0 && (
        <details className="mt-4">
          <summary className="cursor-pointer link-brass">What happened to your account</summary>
          <ul className="mt-2">
            {events.map(({ at, what, address }, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: it only grows at the top, and is read anew then
              <li key={i} className="flex gap-3 border-b border-rule py-1">
                <span className="figures text-sm text-mute w-40 shrink-0">{moment(new Date(at))}</span>
                <span className="grow">{WHAT[what] ?? what}</span>
                <span className="figures text-sm text-mute">{address ?? ''}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
