import { useId } from 'react';

interface Props<Value extends string> {
  label: string;
  options: readonly (readonly [Value, string])[];
  /** Null: those selected differ. */
  value: Value | null;
  onChoose: (value: Value) => void;
}

/** One of a few words, all of them in sight. */
export function Choice<Value extends string>({ label, options, value, onChoose }: Props<Value>) {
  const name = useId();
  return (
    <fieldset className="grid grid-cols-[5.5rem_1fr] items-baseline gap-x-2 border-b border-rule py-1.5">
      <legend className="sr-only">{label}</legend>
      <span className="text-mute" aria-hidden>
        {label}
      </span>
      <span className="flex flex-wrap gap-1">
        {options.map(([option, words]) => (
          // The radio is hidden in place: it has to go along when its panel scrolls.
          <label key={option} className="relative cursor-pointer">
            <input
              type="radio"
              className="sr-only peer"
              name={name}
              checked={value === option}
              onChange={() => onChoose(option)}
            />
            <span className="block rounded px-2 py-0.5 hover:bg-brass-wash peer-checked:bg-ink peer-checked:hover:bg-ink peer-checked:text-sheet peer-checked:font-semibold peer-focus-visible:outline-3 peer-focus-visible:outline-brass">
              {words}
            </span>
          </label>
        ))}
      </span>
    </fieldset>
  );
}
