import { Copy, Search, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { SetRow, Wire } from '../../contract';
import { titled } from '../../contract';
import { type ApiResult, api, type Columns, DataTable, Field, moment, useRequestForm } from '../../ui';
import { minutesInWords } from '../shared/minutesInWords';

export type Row = Wire<SetRow>;

/** The teacher's sets: found by their titles, copied, deleted and brought back. */
export function Sets({ rows }: { rows: Row[] }) {
  const [gone, setGone] = useState<ReadonlySet<string>>(
    () => new Set(rows.flatMap(({ id, deletedAt }) => (deletedAt === null ? [] : [id]))),
  );
  const [words, setWords] = useState('');
  const sought = words.trim().toLocaleLowerCase();
  const there = rows.filter(({ id }) => !gone.has(id));
  const shown = there.filter(({ title }) => title.toLocaleLowerCase().includes(sought));
  const deleted = rows.filter(({ id }) => gone.has(id));

  const told = <T,>(answer: ApiResult<T>): answer is ApiResult<T> & { ok: true } => {
    if (!answer.ok) toast.error(`${answer.error.message}. ${answer.error.nextStep}`);
    return answer.ok;
  };
  const bringBack = async ({ id }: Row) => {
    if (told(await api('POST /api/sets/{id}/restore', { id })))
      setGone((all) => new Set([...all].filter((other) => other !== id)));
  };
  const remove = async (set: Row) => {
    if (!told(await api('DELETE /api/sets/{id}', { id: set.id }))) return;
    setGone((all) => new Set([...all, set.id]));
    toast(`“${set.title}” was deleted`, {
      action: { label: 'Bring it back', onClick: () => void bringBack(set) },
    });
  };
  const copy = async (set: Row) => {
    const made = await api('POST /api/sets/{id}/copies', { id: set.id, body: { id: crypto.randomUUID() } });
    if (told(made)) location.assign(`/sets/${made.value.id}`);
  };

  const columns: Columns<Row> = [
    {
      id: 'title',
      accessorKey: 'title',
      header: 'set',
      cell: ({ row }) => (
        <a className="font-semibold link-brass" href={`/sets/${row.original.id}`}>
          {row.original.title}
        </a>
      ),
    },
    { id: 'questions', accessorKey: 'questions', header: 'questions' },
    { id: 'points', accessorKey: 'points', header: 'points' },
    {
      id: 'time',
      accessorKey: 'seconds',
      header: 'time',
      cell: ({ row }) => (row.original.questions > 0 ? minutesInWords(row.original.seconds) : ''),
    },
    { id: 'releases', accessorKey: 'releases', header: 'published' },
    {
      id: 'changed',
      accessorKey: 'changedAt',
      header: 'changed',
      cell: ({ row }) => <span className="figures text-sm">{moment(new Date(row.original.changedAt))}</span>,
    },
    {
      id: 'tools',
      header: () => <span className="sr-only">tools</span>,
      enableSorting: false,
      cell: ({ row: { original } }) => (
        <span className="flex justify-end">
          <button
            type="button"
            className="btn btn-quiet btn-sm"
            aria-label={`Copy ${original.title}`}
            title="Copy"
            onClick={() => void copy(original)}
          >
            <Copy size={15} aria-hidden />
          </button>
          <button
            type="button"
            className="btn btn-quiet btn-sm"
            aria-label={`Delete ${original.title}`}
            title="Delete"
            onClick={() => void remove(original)}
          >
            <Trash2 size={15} aria-hidden />
          </button>
        </span>
      ),
    },
  ];
  return (
    <>
      {there.length > 5 && (
        <label className="flex items-center gap-2 mb-3 max-w-sm input w-full">
          <Search size={16} aria-hidden className="text-mute" />
          <input
            type="search"
            aria-label="Find a set by its title"
            placeholder="Find a set"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        </label>
      )}
      {there.length === 0 ? (
        <p className="text-lg">
          No set yet. A set is questions in an order, to be published together: give the first one a name.
        </p>
      ) : shown.length === 0 ? (
        <p role="status">No set has “{words.trim()}” in its title.</p>
      ) : (
        <div className="relative overflow-x-auto [&_table]:min-w-[44rem]">
          <DataTable
            rows={shown}
            columns={columns}
            caption="Your sets"
            numeric={['questions', 'points', 'releases']}
            rowKey={(row) => row.id}
          />
        </div>
      )}
      <NewSet />
      {deleted.length > 0 && (
        <details className="mt-8">
          <summary className="cursor-pointer font-semibold">
            Deleted <span className="figures text-mute">{deleted.length}</span>
          </summary>
          <p className="text-mute">What was published from them stays as it is.</p>
          <ul className="max-w-xl">
            {deleted.map((set) => (
              <li key={set.id} className="flex items-center gap-3 border-b border-rule py-1.5">
                <span className="grow">{set.title}</span>
                <button
                  type="button"
                  className="btn btn-quiet btn-sm"
                  aria-label={`Bring ${set.title} back`}
                  onClick={() => void bringBack(set)}
                >
                  Bring back
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
      <Toaster position="bottom-right" />
    </>
  );
}

function NewSet() {
  const { register, handleSubmit, refused, formState } = useRequestForm(titled.pick(['title']), { title: '' });
  const submit = handleSubmit(async ({ title }) => {
    const made = await api('POST /api/sets', { body: { id: crypto.randomUUID(), title } });
    if (made.ok) location.assign(`/sets/${made.value.id}`);
    else refused(made.error);
  });
  return (
    <form onSubmit={submit} noValidate className="flex items-start gap-3 mt-8 max-w-xl">
      <Field
        className="grow"
        label="New set"
        placeholder="Drying and storing"
        problem={formState.errors.title?.message ?? formState.errors.root?.message}
        {...register('title')}
      />
      <button type="submit" className="btn btn-primary mt-7" disabled={formState.isSubmitting}>
        Make it
      </button>
    </form>
  );
}
