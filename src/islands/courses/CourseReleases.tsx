import { useMemo } from 'react';
import { type Columns, DataTable, elsewhere, moment } from '../../ui';
import { boardAddress } from '../../ui/boardAddress';
import type { Course, Release } from './course';

/** A time in the reader's zone, and in the course's zone if that differs. */
function when(text: string | null, zone: string | null) {
  if (text === null) return <span aria-hidden>–</span>;
  const there = elsewhere(new Date(text), zone);
  return (
    <>
      <span className="figures text-sm">{moment(new Date(text))}</span>
      {there && <span className="block text-mute text-sm">{there}</span>}
    </>
  );
}

const columnsIn = (zone: string | null): Columns<Release> => [
  {
    id: 'title',
    accessorKey: 'title',
    header: 'release',
    cell: ({ row: { original } }) => (
      <>
        <a className="font-semibold link-brass" href={`/releases/${original.id}/results`}>
          {original.title}
        </a>
        {original.practice && <span className="text-mute"> · practice</span>}
      </>
    ),
  },
  {
    id: 'opens',
    accessorFn: (row) => row.opensAt ?? row.createdAt,
    header: 'opens',
    cell: ({ row: { original } }) => when(original.opensAt ?? original.createdAt, zone),
  },
  {
    id: 'due',
    accessorFn: (row) => row.dueAt ?? '',
    header: 'due',
    cell: ({ row: { original } }) => when(original.dueAt, zone),
  },
  {
    id: 'closes',
    accessorFn: (row) => row.closesAt ?? '',
    header: 'closes',
    cell: ({ row: { original } }) => when(original.closesAt, zone),
  },
  { id: 'edition', accessorKey: 'edition', header: 'edition' },
  { id: 'sat', accessorKey: 'sat', header: 'have started' },
  {
    id: 'settings',
    enableSorting: false,
    header: () => <span className="sr-only">settings</span>,
    cell: ({ row: { original } }) => (
      <a
        className="btn btn-quiet btn-sm"
        href={`/releases/${original.id}/settings`}
        aria-label={`Settings of ${original.title}`}
      >
        Settings
      </a>
    ),
  },
];

/** What is published to a course, unit by unit. */
export function CourseReleases({ course: { id, units, releases, zone } }: { course: Course }) {
  const columns = useMemo(() => columnsIn(zone), [zone]);
  const parts = [...units, { id: null, title: units.length > 0 ? 'In no unit' : '' }].map((unit) => ({
    ...unit,
    releases: releases.filter(({ unitId }) => unitId === unit.id),
  }));
  if (releases.length === 0)
    return (
      <p className="text-lg">
        Nothing is published here yet. Open a question in the{' '}
        <a className="link-brass" href="/vault">
          Vault
        </a>{' '}
        or a{' '}
        <a className="link-brass" href="/sets">
          set
        </a>{' '}
        and press Publish.{units.length === 0 && ' Units, in which releases stand, are made in Settings.'}
      </p>
    );
  return parts
    .filter((part) => part.id !== null || part.releases.length > 0)
    .map((part) => (
      <section
        key={part.id ?? ''}
        className="mb-8 overflow-x-auto [&_table]:table-fixed [&_table]:min-w-[52rem] [&_th:first-child]:w-[34%]"
        aria-label={part.title || 'Releases'}
      >
        {part.title && (
          <div className="flex flex-wrap items-baseline gap-x-4 mb-1">
            <h2 className="text-xl">{part.title}</h2>
            {part.id !== null && part.releases.length > 0 && (
              <a
                className="link-brass"
                href={boardAddress('unit', part.id)}
                target="_blank"
                rel="noreferrer"
                aria-label={`${part.title} on the board`}
              >
                On the board
              </a>
            )}
          </div>
        )}
        {part.releases.length === 0 ? (
          <p className="text-mute">Nothing is in this unit yet.</p>
        ) : (
          <DataTable
            rows={part.releases}
            columns={columns}
            caption={part.title || 'Releases of this course'}
            numeric={['edition', 'sat']}
            rowKey={(row) => `${id}/${row.id}`}
          />
        )}
      </section>
    ));
}
