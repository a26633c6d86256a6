import { type FormEvent, useState } from 'react';
import { toast } from 'sonner';
import type { WordsReplaced } from '../../contract';
import { Field } from '../../ui';
import { Alert } from '../../ui/Alert';
import { ask } from '../../ui/api';
import { Dialog } from '../../ui/Dialog';
import { questionsInWords as plural } from './inWords';
import { sayManyChanged } from './manyChanged';
import { useWrite } from './useVault';

/** A word is replaced in the chosen questions: first it is seen where, then it is done, and can be taken back. */
export function ReplaceWords({ ids, onClose }: { ids: readonly string[]; onClose: () => void }) {
  const [find, setFind] = useState('');
  const [to, setTo] = useState('');
  const [wholeWords, setWholeWords] = useState(true);
  const [matchCase, setMatchCase] = useState(false);
  const [seen, setSeen] = useState<WordsReplaced | null>(null);
  const asked = { ids: [...ids], find, to, wholeWords, matchCase };
  const look = useWrite(
    () => ask('POST /api/questions/words', { body: { ...asked, apply: false } }),
    (found) => setSeen(found),
  );
  const back = useWrite(
    (done: { id: string; revision: number }[]) => ask('DELETE /api/questions/words', { body: { done } }),
    ({ questions }) => toast(`Taken back in ${plural(questions)}`),
  );
  const replace = useWrite(
    () => ask('POST /api/questions/words', { body: { ...asked, apply: true } }),
    ({ questions }) => {
      sayManyChanged(questions, { done: (n) => `Replaced in ${n}`, refused: (n) => `Not in ${n}` }, back.mutate);
      onClose();
    },
  );
  const changed = (set: () => void) => {
    set();
    // What was seen was of other words.
    setSeen(null);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (find !== '') look.mutate(undefined);
  };
  const places = seen?.questions.reduce((sum, { count }) => sum + count, 0) ?? 0;
  return (
    <Dialog title={`Replace a word in ${plural(ids.length)}`} onClose={onClose} wide>
      <form onSubmit={submit} className="grid grid-cols-2 gap-3">
        <Field
          label="Find"
          value={find}
          maxLength={200}
          data-autofocus
          onChange={(event) => changed(() => setFind(event.target.value))}
        />
        <Field
          label="Replace it by"
          value={to}
          maxLength={200}
          onChange={(event) => changed(() => setTo(event.target.value))}
        />
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={wholeWords}
            onChange={(event) => changed(() => setWholeWords(event.target.checked))}
          />
          whole words alone
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={matchCase}
            onChange={(event) => changed(() => setMatchCase(event.target.checked))}
          />
          capitals as they stand here
        </label>
        <button type="submit" className="btn btn-edge justify-self-start" disabled={find === '' || look.isPending}>
          See where
        </button>
      </form>
      {seen?.questions.length === 0 && (
        <Alert tone="notice" className="mt-3">
          It stands in none of them.
        </Alert>
      )}
      {seen && seen.questions.length > 0 && (
        <ul className="mt-3 max-h-[40vh] overflow-auto border-t border-rule" aria-label="Where it stands">
          {seen.questions.map(({ id, title, count, places: some, refused }) => (
            <li key={id} className="py-1 border-b border-rule">
              <span className="font-semibold">{title}</span> <span className="figures text-sm text-mute">{count}</span>
              {refused && <span className="text-brick text-sm"> {refused}</span>}
              {some.map(({ before, after }, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a place is its number in the list
                <p key={i} className="text-sm">
                  <span className="text-mute line-through">{before}</span> {after}
                </p>
              ))}
            </li>
          ))}
        </ul>
      )}
      <div className="flex justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-primary"
          disabled={places === 0 || replace.isPending}
          onClick={() => replace.mutate(undefined)}
        >
          {places === 0 ? 'Replace' : `Replace in ${places === 1 ? '1 place' : `${places} places`}`}
        </button>
      </div>
    </Dialog>
  );
}
