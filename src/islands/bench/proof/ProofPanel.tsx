import { CircleAlert, Info, TriangleAlert, Wrench } from 'lucide-react';
import { useMemo } from 'react';
import { type Finding, mendOf, type Proof, refsOf } from '../../../core';
import { oneIn } from '../../shared/guessing';
import type { BenchStore } from '../store';
import { useFindings } from './useFindings';

const SEVERITIES = {
  error: { words: 'Error', Icon: CircleAlert, colour: 'text-brick' },
  warning: { words: 'Warning', Icon: TriangleAlert, colour: 'text-brass' },
  note: { words: 'Note', Icon: Info, colour: 'text-mute' },
} as const satisfies Record<Finding['severity'], unknown>;

/** What is in the way of the question before anyone answers it; a press selects what a finding is about. */
export function ProofPanel({ store }: { store: BenchStore }) {
  const found = useFindings(store);
  const proved = store((s) => s.proved);
  const question = store((s) => s.question);
  const modelShown = store((s) => s.modelShown);
  return (
    <>
      <h2 className="text-lg mb-2">
        Proof <span className="font-sans font-normal text-base text-mute">what is in the way</span>
      </h2>
      <Figures proof={proved?.of === question ? proved.proof : null} />
      {proved?.of === question && proved.proof.modelAnswer && (
        <label className="flex items-center gap-2 mb-2">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={modelShown}
            onChange={(event) => store.setState({ modelShown: event.target.checked })}
          />
          model answer on the scene
        </label>
      )}
      {found.length === 0 ? (
        <p>Nothing is in the way.</p>
      ) : (
        <ul className="flex flex-col">
          {found.map((finding) => (
            <FindingLine
              key={`${finding.code} ${finding.where.join(' ')} ${finding.message}`}
              store={store}
              finding={finding}
            />
          ))}
        </ul>
      )}
    </>
  );
}

/** Can it be solved, in how many ways, and what does guessing earn? */
function Figures({ proof }: { proof: Proof | null }) {
  if (!proof) return <p className="text-mute mb-3">Working it out…</p>;
  const { solvable, guessing } = proof;
  const { fullMarkArrangements, chanceOfFullMarks, expectedFraction, method } = guessing;
  const rows: [string, string][] = [
    ['can be solved', solvable === null ? 'not settled in the time' : solvable ? 'yes' : 'no'],
    ...(fullMarkArrangements === null
      ? []
      : [['ways to full marks', BigInt(fullMarkArrangements).toLocaleString('en')] as [string, string]]),
    ...(chanceOfFullMarks === null ? [] : [['full marks by guessing', oneIn(chanceOfFullMarks)] as [string, string]]),
    ...(expectedFraction === null
      ? []
      : [['guessing earns', `${(expectedFraction * 100).toFixed(1)} %`] as [string, string]]),
    ...(method === 'sampled' ? [['worked out', 'by drawing answers'] as [string, string]] : []),
  ];
  return (
    <dl className="mb-3 border-y border-rule divide-y divide-rule">
      {rows.map(([what, value]) => (
        <div key={what} className="flex justify-between gap-4 py-1">
          <dt>{what}</dt>
          <dd className="figures">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function FindingLine({ store, finding }: { store: BenchStore; finding: Finding }) {
  const question = store((s) => s.question);
  const { severity, message, mend: advice, where } = finding;
  const { words, Icon, colour } = SEVERITIES[severity];
  const offered = useMemo(() => mendOf(question, finding), [question, finding]);
  const refs = refsOf(question, where);
  const look = where.find((id) => Object.hasOwn(question.looks, id));
  return (
    <li className="border-b border-rule py-2.5">
      <p className={`font-semibold flex items-center gap-1.5 ${colour}`}>
        <Icon size={16} aria-hidden /> {words}
      </p>
      <p>{message}</p>
      <p className="text-mute">{advice}</p>
      <p className="flex flex-wrap items-center gap-2 mt-1">
        {offered && (
          <button
            type="button"
            className="btn btn-edge btn-xs"
            onClick={() => store.getState().do(offered.step, offered.words)}
          >
            <Wrench size={13} aria-hidden /> {offered.words}
          </button>
        )}
        {refs.length > 0 && (
          <button
            type="button"
            className="link-brass cursor-pointer py-1"
            onClick={() => store.getState().select(refs)}
          >
            Show {refs.length === 1 ? 'it' : 'them'} on the scene
          </button>
        )}
        {look !== undefined && (
          <button
            type="button"
            className="link-brass cursor-pointer py-1"
            onClick={() => {
              store.setState({ lookOpen: look, book: true });
              store.getState().go('behaviour');
            }}
          >
            To the look book
          </button>
        )}
      </p>
    </li>
  );
}
