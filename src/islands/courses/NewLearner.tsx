import { useForm } from 'react-hook-form';
import { api, Field } from '../../ui';
import type { Learner } from './course';

const blank = { name: '', username: '', password: '' };

export function NewLearner({ courseId, onMade }: { courseId: string; onMade: (learner: Learner) => void }) {
  const { register, handleSubmit, reset, setError, setFocus, formState } = useForm({ defaultValues: blank });
  const { errors } = formState;
  const submit = handleSubmit(async (learner) => {
    const made = await api('POST /api/courses/{id}/learners', { id: courseId, body: learner });
    if (made.ok) {
      onMade({ id: made.value.id, name: learner.name, username: learner.username, mine: true, groups: [] });
      reset(blank);
      return setFocus('name');
    }
    const known = made.error.problems?.filter(({ path }) => path in blank) ?? [];
    for (const { path, message } of known) setError(path as keyof typeof blank, { message });
    if (known.length === 0) setError('root', { message: `${made.error.message}. ${made.error.wayOn}` });
  });
  return (
    <form onSubmit={submit} noValidate className="mt-1">
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Name" autoComplete="off" problem={errors.name?.message} {...register('name', { required: 'Type a name' })} />
        <Field label="User name" autoComplete="off" autoCapitalize="none" problem={errors.username?.message} {...register('username', { required: 'Type a user name' })} />
        <Field
          label="First password"
          autoComplete="off"
          problem={errors.password?.message}
          {...register('password', { required: 'Type a password', minLength: { value: 8, message: 'At least 8 characters' } })}
        />
      </div>
      {errors.root && (
        <p role="alert" className="text-brick mt-2">
          {errors.root.message}
        </p>
      )}
      <button type="submit" className="btn btn-edge mt-3" disabled={formState.isSubmitting}>
        Make the account
      </button>
    </form>
  );
}
