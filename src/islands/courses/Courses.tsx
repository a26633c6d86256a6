import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { api, type Columns, DataTable, Field } from '../../ui';

export interface Row {
  id: string;
  title: string;
  learners: number;
}

const columns: Columns<Row> = [
  {
    id: 'title',
    accessorKey: 'title',
    header: 'course',
    cell: ({ row }) => (
      <a className="font-semibold link-brass" href={`/courses/${row.original.id}`}>
        {row.original.title}
      </a>
    ),
  },
  { id: 'learners', accessorKey: 'learners', header: 'learners' },
];

export function Courses({ rows }: { rows: Row[] }) {
  const [problem, setProblem] = useState('');
  const { register, handleSubmit, formState } = useForm({ defaultValues: { title: '' } });
  const submit = handleSubmit(async ({ title }) => {
    const made = await api<{ id: string }>('POST', '/api/courses', { id: crypto.randomUUID(), title });
    if (made.ok) location.assign(`/courses/${made.value.id}`);
    else setProblem(`${made.error.message}. ${made.error.wayOn}`);
  });
  return (
    <>
      {rows.length === 0 ? (
        <p className="text-lg">No course yet. Give the first one a name; learners and releases belong to it.</p>
      ) : (
        <DataTable rows={rows} columns={columns} caption="Your courses" numeric={['learners']} rowKey={(row) => row.id} />
      )}
      <form onSubmit={submit} noValidate className="flex items-end gap-3 mt-8 max-w-xl">
        <Field
          className="grow"
          label="New course"
          placeholder="Induction"
          problem={formState.errors.title?.message ?? (problem || undefined)}
          {...register('title', { required: 'Give the course a name', maxLength: 200 })}
        />
        <button type="submit" className="btn btn-primary" disabled={formState.isSubmitting}>
          Make it
        </button>
      </form>
    </>
  );
}
