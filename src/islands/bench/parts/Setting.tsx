import type { ReactNode } from 'react';
import { numberFrom } from '../../../ui/numbers';
import { Typed } from '../../../ui/Typed';

/** A line of settings: a name and its control. */
export function Setting({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[5.5rem_1fr] items-center gap-x-2 border-b border-rule py-1.5">
      <span className="text-mute" aria-hidden>
        {label}
      </span>
      <span className="flex flex-wrap items-center gap-2">{children}</span>
    </div>
  );
}

interface NumberProps {
  label: string;
  /** Null: none is set; undefined: those selected differ. */
  value: number | null | undefined;
  least: number;
  most: number;
  /** What an empty field stands for; left out, it has to be filled. */
  empty?: string;
  whole?: boolean;
  onSet: (value: number | null) => void;
}

/** A number typed in place. */
export function NumberSetting({ label, value, least, most, empty, whole = false, onSet }: NumberProps) {
  const isEmpty = (text: string) => empty !== undefined && text.trim() === '';
  return (
    <>
      <Typed
        label={label}
        className="input input-sm figures w-24"
        value={value === null || value === undefined ? '' : String(value)}
        problem={(text) =>
          isEmpty(text) || (value === undefined && text === '') ? null : numberFrom(text, least, most, whole).problem
        }
        onTyped={(text) => onSet(isEmpty(text) ? null : (numberFrom(text, least, most, whole).value ?? null))}
      />
      {empty && <span className="text-sm text-mute">{value === undefined ? 'they differ' : `empty: ${empty}`}</span>}
    </>
  );
}
