import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useDeferredValue, useRef, useState } from 'react';
import type { SetUse, Wire } from '../../contract';
import { secondsOf, totalOf } from '../../core';
import { api, ask, conflictIn, Field, moment } from '../../ui';
import { boardAddress } from '../../ui/boardAddress';
import { Queries } from '../../ui/Queries';
import { useSaving } from '../../ui/saving';
import { PublishDialog } from '../publish/PublishDialog';
import { AidChoices } from '../shared/AidChoices';
import { ExportDialog } from '../shared/ExportDialog';
import { guessingInWords } from '../shared/guessing';
import { KIND_NAMES } from '../shared/kindNames';
import { minutesInWords } from '../shared/minutesInWords';
import { type Entry, entriesIn, type SetContent, withQuestion } from './content';
import { SectionsEditor } from './SectionsEditor';
import { SourcesEditor } from './SourcesEditor';
import { useGuessing } from './useGuessing';

/** `gone`: the number of questions the teacher may not use any more. */
type Given = SetContent & {
  readonly gone: number;
  readonly revision: number;
  readonly uses: readonly Wire<SetUse>[];
};

/** A set as it is stored. Its parts have names here, so that changes of two people can be told apart. */
type Stored = Omit<SetContent, 'id' | 'sections'> & {
  sections: {
    id: string;
    title: string;
    draw: SetContent['sections'][number]['draw'];
    shuffled?: boolean | undefined;
    questions: { id: string; points: number | null }[];
  }[];
};
const stored = ({ title, goBack, aids, sections, sources }: SetContent): Stored => ({
  title,
  goBack,
  aids,
  sources,
  sections: sections.map(({ questions, ...head }, i) => ({
    ...head,
    id: `part ${i + 1}`,
    questions: questions.map(({ id, points }) => ({ id, points })),
  })),
});
const withoutId = ({ id: _, ...section }: Stored['sections'][number]) => section;
const opened = ({ sections, ...rest }: Stored, known: ReadonlyMap<string, Entry>): Omit<SetContent, 'id'> => ({
  ...rest,
  sections: sections.map(({ questions, ...section }) => ({
    ...withoutId({ ...section, questions: [] }),
    questions: questions.flatMap(({ id, points }) => {
      const one = known.get(id);
      return one ? [{ ...one, points }] : [];
    }),
  })),
});
const whereInWords = ([field, part, , id]: readonly string[], known: ReadonlyMap<string, Entry>): string =>
  field === 'title'
    ? 'The title of the set'
    : field === 'goBack'
      ? 'Going back'
      : field === 'aids'
        ? 'Learners’ aids'
        : field === 'sources'
          ? 'A source'
          : `${id ? `“${known.get(id)?.title ?? 'A question'}”` : 'What is'} in ${part ?? 'the set'}`;
const saidOf = (value: unknown): string =>
  value === null || value === undefined
    ? 'nothing'
    : typeof value === 'boolean'
      ? value
        ? 'yes'
        : 'no'
      : typeof value === 'object'
        ? 'changed'
        : typeof value === 'symbol'
          ? 'removed'
          : String(value);

/**
 * A set: its title, its questions in their order, what they count, and whether learners may go back. Every change is
 * saved at once.
 */
export function SetEditor({ set }: { set: Given }) {
  return (
    <Queries>
      <Editor set={set} />
    </Queries>
  );
}

function Editor({ set: given }: { set: Given }) {
  const [set, setSet] = useState<SetContent>(given);
  const gone = set === given ? given.gone : 0;
  const [title, setTitle] = useState(given.title);
  const [state, setState] = useState<'saved' | 'saving' | 'failed'>('saved');
  const [publishing, setPublishing] = useState(false);
  const [exporting, setExporting] = useState(false);
  // Changes go out one after another, each as a whole: the last is what stands.
  const line = useRef<Promise<boolean>>(Promise.resolve(true));
  const changes = useRef(0);

  const { save, problem, dialog } = useSaving<Stored>({
    first: { revision: given.revision, content: stored(given) },
    write: async ({ sections, ...content }, from) => {
      const answer = await api('PUT /api/sets/{id}', {
        id: given.id,
        body: { ...content, sections: sections.map(withoutId), from },
      });
      if (answer.ok) return { ok: true, value: { revision: answer.value.revision, content: { sections, ...content } } };
      const conflict = conflictIn<SetContent>(answer.error);
      if (!conflict) return answer;
      const { revision, content: theirs } = conflict;
      known.current = new Map([
        ...known.current,
        ...entriesIn(theirs.sections).map((entry) => [entry.id, entry] as const),
      ]);
      return { ok: false, error: { ...answer.error, detail: { revision, content: stored(theirs) } } };
    },
    inWords: ({ path, mine, theirs }) => ({
      where: whereInWords(path, known.current),
      mine: saidOf(mine),
      theirs: saidOf(theirs),
    }),
  });
  // The titles and marks of questions, by id.
  const known = useRef(new Map(entriesIn(given.sections).map((entry) => [entry.id, entry])));

  const keep = (next: SetContent) => {
    setSet(next);
    setState('saving');
    for (const entry of entriesIn(next.sections)) known.current.set(entry.id, entry);
    const change = ++changes.current;
    line.current = line.current.then(async () => {
      const content = stored(next);
      const saved = await save(content);
      // Not everything is saved while a later change is being sent.
      if (saved && change !== changes.current) return true;
      setState(saved ? 'saved' : 'failed');
      if (saved && JSON.stringify(saved) !== JSON.stringify(content)) {
        setSet({ ...next, ...opened(saved, known.current) });
        setTitle(saved.title);
      }
      return saved !== null;
    });
  };
  const questions = entriesIn(set.sections);
  const there = new Set(questions.map(({ id }) => id));
  return (
    <>
      <div className="flex flex-wrap items-end gap-4 mb-6">
        <Field
          className="grow max-w-2xl"
          label="Title of the set"
          value={title}
          maxLength={200}
          problem={title.trim() === '' ? 'Give it a name' : undefined}
          onChange={(event) => setTitle(event.target.value)}
          onBlur={() => title.trim() !== '' && title !== set.title && keep({ ...set, title })}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
        <p role="status" className={`figures text-sm pb-2 ${state === 'failed' ? 'text-brick' : 'text-mute'}`}>
          {state === 'saving' ? 'saving…' : state === 'failed' ? problem : 'saved'}
        </p>
        <span className="grow" />
        {questions.length > 0 && (
          <a className="btn btn-quiet" href={`/sets/${set.id}/rehearse`} target="_blank" rel="noreferrer">
            Rehearse
          </a>
        )}
        <a className="btn btn-quiet" href={boardAddress('set', set.id)} target="_blank" rel="noreferrer">
          On the board
        </a>
        <a className="btn btn-quiet" href={`/sets/${set.id}/print`}>
          Print
        </a>
        <button type="button" className="btn btn-quiet" onClick={() => setExporting(true)}>
          Export…
        </button>
        <button
          type="button"
          className="btn btn-primary"
          disabled={questions.length === 0}
          onClick={() => setPublishing(true)}
        >
          Publish…
        </button>
      </div>
      <div className="grid gap-10 lg:grid-cols-2">
        <section aria-labelledby="in-set">
          <h2 id="in-set" className="text-xl mb-2">
            Questions <span className="figures text-base text-mute">{questions.length}</span>
          </h2>
          {gone > 0 && (
            <p role="status" className="text-brick mb-2">
              {gone === 1 ? 'One question of this set is' : `${gone} questions of this set are`} not available any more:
              deleted, or not shared with you any more. With the next change they leave the set.
            </p>
          )}
          {questions.length > 0 && <Figures sections={set.sections} />}
          {questions.length === 0 && <p>Nothing is in it yet. Add questions from the Vault beside.</p>}
          <SectionsEditor sections={set.sections} onChange={(sections) => keep({ ...set, sections })} />
          <label className="flex items-center gap-2 mt-4">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={set.goBack}
              onChange={(event) => keep({ ...set, goBack: event.target.checked })}
            />
            Learners may go back to earlier questions
          </label>
          <fieldset className="mt-3">
            <legend className="font-semibold">Aids they may use with every question</legend>
            <AidChoices aids={set.aids} onChange={(aids) => keep({ ...set, aids })} />
          </fieldset>
        </section>
        <section aria-labelledby="from-vault">
          <h2 id="from-vault" className="text-xl mb-2">
            From the Vault
          </h2>
          <FromVault there={there} onAdd={(entry) => keep({ ...set, sections: withQuestion(set.sections, entry) })} />
        </section>
      </div>
      <SourcesEditor sources={set.sources} questions={questions} onChange={(sources) => keep({ ...set, sources })} />
      <UsedIn uses={given.uses} />
      {dialog}
      {exporting && <ExportDialog what={{ set: set.id }} onClose={() => setExporting(false)} />}
      {publishing && (
        <PublishDialog
          questions={questions.map(({ id }) => id)}
          onClose={() => setPublishing(false)}
          prepare={async () => {
            if (!(await line.current)) throw new Error('The last change to the set is not saved. Publish when it is.');
            return { setId: set.id };
          }}
        />
      )}
    </>
  );
}

/** The releases that were published from it. */
function UsedIn({ uses }: { uses: Given['uses'] }) {
  return (
    <section aria-labelledby="used-in" className="mt-8">
      <h2 id="used-in" className="text-xl mb-2">
        Published
      </h2>
      {uses.length === 0 ? (
        <p className="text-mute">It was not published yet.</p>
      ) : (
        <ul>
          {uses.map(({ id, title, course, at }) => (
            <li key={id} className="flex flex-wrap gap-x-3 border-b border-rule py-1.5">
              <a className="link-brass font-semibold" href={`/releases/${id}/results`}>
                {title}
              </a>
              <span className="grow">{course}</span>
              <span className="figures text-sm text-mute">{moment(new Date(at))}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** The total and what guessing earns, as they are now. */
function Figures({ sections }: { sections: SetContent['sections'] }) {
  const level = useGuessing(sections);
  return (
    <p className="figures text-sm mb-3" data-testid="set-figures">
      {totalOf(sections)} points · {minutesInWords(secondsOf(sections))}
      {level === undefined ? ' · guessing: working it out…' : level ? guessingInWords(level) : ''}
      {level && level.unsaid.length > 0 && (
        <span className="block text-mute font-sans">
          Taken as never guessed, since it cannot be said of {level.unsaid.length === 1 ? 'it' : 'them'}:{' '}
          {level.unsaid.map((title) => `“${title}”`).join(', ')}
        </span>
      )}
    </p>
  );
}

/** The search for questions to add: by titles and words, the first results. */
function FromVault({ there, onAdd }: { there: ReadonlySet<string>; onAdd: (entry: Entry) => void }) {
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const found = useQuery({
    queryKey: ['vault', words],
    queryFn: () => ask('GET /api/questions', { query: { words } }),
    placeholderData: keepPreviousData,
    staleTime: 10_000,
  });
  const rows = found.data?.rows.filter(({ id, access }) => !there.has(id) && access !== 'see') ?? [];
  const left = (found.data?.total ?? 0) - (found.data?.rows.length ?? 0);
  return (
    <>
      <Field
        label="Find in titles and words"
        type="search"
        maxLength={200}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {found.error && <p className="mt-3 text-brick">{found.error.message}</p>}
      {found.data && rows.length === 0 && (
        <p className="mt-3 text-mute">{words === '' ? 'The Vault is empty.' : 'No other question is like that.'}</p>
      )}
      <ul className="mt-2 max-h-[60vh] overflow-auto">
        {rows.map(({ id, title, kind, max, seconds }) => (
          <li key={id} className="flex items-center gap-2 border-b border-rule py-1.5">
            <span className="grow min-w-0">
              {title || 'Untitled question'}
              <span className="block text-sm text-mute">
                {KIND_NAMES[kind]} · {max} {max === 1 ? 'point' : 'points'} · {minutesInWords(seconds)}
              </span>
            </span>
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              aria-label={`Add ${title}`}
              onClick={() => onAdd({ id, title, kind, max, seconds, points: null })}
            >
              <Plus size={15} aria-hidden /> Add
            </button>
          </li>
        ))}
      </ul>
      {left > 0 && <p className="text-sm text-mute mt-1">{left} more: type to narrow it down.</p>}
    </>
  );
}
