import { type KeyboardEvent, useEffect, useRef } from 'react';
import type { Copy } from '../../../core';
import { phrase } from '../../../words';

export interface Way {
  readonly name: string;
  readonly go: () => void;
}

/** The places something can be moved to: a button, and when it is open, a row of them beneath the entry. */
export function MoveMenu({
  copy,
  name,
  ways,
  disabled,
  open,
  onOpen,
}: {
  copy: Copy;
  name: string;
  ways: readonly Way[];
  disabled: boolean;
  open: boolean;
  onOpen: (open: boolean) => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    if (open) list.current?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  if (disabled || ways.length === 0) return null;
  const id = `move-${copy}`;
  const close = (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || !open) return;
    event.stopPropagation();
    onOpen(false);
    document.getElementById(id)?.focus();
  };
  return (
    <>
      <button
        type="button"
        id={id}
        className="btn btn-edge btn-sm move-button"
        aria-label={phrase('player.moveItem', { item: name })}
        aria-expanded={open}
        aria-controls={open ? `${id}-ways` : undefined}
        onClick={() => onOpen(!open)}
        onKeyDown={close}
      >
        {phrase('player.move')}
      </button>
      {open && (
        <ul
          ref={list}
          id={`${id}-ways`}
          className="move-ways"
          aria-label={phrase('player.whereTo', { item: name })}
          onKeyDown={close}
        >
          {ways.map((way) => (
            <li key={way.name}>
              <button type="button" className="btn btn-edge btn-sm" onClick={way.go}>
                {way.name}
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
