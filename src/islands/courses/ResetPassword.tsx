import { newPassword } from '../../contract';
import { api, Dialog, Field, useRequestForm } from '../../ui';
import type { Learner } from './course';

export function ResetPassword({
  learner,
  onClose,
  onDone,
}: {
  learner: Learner;
  onClose: () => void;
  onDone: (name: string) => void;
}) {
  const { register, handleSubmit, refused, formState } = useRequestForm(newPassword, { password: '' });
  const submit = handleSubmit(async (body) => {
    const done = await api('PUT /api/learners/{id}/password', { id: learner.id, body });
    if (!done.ok) return refused(done.error);
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
          {...register('password')}
        />
        {formState.errors.root && (
          <p role="alert" className="text-brick">
            {formState.errors.root.message}
          </p>
        )}
        <div className="flex gap-2 justify-end">
          <button type="button" className="btn btn-quiet" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-primary" disabled={formState.isSubmitting}>
            Set the password
          </button>
        </div>
      </form>
    </Dialog>
  );
}
