import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Field } from '../../ui/Field';

interface Props {
  to: string;
  demo: { username: string; password: string; role: string }[];
}

const WORDS: Record<number, string> = {
  401: 'That name and password do not go together.',
  422: 'That name and password do not go together.',
  400: 'That name and password do not go together.',
  429: 'Too many wrong passwords for this account. Wait ten minutes, or ask your teacher for a new one.',
};

export function SignIn({ to, demo }: Props) {
  const [problem, setProblem] = useState('');
  const { register, handleSubmit, setValue, formState } = useForm({ defaultValues: { username: '', password: '' } });
  const { errors, isSubmitting } = formState;

  const submit = handleSubmit(async ({ username, password }) => {
    setProblem('');
    const email = username.includes('@');
    try {
      const response = await fetch(`/api/auth/sign-in/${email ? 'email' : 'username'}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ [email ? 'email' : 'username']: username.trim(), password }),
      });
      if (response.ok) return location.assign(to);
      setProblem(WORDS[response.status] ?? 'Something went wrong here. Try again in a moment.');
    } catch {
      setProblem('The line is down. Try again when it is back.');
    }
  });

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
      <Field label="Password" type="password" autoComplete="current-password" problem={errors.password?.message} {...register('password', { required: 'Type your password' })} />
      {problem && (
        <p role="alert" className="bg-brick-wash text-ink border-l-4 border-brick px-3 py-2">
          {problem}
        </p>
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
