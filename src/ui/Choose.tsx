import { useId } from 'react';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}

/** One of several words, in a list that unfolds. */
export function Choose<T extends string>({ label, value, options, onChange }: Props<T>) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <select
        id={id}
        className="select w-full text-ellipsis"
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
      >
        {options.map(([of, words]) => (
          <option key={of} value={of}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
}
