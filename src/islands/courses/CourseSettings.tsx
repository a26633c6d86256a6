import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useEffect, useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { Collision } from '../../core';
import { type ApiResult, api, ask, Dialog, Field, moment, Scrolls, zone } from '../../ui';
import { useSaving } from '../../ui/saving';
import { numberFrom } from '../bench/parts/numbers';
import { Typed } from '../bench/parts/Typed';
import type { Course, Parts } from './course';
import { ListEditor } from './ListEditor';
import { type Removable, RemovalDialog } from './RemovalDialog';

const client = new QueryClient();

export function CourseSettings({ course }: { course: Course }) {
  return (
    <QueryClientProvider client={client}>
      <Settings course={course} />
      <Toaster position="bottom-right" />
    </QueryClientProvider>
  );
}

function Part({ title, about, children }: { title: string; about: string; children: ReactNode }) {
  return (
    <section className="mb-9" aria-label={title}>
      <h2 className="text-xl">{title}</h2>
      <p className="text-mute mb-2">{about}</p>
      {children}
    </section>
  );
}

const FIELDS: Readonly<Record<string, string>> = { title: 'name', weight: 'weight' };
/** A place in a list of named things, in words. */
const placeInWords =
  (rows: readonly { id: string; title: string }[], one: string) =>
  ({ path: [, id, field], mine, theirs }: Collision) => {
    const said = (value: unknown) =>
      value && typeof value === 'object' && 'title' in value ? `“${String(value.title)}”` : typeof value === 'number' || typeof value === 'string' ? String(value) : 'removed';
    return {
      where: `The ${FIELDS[field ?? ''] ?? ''} of ${one} “${rows.find((row) => row.id === id)?.title ?? ''}”`.replace('The  of ', ''),
      mine: said(mine),
      theirs: said(theirs),
    };
  };

function Settings({ course }: { course: Course }) {
  const path = `/api/courses/${course.id}`;
  const parts = useQuery({ queryKey: ['parts'], queryFn: () => ask<Parts>('GET', `${path}/parts`) });
  const told = <T,>(answer: ApiResult<T>): T | null => {
    if (answer.ok) return answer.value;
    toast.error(`${answer.error.message}. ${answer.error.problems?.[0]?.message ?? answer.error.wayOn}`);
    return null;
  };
  return (
    <div className="grid gap-x-12 lg:grid-cols-2">
      <div>
        <Part title="Name" about="What teachers and learners see.">
          <Name course={course} />
        </Part>
        <Part title="Time zone" about="The zone the course’s times are meant in. Everybody sees times in their own; who sets them elsewhere sees both.">
          <Zone course={course} />
        </Part>
        {parts.error && <p className="text-brick">{parts.error.message}</p>}
        {parts.data && <PartsEditor course={course} parts={parts.data} told={told} />}
      </div>
      <div>
        <CoTeachers course={course} told={told} />
        {course.right === 'own' && <Archive course={course} told={told} />}
        <Record courseId={course.id} />
      </div>
    </div>
  );
}

function Name({ course }: { course: Course }) {
  const [title, setTitle] = useState(course.title);
  const { saved, save, problem, dialog } = useSaving<{ title: string }>({
    first: { revision: course.revision, content: { title: course.title } },
    write: async ({ title }, from) => {
      const answer = await api<{ title: string; revision: number }>('PATCH', `/api/courses/${course.id}`, { title, from });
      return answer.ok ? { ok: true, value: { revision: answer.value.revision, content: { title: answer.value.title } } } : answer;
    },
    inWords: ({ mine, theirs }) => ({ where: 'The title of the course', mine: String(mine), theirs: String(theirs) }),
  });
  return (
    <>
      <Field
        label="Title of the course"
        value={title}
        maxLength={200}
        problem={title.trim() === '' ? 'Give it a name' : problem || undefined}
        onChange={(event) => setTitle(event.target.value)}
        onBlur={async () => {
          if (title.trim() === '' || title.trim() === saved.content.title) return;
          if (await save({ title: title.trim() })) location.reload();
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      {dialog}
    </>
  );
}

const NONE = '';

function Zone({ course }: { course: Course }) {
  const [chosen, setChosen] = useState(course.zone);
  const { save, problem, dialog } = useSaving<{ zone: string | null }>({
    first: { revision: course.revision, content: { zone: course.zone } },
    write: async (content, from) => {
      const answer = await api<{ zone: string | null; revision: number }>('PATCH', `/api/courses/${course.id}`, { ...content, from });
      return answer.ok ? { ok: true, value: { revision: answer.value.revision, content: { zone: answer.value.zone } } } : answer;
    },
    inWords: ({ mine, theirs }) => ({ where: 'The time zone of the course', mine: String(mine ?? 'none'), theirs: String(theirs ?? 'none') }),
  });
  const near = [...new Set([zone(), ...(course.zone ? [course.zone] : [])])];
  // The zones this browser knows, which the server that drew the page may not.
  const [all, setAll] = useState<readonly string[]>([]);
  useEffect(() => setAll(Intl.supportedValuesOf('timeZone')), []);
  const zones = [...new Set([...near, ...all])];
  return (
    <>
      <select
        className="select w-full"
        aria-label="Time zone of the course"
        value={chosen ?? NONE}
        onChange={async ({ target: { value } }) => {
          setChosen(value || null);
          // Its name is saved on the same revision: the page has to know of it.
          if (await save({ zone: value || null })) location.reload();
        }}
      >
        <option value={NONE}>each reader’s own</option>
        {zones.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
      {problem && (
        <p role="alert" className="text-brick mt-1">
          {problem}
        </p>
      )}
      {dialog}
    </>
  );
}

type Unit = Parts['units'][number];
type Category = Parts['categories'][number];
type Group = Parts['groups'][number];

/** Units, weight categories and groups: saved on the revision they came from, removed one by one after asking. */
function PartsEditor({ course, parts, told }: { course: Course; parts: Parts; told: Told['told'] }) {
  const queries = useQueryClient();
  const path = `/api/courses/${course.id}`;
  const [removing, setRemoving] = useState<{ kind: Removable; row: { id: string; title: string } } | null>(null);
  const adopt = (now: Parts) => queries.setQueryData(['parts'], now);
  const put = async (what: 'units' | 'categories', body: object): Promise<ApiResult<Parts>> => {
    const answer = await api<Parts>('PUT', `${path}/${what}`, body);
    if (answer.ok) adopt(answer.value);
    return answer;
  };
  const units = useSaving<{ units: Unit[] }>({
    first: { revision: parts.unitsRevision, content: { units: parts.units } },
    write: async (content, from) => {
      const answer = await put('units', { ...content, from });
      return answer.ok ? { ok: true, value: { revision: answer.value.unitsRevision, content: { units: answer.value.units } } } : answer;
    },
    inWords: placeInWords(parts.units, 'unit'),
  });
  const categories = useSaving<{ categories: Category[] }>({
    first: { revision: parts.categoriesRevision, content: { categories: parts.categories } },
    write: async (content, from) => {
      const answer = await put('categories', { ...content, from });
      return answer.ok ? { ok: true, value: { revision: answer.value.categoriesRevision, content: { categories: answer.value.categories } } } : answer;
    },
    inWords: placeInWords(parts.categories, 'category'),
  });
  // Shown at once; the answer says how it is.
  const save = async (what: 'units' | 'categories', rows: Unit[] | Category[]) => {
    adopt({ ...parts, [what]: rows });
    const done = what === 'units' ? await units.save({ units: rows }) : await categories.save({ categories: rows as Category[] });
    if (!done) await queries.invalidateQueries({ queryKey: ['parts'] });
    else adopt({ ...(queries.getQueryData<Parts>(['parts']) ?? parts), ...done });
  };
  const saveGroups = async (rows: Group[]) => {
    for (const { id, title } of rows) {
      const before = parts.groups.find((one) => one.id === id);
      if (before?.title === title) continue;
      const now = told(await api<Parts>('PUT', `${path}/groups`, { id, title, from: before?.revision ?? null }));
      if (now) adopt(now);
      else await queries.invalidateQueries({ queryKey: ['parts'] });
    }
  };
  const remove = async ({ kind, row }: { kind: Removable; row: { id: string; title: string } }) => {
    const id = crypto.randomUUID();
    setRemoving(null);
    if (!told(await api<Parts>('POST', `${path}/removals`, { id, kind, of: row.id }))) return;
    toast(`“${row.title}” was removed`, {
      duration: UNDO_MS,
      action: {
        label: 'Undo',
        onClick: async () => {
          if (told(await api<Parts>('DELETE', `${path}/removals/${id}`))) location.reload();
        },
      },
    });
    await queries.invalidateQueries({ queryKey: ['audit'] });
    const now = told(await api<Parts>('GET', `${path}/parts`));
    if (now) reopen(now);
  };
  /** The revisions have gone on: what is edited from here is edited on the new ones. */
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
      <Part title="Weight categories" about="How much the releases of each make of the overall mark. What is in none counts in none.">
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
              <span className="figures text-sm text-mute w-14 text-right">{weights > 0 ? `${Math.round((row.weight / weights) * 100)} %` : '–'}</span>
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
      {removing && <RemovalDialog courseId={course.id} {...removing} onClose={() => setRemoving(null)} onRemove={() => void remove(removing)} />}
      {units.dialog}
      {categories.dialog}
    </>
  );
}

const UNDO_MS = 15_000;
const Problem = ({ words }: { words: string }) => (
  <p role="alert" className="text-brick mt-1">
    {words}
  </p>
);

interface Told {
  course: Course;
  told: <T>(answer: ApiResult<T>) => T | null;
}

function CoTeachers({ course, told }: Told) {
  const queries = useQueryClient();
  const path = `/api/courses/${course.id}/teachers`;
  const teachers = useQuery({ queryKey: ['teachers'], queryFn: () => ask<{ id: string; name: string; username: string | null }[]>('GET', path) });
  const [username, setUsername] = useState('');
  const set = async (of: string, teaches: boolean) => {
    const kept = told(await api('PUT', path, { username: of, teaches }));
    if (!kept) return;
    queries.setQueryData(['teachers'], kept);
    if (teaches) setUsername('');
  };
  return (
    <Part
      title="Co-teachers"
      about={`They do all that you do here but put the course away, choose its teachers, or erase what is kept of a learner. It is ${course.right === 'own' ? 'yours' : `${course.owner}’s`}.`}
    >
      <ul>
        {teachers.data?.map((one) => (
          <li key={one.id} className="flex items-center gap-2 border-b border-rule py-1.5">
            <span className="grow">{one.name}</span>
            <span className="figures text-sm text-mute">{one.username}</span>
            {course.right === 'own' && (
              <button type="button" className="btn btn-quiet btn-sm" onClick={() => void set(one.username ?? '', false)} aria-label={`${one.name} teaches here no longer`}>
                Take away
              </button>
            )}
          </li>
        ))}
      </ul>
      {teachers.data?.length === 0 && <p>Nobody beside {course.right === 'own' ? 'you' : course.owner}.</p>}
      {course.right === 'own' && (
        <form
          className="flex items-end gap-2 mt-3"
          onSubmit={(event) => {
            event.preventDefault();
            void set(username, true);
          }}
        >
          <Field
            className="grow"
            label="User name of a colleague"
            autoComplete="off"
            autoCapitalize="none"
            value={username}
            onChange={(event) => setUsername(event.target.value)}
          />
          <button type="submit" className="btn btn-edge" disabled={username.trim() === ''}>
            Let them teach here
          </button>
        </form>
      )}
    </Part>
  );
}

function Archive({ course, told }: Told) {
  const [asked, setAsked] = useState(false);
  const set = async (archived: boolean) => {
    if (told(await api('PATCH', `/api/courses/${course.id}`, { archived, from: course.revision }))) location.reload();
  };
  return (
    <Part title={course.archived ? 'Put away' : 'Put it away'} about="Learners do not see a course that is put away, and nothing in it can be begun. All of it is kept.">
      <button type="button" className="btn btn-edge" onClick={() => (course.archived ? void set(false) : setAsked(true))}>
        {course.archived ? 'Bring it back' : 'Put the course away…'}
      </button>
      {asked && (
        <Dialog title="Put the course away?" onClose={() => setAsked(false)}>
          <p>
            {course.learners === 1 ? 'One learner sees' : `${course.learners} learners see`} it no longer. What they have answered is kept, and you can bring it back at any time.
          </p>
          <div className="flex justify-end gap-2 mt-4">
            <button type="button" className="btn btn-quiet" onClick={() => setAsked(false)}>
              Keep it open
            </button>
            <button type="button" className="btn btn-primary" data-autofocus onClick={() => void set(true)}>
              Put it away
            </button>
          </div>
        </Dialog>
      )}
    </Part>
  );
}

interface Entry {
  n: number;
  at: string;
  by: string;
  what: string;
  release: string | null;
  learner: string | null;
  detail: Record<string, unknown>;
}

const WHAT: Record<string, string> = {
  markSet: 'set a mark by hand',
  markSetBack: 'took back a mark set by hand',
  editionMade: 'made a correction',
  editionApplied: 'applied a correction to marks',
  allowed: 'changed what a learner is allowed',
  settings: 'changed the settings',
  erased: 'erased a learner’s data',
  categories: 'changed the weights of categories',
  removed: 'removed a unit, a category or a group',
  removalUndone: 'undid a removal',
  reopened: 'opened a finished attempt again',
};

/** Who changed marks, or what they rest on. */
function Record({ courseId }: { courseId: string }) {
  const entries = useQuery({ queryKey: ['audit'], queryFn: () => ask<Entry[]>('GET', `/api/courses/${courseId}/audit`) });
  return (
    <Part
      title="Who changed marks"
      about="Every change of a mark, and of what marks rest on. It cannot be altered: where a learner is erased, only that something was changed stays."
    >
      {entries.data?.length === 0 && <p>Nothing has been changed yet.</p>}
      <Scrolls label="Changes, the newest first" className="max-h-96">
        <ul>
          {entries.data?.map(({ n, at, by, what, release, learner, detail }) => (
            <li key={n} className="border-b border-rule py-1.5">
              <span className="figures text-sm text-mute">{moment(new Date(at))}</span> {by} {WHAT[what] ?? what}
              {release && <> in “{release}”</>}
              {learner && <> for {learner}</>}
              {typeof detail.title === 'string' && <> “{detail.title}”</>}
              {typeof detail.reason === 'string' && detail.reason !== '' && <>: {detail.reason}</>}
            </li>
          ))}
        </ul>
      </Scrolls>
    </Part>
  );
}
