import type { Finding } from '../../core';
import { guessingInWords } from '../shared/guessing';
import { stationOf } from './proof/stationOf';
import { useFindings } from './proof/useFindings';
import type { BenchStore, Station } from './store';

const STATIONS: readonly [Station, string][] = [
  ['kind', 'Kind'],
  ['layOut', 'Lay out'],
  ['key', 'Key'],
  ['behaviour', 'Behaviour'],
  ['words', 'Words & marks'],
  ['proof', 'Proof'],
];

/** The stations in the order of the work, and the living figures. The scene stays; the panel changes. */
export function Stations({ store }: { store: BenchStore }) {
  const station = store((s) => s.station);
  const question = store((s) => s.question);
  const proved = store((s) => s.proved);
  // Before anything was made nothing can be wrong with it.
  const isNew = store((s) => s.saving.state === 'new');
  const all = useFindings(store);
  const found = isNew ? [] : all;
  const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;
  return (
    <nav
      aria-label="Stations"
      className="bg-paper border-b border-rule flex items-stretch h-[40px] shrink-0 relative overflow-x-auto overflow-y-hidden"
    >
      {STATIONS.map(([name, words]) => (
        <button
          key={name}
          type="button"
          aria-current={station === name ? 'step' : undefined}
          className={`px-4 font-semibold whitespace-nowrap border-r border-rule border-b-3 cursor-pointer ${station === name ? 'bg-sheet border-b-brass' : 'border-b-transparent text-mute hover:text-ink'}`}
          onClick={() => store.getState().go(name)}
        >
          {words} <Count found={name === 'proof' ? found : found.filter(({ code }) => stationOf(code) === name)} />
        </button>
      ))}
      <span className="grow" />
      <p className="figures text-sm text-mute self-center px-4 whitespace-nowrap">
        {count(question.items.length, 'item')} · {count(question.zones.length, 'zone')}
        {proved && guessingInWords(proved.proof.guessing)}
      </p>
    </nav>
  );
}

/** How many findings belong to a station; Proof has all of them. */
function Count({ found }: { found: readonly Finding[] }) {
  if (found.length === 0) return null;
  const serious = found.some(({ severity }) => severity === 'error');
  return (
    <span
      className={`figures text-sm rounded px-1.5 ml-2 ${serious ? 'bg-brick-wash text-brick' : 'bg-brass-wash text-ink'}`}
    >
      {found.length}
      <span className="sr-only"> {found.length === 1 ? 'finding' : 'findings'}</span>
    </span>
  );
}
