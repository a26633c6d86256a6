import { CalendarClock, CircleCheck, CircleDot, CircleSlash, EyeOff, type LucideIcon } from 'lucide-react';
import { useMemo } from 'react';
import { type Columns, DataTable, elsewhere, moment } from '../../ui';
import { boardAddress } from '../../ui/boardAddress';
import { ProgressBar } from '../../ui/ProgressBar';
import type { Course, Release } from './course';
import { type ReleaseState, releaseState, STATE_NAMES } from './releaseState';

const STATE_LOOKS: Readonly<Record<ReleaseState, readonly [Icon: LucideIcon, colour: string]>> = {
  withdrawn: [EyeOff, 'text-mute'],
  early: [CalendarClock, 'text-mute'],
  open: [CircleDot, 'text-verdigris'],
  late: [CircleSlash, 'text-brick'],
  closed: [CircleCheck, 'text-mute'],
};

const DATES = [
  ['opensAt', 'opens', 'opened'],
  ['dueAt', 'due', 'was due'],
  ['closesAt', 'closes', 'closed'],
] as const;

/** The times of a release, each with what it is, in the reader's zone, and in the course's zone if that differs. */
function Dates({ release, now, zone }: { release: Release; now: Date; zone: string | null }) {
  const dates = DATES.flatMap(([field, will, was]) => {
    const at = release[field];
    return at === null ? [] : [{ what: new Date(at) > now ? will : was, at: new Date(at) }];
  });
  if (dates.length === 0)
    return (
      <span className="text-mute">
        since <span className="figures text-sm">{moment(new Date(release.createdAt))}</span>, no end
      </span>
    );
  return dates.map(({ what, at }) => {
    const there = elsewhere(at, zone);
    return (
      <span key={what} className="block whitespace-nowrap">
        {what} <span className="figures text-sm">{moment(at)}</span>
        {there && <span className="block text-mute text-sm">{there}</span>}
      </span>
    );
  });
}

const columnsIn = (zone: string | null, now: Date): Columns<Release> => [
  {
    id: 'title',
    accessorKey: 'title',
    header: 'release',
    cell: ({ row: { original } }) => (
      <>
        <a className="font-semibold link-brass" href={`/releases/${original.id}/results`}>
          {original.title}
        </a>
        <span className="block text-sm text-mute">
          {[original.practice && 'practice', original.edition > 1 && `edition ${original.edition}`]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </>
    ),
  },
  {
    id: 'state',
    accessorFn: (row) => STATE_NAMES[releaseState(row, now)],
    header: 'state',
    cell: ({ row: { original } }) => {
      const state = releaseState(original, now);
      const [Icon, colour] = STATE_LOOKS[state];
      return (
        <span className={`inline-flex items-center gap-1.5 whitespace-nowrap font-semibold ${colour}`}>
          <Icon size={16} aria-hidden /> {STATE_NAMES[state]}
        </span>
      );
    },
  },
  {
    id: 'dates',
    accessorFn: (row) => row.dueAt ?? row.closesAt ?? row.opensAt ?? row.createdAt,
    header: 'dates',
    cell: ({ row: { original } }) => <Dates release={original} now={now} zone={zone} />,
  },
  {
    id: 'finished',
    accessorFn: (row) => (row.learners === 0 ? 0 : row.finished / row.learners),
    header: 'finished',
    cell: ({ row: { original } }) => (
      <span className="block min-w-36">
        <span className="figures">
          {original.finished} of {original.learners}
        </span>
        {original.sat > original.finished && (
          <span className="text-mute text-sm"> · {original.sat - original.finished} begun</span>
        )}
        <ProgressBar
          learners={original.learners}
          finished={original.finished}
          begun={Math.max(0, original.sat - original.finished)}
        />
      </span>
    ),
  },
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

/** What is published to a course, unit by unit. `now`: when the page was drawn. */
export function CourseReleases({ course: { id, units, releases, zone }, now }: { course: Course; now: string }) {
  const columns = useMemo(() => columnsIn(zone, new Date(now)), [zone, now]);
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
        className="mb-8 relative overflow-x-auto [&_table]:table-fixed [&_table]:min-w-[52rem] [&_th:nth-child(2)]:w-[9rem] [&_th:nth-child(3)]:w-[17rem] [&_th:nth-child(4)]:w-[13rem] [&_th:nth-child(5)]:w-[7rem]"
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
            rowKey={(row) => `${id}/${row.id}`}
          />
        )}
      </section>
    ));
}
