import type { ResultRow } from '../../contract';
import { type Columns, DataTable, duration, shownMark } from '../../ui';

export type Row = ResultRow & { readonly releaseId: string };

const STATES: Record<Row['state'], string> = {
  notStarted: 'not started',
  started: 'started, nothing checked',
  checked: 'still trying',
  ended: 'finished',
};
const dash = <span aria-hidden>–</span>;

const columns: Columns<Row> = [
  { id: 'name', accessorKey: 'name', header: 'learner' },
  {
    id: 'username',
    accessorKey: 'username',
    header: 'user name',
    cell: ({ row }) => <span className="figures text-sm">{row.original.username}</span>,
  },
  {
    id: 'state',
    accessorFn: (row) => STATES[row.state],
    header: 'where they are',
    cell: ({ row: { original } }) => (
      <>
        {STATES[original.state]}
        {original.late && <span className="text-brick"> · late</span>}
      </>
    ),
  },
  {
    id: 'sittings',
    accessorFn: (row) => row.sittings.length,
    header: 'retrace',
    cell: ({ row: { original } }) =>
      original.sittings.length === 0
        ? dash
        : original.sittings.map(({ id, number }) => (
            <a
              key={id}
              className="link-brass inline-block min-w-6 text-center"
              href={`/releases/${original.releaseId}/sittings/${id}`}
              aria-label={`Retrace sitting ${number} of ${original.name}`}
            >
              {number}
            </a>
          )),
  },
  {
    id: 'mark',
    accessorFn: (row) => row.mark ?? -1,
    header: 'mark',
    cell: ({ row: { original } }) =>
      original.mark === null ? (
        dash
      ) : (
        <>
          {original.byHand && <span className="text-mute">by hand </span>}
          {shownMark(original.mark)} <span className="text-mute">/ {original.max}</span>
        </>
      ),
  },
  { id: 'tries', accessorKey: 'tries', header: 'tries' },
  {
    id: 'time',
    accessorFn: (row) => row.seconds ?? -1,
    header: 'time',
    cell: ({ row }) => (row.original.seconds === null ? dash : duration(row.original.seconds)),
  },
];

export function Results({ rows }: { rows: Row[] }) {
  if (rows.length === 0)
    return <p className="text-lg">This course has no learners yet. Add them on the course’s page.</p>;
  return (
    <div className="overflow-x-auto">
      <DataTable
        rows={rows}
        columns={columns}
        caption="Learners by mark"
        numeric={['sittings', 'mark', 'tries', 'time']}
        sortedBy={[{ id: 'mark', desc: true }]}
        rowKey={(row) => row.learnerId}
      />
    </div>
  );
}
