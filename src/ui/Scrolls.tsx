import type { ReactNode, Ref } from 'react';

/** A part of a page or dialog that scrolls by itself. It can be reached by the keyboard, as what is in it may not. */
export function Scrolls({
  label,
  className = '',
  ref,
  children,
}: {
  label: string;
  ref?: Ref<HTMLElement>;
  className?: string;
  children: ReactNode;
}) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is reached by the keyboard
    <section ref={ref} tabIndex={0} aria-label={label} className={`overflow-auto ${className}`}>
      {children}
    </section>
  );
}
