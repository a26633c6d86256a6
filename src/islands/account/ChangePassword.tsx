import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { MAX_PASSWORD, MIN_PASSWORD } from '../../contract/limits';
import { Alert } from '../../ui/Alert';
import { Field } from '../../ui/Field';

/** Learners and teachers change their own password; other devices are signed out by it. */
export function ChangePassword({ username }: { username: string }) {
  const [said, setSaid] = useState<{ well: boolean; words: string } | null>(null);
  const { register, handleSubmit, reset, setError, formState } = useForm({
    defaultValues: { currentPassword: '', newPassword: '' },
  });
  const { errors, isSubmitting } = formState;

  const submit = handleSubmit(async (passwords) => {
    setSaid(null);
    try {
      const response = await fetch('/api/auth/change-password', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...passwords, revokeOtherSessions: true }),
      });
      if (response.ok) {
        reset();
        return setSaid({ well: true, words: 'Your password is changed. Other devices are signed out.' });
      }
      if (response.status === 422)
        return setError('newPassword', {
          message: ((await response.json()) as { message?: string }).message ?? 'Choose another password.',
        });
      if (response.status === 429)
        return setSaid({ well: false, words: 'Too many wrong passwords. Wait ten minutes and try again.' });
      setError('currentPassword', { message: 'That is not your present password.' });
    } catch {
      setSaid({ well: false, words: 'You are offline; nothing was changed. Try again when you are back.' });
    }
  });

  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4 max-w-sm">
      {/* For what keeps passwords: whose it is. */}
      <input type="text" autoComplete="username" value={username} readOnly hidden />
      <Field
        label="Present password"
        type="password"
        autoComplete="current-password"
        problem={errors.currentPassword?.message}
        {...register('currentPassword', { required: 'Type your present password' })}
      />
      <Field
        label="New password"
        type="password"
        autoComplete="new-password"
        hint={`At least ${MIN_PASSWORD} characters`}
        problem={errors.newPassword?.message}
        {...register('newPassword', {
          required: 'Type a new password',
          minLength: { value: MIN_PASSWORD, message: `At least ${MIN_PASSWORD} characters` },
          maxLength: { value: MAX_PASSWORD, message: `At most ${MAX_PASSWORD} characters` },
        })}
      />
      <button type="submit" className="btn btn-primary self-start" disabled={isSubmitting}>
        Change password
      </button>
      <div role="status">{said && <Alert tone={said.well ? 'good' : 'problem'}>{said.words}</Alert>}</div>
    </form>
  );
}
