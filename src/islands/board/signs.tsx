/** The four teams: a colour and a shape each, so that none is told by colour alone. */
export const SIGNS = [
  { name: 'Circle', className: 'team-circle' },
  { name: 'Square', className: 'team-square' },
  { name: 'Triangle', className: 'team-triangle' },
  { name: 'Diamond', className: 'team-diamond' },
] as const;

export const teamName = (sign: number): string => `Team ${SIGNS[sign]?.name ?? ''}`;

export function Sign({ sign }: { sign: number }) {
  return <span className={`team-sign ${SIGNS[sign]?.className ?? ''}`} aria-hidden />;
}
