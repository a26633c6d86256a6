import { type ReactNode, useEffect, useId, useRef } from 'react';

/** A dialog over the page: Escape and the backdrop close it, the focus stays in it and goes back where it was. */
export function Dialog({
  title,
  onClose,
  wide = false,
  children,
}: {
  title: string;
  onClose: () => void;
  wide?: boolean;
  children: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  useEffect(() => {
    const shown = dialog.current;
    const before = document.activeElement;
    shown?.showModal();
    // The browser focuses the first focusable element; this is the right one.
    shown?.querySelector<HTMLElement>('[data-autofocus]')?.focus();
    return () => {
      shown?.close();
      if (before instanceof HTMLElement && document.activeElement === document.body) before.focus();
    };
  }, []);
  return (
    <dialog
      ref={dialog}
      className="modal"
      aria-labelledby={id}
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
    >
      <div className={`modal-box bg-sheet border border-ink ${wide ? 'max-w-3xl' : ''}`}>
        <h2 id={id} className="text-xl mb-3">
          {title}
        </h2>
        {children}
      </div>
      <button type="button" className="modal-backdrop" tabIndex={-1} onClick={onClose}>
        Close
      </button>
    </dialog>
  );
}
