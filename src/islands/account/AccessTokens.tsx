import { useState } from 'react';
import { newToken, type TokenMade, type TokenRow, type Wire } from '../../contract';
import { TOKEN_SCOPES, type TokenScope } from '../../contract/vocabulary';
import { api, Field, moment } from '../../ui';
import { Alert } from '../../ui/Alert';
import { Confirm } from '../../ui/Confirm';
import { failureInWords } from '../../ui/failureInWords';
import { useRequestForm } from '../../ui/form';
import { numberTyped } from '../../ui/numbers';

type Row = Wire<TokenRow>;

const SCOPES: Readonly<Record<TokenScope, string>> = {
  read: 'read the Vault, sets and courses',
  author: 'make and change questions, sets and media',
  publish: 'publish, and change courses and releases',
  results: 'marks, answers, and who learns',
};

/** The teacher's access tokens: made and told once, listed with their last use, taken back. */
export function AccessTokens({ tokens: given }: { tokens: readonly Row[] }) {
  const [tokens, setTokens] = useState(given);
  const [made, setMade] = useState<Wire<TokenMade> | null>(null);
  const [ending, setEnding] = useState<Row | null>(null);
  const [said, setSaid] = useState('');
  const takeBack = async ({ id, name }: Row) => {
    const answer = await api('DELETE /api/account/tokens/{id}', { id });
    setEnding(null);
    setSaid(answer.ok ? `“${name}” does not hold any more.` : failureInWords(answer.error));
    if (answer.ok) setTokens(answer.value);
    if (made?.id === id) setMade(null);
  };
  return (
    <>
      <p className="max-w-prose mb-3">
        A program uses the endpoints with a token, as you and within its scopes: with the header{' '}
        <code className="figures">Authorization: Bearer …</code>.
      </p>
      <p role="status">{said}</p>
      <ul>
        {tokens.map((token) => (
          <li key={token.id} className="flex flex-wrap items-center gap-3 border-b border-rule py-1.5">
            <span className="grow">
              <span className="font-semibold">{token.name}</span>{' '}
              <span className="figures text-sm">{token.scopes.join(', ')}</span>
              <span className="block text-mute text-sm">
                until {moment(new Date(token.expiresAt))} ·{' '}
                {token.usedAt ? `last used ${moment(new Date(token.usedAt))}` : 'never used'}
              </span>
            </span>
            <button type="button" className="btn btn-edge btn-sm" onClick={() => setEnding(token)}>
              Take back
            </button>
          </li>
        ))}
      </ul>
      {made && (
        <Alert tone="good" role="status" className="mt-3">
          <p>This is “{made.name}”. It is shown this once: copy it now.</p>
          <p className="figures break-all select-all">{made.token}</p>
        </Alert>
      )}
      <NewToken
        onMade={(token) => {
          setMade(token);
          setTokens([token, ...tokens]);
          setSaid('');
        }}
      />
      {ending && (
        <Confirm
          title={`Take “${ending.name}” back?`}
          action="Take it back"
          forGood
          onConfirm={() => void takeBack(ending)}
          onClose={() => setEnding(null)}
        >
          <p>Whatever uses it cannot go on.</p>
        </Confirm>
      )}
    </>
  );
}

const fresh = () => ({ id: crypto.randomUUID(), name: '', scopes: ['read' as const], days: 90 });

function NewToken({ onMade }: { onMade: (token: Wire<TokenMade>) => void }) {
  const { register, handleSubmit, formState, refused, reset } = useRequestForm(newToken, fresh());
  const { errors } = formState;
  return (
    <form
      noValidate
      className="mt-4"
      onSubmit={handleSubmit(async (body) => {
        const answer = await api('POST /api/account/tokens', { body });
        if (!answer.ok) return refused(answer.error);
        reset(fresh());
        onMade(answer.value);
      })}
    >
      <div className="grid gap-4 sm:grid-cols-[1fr_8rem]">
        <Field label="What it is for" problem={errors.name?.message} {...register('name')} />
        <Field
          label="Days it holds"
          inputMode="numeric"
          problem={errors.days?.message}
          {...register('days', { setValueAs: numberTyped })}
        />
      </div>
      <fieldset className="mt-3">
        <legend className="font-semibold mb-1">What it may do</legend>
        {TOKEN_SCOPES.map((scope) => (
          <label key={scope} className="flex items-start gap-2 py-0.5">
            <input type="checkbox" className="checkbox checkbox-sm mt-0.5" value={scope} {...register('scopes')} />
            <span>
              <span className="figures">{scope}</span>: {SCOPES[scope]}
            </span>
          </label>
        ))}
        {errors.scopes && (
          <p role="alert" className="text-brick">
            {errors.scopes.message}
          </p>
        )}
      </fieldset>
      {errors.root && (
        <p role="alert" className="text-brick mt-2">
          {errors.root.message}
        </p>
      )}
      <button type="submit" className="btn btn-primary mt-3" disabled={formState.isSubmitting}>
        Make a token
      </button>
    </form>
  );
}
