import { newLearner } from '../../contract';
import { api, Field, useRequestForm } from '../../ui';
import type { Learner } from './course';

const blank = { name: '', username: '', password: '' };

export function NewLearner({ courseId, onMade }: { courseId: string; onMade: (learner: Learner) => void }) {
  const { register, handleSubmit, reset, refused, setFocus, formState } = useRequestForm(newLearner, blank);
  const { errors } = formState;
  const submit = handleSubmit(async (learner) => {
    const made = await api('POST /api/courses/{id}/learners', { id: courseId, body: learner });
    if (made.ok) {
      onMade({ id: made.value.id, name: learner.name, username: learner.username, mine: true, groups: [] });
      reset(blank);
      return setFocus('name');
    }
    refused(made.error);
  });
  return (
    <form onSubmit={submit} noValidate className="mt-1">
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Name" autoComplete="off" problem={errors.name?.message} {...register('name')} />
        <Field
          label="User name"
          autoComplete="off"
          autoCapitalize="none"
          problem={errors.username?.message}
          {...register('username')}
        />
        <Field label="First password" autoComplete="off" problem={errors.password?.message} {...register('password')} />
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
