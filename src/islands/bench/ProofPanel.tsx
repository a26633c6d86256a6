import { CircleAlert, Info, TriangleAlert } from 'lucide-react';
import type { Finding } from '../../core';
import type { BenchStore } from './store';
import { useFindings } from './useFindings';

const SEVERITIES = {
  error: { words: 'Error', Icon: CircleAlert, colour: 'text-brick' },
  warning: { words: 'Warning', Icon: TriangleAlert, colour: 'text-brass' },
  note: { words: 'Note', Icon: Info, colour: 'text-mute' },
} as const satisfies Record<Finding['severity'], unknown>;

/** What is in the way of the question before anyone answers it; a press selects what a finding is about. */
export function ProofPanel({ store }: { store: BenchStore }) {
  const found = useFindings(store);
  return (
    <>
      <h2 className="text-lg mb-2">
        Proof <span className="font-sans font-normal text-base text-mute">what is in the way</span>
      </h2>
      {found.length === 0 ? (
        <p>Nothing is in the way.</p>
      ) : (
        <ul className="flex flex-col">
          {found.map((finding) => (
            <FindingLine key={`${finding.code} ${finding.where.join(' ')} ${finding.message}`} finding={finding} onSelect={(ids) => store.getState().select(ids)} />
          ))}
        </ul>
      )}
    </>
  );
}

function FindingLine({ finding: { severity, message, mend, where }, onSelect }: { finding: Finding; onSelect: (ids: readonly string[]) => void }) {
  const { words, Icon, colour } = SEVERITIES[severity];
  return (
    <li className="border-b border-rule py-2.5">
      <p className={`font-semibold flex items-center gap-1.5 ${colour}`}>
        <Icon size={16} aria-hidden /> {words}
      </p>
      <p>{message}</p>
      <p className="text-mute">{mend}</p>
      {where.length > 0 && (
        <button type="button" className="link-brass cursor-pointer py-1" onClick={() => onSelect(where)}>
          Show {where.length === 1 ? 'it' : 'them'} on the scene
        </button>
      )}
    </li>
  );
}
