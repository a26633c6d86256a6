import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { SetRow, Wire } from '../../contract';
import { api, type Columns, DataTable, Field, moment } from '../../ui';

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
  { id: 'changed', accessorKey: 'changedAt', header: 'changed', cell: ({ row }) => <span className="figures text-sm">{moment(new Date(row.original.changedAt))}</span> },
];

export function Sets({ rows }: { rows: Row[] }) {
  const [problem, setProblem] = useState('');
  const { register, handleSubmit, formState } = useForm({ defaultValues: { title: '' } });
  const submit = handleSubmit(async ({ title }) => {
    const made = await api('POST /api/sets', { body: { id: crypto.randomUUID(), title } });
    if (made.ok) location.assign(`/sets/${made.value.id}`);
    else setProblem(`${made.error.message}. ${made.error.wayOn}`);
  });
  return (
    <>
      {rows.length === 0 ? (
        <p className="text-lg">No set yet. A set is questions in an order, to be published together: give the first one a name.</p>
      ) : (
        <DataTable rows={rows} columns={columns} caption="Your sets" numeric={['questions']} rowKey={(row) => row.id} />
      )}
      <form onSubmit={submit} noValidate className="flex items-end gap-3 mt-8 max-w-xl">
        <Field
          className="grow"
          label="New set"
          placeholder="Drying and storing"
          problem={formState.errors.title?.message ?? (problem || undefined)}
          {...register('title', { required: 'Give the set a name', maxLength: 200 })}
        />
        <button type="submit" className="btn btn-primary" disabled={formState.isSubmitting}>
          Make it
        </button>
      </form>
    </>
  );
}
