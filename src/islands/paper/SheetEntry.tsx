import { useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { MAX_VARIANT, type SheetEntered, type SheetLearner, type SheetView } from '../../contract';
import type { SheetAnswer } from '../../core';
import { type ApiError, api, ask, asTypedDay, Field, typedTime } from '../../ui';
import { Alert } from '../../ui/Alert';
import { errorInWords } from '../../ui/errorInWords';
import { Queries } from '../../ui/Queries';
import { useUnsaved } from '../../ui/useUnsaved';
import { toWire } from '../../ui/wire';
import { SheetQuestionFields } from './SheetQuestionFields';
import { blankAnswers, isWritten, problemsAt } from './written';

interface Props {
  id: string;
  /** The first variant. */
  sheet: SheetView;
}

/** Types in sheets of a release, one learner after another. */
export function SheetEntry(props: Props) {
  return (
    <Queries>
      <Entering {...props} />
    </Queries>
  );
}

interface Typed extends SheetEntered {
  readonly name: string;
}

function Entering({ id, sheet: first }: Props) {
  const [variant, setVariant] = useState(1);
  const [head, setHead] = useState<Head>({ learnerId: '', day: asTypedDay(new Date()) });
  const sheet = useQuery({
    queryKey: ['sheet', id, variant],
    queryFn: () => ask('GET /api/releases/{id}/paper', { id, query: { variant } }),
    initialData: variant === first.variant ? first : undefined,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const learners = useQuery({
    queryKey: ['sheetLearners', id],
    queryFn: () => ask('GET /api/releases/{id}/paper/learners', { id }),
  });
  if (learners.isError) return <Alert tone="problem">{learners.error.message}</Alert>;
  if (!learners.data) return <p role="status">Opening…</p>;
  if (learners.data.length === 0)
    return <p className="mt-4">Nobody is in the course yet: a sheet belongs to a learner of the course.</p>;
  return (
    <Form
      key={`${variant} ${sheet.data ? 'open' : ''}`}
      id={id}
      variant={variant}
      onVariant={setVariant}
      head={head}
      onHead={setHead}
      sheet={sheet.data ?? null}
      problem={sheet.isError ? sheet.error.message : null}
      learners={learners.data}
      onEntered={() => void learners.refetch()}
    />
  );
}

/** Whose sheet it is, and the day on which it was written. Another variant has the same. */
interface Head {
  readonly learnerId: string;
  readonly day: string;
}

interface FormProps {
  id: string;
  variant: number;
  onVariant: (variant: number) => void;
  head: Head;
  onHead: (head: Head) => void;
  sheet: SheetView | null;
  problem: string | null;
  learners: readonly SheetLearner[];
  onEntered: () => void;
}

function Form({ id, variant, onVariant, head, onHead, sheet, problem, learners, onEntered }: FormProps) {
  const { learnerId, day } = head;
  const [isAnother, setIsAnother] = useState(false);
  const [answers, setAnswers] = useState<readonly SheetAnswer[]>(() => blankAnswers(sheet));
  const [error, setError] = useState<ApiError | null>(null);
  const [entered, setEntered] = useState<Typed | null>(null);
  const [isSending, setIsSending] = useState(false);
  // The same attempt, however often it is sent.
  const next = useRef(crypto.randomUUID());
  const whose = useRef<HTMLSelectElement>(null);
  const form = useRef<HTMLFormElement>(null);
  // To the first thing that cannot be read.
  useEffect(() => {
    if (error) form.current?.querySelector<HTMLInputElement>('[aria-invalid="true"]')?.focus();
  }, [error]);
  const learner = learners.find((candidate) => candidate.learnerId === learnerId);
  const before = isAnother ? null : (learner?.entered ?? null);
  const blank = useMemo(() => blankAnswers(sheet), [sheet]);
  const isBegun = isWritten(answers, blank);
  useUnsaved(isBegun);

  async function send() {
    if (!learner) return whose.current?.focus();
    setIsSending(true);
    const today = asTypedDay(new Date());
    const answer = await api('POST /api/releases/{id}/paper', {
      id,
      body: {
        ...{ id: before?.sittingId ?? next.current, learnerId, variant, answers: [...answers] },
        // The end of a day gone by counts as when it was written.
        writtenAt: day === today ? null : toWire(typedTime(`${day}T23:59`)),
      },
    });
    setIsSending(false);
    setError(answer.ok ? null : answer.error);
    if (!answer.ok) return;
    setEntered({ ...answer.value, name: learner.name });
    next.current = crypto.randomUUID();
    setAnswers(blank);
    onHead({ learnerId: '', day });
    setIsAnother(false);
    onEntered();
    whose.current?.focus();
  }

  return (
    <form
      ref={form}
      className="mt-4"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
      onKeyDown={toNextField}
    >
      <p className="text-mute max-w-3xl">
        Learners write letters at numbers. Type in what they wrote: it is judged as on the page, and counts as an
        attempt. Enter goes on to the next field.
      </p>
      <div className="grid gap-4 mt-4 md:grid-cols-[10rem_1fr_12rem]">
        <Field
          label="Variant of the sheet"
          type="number"
          min={1}
          max={MAX_VARIANT}
          value={variant}
          disabled={isBegun}
          hint={isBegun ? 'Type this sheet in first, or clear it.' : undefined}
          onChange={({ target }) => {
            const wanted = Number(target.value);
            if (Number.isInteger(wanted) && wanted >= 1 && wanted <= MAX_VARIANT) onVariant(wanted);
          }}
        />
        <label className="flex flex-col gap-1">
          <span className="font-semibold">Learner</span>
          <select
            ref={whose}
            className="select w-full"
            value={learnerId}
            required
            onChange={({ target }) => {
              onHead({ learnerId: target.value, day });
              setIsAnother(false);
            }}
          >
            <option value="">Whose sheet is it?</option>
            {learners.map(({ learnerId: value, name, entered: known }) => (
              <option key={value} value={value}>
                {name}
                {known ? ` (typed in: ${known.points})` : ''}
              </option>
            ))}
          </select>
        </label>
        <Field
          label="Written on"
          type="date"
          value={day}
          max={asTypedDay(new Date())}
          required
          onChange={({ target }) => onHead({ learnerId, day: target.value })}
        />
      </div>
      {learner?.entered && (
        <Alert tone="notice" className="mt-4">
          <p>
            A sheet of variant {learner.entered.variant} was typed in for <bdi>{learner.name}</bdi>:{' '}
            {pointsOf(learner.entered.points)}. What you type in now takes its place.
          </p>
          <label className="flex items-center gap-2 mt-1">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={isAnother}
              onChange={({ target }) => setIsAnother(target.checked)}
            />
            It is another sheet: it counts as one more attempt
          </label>
        </Alert>
      )}
      {problem && <Alert tone="problem">{problem}</Alert>}
      {!sheet && !problem && <p role="status">Opening the variant…</p>}
      {sheet?.questions.map((question, i) => (
        <SheetQuestionFields
          key={question.document.id}
          question={question}
          number={i + 1}
          answer={answers[i] ?? { places: [], marks: [] }}
          problems={problemsAt(error, i)}
          onChange={(answer) => setAnswers(sheet.questions.map((_, n) => (n === i ? answer : (answers[n] ?? EMPTY))))}
        />
      ))}
      {error && (
        <Alert tone="problem" className="mt-4" role="alert">
          {error.problems?.length ? 'It is not saved yet: something cannot be read. See above.' : errorInWords(error)}
          {error.problems?.filter(({ path }) => !path.startsWith('answers')).map(({ message }) => ` ${message}`)}
        </Alert>
      )}
      <div className="flex flex-wrap items-center gap-4 mt-6">
        <button type="submit" className="btn btn-primary" disabled={isSending || !sheet}>
          {before ? 'Type it in anew' : 'Type it in'}
        </button>
        {isBegun && (
          <button type="button" className="btn btn-quiet" onClick={() => setAnswers(blank)}>
            Clear
          </button>
        )}
        <p role="status">
          {entered && (
            <>
              <bdi>{entered.name}</bdi>: {entered.points} of {pointsOf(entered.outOf)}, attempt {entered.number}.
            </>
          )}
        </p>
      </div>
    </form>
  );
}

const EMPTY: SheetAnswer = { places: [], marks: [] };

const pointsOf = (n: number) => (n === 1 ? '1 point' : `${n} points`);

/** Enter goes on from field to field; from the last it sends. */
function toNextField(event: KeyboardEvent<HTMLFormElement>): void {
  const from = event.target;
  if (event.key !== 'Enter' || !(from instanceof HTMLInputElement) || from.type === 'checkbox') return;
  const fields = [...event.currentTarget.querySelectorAll<HTMLInputElement>('input[type="text"]')];
  const next = fields[fields.indexOf(from) + 1];
  if (!next) return;
  event.preventDefault();
  next.focus();
  next.select();
}
