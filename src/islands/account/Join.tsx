import { useState } from 'react';
import { string } from 'yup';
import { joining, MAX_PASSWORD, MIN_PASSWORD, registering } from '../../contract';
import { api, Field, useRequestForm } from '../../ui';
import type { ApiError } from '../../ui/api';
import { errorInWords } from '../../ui/errorInWords';
import { phrase } from '../../words';

/** What each field takes, said where it holds something else. */
const rules = () => ({
  code: phrase('account.typeCode'),
  name: phrase('account.nameRule'),
  username: phrase('account.usernameRule'),
  password: phrase('account.passwordRule', { least: MIN_PASSWORD, most: MAX_PASSWORD }),
});

/** Joins a course by its code: at once with an account, or by making one. */
export function Join({ signedIn, code }: { signedIn: boolean; code: string }) {
  const [joined, setJoined] = useState<string | null>(null);
  // Signed-in learners type only the code.
  const schema = signedIn
    ? joining.shape({ name: string().defined(), username: string().defined(), password: string().defined() })
    : registering;
  const { register, handleSubmit, setError, formState } = useRequestForm(schema, {
    code,
    name: '',
    username: '',
    password: '',
  });
  const { errors } = formState;
  const rule = rules();
  const problemOf = (field: keyof typeof rule) =>
    errors[field] && (errors[field].type === 'server' ? errors[field].message : rule[field]);
  const refused = (error: ApiError) => {
    const at = (field: keyof typeof rule, message: string) => setError(field, { type: 'server', message });
    if (error.code === 'nameTaken') return at('username', phrase('account.usernameTaken'));
    const fields = (error.problems ?? []).map(({ path }) => path);
    if (error.code === 'invalid' && fields.includes('code')) return at('code', phrase('account.noSuchCode'));
    const known = (Object.keys(rule) as (keyof typeof rule)[]).filter((field) => fields.includes(field));
    for (const field of known) at(field, rule[field]);
    if (known.length === 0) setError('root', { message: errorInWords(error) });
  };
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
        <p className="text-lg">{phrase('account.youAreIn', { course: joined })}</p>
        <a className="btn btn-primary mt-4" href={signedIn ? '/sit' : '/sign-in?to=/sit'}>
          {phrase(signedIn ? 'account.toAssignments' : 'account.signIn')}
        </a>
      </div>
    );
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <Field
        label={phrase('account.code')}
        className="figures"
        autoComplete="off"
        autoCapitalize="characters"
        hint={phrase('account.codeHint')}
        problem={problemOf('code')}
        {...register('code')}
      />
      {!signedIn && (
        <>
          <p>
            {phrase('account.haveAccount')}{' '}
            <a className="link-brass" href="/sign-in?to=/join">
              {phrase('account.signInFirst')}
            </a>
            . {phrase('account.elseMake')}
          </p>
          <Field label={phrase('account.name')} autoComplete="name" problem={problemOf('name')} {...register('name')} />
          <Field
            label={phrase('account.username')}
            autoComplete="username"
            autoCapitalize="none"
            problem={problemOf('username')}
            {...register('username')}
          />
          <Field
            label={phrase('account.password')}
            type="password"
            autoComplete="new-password"
            problem={problemOf('password')}
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
        {phrase(signedIn ? 'account.join' : 'account.makeAndJoin')}
      </button>
    </form>
  );
}
