import { KeyRound } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Toaster, toast } from 'sonner';
import { type Columns, DataTable, moment } from '../../ui';
import { NewLearner } from './NewLearner';
import { ResetPassword } from './ResetPassword';

export interface Learner {
  id: string;
  name: string;
  username: string | null;
  mine: boolean;
}
export interface Release {
  id: string;
  title: string;
  createdAt: string;
  edition: number;
  sat: number;
}

const releaseColumns: Columns<Release> = [
  {
    id: 'title',
    accessorKey: 'title',
    header: 'release',
    cell: ({ row }) => (
      <a className="font-semibold link-brass" href={`/releases/${row.original.id}/results`}>
        {row.original.title}
      </a>
    ),
  },
  { id: 'released', accessorKey: 'createdAt', header: 'released', cell: ({ row }) => <span className="figures text-sm">{moment(new Date(row.original.createdAt))}</span> },
  { id: 'edition', accessorKey: 'edition', header: 'edition' },
  { id: 'sat', accessorKey: 'sat', header: 'have sat' },
];

export function Course({ id, roster: given, releases }: { id: string; roster: Learner[]; releases: Release[] }) {
  const [roster, setRoster] = useState(given);
  const [resetting, setResetting] = useState<Learner | null>(null);
  const columns = useMemo<Columns<Learner>>(
    () => [
      { id: 'name', accessorKey: 'name', header: 'learner' },
      { id: 'username', accessorKey: 'username', header: 'user name', cell: ({ row }) => <span className="figures text-sm">{row.original.username}</span> },
      {
        id: 'do',
        enableSorting: false,
        header: () => <span className="sr-only">what to do</span>,
        cell: ({ row }) =>
          row.original.mine && (
            <div className="text-right">
              <button type="button" className="btn btn-quiet btn-sm" onClick={() => setResetting(row.original)} aria-label={`New password for ${row.original.name}`}>
                <KeyRound size={15} aria-hidden /> New password
              </button>
            </div>
          ),
      },
    ],
    [],
  );
  return (
    <div className="grid gap-10 lg:grid-cols-2">
      <section aria-labelledby="releases">
        <h2 id="releases" className="text-xl mb-2">
          Releases
        </h2>
        {releases.length === 0 ? (
          <p>
            Nothing is published here yet. Open a question in the{' '}
            <a className="link-brass" href="/vault">
              Vault
            </a>{' '}
            and press Publish.
          </p>
        ) : (
          <DataTable rows={releases} columns={releaseColumns} caption="Releases of this course" numeric={['edition', 'sat']} rowKey={(row) => row.id} />
        )}
      </section>
      <section aria-labelledby="learners">
        <h2 id="learners" className="text-xl mb-2">
          Learners <span className="figures text-base text-mute">{roster.length}</span>
        </h2>
        {roster.length > 0 && <DataTable rows={roster} columns={columns} caption="Learners of this course" rowKey={(row) => row.id} />}
        <NewLearner
          courseId={id}
          onMade={(learner) => {
            setRoster((all) => [...all, learner]);
            toast(`${learner.name} can sign in now`);
          }}
        />
      </section>
      {resetting && <ResetPassword learner={resetting} onClose={() => setResetting(null)} onDone={(name) => toast(`${name} has a new password`)} />}
      <Toaster position="bottom-right" />
    </div>
  );
}
