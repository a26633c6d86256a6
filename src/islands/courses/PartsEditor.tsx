import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Collision } from '../../core';
import { type ApiResult, api, mapped } from '../../ui';
import { numberFrom } from '../../ui/numbers';
import { useSaving } from '../../ui/saving';
import { Typed } from '../../ui/Typed';
import type { Course, Parts } from './course';
import { ListEditor } from './ListEditor';
import { Part, Problem } from './Part';
import { type Removable, RemovalDialog } from './RemovalDialog';

const UNDO_MS = 15_000;
const FIELDS: Readonly<Record<string, string>> = { title: 'name', weight: 'weight' };
/** A place in a list of named things, in words. */
const placeInWords =
  (rows: readonly { id: string; title: string }[], one: string) =>
  ({ path: [, id, field], mine, theirs }: Collision) => {
    const said = (value: unknown) =>
      value && typeof value === 'object' && 'title' in value
        ? `“${String(value.title)}”`
        : typeof value === 'number' || typeof value === 'string'
          ? String(value)
          : 'removed';
    return {
      where: `The ${FIELDS[field ?? ''] ?? ''} of ${one} “${rows.find((row) => row.id === id)?.title ?? ''}”`.replace(
        'The  of ',
        '',
      ),
      mine: said(mine),
      theirs: said(theirs),
    };
  };

type Unit = Parts['units'][number];
type Category = Parts['categories'][number];
type Group = Parts['groups'][number];

/** Units, weight categories and groups: saved on the revision they came from, removed one by one after asking. */
export function PartsEditor({
  course,
  parts,
  told,
}: {
  course: Course;
  parts: Parts;
  told: <T>(answer: ApiResult<T>) => T | null;
}) {
  const queries = useQueryClient();
  const { id: courseId } = course;
  const [removing, setRemoving] = useState<{ kind: Removable; row: { id: string; title: string } } | null>(null);
  const adopt = (now: Parts) => queries.setQueryData(['parts'], now);
  const adopted = (answer: ApiResult<Parts>) => {
    if (answer.ok) adopt(answer.value);
    return answer;
  };
  const units = useSaving<{ units: Unit[] }>({
    first: { revision: parts.unitsRevision, content: { units: parts.units } },
    write: async (content, from) =>
      mapped(
        adopted(await api('PUT /api/courses/{id}/units', { id: courseId, body: { ...content, from } })),
        (now) => ({
          revision: now.unitsRevision,
          content: { units: now.units },
        }),
      ),
    inWords: placeInWords(parts.units, 'unit'),
  });
  const categories = useSaving<{ categories: Category[] }>({
    first: { revision: parts.categoriesRevision, content: { categories: parts.categories } },
    write: async (content, from) =>
      mapped(
        adopted(await api('PUT /api/courses/{id}/categories', { id: courseId, body: { ...content, from } })),
        (now) => ({
          revision: now.categoriesRevision,
          content: { categories: now.categories },
        }),
      ),
    inWords: placeInWords(parts.categories, 'category'),
  });
  // Shown at once; the answer corrects it.
  const save = async (what: 'units' | 'categories', rows: Unit[] | Category[]) => {
    adopt({ ...parts, [what]: rows });
    const done =
      what === 'units' ? await units.save({ units: rows }) : await categories.save({ categories: rows as Category[] });
    if (!done) await queries.invalidateQueries({ queryKey: ['parts'] });
    else adopt({ ...(queries.getQueryData<Parts>(['parts']) ?? parts), ...done });
  };
  const saveGroups = async (rows: Group[]) => {
    for (const { id, title } of rows) {
      const before = parts.groups.find((group) => group.id === id);
      if (before?.title === title) continue;
      const now = told(
        await api('PUT /api/courses/{id}/groups', {
          id: courseId,
          body: { id, title, from: before?.revision ?? null },
        }),
      );
      if (now) adopt(now);
      else await queries.invalidateQueries({ queryKey: ['parts'] });
    }
  };
  const remove = async ({ kind, row }: { kind: Removable; row: { id: string; title: string } }) => {
    const id = crypto.randomUUID();
    setRemoving(null);
    const now = told(await api('POST /api/courses/{id}/removals', { id: courseId, body: { id, kind, of: row.id } }));
    if (!now) return;
    toast(`“${row.title}” was removed`, {
      duration: UNDO_MS,
      action: {
        label: 'Undo',
        onClick: async () => {
          if (told(await api('DELETE /api/courses/{id}/removals/{removal}', { id: courseId, removal: id })))
            location.reload();
        },
      },
    });
    await queries.invalidateQueries({ queryKey: ['audit'] });
    reopen(now);
  };
  /** The revisions have changed: later edits are made on the new ones. */
  const reopen = (now: Parts) => {
    units.adopt({ revision: now.unitsRevision, content: { units: now.units } });
    categories.adopt({ revision: now.categoriesRevision, content: { categories: now.categories } });
    adopt(now);
  };
  const weights = parts.categories.reduce((sum, { weight }) => sum + weight, 0);
  return (
    <>
      <Part title="Units" about="Parts of the course in which releases stand, in their order.">
        <ListEditor
          one="unit"
          rows={parts.units}
          most={200}
          ordered
          fresh={(name) => ({ id: crypto.randomUUID(), title: name })}
          onChange={(rows) => void save('units', rows)}
          onRemove={(row) => setRemoving({ kind: 'unit', row })}
        />
        {units.problem && <Problem words={units.problem} />}
      </Part>
      <Part
        title="Weight categories"
        about="How much the releases of each make of the overall mark. What is in none counts in none."
      >
        <ListEditor
          one="category"
          rows={parts.categories}
          most={50}
          ordered
          fresh={(name) => ({ id: crypto.randomUUID(), title: name, weight: 1 })}
          onChange={(rows) => void save('categories', rows)}
          onRemove={(row) => setRemoving({ kind: 'category', row })}
          more={(row, onSet) => (
            <>
              <Typed
                label={`Weight of ${row.title}`}
                value={String(row.weight)}
                className="input input-sm figures w-20 text-right"
                problem={(text) => numberFrom(text, 0, 1000).problem}
                onTyped={(text) => onSet({ ...row, weight: numberFrom(text, 0, 1000).value ?? row.weight })}
              />
              <span className="figures text-sm text-mute w-14 text-right">
                {weights > 0 ? `${Math.round((row.weight / weights) * 100)} %` : '–'}
              </span>
            </>
          )}
        />
        {categories.problem && <Problem words={categories.problem} />}
      </Part>
      <Part title="Groups" about="A release can be for some groups alone. Who is in which is said beside the learners.">
        <ListEditor
          one="group"
          rows={parts.groups}
          most={200}
          fresh={(name) => ({ id: crypto.randomUUID(), title: name, learners: 0, revision: 0 })}
          onChange={(rows) => void saveGroups(rows)}
          onRemove={(row) => setRemoving({ kind: 'group', row })}
          more={(row) => <span className="figures text-sm text-mute whitespace-nowrap">{row.learners} in it</span>}
        />
      </Part>
      {removing && (
        <RemovalDialog
          courseId={course.id}
          {...removing}
          onClose={() => setRemoving(null)}
          onRemove={() => void remove(removing)}
        />
      )}
      {units.dialog}
      {categories.dialog}
    </>
  );
}
