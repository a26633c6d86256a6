import type { SetRow, Wire } from '../../contract';
import { titled } from '../../contract';
import { api, type Columns, DataTable, Field, moment, useRequestForm } from '../../ui';

export type Row = Wire<SetRow>;

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
  {
    id: 'changed',
    accessorKey: 'changedAt',
    header: 'changed',
    cell: ({ row }) => <span className="figures text-sm">{moment(new Date(row.original.changedAt))}</span>,
  },
];

export function Sets({ rows }: { rows: Row[] }) {
  const { register, handleSubmit, refused, formState } = useRequestForm(titled.pick(['title']), { title: '' });
  const submit = handleSubmit(async ({ title }) => {
    const made = await api('POST /api/sets', { body: { id: crypto.randomUUID(), title } });
    if (made.ok) location.assign(`/sets/${made.value.id}`);
    else refused(made.error);
  });
  return (
    <>
      {rows.length === 0 ? (
        <p className="text-lg">
          No set yet. A set is questions in an order, to be published together: give the first one a name.
        </p>
      ) : (
        <DataTable rows={rows} columns={columns} caption="Your sets" numeric={['questions']} rowKey={(row) => row.id} />
      )}
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
    </>
  );
}
