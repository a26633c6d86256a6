import { type ComponentProps, useId } from 'react';

type Props = ComponentProps<'input'> & { label: string; hint?: string | undefined; problem?: string | undefined };

/** A labelled input with its hint and its problem. */
export function Field({ label, hint, problem, className = '', ...input }: Props) {
  const id = useId();
  const described = [hint ? `${id}-hint` : '', problem ? `${id}-problem` : ''].filter(Boolean).join(' ');
  return (
    <div className={`flex flex-col gap-1 ${className}`}>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <input
        id={id}
        className={`input w-full ${problem ? 'input-error' : ''}`}
        aria-invalid={problem ? true : undefined}
        aria-describedby={described || undefined}
        {...input}
      />
      {hint && (
        <p id={`${id}-hint`} className="text-sm text-mute">
          {hint}
        </p>
      )}
      {problem && (
        <p id={`${id}-problem`} role="alert" className="text-sm text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
