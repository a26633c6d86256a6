import { X } from 'lucide-react';
import { type ReactNode, useEffect, useRef } from 'react';

interface PanelProps {
  title: string;
  isWide?: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A panel of the controls, beside the scene, which stays in use. Escape closes it. */
export function Panel({ title, isWide = false, onClose, children }: PanelProps) {
  const panel = useRef<HTMLElement>(null);
  const close = useRef(onClose);
  close.current = onClose;
  useEffect(() => {
    const before = document.activeElement;
    panel.current?.focus();
    // Wherever the focus is: the button that had it may have gone. What a hand holds is let go of first.
    const press = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented && !document.querySelector('.in-hand, dialog[open]'))
        close.current();
    };
    addEventListener('keydown', press);
    return () => {
      removeEventListener('keydown', press);
      if (before instanceof HTMLElement && before.isConnected) before.focus();
    };
  }, []);
  return (
    <section ref={panel} className={`board-panel ${isWide ? 'board-panel-wide' : ''}`} aria-label={title} tabIndex={-1}>
      <header>
        <h2>{title}</h2>
        <button type="button" className="board-button board-button-square" aria-label="Close" onClick={onClose}>
          <X aria-hidden />
        </button>
      </header>
      {children}
    </section>
  );
}
