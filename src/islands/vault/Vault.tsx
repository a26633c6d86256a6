import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { lazy, type ReactNode, useEffect, useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { ManyChange } from '../../contract';
import { MAX_AT_ONCE } from '../../contract/limits';
import { KINDS, type Kind } from '../../core';
import { Field } from '../../ui';
import { Alert } from '../../ui/Alert';
import { ask } from '../../ui/api';
import { Confirm } from '../../ui/Confirm';
import { Later } from '../../ui/Later';
import { Queries } from '../../ui/Queries';
import { useNarrow } from '../../ui/useNarrow';
import { ExportDialog } from '../shared/ExportDialog';
import { Dragging } from './Dragging';
import { DressAlike } from './DressAlike';
import { EmptyVault } from './EmptyVault';
import { ImportDialog } from './ImportDialog';
import { ManyOutcomes } from './ManyOutcomes';
import { useDelete, usePutOnto } from './moving';
import { newQuestionAt } from './newQuestion';
import { QuestionCards } from './QuestionCards';
import { QuestionList } from './QuestionList';
import { ReplaceWords } from './ReplaceWords';
import { Shelves } from './Shelves';
import {
  changeMany,
  EVERYTHING,
  type Page,
  type Shelf,
  type Sought,
  searchOf,
  soughtFrom,
  useShelves,
  useTags,
  useWrite,
} from './useVault';
import { useView, ViewSwitch } from './ViewSwitch';

const StartFrom = lazy(() => import('./StartFrom').then((m) => ({ default: m.StartFrom })));
/** The pause after the last key before a search, in milliseconds. */
const TYPING_MS = 250;

interface Props {
  /** The search in the address, and its first page from the server. */
  asked: string;
  page: Page;
  shelves: Shelf[];
}

/** The Vault: all questions, on shelves, searched by words, tags, kind, findings and use. */
export function Vault(props: Props) {
  return (
    <Queries options={{ staleTime: 20_000, retry: 1 }}>
      <Inside {...props} />
      <Toaster position="bottom-right" />
    </Queries>
  );
}

function Inside({ asked, page, shelves: given }: Props) {
  const [first] = useState(() => ({ sought: soughtFrom(new URLSearchParams(asked)), page }));
  const [sought, setSought] = useState(first.sought);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [starting, setStarting] = useState(false);
  const [chosenView, setView] = useView();
  const narrow = useNarrow();
  // The table has no room there.
  const view = narrow ? 'cards' : chosenView;
  const [importing, setImporting] = useState(false);
  const shelves = useShelves(given).data;
  const seek = (change: Partial<Sought>) => {
    // Typed words are applied with a delay; filters changed meanwhile stay.
    setSought((now) => ({ ...now, ...change }));
    if ('shelf' in change) setChosen(new Set());
    window.scrollTo({ top: 0 });
  };
  const search = searchOf(sought).toString();
  useEffect(() => history.replaceState(null, '', search === '' ? '/vault' : `/vault?${search}`), [search]);
  const here = shelves.find(({ id }) => id === sought.shelf);
  const onShelf = here?.access === 'own' ? here.id : null;
  const begin = useWrite(
    (from: { example: Kind } | { copyOf: string }) =>
      'copyOf' in from
        ? ask('POST /api/questions/{id}/copies', { id: from.copyOf, body: { id: crypto.randomUUID() } })
        : ask('POST /api/questions', {
            body: { id: crypto.randomUUID(), shelfId: onShelf, example: from.example },
          }),
    ({ id }) => location.assign(`/bench/${id}`),
  );
  const newQuestion = newQuestionAt(onShelf);
  const isAll = search === '';
  const empty = (
    <div className={`border border-rule bg-sheet px-6 ${isAll ? 'py-4' : 'py-12 text-center'}`}>
      {isAll ? (
        <EmptyVault shelfId={onShelf} />
      ) : sought.shelf === 'bin' ? (
        <p className="text-lg">The bin is empty.</p>
      ) : (
        <>
          <p className="text-lg">
            {here && searchOf({ ...sought, shelf: '', sort: '' }).toString() === ''
              ? 'Nothing stands on this shelf yet.'
              : 'No question is like that.'}
          </p>
          <button type="button" className="btn btn-edge mt-4" onClick={() => seek(EVERYTHING)}>
            Show everything
          </button>
        </>
      )}
    </div>
  );
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[15rem_minmax(0,1fr)]">
      <div className="flex flex-wrap items-baseline gap-4 lg:col-span-2">
        <h1 className="text-3xl">Vault</h1>
        <span className="grow" />
        <a className="btn btn-quiet self-center max-md:hidden" href="/outcomes">
          Outcomes
        </a>
        <button type="button" className="btn btn-quiet self-center" onClick={() => setImporting(true)}>
          Import…
        </button>
        <button
          type="button"
          className="btn btn-edge self-center"
          onClick={() => setStarting(true)}
          disabled={begin.isPending}
        >
          Start from…
        </button>
        <a className="btn btn-primary self-center" href={newQuestion}>
          <Plus size={17} aria-hidden /> New question
        </a>
      </div>
      <Dragging shelves={shelves} chosen={chosen} onMoved={() => setChosen(new Set())}>
        <Shelves
          shelves={shelves}
          chosen={sought.shelf}
          onChoose={(shelf) => seek({ ...EVERYTHING, sort: sought.sort, shelf })}
          // Whoever has chosen questions makes a shelf to put them on.
          onMade={(shelf) => chosen.size === 0 && seek({ ...EVERYTHING, sort: sought.sort, shelf })}
        />
        <section aria-label={here?.title ?? 'Questions'} className="min-w-0">
          <Filters sought={sought} onSeek={seek}>
            {!narrow && <ViewSwitch view={view} onView={setView} />}
          </Filters>
          {chosen.size > 0 && <ForChosen chosen={chosen} shelves={shelves} onDone={() => setChosen(new Set())} />}
          {sought.shelf === 'bin' && <EmptyBin />}
          {view === 'cards' ? (
            <QuestionCards sought={sought} first={first} chosen={chosen} onChoose={setChosen} empty={empty} />
          ) : (
            <QuestionList
              sought={sought}
              first={first}
              chosen={chosen}
              onChoose={setChosen}
              onSort={(sort) => seek({ sort })}
              onTag={(tag) => seek({ tag })}
              empty={empty}
            />
          )}
        </section>
      </Dragging>
      {importing && <ImportDialog onClose={() => setImporting(false)} />}
      {starting && (
        <Later onGiveUp={() => setStarting(false)}>
          <Starting onBegin={(from) => begin.mutate(from)} onClose={() => setStarting(false)} />
        </Later>
      )}
    </div>
  );
}

function Starting({
  onBegin,
  onClose,
}: {
  onBegin: (from: { example: Kind } | { copyOf: string }) => void;
  onClose: () => void;
}) {
  const own = useQuery({
    queryKey: ['vault', 'starting points'],
    queryFn: () => ask('GET /api/questions', { query: { use: 'start' } }),
    staleTime: 0,
  });
  if (own.isPending) return null;
  return <StartFrom own={own.data?.rows ?? []} onBegin={onBegin} onClose={onClose} />;
}

/** The filters of the list. */
function Filters({
  sought,
  onSeek,
  children,
}: {
  sought: Sought;
  onSeek: (change: Partial<Sought>) => void;
  children: ReactNode;
}) {
  const [words, setWords] = useState(sought.words);
  const tags = useTags().data ?? [];
  // biome-ignore lint/correctness/useExhaustiveDependencies: from the last key on
  useEffect(() => {
    if (words === sought.words) return;
    const timer = setTimeout(() => onSeek({ words }), TYPING_MS);
    return () => clearTimeout(timer);
  }, [words]);
  useEffect(() => setWords(sought.words), [sought.words]);
  const choice = (name: keyof Sought, label: string, options: readonly (readonly [string, string])[]) => (
    <select
      aria-label={label}
      className="select w-33"
      value={sought[name]}
      onChange={(event) => onSeek({ [name]: event.target.value })}
    >
      <option value="">{label}</option>
      {options.map(([value, said]) => (
        <option key={value} value={value}>
          {said}
        </option>
      ))}
    </select>
  );
  return (
    <search className="flex flex-wrap items-end gap-2 mb-3">
      <Field
        label="Find in titles and words"
        type="search"
        className="grow min-w-40"
        value={words}
        maxLength={200}
        onChange={(event) => setWords(event.target.value)}
      />
      {choice(
        'kind',
        'any kind',
        KINDS.map((kind) => [kind, kind[0]?.toUpperCase() + kind.slice(1)]),
      )}
      {choice('findings', 'any findings', [
        ['error', 'with errors'],
        ['warning', 'with something in the way'],
        ['none', 'with nothing in the way'],
      ])}
      {choice('use', 'used or not', [
        ['used', 'used somewhere'],
        ['unused', 'used nowhere'],
      ])}
      {(tags.length > 0 || sought.tag !== '') &&
        choice(
          'tag',
          'any tag',
          (tags.some(({ tag }) => tag === sought.tag) || sought.tag === ''
            ? tags
            : [{ tag: sought.tag, questions: 0 }, ...tags]
          ).map(({ tag, questions }) => [tag, `${tag} (${questions})`]),
        )}
      {children}
    </search>
  );
}

/** Actions on all chosen questions. */
function ForChosen({
  chosen,
  shelves,
  onDone,
}: {
  chosen: ReadonlySet<string>;
  shelves: readonly Shelf[];
  onDone: () => void;
}) {
  const [tag, setTag] = useState('');
  const [open, setOpen] = useState<'words' | 'dress' | 'export' | 'outcomes' | null>(null);
  const ids = [...chosen];
  const change = useWrite((made: Omit<ManyChange, 'ids'>) => changeMany({ ids, ...made }), onDone);
  const putOnto = usePutOnto(shelves, onDone);
  const remove = useDelete(onDone);
  return (
    <Alert
      tone="notice"
      className="flex flex-wrap items-center gap-2 mb-3"
      role="toolbar"
      aria-label="For what is chosen"
    >
      <span className="figures">{chosen.size} chosen</span>
      <fieldset className="contents" disabled={change.isPending || putOnto.isPending || remove.isPending}>
        <select
          aria-label="Put onto a shelf"
          className="select select-sm w-44"
          value=""
          onChange={(event) =>
            event.target.value !== '' &&
            putOnto.mutate({ ids, shelfId: event.target.value === 'none' ? null : event.target.value })
          }
        >
          <option value="">put onto…</option>
          <option value="none">no shelf</option>
          {shelves
            .filter(({ access }) => access === 'own')
            .map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
        </select>
        <form
          className="flex gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            if (tag.trim() !== '') change.mutate({ addTags: [tag.trim()] });
            setTag('');
          }}
        >
          <input
            aria-label="Tag"
            placeholder="tag"
            maxLength={60}
            className="input input-sm w-32"
            value={tag}
            onChange={(event) => setTag(event.target.value)}
          />
          <button type="submit" className="btn btn-edge btn-sm" disabled={tag.trim() === ''}>
            Add
          </button>
          <button
            type="button"
            className="btn btn-quiet btn-sm"
            disabled={tag.trim() === ''}
            onClick={() => change.mutate({ removeTags: [tag.trim()] })}
          >
            Take off
          </button>
        </form>
        <button type="button" className="btn btn-quiet btn-sm" onClick={() => setOpen('export')}>
          Export…
        </button>
        <button type="button" className="btn btn-quiet btn-sm" onClick={() => setOpen('outcomes')}>
          Outcomes…
        </button>
        <button type="button" className="btn btn-quiet btn-sm" onClick={() => setOpen('words')}>
          Replace a word…
        </button>
        <button type="button" className="btn btn-quiet btn-sm" onClick={() => setOpen('dress')}>
          Dress alike…
        </button>
        <button type="button" className="btn btn-quiet btn-sm" onClick={() => remove.mutate({ ids })}>
          Delete
        </button>
      </fieldset>
      <span className="grow" />
      <button type="button" className="btn btn-quiet btn-sm" onClick={onDone}>
        Choose none
      </button>
      {open === 'export' && (
        <ExportDialog what={{ questions: ids.slice(0, MAX_AT_ONCE).join(',') }} onClose={() => setOpen(null)} />
      )}
      {open === 'outcomes' && <ManyOutcomes ids={ids.slice(0, MAX_AT_ONCE)} onClose={() => setOpen(null)} />}
      {open === 'words' && <ReplaceWords ids={ids.slice(0, MAX_AT_ONCE)} onClose={() => setOpen(null)} />}
      {open === 'dress' && <DressAlike ids={ids.slice(0, MAX_AT_ONCE)} onClose={() => setOpen(null)} />}
    </Alert>
  );
}

/** Empties the bin for good, after a confirmation. */
function EmptyBin() {
  const [asking, setAsking] = useState(false);
  const empty = useWrite(
    () => ask('DELETE /api/bin'),
    ({ questions }) => {
      setAsking(false);
      toast(`${questions} gone for good`);
    },
  );
  return (
    <p className="flex items-center gap-3 mb-3">
      <span className="text-mute">What was deleted stays here until the bin is emptied.</span>
      <button type="button" className="btn btn-edge btn-sm" onClick={() => setAsking(true)}>
        Empty the bin…
      </button>
      {asking && (
        <Confirm
          title="Empty the bin?"
          action="Empty it"
          onConfirm={() => empty.mutate(undefined)}
          onClose={() => setAsking(false)}
          disabled={empty.isPending}
          forGood
        >
          <p>
            The questions in it and their versions are gone then, and cannot be brought back. What was published of them
            stays with its releases.
          </p>
        </Confirm>
      )}
    </p>
  );
}
