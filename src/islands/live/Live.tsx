import { useMemo, useState } from 'react';
import type { JsonText, LiveLearner, LiveView } from '../../contract';
import { api, type Columns, clock, DataTable } from '../../ui';
import { Alert } from '../../ui/Alert';
import { Confirm } from '../../ui/Confirm';
import { errorInWords } from '../../ui/errorInWords';
import { toWire } from '../../ui/wire';
import { Counts } from './Counts';
import { type Standing, sinceInWords, standingOf } from './standing';
import { useLive } from './useLive';

const LINE = {
  joining: 'joining…',
  live: 'live',
  cut: 'the line is down: what you see may be old',
  ended: 'ended: load the page again',
} as const;

const STANDS: Readonly<Record<Standing, string>> = {
  notBegun: 'has not begun',
  begun: 'at work',
  quiet: 'has not moved for three minutes',
  finished: 'has finished',
};
const ORDER: readonly Standing[] = ['quiet', 'begun', 'notBegun', 'finished'];

interface Row extends LiveLearner {
  readonly stands: Standing;
  readonly quietFor: number | null;
}

/** A release while it is being answered. Rows stay where they are, unless sorting is asked for. */
export function Live({ json }: { json: JsonText<LiveView> }) {
  const { view, line, at } = useLive(json);
  const { release, questions, learners, counts } = view;
  const [chosen, setChosen] = useState(0);
  const rows: Row[] = learners.map((learner) => {
    const last = learner.movedAt ?? learner.startedAt;
    return {
      ...learner,
      stands: standingOf(learner, at),
      quietFor: last === null || learner.finishedAt ? null : Math.max(0, (at - Date.parse(last)) / 1000),
    };
  });
  const columns = useMemo(() => columnsOf(release, questions), [release, questions]);
  const count = (stands: Standing) => rows.filter((row) => row.stands === stands).length;
  const quiet = rows.filter((row) => row.stands === 'quiet');
  const question = questions[chosen];
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-4">
        <p
          className={`figures ${line === 'live' ? 'text-verdigris' : line === 'joining' ? 'text-mute' : 'text-brick'}`}
          role="status"
        >
          <span aria-hidden>{line === 'live' ? '● ' : '○ '}</span>
          {LINE[line]}
        </p>
        <p className="figures">
          {count('begun') + count('quiet')} at work · {count('finished')} finished · {count('notBegun')} not begun
        </p>
        <span className="grow" />
        <CloseIt release={release} />
      </div>
      {quiet.length > 0 && (
        <Alert tone="notice" className="mb-4">
          {quiet.length === 1 ? 'One learner has' : `${quiet.length} learners have`} not moved for three minutes:{' '}
          {quiet
            .slice(0, 5)
            .map(({ name, place }) => (place === null ? name : `${name} (question ${place})`))
            .join(', ')}
          {quiet.length > 5 && ` and ${quiet.length - 5} more`}.
        </Alert>
      )}
      {rows.length === 0 ? (
        <p className="text-lg">It is assigned to nobody yet.</p>
      ) : (
        <div className="relative overflow-x-auto live-table">
          <DataTable
            rows={rows}
            columns={columns}
            caption="Learners, as they stand now"
            numeric={['tries', 'placed', 'quiet']}
            rowKey={(row) => row.learnerId}
          />
        </div>
      )}
      {question && (
        <section className="mt-8" aria-labelledby="where">
          <div className="flex flex-wrap items-center gap-4 mb-2">
            <h2 id="where" className="text-2xl">
              Where items are now
            </h2>
            <select
              className="select select-sm w-auto max-w-full"
              aria-label="Question"
              value={chosen}
              onChange={(event) => setChosen(Number(event.target.value))}
            >
              {questions.map(({ title }, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place
                <option key={i} value={i}>
                  {i + 1}. {title || 'Untitled question'}
                </option>
              ))}
            </select>
          </div>
          <Counts question={question} counts={counts[chosen] ?? []} />
        </section>
      )}
    </>
  );
}

const columnsOf = (release: LiveView['release'], questions: LiveView['questions']): Columns<Row> => [
  {
    id: 'name',
    accessorKey: 'name',
    header: 'learner',
    cell: ({ row }) => <span dir="auto">{row.original.name}</span>,
  },
  {
    id: 'stands',
    accessorFn: ({ stands }) => ORDER.indexOf(stands),
    header: 'stands',
    cell: ({ row: { original } }) => (
      <span
        className={
          original.stands === 'quiet' ? 'font-semibold text-brick' : original.stands === 'notBegun' ? 'text-mute' : ''
        }
      >
        {STANDS[original.stands]}
        {original.finishedAt && <span className="figures text-mute"> {clock(new Date(original.finishedAt))}</span>}
      </span>
    ),
  },
  {
    id: 'question',
    accessorFn: ({ place }) => place ?? 0,
    header: 'question',
    cell: ({ row: { original } }) =>
      original.place === null ? (
        <span aria-hidden>–</span>
      ) : (
        <>
          <span className="figures">{original.place}.</span>{' '}
          <span dir="auto">{questions[original.question ?? -1]?.title}</span>
        </>
      ),
  },
  {
    id: 'tries',
    accessorKey: 'tries',
    header: 'tries',
    cell: ({ row: { original } }) => (original.place === null ? '–' : original.tries),
  },
  {
    id: 'placed',
    accessorKey: 'placed',
    header: 'placed',
    cell: ({ row: { original } }) =>
      original.place === null
        ? '–'
        : original.of === null
          ? `${original.placed}`
          : `${original.placed} / ${original.of}`,
  },
  {
    id: 'quiet',
    accessorFn: ({ quietFor }) => quietFor ?? -1,
    header: 'last move',
    cell: ({ row: { original } }) => (original.quietFor === null ? '–' : sinceInWords(original.quietFor)),
  },
  {
    id: 'more',
    enableSorting: false,
    header: () => <span className="sr-only">what can be done</span>,
    cell: ({ row: { original } }) => <Actions row={original} release={release} />,
  },
];

function Actions({ row, release }: { row: Row; release: LiveView['release'] }) {
  const [state, setState] = useState('');
  const give = async () => {
    setState('…');
    const settings = await api('GET /api/releases/{id}/settings', { id: release.id });
    if (!settings.ok) return setState(errorInWords(settings.error));
    const known = settings.value.allowances.find(({ learnerId }) => learnerId === row.learnerId);
    const answer = await api('PUT /api/releases/{id}/allowances', {
      id: release.id,
      body: {
        learnerId: row.learnerId,
        allowed: {
          moreMinutes: (known?.moreMinutes ?? 0) + MORE_MINUTES,
          moreSittings: known?.moreSittings ?? 0,
          dueAt: known?.dueAt ?? null,
          closesAt: known?.closesAt ?? null,
        },
      },
    });
    setState(answer.ok ? `${(known?.moreMinutes ?? 0) + MORE_MINUTES} minutes more` : errorInWords(answer.error));
  };
  return (
    <span className="flex items-center justify-end gap-1 whitespace-nowrap">
      {state && (
        <span role="status" className="text-sm text-mute">
          {state}
        </span>
      )}
      {release.minutes !== null && !row.finishedAt && (
        <button
          type="button"
          className="btn btn-quiet btn-sm"
          aria-label={`Give ${row.name} ${MORE_MINUTES} minutes more`}
          onClick={() => void give()}
        >
          +{MORE_MINUTES} min
        </button>
      )}
      {row.sittingId && row.movedAt && (
        <a
          className="btn btn-quiet btn-sm"
          href={`/releases/${release.id}/sittings/${row.sittingId}?now=${row.place ?? 1}`}
          aria-label={`What ${row.name} has on the scene`}
        >
          Look
        </a>
      )}
    </span>
  );
}
const MORE_MINUTES = 5;

/** Closes the release at once: no move is taken any more. */
function CloseIt({ release }: { release: LiveView['release'] }) {
  const [asking, setAsking] = useState(false);
  const [state, setState] = useState('');
  const closed = release.closesAt !== null && Date.parse(release.closesAt) <= Date.now();
  if (closed || state === 'closed') return <p className="text-mute">It is closed.</p>;
  const close = async () => {
    setAsking(false);
    const found = await api('GET /api/releases/{id}/settings', { id: release.id });
    if (!found.ok) return setState(errorInWords(found.error));
    const { settings, revision } = found.value;
    const answer = await api('PUT /api/releases/{id}/settings', {
      id: release.id,
      body: { ...settings, closesAt: toWire(new Date()), from: revision },
    });
    setState(answer.ok ? 'closed' : errorInWords(answer.error));
  };
  return (
    <>
      {state && (
        <p role="alert" className="text-brick">
          {state}
        </p>
      )}
      <button type="button" className="btn btn-edge btn-sm" onClick={() => setAsking(true)}>
        Close it…
      </button>
      {asking && (
        <Confirm
          title={`Close “${release.title}” now?`}
          action="Close it"
          cancel="Leave it open"
          forGood
          onConfirm={() => void close()}
          onClose={() => setAsking(false)}
        >
          <p>
            Nobody can answer any more. What they have placed is kept and checked. You can open it again in Settings.
          </p>
        </Confirm>
      )}
    </>
  );
}
