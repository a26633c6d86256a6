import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

/** A part of a panel that can be folded away. */
export function Section({
  title,
  note,
  open = true,
  children,
}: {
  title: string;
  note?: string;
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <details open={open} className="border-b border-rule py-2 group">
      <summary className="cursor-pointer font-semibold flex items-center gap-1.5 hover:text-brass">
        <ChevronRight
          size={15}
          aria-hidden
          className="group-open:rotate-90 transition-transform motion-reduce:transition-none"
        />
        <h3 className="font-semibold">{title}</h3>
        {note && <span className="figures text-sm text-mute font-normal">{note}</span>}
      </summary>
      <div className="mt-2">{children}</div>
    </details>
  );
}
