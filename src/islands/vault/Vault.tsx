import { Bookmark, Copy, Plus, Trash2 } from 'lucide-react';
import { lazy, useMemo, useState } from 'react';
import { Toaster, toast } from 'sonner';
import { api, type Columns, DataTable, moment } from '../../ui';
import { Later } from '../bench/parts/Later';

export interface Row {
  id: string;
  title: string;
  kind: string;
  changedAt: string;
  startingPoint: boolean;
  findings: { error: number; warning: number; note: number };
}

const StartFrom = lazy(() => import('./StartFrom').then((m) => ({ default: m.StartFrom })));

const plural = (n: number, word: string) => (n === 0 ? '' : `${n} ${word}${n === 1 ? '' : 's'}`);
export const findingsInWords = ({ error, warning, note }: Row['findings']) =>
  [plural(error, 'error'), plural(warning, 'warning'), plural(note, 'note')].filter(Boolean).join(', ') || 'none';

export function Vault({ rows: given }: { rows: Row[] }) {
  const [rows, setRows] = useState(given);
  const [busy, setBusy] = useState(false);
  const [starting, setStarting] = useState(false);

  const goTo = async (request: Promise<{ ok: true; value: { id: string } } | { ok: false; error: { message: string; wayOn: string } }>) => {
    setBusy(true);
    const made = await request;
    setBusy(false);
    if (made.ok) location.assign(`/bench/${made.value.id}`);
    else toast.error(made.error.message, { description: made.error.wayOn });
  };
  const make = () => goTo(api('POST', '/api/questions', { id: crypto.randomUUID() }));

  const begin = (from: { example: string } | { copyOf: string }) =>
    goTo(
      'example' in from
        ? api('POST', '/api/questions', { id: crypto.randomUUID(), example: from.example })
        : api('POST', `/api/questions/${from.copyOf}/copies`, { id: crypto.randomUUID() }),
    );

  const columns = useMemo<Columns<Row>>(() => {
    const copy = async (row: Row) => {
      const id = crypto.randomUUID();
      const made = await api<{ id: string }>('POST', `/api/questions/${row.id}/copies`, { id });
      if (!made.ok) return void toast.error(made.error.message, { description: made.error.wayOn });
      setRows((all) => [{ ...row, id, title: `${row.title} (copy)`, changedAt: new Date().toISOString() }, ...all]);
      toast(`“${row.title}” was copied`, { action: { label: 'Open the copy', onClick: () => location.assign(`/bench/${id}`) } });
    };
    const remove = async (row: Row) => {
      const done = await api('PATCH', `/api/questions/${row.id}`, { deleted: true });
      if (!done.ok) return void toast.error(done.error.message, { description: done.error.wayOn });
      setRows((all) => all.filter((r) => r.id !== row.id));
      toast(`“${row.title}” was deleted`, {
        duration: 15_000,
        action: {
          label: 'Undo',
          onClick: async () => {
            const back = await api('PATCH', `/api/questions/${row.id}`, { deleted: false });
            if (back.ok) setRows((all) => [row, ...all]);
            else toast.error(back.error.message, { description: back.error.wayOn });
          },
        },
      });
    };
    const keepAsStart = async (row: Row) => {
      const done = await api('PATCH', `/api/questions/${row.id}`, { startingPoint: !row.startingPoint });
      if (done.ok) setRows((all) => all.map((one) => (one.id === row.id ? { ...one, startingPoint: !row.startingPoint } : one)));
      else toast.error(done.error.message, { description: done.error.wayOn });
    };
    return [
      {
        id: 'title',
        accessorKey: 'title',
        header: 'title',
        cell: ({ row }) => (
          <a href={`/bench/${row.original.id}`} className="font-semibold link-brass">
            {row.original.title || 'Untitled question'}
          </a>
        ),
      },
      { id: 'kind', accessorKey: 'kind', header: 'kind', cell: ({ row }) => <span className="capitalize">{row.original.kind}</span> },
      { id: 'changed', accessorKey: 'changedAt', header: 'changed', cell: ({ row }) => <span className="figures text-sm">{moment(new Date(row.original.changedAt))}</span> },
      {
        id: 'findings',
        accessorFn: (row) => row.findings.error * 1e6 + row.findings.warning * 1e3 + row.findings.note,
        header: 'findings',
        cell: ({ row }) => <span className={row.original.findings.error > 0 ? 'text-brick font-semibold' : 'text-mute'}>{findingsInWords(row.original.findings)}</span>,
      },
      {
        id: 'do',
        header: () => <span className="sr-only">what to do with it</span>,
        enableSorting: false,
        cell: ({ row }) => (
          <div className="flex justify-end gap-1">
            <button
              type="button"
              className={`btn btn-quiet btn-sm ${row.original.startingPoint ? 'text-brass' : ''}`}
              aria-pressed={row.original.startingPoint}
              title="A starting point for others"
              onClick={() => void keepAsStart(row.original)}
              aria-label={`${row.original.title} is a starting point`}
            >
              <Bookmark size={15} aria-hidden fill={row.original.startingPoint ? 'currentColor' : 'none'} />
            </button>
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => void copy(row.original)} aria-label={`Copy ${row.original.title}`}>
              <Copy size={15} aria-hidden /> Copy
            </button>
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => void remove(row.original)} aria-label={`Delete ${row.original.title}`}>
              <Trash2 size={15} aria-hidden /> Delete
            </button>
          </div>
        ),
      },
    ];
  }, []);

  return (
    <>
      <div className="flex items-baseline gap-4 mb-4">
        <h1 className="text-3xl">Vault</h1>
        <p className="figures text-mute">{plural(rows.length, 'question') || 'no questions'}</p>
        <span className="grow" />
        <button type="button" className="btn btn-edge self-center" onClick={() => setStarting(true)} disabled={busy}>
          Start from…
        </button>
        <button type="button" className="btn btn-primary self-center" onClick={make} disabled={busy}>
          <Plus size={17} aria-hidden /> New question
        </button>
      </div>
      {starting && (
        <Later onGiveUp={() => setStarting(false)}>
          <StartFrom own={rows.filter(({ startingPoint }) => startingPoint)} onBegin={(from) => void begin(from)} onClose={() => setStarting(false)} />
        </Later>
      )}
      {rows.length === 0 ? (
        <div className="border border-rule bg-sheet px-6 py-12 text-center">
          <p className="text-lg">The Vault is empty. Make your first question: a scene, some items, and zones to put them in.</p>
          <button type="button" className="btn btn-primary mt-4" onClick={make} disabled={busy}>
            <Plus size={17} aria-hidden /> New question
          </button>
        </div>
      ) : (
        <div className="overflow-x-auto">
          <DataTable rows={rows} columns={columns} caption="Your questions" rowKey={(row) => row.id} />
        </div>
      )}
      <Toaster position="bottom-right" />
    </>
  );
}
