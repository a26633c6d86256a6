import { type Turns, waiting } from '../../core';

const LEAVES = ['lowest', 'next'] as const;

/** The names of those who are up, on a stack of tags into which they settle when they are drawn. */
export function Stack({ turns }: { turns: Turns }) {
  const names = turns.up.flatMap((id) => turns.people.find((person) => person.id === id)?.name ?? []);
  if (names.length === 0) return null;
  return (
    <p key={turns.draws} className="board-stack" role="status">
      {LEAVES.map((leaf) => (
        <span key={leaf} className="board-leaf" aria-hidden />
      ))}
      <span className="board-stack-names" dir="auto">
        {new Intl.ListFormat('en', { type: 'conjunction' }).format(names)}
      </span>
    </p>
  );
}

/** How far the round has come, in words. */
export function roundInWords(turns: Turns): string {
  const here = turns.people.length - turns.absent.length;
  const left = waiting(turns).length;
  if (left === here) return here === 1 ? '1 is here' : `${here} are here`;
  if (left === 0) return `all ${here} have been`;
  return `${here - left} of ${here} have been`;
}
