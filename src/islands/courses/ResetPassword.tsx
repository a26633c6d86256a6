import { useForm } from 'react-hook-form';
import { api, Dialog, Field } from '../../ui';
import type { Learner } from './course';

export function ResetPassword({ learner, onClose, onDone }: { learner: Learner; onClose: () => void; onDone: (name: string) => void }) {
  const { register, handleSubmit, setError, formState } = useForm({ defaultValues: { password: '' } });
  const submit = handleSubmit(async (body) => {
    const done = await api('PUT /api/learners/{id}/password', { id: learner.id, body });
    if (!done.ok) return setError('password', { message: done.error.problems?.[0]?.message ?? `${done.error.message}. ${done.error.wayOn}` });
    onDone(learner.name);
    onClose();
  });
  return (
    <Dialog title={`New password for ${learner.name}`} onClose={onClose}>
      <form onSubmit={submit} noValidate className="flex flex-col gap-4">
        <Field
          label="New password"
          autoComplete="off"
          hint="Tell it to the learner, who can change it. They are signed out everywhere."
          problem={formState.errors.password?.message}
          {...register('password', { required: 'Type a password', minLength: { value: 8, message: 'At least 8 characters' } })}
        />
        <div className="flex gap-2 justify-end">
          <button type="button" className="btn btn-quiet" onClick={onClose}>
            Leave it
          </button>
          <button type="submit" className="btn btn-primary" disabled={formState.isSubmitting}>
            Set the password
          </button>
        </div>
      </form>
    </Dialog>
  );
}
