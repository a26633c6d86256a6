import { useState } from 'react';
import { string } from 'yup';
import { joining, registering } from '../../contract';
import { api, Field, useRequestForm } from '../../ui';

/** Joins a course by its code: at once with an account, or by making one. */
export function Join({ signedIn, code }: { signedIn: boolean; code: string }) {
  const [joined, setJoined] = useState<string | null>(null);
  // Signed-in learners type only the code.
  const schema = signedIn
    ? joining.shape({ name: string().defined(), username: string().defined(), password: string().defined() })
    : registering;
  const { register, handleSubmit, refused, formState } = useRequestForm(schema, {
    code,
    name: '',
    username: '',
    password: '',
  });
  const { errors } = formState;
  const submit = handleSubmit(async (typed) => {
    const answer = await (signedIn
      ? api('POST /api/joining', { body: { code: typed.code } })
      : api('PUT /api/joining', { body: typed }));
    if (answer.ok) setJoined(answer.value.course);
    else refused(answer.error);
  });
  if (joined !== null)
    return (
      <div role="status">
        <p className="text-lg">You are in “{joined}” now.</p>
        <a className="btn btn-primary mt-4" href={signedIn ? '/sit' : '/sign-in?to=/sit'}>
          {signedIn ? 'To your assignments' : 'Sign in'}
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
        {...register('code')}
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
          <Field label="Name" autoComplete="name" problem={errors.name?.message} {...register('name')} />
          <Field
            label="User name"
            autoComplete="username"
            autoCapitalize="none"
            problem={errors.username?.message}
            {...register('username')}
          />
          <Field
            label="Password"
            type="password"
            autoComplete="new-password"
            problem={errors.password?.message}
            {...register('password')}
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
