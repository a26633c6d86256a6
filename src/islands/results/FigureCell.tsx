import type { ReactNode } from 'react';

/** A figure in a table, with its bounds below it. */
export function FigureCell({ bounds = '', children }: { bounds?: string; children: ReactNode }) {
  return (
    <td className="figures text-right whitespace-nowrap">
      {children}
      {bounds && <span className="block text-xs text-mute">{bounds}</span>}
    </td>
  );
}
