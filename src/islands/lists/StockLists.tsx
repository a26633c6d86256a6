import { Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { ListRow, Wire } from '../../contract';
import { readListing } from '../../core/kinds';
import { api, Field } from '../../ui';
import { failureInWords } from '../../ui/failureInWords';
import { useSaving } from '../../ui/saving';
import { toWire } from '../../ui/wire';
import { WordPictures } from './WordPictures';

export type StockList = Wire<ListRow>;

type ListContent = Pick<StockList, 'title' | 'rows' | 'pictures'>;
const linesIn = (value: unknown) => (Array.isArray(value) ? `${value.length} of them` : String(value));
const asText = (rows: StockList['rows']) => rows.map((cells) => cells.join('\t')).join('\n');
const kindOf = ({ rows }: Pick<StockList, 'rows'>) => (rows.some((cells) => cells.length > 1) ? 'pairs' : 'words');

/** Stock lists: searched by content, edited as text, deleted with undo. */
export function StockLists({ lists: given }: { lists: StockList[] }) {
  const [lists, setLists] = useState(given);
  const [sought, setSought] = useState('');
  const [open, setOpen] = useState<string | 'new' | null>(given.length === 0 ? 'new' : null);
  const words = sought.trim().toLowerCase();
  const found = lists.filter(
    ({ title, rows }) =>
      title.toLowerCase().includes(words) ||
      rows.some((cells) => cells.some((cell) => cell.toLowerCase().includes(words))),
  );
  const kept = (list: StockList) => {
    setLists((all) => [list, ...all.filter(({ id }) => id !== list.id)]);
    setOpen(null);
  };
  const remove = async (list: StockList) => {
    const done = await api('DELETE /api/lists/{id}', { id: list.id });
    if (!done.ok) return void toast.error(done.error.message, { description: done.error.nextStep });
    setLists((all) => all.filter(({ id }) => id !== list.id));
    toast(`“${list.title}” was taken away`, {
      duration: 15_000,
      action: {
        label: 'Undo',
        onClick: async () => {
          const back = await api('POST /api/lists', {
            body: { id: list.id, title: list.title, rows: list.rows, pictures: list.pictures },
          });
          if (back.ok) setLists((all) => [list, ...all]);
          else toast.error(back.error.message, { description: back.error.nextStep });
        },
      },
    });
  };
  return (
    <>
      <p className="mb-4">
        Words, pairs, or pictures with words that are used again: at the Bench, “From a list or text…” takes one whole,
        or draws from it.
      </p>
      {lists.length > 0 && (
        <Field
          label="Find"
          type="search"
          className="max-w-md mb-4"
          value={sought}
          onChange={(event) => setSought(event.target.value)}
        />
      )}
      <ul className="border-t border-rule">
        {found.map((list) => (
          <li key={list.id} className="border-b border-rule py-3">
            <div className="flex items-baseline gap-3">
              <button
                type="button"
                className="font-semibold link-brass cursor-pointer"
                aria-expanded={open === list.id}
                onClick={() => setOpen(open === list.id ? null : list.id)}
              >
                {list.title}
              </button>
              <span className="figures text-sm text-mute">
                {list.rows.length} {kindOf(list)}
                {list.pictures.length > 0 && `, ${list.pictures.length} with a picture`}
              </span>
              <span className="text-mute truncate grow">
                {list.rows
                  .slice(0, 6)
                  .map(([first]) => first)
                  .join(', ')}
              </span>
              <button
                type="button"
                className="btn btn-quiet btn-sm"
                aria-label={`Take ${list.title} away`}
                onClick={() => void remove(list)}
              >
                <Trash2 size={15} aria-hidden />
              </button>
            </div>
            {open === list.id && <Edit list={list} onKept={kept} />}
          </li>
        ))}
      </ul>
      {lists.length > 0 && found.length === 0 && <p className="py-3 text-mute">Nothing is found in them.</p>}
      {open === 'new' ? (
        <section className="mt-6" aria-label="New stock list">
          <h2 className="text-xl">New stock list</h2>
          <Edit list={null} onKept={kept} />
        </section>
      ) : (
        <button type="button" className="btn btn-primary mt-6" onClick={() => setOpen('new')}>
          New stock list
        </button>
      )}
      <Toaster position="bottom-right" />
    </>
  );
}

function Edit({ list, onKept }: { list: StockList | null; onKept: (list: StockList) => void }) {
  const [title, setTitle] = useState(list?.title ?? '');
  const [text, setText] = useState(list ? asText(list.rows) : '');
  const [pictures, setPictures] = useState(list?.pictures ?? []);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const stored = useRef(list?.revision ?? 1);
  const saving = useSaving<ListContent>({
    first: {
      revision: list?.revision ?? 1,
      content: { title: list?.title ?? '', rows: list?.rows ?? [], pictures: list?.pictures ?? [] },
    },
    write: async (content, from) => {
      const answer = await api('PUT /api/lists/{id}', { id: list?.id ?? '', body: { ...content, from } });
      if (!answer.ok) return answer;
      stored.current = answer.value.revision;
      return { ok: true, value: { revision: answer.value.revision, content } };
    },
    inWords: ({ path: [field], mine, theirs }) => ({
      where: field === 'title' ? 'The name of the list' : field === 'rows' ? 'The lines' : 'The pictures',
      mine: linesIn(mine),
      theirs: linesIn(theirs),
    }),
  });
  const save = async (content: ListContent) => {
    const saved = await saving.save(content);
    return saved && { content: saved, revision: stored.current };
  };
  const keep = async () => {
    const rows = readListing(text).rows.filter((cells) => cells.some((cell) => cell !== ''));
    if (title.trim() === '') return setProblem('Give it a name.');
    if (rows.length === 0) return setProblem('There is no line in it yet.');
    const id = list?.id ?? crypto.randomUUID();
    const still = new Set(rows.map(([first]) => first));
    const content = { title, rows, pictures: pictures.filter(({ word }) => still.has(word)) };
    setBusy(true);
    if (list) {
      const saved = await save({ ...content, title: title.trim() });
      setBusy(false);
      if (saved) onKept({ ...list, ...saved.content, revision: saved.revision, changedAt: toWire(new Date()) });
      return;
    }
    const done = await api('POST /api/lists', { body: { id, ...content } });
    setBusy(false);
    if (done.ok) onKept({ id, ...content, title: title.trim(), revision: 1, changedAt: toWire(new Date()) });
    else setProblem(failureInWords(done.error));
  };
  return (
    <form
      className="grid gap-3 mt-3 max-w-2xl"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Field
        label="Name of the list"
        value={title}
        maxLength={200}
        onChange={(event) => setTitle(event.target.value)}
      />
      <label className="grid gap-1">
        <span className="font-semibold">Lines, one a line; columns as a spreadsheet copies them</span>
        <textarea rows={8} className="textarea w-full" value={text} onChange={(event) => setText(event.target.value)} />
      </label>
      <WordPictures
        words={readListing(text).rows.flatMap(([first]) => first || [])}
        pictures={pictures}
        onChange={setPictures}
        onProblem={setProblem}
      />
      {saving.dialog}
      {(problem || saving.problem) && (
        <p role="alert" className="text-brick">
          {problem || saving.problem}
        </p>
      )}
      <div>
        <button type="submit" className="btn btn-primary btn-sm" disabled={busy}>
          Save it
        </button>
      </div>
    </form>
  );
}
