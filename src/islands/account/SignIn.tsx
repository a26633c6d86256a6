import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Alert } from '../../ui/Alert';
import { Field } from '../../ui/Field';
import { type Phrase, phrase } from '../../words';

interface Props {
  to: string;
  demo: { username: string; password: string; role: 'teacher' | 'learner' }[];
}

const WHY: Record<number, Phrase> = {
  401: 'account.wrong',
  422: 'account.wrong',
  400: 'account.wrong',
  429: 'account.tooManyPasswords',
};

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
        ? phrase('account.offline')
        : phrase(answer.status === 429 ? 'account.tooManyCodes' : 'account.wrongCode'),
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
        label={phrase(recovery ? 'account.recoveryCode' : 'account.authenticatorCode')}
        inputMode={recovery ? 'text' : 'numeric'}
        autoComplete="one-time-code"
        value={code}
        problem={problem || undefined}
        onChange={(event) => setCode(event.target.value)}
        autoFocus
      />
      <button type="submit" className="btn btn-primary" disabled={code.trim() === ''}>
        {phrase('account.signIn')}
      </button>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="link-brass cursor-pointer" onClick={() => setRecovery(!recovery)}>
          {phrase(recovery ? 'account.useAuthenticator' : 'account.useRecovery')}
        </button>
        <button type="button" className="link-brass cursor-pointer" onClick={onBack}>
          {phrase('account.back')}
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
    if (!answer) return setProblem(phrase('account.offline'));
    if (answer.status === 429 && (await codeOf(answer)) === 'ADDRESS_SHUT')
      return setProblem(phrase('account.manyAtOnce'));
    if (!answer.ok) return setProblem(phrase(WHY[answer.status] ?? 'account.wentWrong'));
    if (((await answer.json()) as { twoFactorRedirect?: boolean }).twoFactorRedirect) return setWantsCode(true);
    location.assign(to);
  });

  if (wantsCode) return <Code to={to} onBack={() => setWantsCode(false)} />;
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <Field
        label={phrase('account.username')}
        autoComplete="username"
        autoCapitalize="none"
        spellCheck={false}
        problem={errors.username?.message}
        {...register('username', { required: phrase('account.typeUsername') })}
      />
      <Field
        label={phrase('account.password')}
        type="password"
        autoComplete="current-password"
        problem={errors.password?.message}
        {...register('password', { required: phrase('account.typePassword') })}
      />
      {problem && (
        <Alert tone="problem" role="alert">
          {problem}
        </Alert>
      )}
      <button type="submit" className="btn btn-primary" disabled={isSubmitting}>
        {phrase(isSubmitting ? 'account.signingIn' : 'account.signIn')}
      </button>
      {demo.length > 0 && (
        <div className="border-t border-rule pt-4">
          <p className="text-mute mb-2">{phrase('account.demo')}</p>
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
                {username} <span className="font-normal text-mute">{phrase(`account.${role}`)}</span>
              </button>
            ))}
          </div>
          <p className="figures text-sm text-mute mt-2">
            {phrase('account.demoPassword', { password: demo[0]?.password ?? '' })}
          </p>
        </div>
      )}
    </form>
  );
}
