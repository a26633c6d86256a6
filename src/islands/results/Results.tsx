import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { JsonText, ResultRow, ResultsView, Wire } from '../../contract';
import { RESULT_SORTS, ROSTER_PAGE } from '../../contract';
import { ask, type Columns, DataTable, duration, shownMark } from '../../ui';
import { Queries } from '../../ui/Queries';
import { fromJson } from '../../ui/wire';

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
        : original.sittings.map(({ id, number, onPaper }) => (
            <a
              key={id}
              className="link-brass inline-block min-w-6 text-center"
              href={`/releases/${original.releaseId}/sittings/${id}`}
              aria-label={`Retrace sitting ${number} of ${original.name}${onPaper ? ', on paper' : ''}`}
            >
              {number}
              {onPaper && <span className="text-mute text-sm"> on paper</span>}
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

/** The learners of a release, a page of them at a time. `json`: the first page, by mark. */
export function Results({ json }: { json: JsonText<ResultsView> }) {
  return (
    <Queries>
      <Learners first={fromJson(json)} />
    </Queries>
  );
}

const BY_MARK = [{ id: 'mark', desc: true }];

function Learners({ first }: { first: Wire<ResultsView> }) {
  const { id } = first.release;
  const [{ sorting, from }, setAsked] = useState({ sorting: BY_MARK, from: 0 });
  const [by] = sorting;
  const isFirst = from === 0 && by?.id === 'mark' && by.desc;
  const found = useQuery({
    queryKey: ['results', id, from, by],
    queryFn: () =>
      ask('GET /api/releases/{id}/results', {
        id,
        query: { from, sort: RESULT_SORTS.find((sort) => sort === by?.id), ...(by?.desc ? { descending: true } : {}) },
      }),
    placeholderData: keepPreviousData,
    ...(isFirst ? { initialData: first, staleTime: Number.POSITIVE_INFINITY } : {}),
  });
  const { rows, total } = found.data ?? first;
  if (total === 0) return <p className="text-lg">This course has no learners yet. Add them on the course’s page.</p>;
  return (
    <>
      {found.isError && <p className="text-brick">{found.error.message}</p>}
      <div className="overflow-x-auto">
        <DataTable
          rows={rows.map((row) => ({ ...row, releaseId: id }))}
          columns={columns}
          caption="Learners"
          numeric={['sittings', 'mark', 'tries', 'time']}
          sortedBy={BY_MARK}
          onSort={(next) => setAsked({ sorting: next, from: 0 })}
          rowKey={(row) => row.learnerId}
        />
      </div>
      {total > ROSTER_PAGE && (
        <nav className="flex flex-wrap items-center gap-3 mt-3" aria-label="Pages of learners">
          <span className="figures" role="status">
            {from + 1} to {Math.min(total, from + ROSTER_PAGE)} of {total}
          </span>
          <button
            type="button"
            className="btn btn-edge btn-sm"
            disabled={from === 0}
            onClick={() => setAsked({ sorting, from: from - ROSTER_PAGE })}
          >
            Earlier
          </button>
          <button
            type="button"
            className="btn btn-edge btn-sm"
            disabled={from + ROSTER_PAGE >= total}
            onClick={() => setAsked({ sorting, from: from + ROSTER_PAGE })}
          >
            Later
          </button>
        </nav>
      )}
    </>
  );
}
