import { type KeyboardEvent, useRef } from 'react';
import type { Copy } from '../../../core';

export interface Way {
  readonly name: string;
  readonly go: () => void;
}

/** The places something can be moved to, under a button that names it. */
export function MoveMenu({
  copy,
  name,
  ways,
  disabled,
}: {
  copy: Copy;
  name: string;
  ways: readonly Way[];
  disabled: boolean;
}) {
  const menu = useRef<HTMLDetailsElement>(null);
  const close = (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || !menu.current?.open) return;
    event.stopPropagation();
    menu.current.open = false;
    menu.current.querySelector('summary')?.focus();
  };
  if (disabled || ways.length === 0) return null;
  return (
    <details
      ref={menu}
      className="move-menu"
      name="move"
      onKeyDown={close}
      onToggle={() => menu.current?.open && menu.current.querySelector('ul')?.scrollIntoView({ block: 'nearest' })}
    >
      <summary id={`move-${copy}`} className="btn btn-edge btn-sm" aria-label={`Move ${name}`}>
        Move…
      </summary>
      <ul aria-label={`Where ${name} may go`}>
        {ways.map((way) => (
          <li key={way.name}>
            <button
              type="button"
              onClick={() => {
                if (menu.current) menu.current.open = false;
                way.go();
              }}
            >
              {way.name}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
