import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Toaster, toast } from 'sonner';
import { APPEARANCES, type Appearance, coTeacher } from '../../contract';
import { type ApiResult, api, ask, Field, mapped, zone } from '../../ui';
import { Confirm } from '../../ui/Confirm';
import { failureInWords } from '../../ui/failureInWords';
import { useRequestForm } from '../../ui/form';
import { Queries } from '../../ui/Queries';
import { useSaving } from '../../ui/saving';
import { LANGUAGES } from '../../words/languages';
import type { Course } from './course';
import { Letters } from './Letters';
import { MarkLog } from './MarkLog';
import { NewReleases } from './NewReleases';
import { Part, Problem } from './Part';
import { PartsEditor } from './PartsEditor';

export function CourseSettings({ course }: { course: Course }) {
  return (
    <Queries>
      <Settings course={course} />
      <Toaster position="bottom-right" />
    </Queries>
  );
}

function Settings({ course }: { course: Course }) {
  const { id } = course;
  const parts = useQuery({ queryKey: ['parts'], queryFn: () => ask('GET /api/courses/{id}/parts', { id }) });
  const told = <T,>(answer: ApiResult<T>): T | null => {
    if (answer.ok) return answer.value;
    toast.error(failureInWords(answer.error));
    return null;
  };
  return (
    <div className="grid gap-x-12 lg:grid-cols-2">
      <div>
        <Part title="Name" about="What teachers and learners see.">
          <Name course={course} />
        </Part>
        <Part
          title="Time zone"
          about="The zone the course’s times are meant in. Everybody sees times in their own; who sets them elsewhere sees both."
        >
          <Zone course={course} />
        </Part>
        <Part title="Language" about="What the learners’ pages speak in this course. A learner may choose another.">
          <Language course={course} />
        </Part>
        <Part title="Appearance" about="How the pages of an attempt look in this course, in light and in dark.">
          <Looks course={course} />
        </Part>
        {parts.error && <p className="text-brick">{parts.error.message}</p>}
        {parts.data && <PartsEditor course={course} parts={parts.data} told={told} />}
      </div>
      <div>
        <Part
          title="New releases"
          about="What the settings of a new release begin with. Each can be changed when it is published."
        >
          <NewReleases course={course} />
        </Part>
        <Part
          title="Letter grades"
          about="The overall mark as a letter, in the gradebook and in reports. None: it is a share alone."
        >
          <Letters course={course} />
        </Part>
        <CoTeachers course={course} told={told} />
        {course.right === 'own' && <Archive course={course} told={told} />}
        <MarkLog courseId={course.id} />
      </div>
    </div>
  );
}

function Name({ course }: { course: Course }) {
  const [title, setTitle] = useState(course.title);
  const { saved, save, problem, dialog } = useSaving<{ title: string }>({
    first: { revision: course.revision, content: { title: course.title } },
    write: async (content, from) =>
      mapped(
        await api('PATCH /api/courses/{id}', { id: course.id, body: { ...content, from } }),
        ({ title, revision }) => ({
          revision,
          content: { title },
        }),
      ),
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
    write: async (content, from) =>
      mapped(
        await api('PATCH /api/courses/{id}', { id: course.id, body: { ...content, from } }),
        ({ zone, revision }) => ({
          revision,
          content: { zone },
        }),
      ),
    inWords: ({ mine, theirs }) => ({
      where: 'The time zone of the course',
      mine: String(mine ?? 'none'),
      theirs: String(theirs ?? 'none'),
    }),
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
          // The name is saved on the same revision, so the page has to update it.
          if (await save({ zone: value || null })) location.reload();
        }}
      >
        <option value={NONE}>each reader’s own</option>
        {zones.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
      {problem && <Problem words={problem} />}
      {dialog}
    </>
  );
}

function Language({ course }: { course: Course }) {
  const [chosen, setChosen] = useState(course.lang);
  const { save, problem, dialog } = useSaving<{ lang: string | null }>({
    first: { revision: course.revision, content: { lang: course.lang } },
    write: async (content, from) =>
      mapped(
        await api('PATCH /api/courses/{id}', { id: course.id, body: { ...content, from } }),
        ({ lang, revision }) => ({ revision, content: { lang } }),
      ),
    inWords: ({ mine, theirs }) => ({
      where: 'The language of the course',
      mine: String(mine ?? 'none'),
      theirs: String(theirs ?? 'none'),
    }),
  });
  return (
    <>
      <select
        className="select w-full"
        aria-label="Language of the course"
        value={chosen ?? NONE}
        onChange={async ({ target: { value } }) => {
          setChosen(value || null);
          // The name is saved on the same revision, so the page has to update it.
          if (await save({ lang: value || null })) location.reload();
        }}
      >
        <option value={NONE}>each question’s, else each reader’s own</option>
        {Object.entries(LANGUAGES).map(([tag, name]) => (
          <option key={tag} value={tag} lang={tag}>
            {name}
          </option>
        ))}
      </select>
      {problem && <Problem words={problem} />}
      {dialog}
    </>
  );
}

const APPEARANCE_NAMES: Record<Appearance, string> = {
  paper: 'Paper',
  slate: 'Slate',
  fieldNotes: 'Field notes',
  highContrast: 'High contrast',
  largePrint: 'Large print',
};

function Looks({ course }: { course: Course }) {
  const [chosen, setChosen] = useState(course.appearance);
  const { save, problem, dialog } = useSaving<{ appearance: Appearance }>({
    first: { revision: course.revision, content: { appearance: course.appearance } },
    write: async (content, from) =>
      mapped(
        await api('PATCH /api/courses/{id}', { id: course.id, body: { ...content, from } }),
        ({ appearance, revision }) => ({ revision, content: { appearance } }),
      ),
    inWords: ({ mine, theirs }) => ({
      where: 'The appearance of the course',
      mine: APPEARANCE_NAMES[mine as Appearance],
      theirs: APPEARANCE_NAMES[theirs as Appearance],
    }),
  });
  return (
    <>
      <fieldset className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-2">
        <legend className="sr-only">Appearance of the course</legend>
        {APPEARANCES.map((name) => (
          <label
            key={name}
            data-appearance={name}
            className="flex flex-col gap-2 p-3 bg-paper text-ink border border-rule cursor-pointer has-checked:outline-3 has-checked:outline-ink"
          >
            <span className="flex items-center gap-2">
              <input
                type="radio"
                className="radio radio-sm"
                name="appearance"
                checked={chosen === name}
                onChange={async () => {
                  setChosen(name);
                  // The name is saved on the same revision, so the page has to update it.
                  if (await save({ appearance: name })) location.reload();
                }}
              />
              {APPEARANCE_NAMES[name]}
            </span>
            <Sample large={name === 'largePrint'} />
          </label>
        ))}
      </fieldset>
      {problem && <Problem words={problem} />}
      {dialog}
    </>
  );
}

/** A zone, an item that is right and one that is wrong, small. */
function Sample({ large }: { large: boolean }) {
  const tag = 'px-2 py-1 border border-b-3 rounded-sm bg-sheet';
  return (
    <span
      aria-hidden
      className={`flex flex-wrap gap-1 p-2 bg-sheet border border-brass ${large ? 'text-lg' : 'text-sm'}`}
    >
      <span className={`${tag} border-ink`}>Oat</span>
      <span className={`${tag} border-verdigris bg-verdigris-wash text-verdigris`}>Rye ✓</span>
      <span className={`${tag} border-brick bg-brick-wash text-brick`}>Oak ↩</span>
    </span>
  );
}

interface Told {
  course: Course;
  told: <T>(answer: ApiResult<T>) => T | null;
}

function CoTeachers({ course, told }: Told) {
  const queries = useQueryClient();
  const { id } = course;
  const teachers = useQuery({ queryKey: ['teachers'], queryFn: () => ask('GET /api/courses/{id}/teachers', { id }) });
  const { register, handleSubmit, reset, refused, formState } = useRequestForm(coTeacher.pick(['username']), {
    username: '',
  });
  const set = async (of: string, teaches: boolean) => {
    const answer = await api('PUT /api/courses/{id}/teachers', { id, body: { username: of, teaches } });
    if (!answer.ok) return teaches ? refused(answer.error) : void told(answer);
    queries.setQueryData(['teachers'], answer.value);
    if (teaches) reset();
  };
  return (
    <Part
      title="Co-teachers"
      about={`They can do all that you do here, except archive the course, choose its teachers, or erase a learner’s data. It is ${course.right === 'own' ? 'yours' : `${course.owner}’s`}.`}
    >
      <ul>
        {teachers.data?.map((one) => (
          <li key={one.id} className="flex items-center gap-2 border-b border-rule py-1.5">
            <span className="grow">{one.name}</span>
            <span className="figures text-sm text-mute">{one.username}</span>
            {course.right === 'own' && (
              <button
                type="button"
                className="btn btn-quiet btn-sm"
                onClick={() => void set(one.username ?? '', false)}
                aria-label={`${one.name} does not teach here any more`}
              >
                Take away
              </button>
            )}
          </li>
        ))}
      </ul>
      {teachers.data?.length === 0 && <p>Nobody besides {course.right === 'own' ? 'you' : course.owner}.</p>}
      {course.right === 'own' && (
        <form
          className="flex items-start gap-2 mt-3"
          noValidate
          onSubmit={handleSubmit(({ username }) => set(username.trim(), true))}
        >
          <Field
            className="grow"
            label="User name of a colleague"
            autoComplete="off"
            autoCapitalize="none"
            problem={formState.errors.username?.message ?? formState.errors.root?.message}
            {...register('username')}
          />
          <button type="submit" className="btn btn-edge mt-7" disabled={formState.isSubmitting}>
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
    if (told(await api('PATCH /api/courses/{id}', { id: course.id, body: { archived, from: course.revision } })))
      location.reload();
  };
  return (
    <Part
      title={course.archived ? 'Archived' : 'Archive the course'}
      about="Learners do not see an archived course, and nothing in it can be started. Nothing is deleted."
    >
      <button
        type="button"
        className="btn btn-edge"
        onClick={() => (course.archived ? void set(false) : setAsked(true))}
      >
        {course.archived ? 'Bring it back' : 'Archive the course…'}
      </button>
      {asked && (
        <Confirm
          title="Archive the course?"
          action="Archive the course"
          onConfirm={() => void set(true)}
          onClose={() => setAsked(false)}
        >
          <p>
            {course.learners === 1 ? 'One learner sees' : `${course.learners} learners see`} it no longer. Their answers
            stay, and you can bring the course back at any time.
          </p>
        </Confirm>
      )}
    </Part>
  );
}
