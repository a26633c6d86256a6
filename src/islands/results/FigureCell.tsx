import type { ReactNode } from 'react';

interface Props {
  /** Written below it. */
  bounds?: string;
  /** What stood there before a correction; empty: the same, or nothing. */
  was?: string;
  children: ReactNode;
}

/** A figure in a table, with its bounds and what it was before. */
export function FigureCell({ bounds = '', was = '', children }: Props) {
  return (
    <td className="figures text-right whitespace-nowrap">
      {children}
      {bounds && <span className="block text-xs text-mute">{bounds}</span>}
      {was && <span className="block text-xs text-brass font-semibold">was {was}</span>}
    </td>
  );
}
