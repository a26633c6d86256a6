import type { CourseRow } from '../../contract';
import { titled } from '../../contract';
import { api, type Columns, DataTable, Field, useRequestForm } from '../../ui';

export type Row = CourseRow;

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
  { id: 'owner', accessorFn: (row) => (row.right === 'own' ? 'you' : row.owner), header: 'whose' },
  { id: 'learners', accessorKey: 'learners', header: 'learners' },
];

export function Courses({ rows }: { rows: Row[] }) {
  const { register, handleSubmit, refused, formState } = useRequestForm(titled.pick(['title']), { title: '' });
  const submit = handleSubmit(async ({ title }) => {
    const made = await api('POST /api/courses', { body: { id: crypto.randomUUID(), title } });
    if (made.ok) location.assign(`/courses/${made.value.id}`);
    else refused(made.error);
  });
  return (
    <>
      {rows.length === 0 ? (
        <p className="text-lg">No course yet. Give the first one a name; learners and releases belong to it.</p>
      ) : (
        <DataTable
          rows={rows.filter((row) => !row.archived)}
          columns={columns}
          caption="Your courses"
          numeric={['learners']}
          rowKey={(row) => row.id}
        />
      )}
      {rows.some((row) => row.archived) && (
        <section className="mt-8" aria-labelledby="away">
          <h2 id="away" className="text-xl mb-1">
            Put away
          </h2>
          <DataTable
            rows={rows.filter((row) => row.archived)}
            columns={columns}
            caption="Archived courses"
            numeric={['learners']}
            rowKey={(row) => row.id}
          />
        </section>
      )}
      <form onSubmit={submit} noValidate className="flex items-start gap-3 mt-8 max-w-xl">
        <Field
          className="grow"
          label="New course"
          placeholder="Induction"
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
