import { useState } from 'react';
import type { ClassRecordRow, Wire } from '../../contract';
import { api, moment } from '../../ui';
import { Alert } from '../../ui/Alert';
import { Confirm } from '../../ui/Confirm';
import { errorInWords } from '../../ui/errorInWords';

type Row = Wire<ClassRecordRow>;

/** What classes did at the board, as far as their teacher has kept it. */
export function ClassRecords({ rows: given }: { rows: readonly Row[] }) {
  const [rows, setRows] = useState(given);
  const [asking, setAsking] = useState<Row | null>(null);
  const [problem, setProblem] = useState('');
  const remove = async ({ id }: Row) => {
    setAsking(null);
    const answer = await api('DELETE /api/board/records/{id}', { id });
    if (answer.ok) setRows((all) => all.filter((row) => row.id !== id));
    setProblem(answer.ok ? '' : errorInWords(answer.error));
  };
  if (rows.length === 0)
    return (
      <p className="text-lg">
        No record yet. Open a question or a set on the board, and press <em>More</em>, then{' '}
        <em>Save as a record of this class</em>.
      </p>
    );
  return (
    <>
      {problem && (
        <Alert tone="problem" role="alert" className="mb-3">
          {problem}
        </Alert>
      )}
      <ul className="border-t border-rule">
        {rows.map((row) => (
          <li key={row.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2 border-b border-rule">
            <a className="font-semibold link-brass grow" href={`/records/${row.id}`} dir="auto">
              {row.title}
            </a>
            <span className="figures text-sm">{moment(new Date(row.at))}</span>
            <span className="figures text-sm text-mute">{row.rounds === 1 ? 'one round' : `${row.rounds} rounds`}</span>
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              aria-label={`Delete ${row.title}`}
              onClick={() => setAsking(row)}
            >
              Delete
            </button>
          </li>
        ))}
      </ul>
      {asking && (
        <Confirm
          title={`Delete “${asking.title}”?`}
          action="Delete it"
          cancel="Keep it"
          forGood
          onConfirm={() => void remove(asking)}
          onClose={() => setAsking(null)}
        >
          <p>What the class did cannot be played back any more.</p>
        </Confirm>
      )}
    </>
  );
}
