import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { Toaster, toast } from 'sonner';
import { type ApiResult, api, ask, Dialog, Field, moment, Scrolls } from '../../ui';
import { numberFrom } from '../bench/parts/numbers';
import { Typed } from '../bench/parts/Typed';
import type { Course, Parts } from './course';
import { ListEditor } from './ListEditor';

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

function Settings({ course }: { course: Course }) {
  const queries = useQueryClient();
  const path = `/api/courses/${course.id}`;
  const parts = useQuery({ queryKey: ['parts'], queryFn: () => ask<Parts>('GET', `${path}/parts`) });
  const [title, setTitle] = useState(course.title);
  const told = <T,>(answer: ApiResult<T>): T | null => {
    if (answer.ok) return answer.value;
    toast.error(`${answer.error.message}. ${answer.error.problems?.[0]?.message ?? answer.error.wayOn}`);
    return null;
  };
  const keep = async (what: 'units' | 'categories', rows: unknown[]) => {
    // Shown at once; the answer says how it is.
    queries.setQueryData<Parts>(['parts'], (now) => now && { ...now, [what]: rows });
    const kept = told(await api<Parts>('PUT', `${path}/${what}`, { [what]: rows }));
    if (kept) queries.setQueryData(['parts'], kept);
    else await queries.invalidateQueries({ queryKey: ['parts'] });
  };
  const keepGroups = async (rows: Parts['groups']) => {
    const before = parts.data?.groups ?? [];
    for (const { id, title } of rows.filter((row) => before.find((one) => one.id === row.id)?.title !== row.title)) {
      const kept = told(await api<Parts>('PUT', `${path}/groups`, { id, title }));
      if (kept) queries.setQueryData(['parts'], kept);
    }
  };
  const removeGroup = async ({ id }: { id: string }) => {
    const kept = told(await api<Parts>('DELETE', `${path}/groups/${id}`));
    if (kept) queries.setQueryData(['parts'], kept);
  };
  const whole = parts.data?.categories.reduce((sum, { weight }) => sum + weight, 0) ?? 0;
  return (
    <div className="grid gap-x-12 lg:grid-cols-2">
      <div>
        <Part title="Name" about="What teachers and learners see.">
          <Field
            label="Title of the course"
            value={title}
            maxLength={200}
            problem={title.trim() === '' ? 'Give it a name' : undefined}
            onChange={(event) => setTitle(event.target.value)}
            onBlur={async () => {
              if (title.trim() === '' || title === course.title) return;
              if (told(await api('PATCH', path, { title: title.trim() }))) location.reload();
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        </Part>
        <Part title="Units" about="Parts of the course in which releases stand, in their order.">
          {parts.data && (
            <ListEditor
              one="unit"
              rows={parts.data.units}
              most={200}
              ordered
              fresh={(name) => ({ id: crypto.randomUUID(), title: name })}
              onChange={(rows) => void keep('units', rows)}
            />
          )}
        </Part>
        <Part title="Weight categories" about="How much the releases of each make of the whole mark. What is in none counts in none.">
          {parts.data && (
            <ListEditor
              one="category"
              rows={parts.data.categories}
              most={50}
              ordered
              fresh={(name) => ({ id: crypto.randomUUID(), title: name, weight: 1 })}
              onChange={(rows) => void keep('categories', rows)}
              more={(row, onSet) => (
                <>
                  <Typed
                    label={`Weight of ${row.title}`}
                    value={String(row.weight)}
                    className="input input-sm figures w-20 text-right"
                    problem={(text) => numberFrom(text, 0, 1000).problem}
                    onTyped={(text) => onSet({ ...row, weight: numberFrom(text, 0, 1000).value ?? row.weight })}
                  />
                  <span className="figures text-sm text-mute w-14 text-right">{whole > 0 ? `${Math.round((row.weight / whole) * 100)} %` : '–'}</span>
                </>
              )}
            />
          )}
        </Part>
        <Part title="Groups" about="A release can be for some groups alone. Who is in which is said beside the learners.">
          {parts.data && (
            <ListEditor
              one="group"
              rows={parts.data.groups}
              most={200}
              fresh={(name) => ({ id: crypto.randomUUID(), title: name, learners: 0 })}
              onChange={(rows) => void keepGroups(rows)}
              onRemove={(row) => void removeGroup(row)}
              more={(row) => <span className="figures text-sm text-mute whitespace-nowrap">{row.learners} in it</span>}
            />
          )}
        </Part>
      </div>
      <div>
        <CoTeachers course={course} told={told} />
        {course.right === 'own' && <Archive course={course} told={told} />}
        <Record courseId={course.id} />
      </div>
    </div>
  );
}

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
    if (told(await api('PATCH', `/api/courses/${course.id}`, { archived }))) location.reload();
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
              {typeof detail.reason === 'string' && detail.reason !== '' && <>: {detail.reason}</>}
            </li>
          ))}
        </ul>
      </Scrolls>
    </Part>
  );
}
