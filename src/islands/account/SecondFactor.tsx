import { toDataURL } from 'qrcode';
import { useState } from 'react';
import { Field } from '../../ui/Field';

interface Begun {
  readonly uri: string;
  readonly secret: string;
  readonly picture: string;
  readonly codes: readonly string[];
}

async function ask<T>(path: string, body: object): Promise<{ ok: true; value: T } | { ok: false; words: string }> {
  try {
    const response = await fetch(`/api/auth/two-factor/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (response.ok) return { ok: true, value: (await response.json()) as T };
    return {
      ok: false,
      words:
        response.status === 429
          ? 'Too many tries. Wait a few minutes and try again.'
          : path.startsWith('verify')
            ? 'That code is not right. Type the one that is shown now.'
            : 'That is not your password.',
    };
  } catch {
    return { ok: false, words: 'You are offline; nothing was changed.' };
  }
}

/**
 * A teacher's second factor: the codes of an authenticator (TOTP, RFC 6238), with recovery codes for the day it is
 * lost.
 */
export function SecondFactor({ on: given, username }: { on: boolean; username: string }) {
  const [on, setOn] = useState(given);
  const [begun, setBegun] = useState<Begun | null>(null);
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const [said, setSaid] = useState('');

  const begin = async () => {
    const answer = await ask<{ totpURI: string; backupCodes: string[] }>('enable', { password });
    if (!answer.ok) return setSaid(answer.words);
    // The account goes by its user name in the authenticator.
    const uri = new URL(answer.value.totpURI);
    const named = `otpauth://totp/${encodeURIComponent(`Vault Drop:${username}`)}${uri.search}`;
    setBegun({
      uri: named,
      secret: uri.searchParams.get('secret') ?? '',
      picture: await toDataURL(named, { margin: 1, width: 200 }),
      codes: answer.value.backupCodes,
    });
    setPassword('');
    setSaid('');
  };
  const confirm = async () => {
    const answer = await ask('verify-totp', { code: code.replace(/\s/g, '') });
    if (!answer.ok) return setSaid(answer.words);
    setOn(true);
    setBegun(null);
    setCode('');
    setSaid('Your second factor is on: from now on signing in asks for a code.');
  };
  const end = async () => {
    const answer = await ask('disable', { password });
    if (!answer.ok) return setSaid(answer.words);
    setOn(false);
    setPassword('');
    setSaid('Your second factor is off.');
  };
  return (
    <div className="grid gap-3 max-w-xl">
      {begun ? (
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void confirm();
          }}
        >
          <div className="flex flex-wrap gap-5">
            <img src={begun.picture} width={200} height={200} alt="The same as the key beside, to be scanned" />
            <div className="grow">
              <p>Scan this with an authenticator, or type its key:</p>
              <p className="figures break-all my-2">{begun.secret}</p>
              <p>Write these recovery codes down. Each signs you in once without the authenticator:</p>
              <ul className="figures columns-2 mt-1" data-testid="recovery-codes">
                {begun.codes.map((code) => (
                  <li key={code}>{code}</li>
                ))}
              </ul>
            </div>
          </div>
          <Field
            label="The code it shows now"
            inputMode="numeric"
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
          />
          <div className="flex gap-2">
            <button type="submit" className="btn btn-primary" disabled={code.trim() === ''}>
              Turn it on
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => setBegun(null)}>
              Cancel
            </button>
          </div>
        </form>
      ) : (
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            void (on ? end() : begin());
          }}
        >
          <p>
            {on
              ? 'It is on: signing in asks for a code of your authenticator.'
              : 'Signing in then asks for a code of an authenticator on your phone, too.'}
          </p>
          <input type="text" autoComplete="username" value={username} readOnly hidden />
          <Field
            className="max-w-sm"
            label="Your password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
          <button type="submit" className="btn btn-edge justify-self-start" disabled={password === ''}>
            {on ? 'Turn it off' : 'Set it up'}
          </button>
        </form>
      )}
      <p role="status">{said}</p>
    </div>
  );
}
