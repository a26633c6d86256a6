import { type KeyboardEvent, useEffect, useState } from 'react';
import { toast } from 'sonner';

interface Props {
  label: string;
  value: string;
  className?: string;
  /** The id of a list of what is offered. */
  list?: string;
  /** What stands there while it is empty. */
  placeholder?: string | undefined;
  /** Its place in a grid, where it stands in one. */
  cell?: string;
  /** Why a text cannot be taken; null: it can. */
  problem?: (text: string) => string | null;
  onTyped: (text: string) => void;
}

/**
 * A value edited in place: Enter or leaving it takes what was typed, Escape brings back what was there. What cannot be
 * taken is said, with the reason.
 */
export function Typed({ label, value, className = '', list, placeholder, cell, problem, onTyped }: Props) {
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  const wrong = problem?.(text) ?? null;
  const take = () => {
    if (text === value) return;
    if (wrong === null) return onTyped(text);
    setText(value);
    toast.error(`${wrong}. ${label} stays ${value === '' ? 'empty' : value}.`);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') event.currentTarget.blur();
    if (event.key === 'Escape') {
      setText(value);
      event.stopPropagation();
    }
  };
  return (
    <input
      aria-label={label}
      data-cell={cell}
      list={list}
      placeholder={placeholder}
      aria-invalid={wrong === null ? undefined : true}
      title={wrong ?? undefined}
      className={`${className} ${wrong === null ? '' : 'bg-brick-wash'}`}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      onKeyDown={onKeyDown}
    />
  );
}
