import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type ChangeEvent, useState } from 'react';
import { ApiFailure, ask, Dialog, Scrolls } from '../../ui';
import { Alert } from '../../ui/Alert';

const send = ({ file, id }: { file: File; id: string }) => ask('POST /api/packages', { file, query: { id } });

const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

/** Imports a package, and reports what was imported and what was not. Nothing existing is changed. */
export function ImportDialog({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  // The same file sent again (after being offline) is imported once.
  const [id, setId] = useState(() => crypto.randomUUID());
  const [file, setFile] = useState<File | null>(null);
  const sending = useMutation({ mutationFn: send, onSuccess: () => client.invalidateQueries() });
  const done = sending.data;
  const choose = ({ target }: ChangeEvent<HTMLInputElement>) => {
    setFile(target.files?.[0] ?? null);
    setId(crypto.randomUUID());
    sending.reset();
  };
  const problem =
    sending.error instanceof ApiFailure
      ? (sending.error.error.problems?.[0]?.message ?? sending.error.message)
      : sending.error && 'The file could not be sent. Try again.';
  return (
    <Dialog title="Import" onClose={onClose}>
      <p>
        A package of questions, sets and shelves, as it was exported here or elsewhere, or a package of QTI 3.0, 2.2 or
        2.1 from another program. It comes in beside what is there: nothing is overwritten.
      </p>
      <label className="grid gap-1 mt-3">
        <span className="font-semibold">File (.zip)</span>
        <input type="file" accept=".zip,application/zip" className="file-input w-full" onChange={choose} />
      </label>
      {problem && (
        <Alert tone="problem" className="mt-2" role="alert">
          {problem}
        </Alert>
      )}
      {done && (
        <section aria-label="What came in" className="mt-3" role="status">
          <p className="font-semibold">
            {[
              count(done.questions.length, 'question'),
              count(done.sets.length, 'set'),
              done.shelves > 0 ? `${done.shelves} ${done.shelves === 1 ? 'shelf' : 'shelves'}` : '',
              count(done.media, 'medium').replace('mediums', 'media'),
            ]
              .filter(Boolean)
              .join(', ')}{' '}
            came in.
          </p>
          <Sentences
            title={`${count(done.left.length, 'file')} did not:`}
            label="What did not come in"
            rows={done.left.map(({ file: name, message }) => [name, message] as const)}
          />
          <Sentences
            title="These came in otherwise than they were:"
            label="What came in otherwise"
            rows={done.approximated.map(({ title, message }) => [title, message] as const)}
          />
        </section>
      )}
      <div className="flex justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          {done ? 'Done' : 'Cancel'}
        </button>
        {!done && (
          <button
            type="button"
            className="btn btn-primary"
            disabled={!file || sending.isPending}
            onClick={() => file && sending.mutate({ file, id })}
          >
            {sending.isPending ? 'Taking it in…' : 'Import it'}
          </button>
        )}
      </div>
    </Dialog>
  );
}

/** What is said of parts of a package; nothing where there is nothing to say. */
function Sentences({
  title,
  label,
  rows,
}: {
  title: string;
  label: string;
  rows: readonly (readonly [name: string, message: string])[];
}) {
  if (rows.length === 0) return null;
  return (
    <>
      <p className="mt-2">{title}</p>
      <Scrolls label={label} className="max-h-48">
        <ul className="list-disc ps-6">
          {rows.map(([name, message]) => (
            <li key={`${name} ${message}`}>
              <span className="figures text-sm">{name}</span> {message}
            </li>
          ))}
        </ul>
      </Scrolls>
    </>
  );
}
