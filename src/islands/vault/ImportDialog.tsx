import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type ChangeEvent, useState } from 'react';
import type { Imported, LookedAtPackage } from '../../contract';
import { tickedPlaces } from '../../contract/places';
import { ApiFailure, ask, Dialog, Scrolls } from '../../ui';
import { Alert } from '../../ui/Alert';
import { counted } from '../../ui/counted';
import { failureInWords } from '../../ui/failureInWords';
import { ArrivingList } from './ArrivingList';
import { questionsInWords } from './inWords';

interface Sent {
  file: File;
  id: string;
  look: boolean;
  questions?: string | undefined;
  sets?: string | undefined;
}
const send = ({ file, ...query }: Sent) => ask('POST /api/packages', { file, query });

const NONE: ReadonlySet<number> = new Set();
const toggled = (set: ReadonlySet<number>, place: number, isIn: boolean): ReadonlySet<number> => {
  const next = new Set(set);
  if (isIn) next.add(place);
  else next.delete(place);
  return next;
};

/** Imports a package: shows first what it holds and what each part becomes, and takes what is ticked. */
export function ImportDialog({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  // The same file sent again (after being offline) is imported once.
  const [id, setId] = useState(() => crypto.randomUUID());
  const [file, setFile] = useState<File | null>(null);
  const [leftOut, setLeftOut] = useState(NONE);
  const [setsLeftOut, setSetsLeftOut] = useState(NONE);
  const looking = useMutation({ mutationFn: send });
  const taking = useMutation({ mutationFn: send, onSuccess: () => client.invalidateQueries() });
  const looked = looking.data && 'form' in looking.data ? looking.data : null;
  const done = taking.data && 'media' in taking.data ? taking.data : null;

  const choose = ({ target }: ChangeEvent<HTMLInputElement>) => {
    const chosen = target.files?.[0] ?? null;
    const fresh = crypto.randomUUID();
    setFile(chosen);
    setId(fresh);
    setLeftOut(NONE);
    setSetsLeftOut(NONE);
    taking.reset();
    looking.reset();
    if (chosen) looking.mutate({ file: chosen, id: fresh, look: true });
  };
  const error = taking.error ?? looking.error;
  const problem =
    error instanceof ApiFailure ? failureInWords(error.error) : error && 'The file could not be sent. Try again.';
  const isTaken = (place: number) => !leftOut.has(place) && looked?.questions[place]?.refused === null;
  const taken = looked?.questions.filter((_, place) => isTaken(place)).length ?? 0;
  const setsTaken = (looked?.sets.length ?? 0) - setsLeftOut.size;

  return (
    <Dialog title="Import" wide onClose={onClose}>
      <p>
        A package of questions, sets and shelves, as it was exported here or elsewhere, or a package of QTI 3.0, 2.2 or
        2.1 from another program. It comes in beside what is there: nothing is overwritten.
      </p>
      <label className="grid gap-1 mt-3">
        <span className="font-semibold">File (.zip)</span>
        <input type="file" accept=".zip,application/zip" className="file-input w-full" onChange={choose} />
      </label>
      <p role="status" className={looking.isPending ? 'mt-3' : ''}>
        {looking.isPending && 'Looking at what is in it…'}
      </p>
      {problem && (
        <Alert tone="problem" className="mt-2" role="alert">
          {problem}
        </Alert>
      )}
      {done ? (
        <Report done={done} />
      ) : (
        looked && (
          <section aria-label="What is in it" className="mt-3">
            <Arriving
              {...{ looked, leftOut, setsLeftOut, taken }}
              onLeaveOut={setLeftOut}
              onLeaveSetsOut={setSetsLeftOut}
            />
          </section>
        )
      )}
      <div className="flex justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          {done ? 'Done' : 'Cancel'}
        </button>
        {!done && (
          <button
            type="button"
            className="btn btn-primary"
            disabled={!file || !looked || (taken === 0 && setsTaken === 0 && looked.shelves === 0) || taking.isPending}
            onClick={() =>
              file &&
              looked &&
              taking.mutate({
                ...{ file, id, look: false },
                questions: leftOut.size === 0 ? undefined : tickedPlaces(looked.questions.length, leftOut),
                sets: setsLeftOut.size === 0 ? undefined : tickedPlaces(looked.sets.length, setsLeftOut),
              })
            }
          >
            {taking.isPending ? 'Taking it in…' : 'Import what is ticked'}
          </button>
        )}
      </div>
    </Dialog>
  );
}

interface ArrivingProps {
  looked: LookedAtPackage;
  leftOut: ReadonlySet<number>;
  setsLeftOut: ReadonlySet<number>;
  /** How many questions are ticked. */
  taken: number;
  onLeaveOut: (leftOut: ReadonlySet<number>) => void;
  onLeaveSetsOut: (leftOut: ReadonlySet<number>) => void;
}

function Arriving({ looked, leftOut, setsLeftOut, taken, onLeaveOut, onLeaveSetsOut }: ArrivingProps) {
  const { form, questions, sets, shelves, left, pictures } = looked;
  return (
    <>
      <div className="flex flex-wrap gap-x-3 items-center">
        <p className="font-semibold grow">
          {form === 'qti' ? 'Items of QTI' : 'A package of Vault Drop'}: {questionsInWords(questions.length)}
          {sets.length > 0 && `, ${counted(sets.length, 'set', 'sets')}`}
          {shelves > 0 && `, ${counted(shelves, 'shelf', 'shelves')}`}
        </p>
        {questions.length > 1 && (
          <>
            <button type="button" className="btn btn-quiet btn-sm" onClick={() => onLeaveOut(NONE)}>
              Tick all
            </button>
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              onClick={() => onLeaveOut(new Set(questions.keys()))}
            >
              Tick none
            </button>
          </>
        )}
      </div>
      {questions.length > 0 && (
        <ArrivingList
          {...{ questions, pictures, leftOut }}
          onTick={(place, ticked) => onLeaveOut(toggled(leftOut, place, !ticked))}
        />
      )}
      {sets.length > 0 && (
        <fieldset className="mt-3">
          <legend className="font-semibold">Sets</legend>
          {sets.map(({ title, questions: n, approximations }, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a set of a package is known by its place alone
            <label key={place} className="flex gap-3 items-start py-1">
              <input
                type="checkbox"
                className="checkbox checkbox-sm mt-1"
                checked={!setsLeftOut.has(place)}
                onChange={({ target }) => onLeaveSetsOut(toggled(setsLeftOut, place, !target.checked))}
              />
              <span>
                <span dir="auto">{title}</span>
                <span className="text-mute text-sm"> · {questionsInWords(n)}</span>
                {approximations.map((message) => (
                  <span key={message} className="block text-sm">
                    {message}
                  </span>
                ))}
              </span>
            </label>
          ))}
          {taken < questions.length && setsLeftOut.size < sets.length && (
            <p className="text-sm text-mute">A set comes in with those of its questions that are taken.</p>
          )}
        </fieldset>
      )}
      <Sentences
        title={`${counted(left.length, 'part', 'parts')} cannot be read:`}
        label="What cannot be read"
        rows={left.map(({ file, message }) => [file, message] as const)}
      />
    </>
  );
}

function Report({ done }: { done: Imported }) {
  return (
    <section aria-label="What came in" className="mt-3" role="status">
      <p className="font-semibold">
        {[
          questionsInWords(done.questions.length),
          counted(done.sets.length, 'set', 'sets'),
          done.shelves > 0 ? counted(done.shelves, 'shelf', 'shelves') : '',
          counted(done.media, 'medium', 'media'),
        ]
          .filter(Boolean)
          .join(', ')}{' '}
        came in.
      </p>
      <Sentences
        title={`${counted(done.left.length, 'file', 'files')} did not:`}
        label="What did not come in"
        rows={done.left.map(({ file, message }) => [file, message] as const)}
      />
      <Sentences
        title="These came in otherwise than they were:"
        label="What came in otherwise"
        rows={done.approximated.map(({ title, message }) => [title, message] as const)}
      />
    </section>
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
              <span dir="auto" className="font-semibold wrap-anywhere">
                {name}
              </span>{' '}
              {message}
            </li>
          ))}
        </ul>
      </Scrolls>
    </>
  );
}
