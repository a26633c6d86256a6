import { useEffect, useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { CorrectionPreview, CorrectionView, JsonText, Wire } from '../../contract';
import { falls } from '../../core';
import { type ApiError, api, Dialog, moment, shownMark } from '../../ui';
import type { ApiResult } from '../../ui/api';
import { Confirm } from '../../ui/Confirm';
import { fromJson } from '../../ui/wire';
import { changesInWords } from '../shared/changesInWords';
import { type Change, CorrectQuestion } from './CorrectQuestion';
import { keyInWords } from './keyInWords';
import { MarkChanges } from './MarkChanges';

export type View = Wire<CorrectionView>;
type Preview = Wire<CorrectionPreview>;

const inWords = ({ message, problems, nextStep }: ApiError) =>
  `${message}. ${problems?.map((problem) => problem.message).join(' ') ?? nextStep}`;

/**
 * The corrections page. `json`: the view as one text (see `ui/wire.ts`); null: it is large and loaded after the page.
 */
export function Corrections({ id, json }: { id: string; json: JsonText<CorrectionView> | null }) {
  const [view, setView] = useState<View | null>(() => (json === null ? null : fromJson(json)));
  const [problem, setProblem] = useState('');
  useEffect(() => {
    if (json !== null) return;
    void api('GET /api/releases/{id}/editions', { id }).then((answer) =>
      answer.ok ? setView(answer.value) : setProblem(inWords(answer.error)),
    );
  }, [id, json]);
  if (view) return <Correcting view={view} onChange={setView} />;
  return problem ? (
    <p role="alert" className="text-brick">
      {problem}
    </p>
  ) : (
    <p role="status" className="text-mute">
      Setting up…
    </p>
  );
}

/** A question by its place, with a spelling to accept in a zone, or to be taken from the Vault. */
interface Aim {
  readonly question: number;
  readonly zone: string;
  readonly text: string;
  readonly fromVault: boolean;
}
const NO_AIM: Aim = { question: -1, zone: '', text: '', fromVault: false };

function aimIn(search: URLSearchParams): Aim {
  const question = Number(search.get('question') ?? -1);
  return {
    question: Number.isInteger(question) ? question : -1,
    zone: search.get('zone') ?? '',
    text: (search.get('spelling') ?? '').slice(0, 200),
    fromVault: search.get('from') === 'vault',
  };
}

/**
 * The editions of a release, and a correction: shown as a difference with its effect on marks, before anything is
 * changed.
 */
function Correcting({ view, onChange: setView }: { view: View; onChange: (view: View) => void }) {
  const [changes, setChanges] = useState<ReadonlyMap<number, Change>>(new Map());
  const [reason, setReason] = useState('');
  const [preview, setPreview] = useState<Preview | null>(null);
  const [applying, setApplying] = useState<Preview | null>(null);
  const [spare, setSpare] = useState(true);
  const [busy, setBusy] = useState(false);
  const { id } = view.release;
  const [aim, setAim] = useState(NO_AIM);
  // What the results, or the Bench, sent the teacher here for: once, as the page is opened.
  // biome-ignore lint/correctness/useExhaustiveDependencies: see above
  useEffect(() => {
    const found = aimIn(new URLSearchParams(location.search));
    setAim(found);
    if (found.fromVault && view.questions[found.question]?.vault?.fits)
      setChanges((all) => new Map(all).set(found.question, { strike: false, fromVault: true, accept: [] }));
  }, []);
  const body = (number: number | null) => ({
    reason,
    number,
    changes: [...changes].map(([question, change]) => ({ question, ...change })),
  });
  const changeOf = (i: number): Change =>
    changes.get(i) ?? { strike: view.questions[i]?.struck ?? false, fromVault: false, accept: [] };
  const set = (i: number, to: Partial<Change>) => setChanges((all) => new Map(all).set(i, { ...changeOf(i), ...to }));
  const again = async () => {
    const now = await api('GET /api/releases/{id}/editions', { id });
    if (now.ok) setView(now.value);
  };
  const doing = async <T,>(asked: Promise<ApiResult<T>>, then: (value: T) => void | Promise<void>) => {
    setBusy(true);
    const answer = await asked;
    setBusy(false);
    if (answer.ok) await then(answer.value);
    else toast.error(inWords(answer.error));
  };
  const applied = (number: number) =>
    api('PUT /api/releases/{id}/editions/{number}', { id, number: String(number), body: { spare } });
  const make = (apply: boolean) =>
    preview &&
    void doing(api('POST /api/releases/{id}/editions', { id, body: body(preview.number) }), async () => {
      setPreview(null);
      setChanges(new Map());
      setReason('');
      if (apply) await doing(applied(preview.number), () => void toast(`Edition ${preview.number} is applied`));
      else toast(`Edition ${preview.number} is made. Marks already given are as they were.`);
      await again();
    });
  const newest = view.editions.at(-1);
  const changed = [...changes].some(
    ([i, { fromVault, accept, spellings = [], strike }]) =>
      fromVault || accept.length + spellings.length > 0 || strike !== view.questions[i]?.struck,
  );

  return (
    <div className="grid gap-10 lg:grid-cols-[3fr_2fr]">
      <section aria-labelledby="correct">
        <h2 id="correct" className="text-xl">
          Correct it
        </h2>
        <p className="text-mute mb-3">
          Learners’ answers stay as they were: a correction makes edition {view.number + 1}. You see what it would do to
          each mark before you decide whether it does.
        </p>
        <ol>
          {view.questions.map((question, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the edition
            <li key={i} className="border-b border-rule py-3">
              <CorrectQuestion
                key={aim.question === i ? `aimed at ${aim.text}` : ''}
                number={i + 1}
                question={question}
                change={changeOf(i)}
                spelling={aim.question === i && aim.text !== '' ? { zone: aim.zone, text: aim.text } : null}
                onSet={(to) => set(i, to)}
              />
            </li>
          ))}
        </ol>
        <label htmlFor="reason" className="font-semibold block mt-4">
          Why
        </label>
        <textarea
          id="reason"
          className="textarea w-full"
          maxLength={1000}
          rows={2}
          placeholder="What was wrong: learners whose mark changes read it"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        <button
          type="button"
          className="btn btn-primary mt-3"
          disabled={!changed || busy}
          onClick={() =>
            void doing(
              api('POST /api/releases/{id}/editions', { id, body: body(null) }),
              (seen) => void ('changes' in seen && setPreview(seen)),
            )
          }
        >
          See what it would do
        </button>
      </section>
      <section aria-labelledby="editions">
        <h2 id="editions" className="text-xl mb-2">
          Editions
        </h2>
        <ol className="flex flex-col-reverse">
          {view.editions.map(({ number, createdAt, by, reason: why, applied }) => (
            <li key={number} className="border-b border-rule py-2.5">
              <p>
                <span className="font-semibold">Edition {number}</span>{' '}
                <span className="figures text-sm text-mute">{moment(new Date(createdAt))}</span> {by}
              </p>
              {why && <p>{why}</p>}
              {number > 1 &&
                (applied ? (
                  <details>
                    <summary className="cursor-pointer text-mute">
                      applied {moment(new Date(applied.at))} by {applied.by}:{' '}
                      {applied.changes.length === 1 ? 'one mark' : `${applied.changes.length} marks`} changed
                      {applied.spared > 0 && `, ${applied.spared} left that would have fallen`}
                    </summary>
                    <MarkChanges changes={applied.changes} />
                  </details>
                ) : (
                  <p className="text-mute">
                    for those who start from then on; not applied to marks already given{' '}
                    {number === newest?.number && (
                      <button
                        type="button"
                        className="link-brass cursor-pointer"
                        disabled={busy}
                        onClick={() =>
                          void doing(
                            api('GET /api/releases/{id}/editions/{number}', { id, number: String(number) }),
                            setApplying,
                          )
                        }
                      >
                        Apply it…
                      </button>
                    )}
                  </p>
                ))}
            </li>
          ))}
        </ol>
      </section>
      {preview && (
        <Dialog title={`Edition ${preview.number}: what it would do`} onClose={() => setPreview(null)} wide>
          <Differences preview={preview} spare={spare} onSpare={setSpare} />
          <div className="flex flex-wrap justify-end gap-2 mt-4">
            <button type="button" className="btn btn-quiet" onClick={() => setPreview(null)}>
              Not yet
            </button>
            <button type="button" className="btn btn-edge" disabled={busy} onClick={() => make(false)}>
              For those who start from now on
            </button>
            <button type="button" className="btn btn-primary" disabled={busy} onClick={() => make(true)}>
              Apply it to marks too
            </button>
          </div>
        </Dialog>
      )}
      {applying && (
        <Confirm
          title={`Apply edition ${applying.number} to marks already given?`}
          action="Apply it"
          cancel="Not yet"
          onConfirm={() =>
            void doing(applied(applying.number), async () => {
              toast(`Edition ${applying.number} is applied`);
              setApplying(null);
              await again();
            })
          }
          onClose={() => setApplying(null)}
          disabled={busy}
          wide
        >
          <Differences preview={applying} spare={spare} onSpare={setSpare} />
        </Confirm>
      )}
      <Toaster position="bottom-right" />
    </div>
  );
}

interface DifferencesProps {
  preview: Preview;
  /** Whether marks that would fall stay as they are. */
  spare: boolean;
  onSpare: (spare: boolean) => void;
}

function Differences({ preview: { questions, changes, sittings, byHand }, spare, onSpare }: DifferencesProps) {
  const falling = changes.filter(({ before, after }) => falls(before, after)).length;
  return (
    <>
      {questions.map(({ title, struck, before, after, step }) => (
        <div key={before.id} className="mb-2">
          <p className="font-semibold">{title}</p>
          {struck && <p className="text-brick">struck: it counts for nobody</p>}
          {[
            ...changesInWords(
              before,
              after,
              step.filter((edit) => edit.type !== 'setQuestion' || edit.field !== 'key'),
            ),
            ...keyInWords(before, after),
          ].map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      ))}
      <p className="mt-3 mb-1" data-testid="would-change">
        {sittings === 0
          ? 'Nobody has started it.'
          : changes.length === 0
            ? `No mark of ${sittings} sittings would change.`
            : `${changes.length} of ${sittings} sittings would have another mark:`}
      </p>
      <MarkChanges changes={changes} />
      {byHand.length > 0 && (
        <p className="mt-3" data-testid="by-hand">
          Marks set by hand stay as they are:{' '}
          {byHand.map(({ name, points, outOf }) => `${name} ${shownMark(points)} of ${outOf}`).join(', ')}. Change them
          in the gradebook.
        </p>
      )}
      {falling > 0 && (
        <label className="flex items-center gap-2 mt-3">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={spare}
            onChange={(event) => onSpare(event.target.checked)}
          />
          {falling === 1
            ? 'Leave the one mark that would fall as it is'
            : `Leave the ${falling} marks that would fall as they are`}
        </label>
      )}
    </>
  );
}
