import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Alert } from '../../ui/Alert';
import { Field } from '../../ui/Field';

interface Props {
  to: string;
  demo: { username: string; password: string; role: string }[];
}

const WORDS: Record<number, string> = {
  401: 'The user name or the password is wrong.',
  422: 'The user name or the password is wrong.',
  400: 'The user name or the password is wrong.',
  429: 'Too many wrong passwords for this account. Wait ten minutes, sign in where you have signed in before, or ask for a new password: learners ask their teacher, teachers ask the administrator.',
};

const MANY_AT_ONCE = 'Many people are signing in from here at this moment. Wait a minute and try again.';
const codeOf = (answer: Response): Promise<unknown> =>
  answer.json().then(
    (body: { code?: unknown }) => body.code,
    () => null,
  );

/** Null: no answer. */
const post = (path: string, body: object): Promise<Response | null> =>
  fetch(`/api/auth/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);

/** The second step of a teacher's sign-in: a code of their authenticator, or one of their recovery codes. */
function Code({ to, onBack }: { to: string; onBack: () => void }) {
  const [code, setCode] = useState('');
  const [recovery, setRecovery] = useState(false);
  const [problem, setProblem] = useState('');
  const submit = async () => {
    const answer = await post(`two-factor/${recovery ? 'verify-backup-code' : 'verify-totp'}`, { code: code.trim() });
    if (answer?.ok) return location.assign(to);
    setProblem(
      !answer
        ? 'You are offline. Try again when you are back.'
        : answer.status === 429
          ? 'Too many wrong codes. Wait a few minutes and sign in again.'
          : 'That code is not right.',
    );
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <Field
        label={recovery ? 'A recovery code' : 'The code of your authenticator'}
        inputMode={recovery ? 'text' : 'numeric'}
        autoComplete="one-time-code"
        value={code}
        problem={problem || undefined}
        onChange={(event) => setCode(event.target.value)}
        autoFocus
      />
      <button type="submit" className="btn btn-primary" disabled={code.trim() === ''}>
        Sign in
      </button>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="link-brass cursor-pointer" onClick={() => setRecovery(!recovery)}>
          {recovery ? 'Use the authenticator' : 'I have lost it: use a recovery code'}
        </button>
        <button type="button" className="link-brass cursor-pointer" onClick={onBack}>
          Back
        </button>
      </div>
    </form>
  );
}

export function SignIn({ to, demo }: Props) {
  const [problem, setProblem] = useState('');
  const { register, handleSubmit, setValue, formState } = useForm({ defaultValues: { username: '', password: '' } });
  const { errors, isSubmitting } = formState;

  const [wantsCode, setWantsCode] = useState(false);

  const submit = handleSubmit(async ({ username, password }) => {
    setProblem('');
    const answer = await post('sign-in/username', { username: username.trim(), password });
    if (!answer) return setProblem('You are offline. Try again when you are back.');
    if (answer.status === 429 && (await codeOf(answer)) === 'ADDRESS_SHUT') return setProblem(MANY_AT_ONCE);
    if (!answer.ok) return setProblem(WORDS[answer.status] ?? 'Something went wrong here. Try again in a moment.');
    if (((await answer.json()) as { twoFactorRedirect?: boolean }).twoFactorRedirect) return setWantsCode(true);
    location.assign(to);
  });

  if (wantsCode) return <Code to={to} onBack={() => setWantsCode(false)} />;
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <Field
        label="User name"
        autoComplete="username"
        autoCapitalize="none"
        spellCheck={false}
        problem={errors.username?.message}
        {...register('username', { required: 'Type your user name' })}
      />
      <Field
        label="Password"
        type="password"
        autoComplete="current-password"
        problem={errors.password?.message}
        {...register('password', { required: 'Type your password' })}
      />
      {problem && (
        <Alert tone="problem" role="alert">
          {problem}
        </Alert>
      )}
      <button type="submit" className="btn btn-primary" disabled={isSubmitting}>
        {isSubmitting ? 'Signing in…' : 'Sign in'}
      </button>
      {demo.length > 0 && (
        <div className="border-t border-rule pt-4">
          <p className="text-mute mb-2">This is the demo. Press an account to fill it in:</p>
          <div className="flex flex-wrap gap-2">
            {demo.map(({ username, password, role }) => (
              <button
                key={username}
                type="button"
                className="btn btn-edge btn-sm"
                onClick={() => {
                  setValue('username', username);
                  setValue('password', password);
                }}
              >
                {username} <span className="font-normal text-mute">{role}</span>
              </button>
            ))}
          </div>
          <p className="figures text-sm text-mute mt-2">password {demo[0]?.password}</p>
        </div>
      )}
    </form>
  );
}
