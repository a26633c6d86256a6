import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { api, Field } from '../../ui';

/** Into a course by its code: with an account at once, without one by making it. */
export function Join({ signedIn, code }: { signedIn: boolean; code: string }) {
  const [joined, setJoined] = useState<string | null>(null);
  const { register, handleSubmit, setError, formState } = useForm({ defaultValues: { code, name: '', username: '', password: '' } });
  const { errors } = formState;
  const submit = handleSubmit(async (typed) => {
    const answer = await (signedIn ? api('POST /api/joining', { body: { code: typed.code } }) : api('PUT /api/joining', { body: typed }));
    if (answer.ok) return setJoined(answer.value.course);
    const known = answer.error.problems?.filter(({ path }) => path in typed) ?? [];
    for (const { path, message } of known) setError(path as keyof typeof typed, { message });
    if (known.length === 0) setError('root', { message: `${answer.error.message}. ${answer.error.wayOn}` });
  });
  if (joined !== null)
    return (
      <div role="status">
        <p className="text-lg">You are in “{joined}” now.</p>
        <a className="btn btn-primary mt-4" href={signedIn ? '/sit' : '/sign-in?to=/sit'}>
          {signedIn ? 'To your releases' : 'Sign in'}
        </a>
      </div>
    );
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <Field
        label="Code"
        className="figures"
        autoComplete="off"
        autoCapitalize="characters"
        hint="Your teacher has it."
        problem={errors.code?.message}
        {...register('code', { required: 'Type the code' })}
      />
      {!signedIn && (
        <>
          <p>
            You have an account?{' '}
            <a className="link-brass" href="/sign-in?to=/join">
              Sign in first
            </a>
            . Else make one here:
          </p>
          <Field label="Name" autoComplete="name" problem={errors.name?.message} {...register('name', { required: 'Type your name' })} />
          <Field label="User name" autoComplete="username" autoCapitalize="none" problem={errors.username?.message} {...register('username', { required: 'Choose a user name' })} />
          <Field
            label="Password"
            type="password"
            autoComplete="new-password"
            problem={errors.password?.message}
            {...register('password', { required: 'Choose a password', minLength: { value: 8, message: 'At least 8 characters' } })}
          />
        </>
      )}
      {errors.root && (
        <p role="alert" className="text-brick">
          {errors.root.message}
        </p>
      )}
      <button type="submit" className="btn btn-primary self-start" disabled={formState.isSubmitting}>
        {signedIn ? 'Join' : 'Make the account and join'}
      </button>
    </form>
  );
}
