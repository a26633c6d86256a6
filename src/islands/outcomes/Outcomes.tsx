import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import type { OutcomesPlan } from '../../contract';
import { MAX_OUTCOMES_BYTES } from '../../contract/limits';
import { api, Dialog, Field, Scrolls } from '../../ui';
import { Alert } from '../../ui/Alert';
import { Confirm } from '../../ui/Confirm';
import { counted } from '../../ui/counted';
import { failureInWords } from '../../ui/failureInWords';
import { type Framework, MAX_SHOWN, rowsOf } from '../shared/outcomes/tree';

/** The learning outcomes of the installation: found, brought in, and removed. */
export function Outcomes({ frameworks: given }: { frameworks: readonly Framework[] }) {
  const [frameworks, setFrameworks] = useState(given);
  const [search, setSearch] = useState('');
  const [importing, setImporting] = useState<Framework | 'new' | null>(null);
  const [leaving, setLeaving] = useState<Framework | null>(null);
  const [said, setSaid] = useState('');
  const reload = async () => {
    const answer = await api('GET /api/outcomes', {});
    if (answer.ok) setFrameworks(answer.value);
  };
  const remove = async ({ id, title }: Framework) => {
    const answer = await api('DELETE /api/outcomes/{id}', { id });
    setLeaving(null);
    setSaid(answer.ok ? `${title} is removed.` : failureInWords(answer.error));
    if (answer.ok) setFrameworks(answer.value);
  };
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end gap-3">
        <input
          type="search"
          aria-label="Find an outcome"
          placeholder="Find by code or words"
          className="input w-72"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <span className="grow" />
        <button type="button" className="btn btn-primary" onClick={() => setImporting('new')}>
          Bring outcomes in…
        </button>
      </div>
      <p role="status">{said}</p>
      {frameworks.length === 0 && (
        <p className="text-lg max-w-prose">
          There are none yet. Bring in a package of CASE 1.0, or a list with a code, words and the code of the parent on
          each line.
        </p>
      )}
      {frameworks.map((framework) => (
        <Tree
          key={framework.id}
          framework={framework}
          search={search}
          onAgain={() => setImporting(framework)}
          onRemove={() => setLeaving(framework)}
        />
      ))}
      {importing && (
        <ImportOutcomes
          of={importing === 'new' ? null : importing}
          onClose={() => setImporting(null)}
          onTaken={(title) => {
            setImporting(null);
            setSaid(`${title} is brought in.`);
            void reload();
          }}
        />
      )}
      {leaving && (
        <Confirm
          title={`Remove ${leaving.title}?`}
          action="Remove it"
          forGood
          onConfirm={() => void remove(leaving)}
          onClose={() => setLeaving(null)}
        >
          <p>Outcomes that questions have stay on them, marked as withdrawn. All others are gone.</p>
        </Confirm>
      )}
    </>
  );
}

function Tree({
  framework,
  search,
  onAgain,
  onRemove,
}: {
  framework: Framework;
  search: string;
  onAgain: () => void;
  onRemove: () => void;
}) {
  const { title, identifier, mine, by, outcomes } = framework;
  const rows = rowsOf(framework, search);
  if (rows.length === 0 && search !== '') return null;
  return (
    <section className="mb-8">
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 className="text-xl" dir="auto">
          {title}
        </h2>
        <p className="text-sm text-mute">
          {counted(outcomes.length, 'outcome', 'outcomes')}
          {mine ? '' : `, brought in by ${by}`}
          {identifier !== null && ', CASE'}
        </p>
        <span className="grow" />
        {mine && (
          <>
            <button type="button" className="btn btn-quiet btn-sm" onClick={onAgain}>
              Bring it in again…
            </button>
            <button type="button" className="btn btn-quiet btn-sm" onClick={onRemove}>
              Remove…
            </button>
          </>
        )}
      </div>
      <ul className="divide-y divide-rule border-y border-rule">
        {rows.slice(0, MAX_SHOWN).map(({ id, code, words, depth, withdrawn, questions }) => (
          <li key={id} className="flex gap-3 py-1" style={{ paddingInlineStart: `${depth * 1.5}rem` }}>
            <span className="grow" dir="auto">
              {code !== '' && <strong>{code} </strong>}
              {words}
              {withdrawn && <span className="text-mute"> (withdrawn)</span>}
            </span>
            <span className="figures text-sm text-mute shrink-0">
              {questions > 0 && counted(questions, 'question', 'questions')}
            </span>
          </li>
        ))}
      </ul>
      {rows.length > MAX_SHOWN && (
        <p className="text-mute">{rows.length - MAX_SHOWN} more: type a code or words to find them.</p>
      )}
    </section>
  );
}

/** Brings outcomes in from a file or a pasted list, after what changes is told. */
function ImportOutcomes({
  of,
  onClose,
  onTaken,
}: {
  of: Framework | null;
  onClose: () => void;
  onTaken: (title: string) => void;
}) {
  const [text, setText] = useState('');
  const [title, setTitle] = useState('');
  const [id] = useState(() => of?.id ?? crypto.randomUUID());
  const [plan, setPlan] = useState<OutcomesPlan | null>(null);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const isJson = /^\s*[{[]/.test(text);
  const send = async (take: boolean) => {
    setBusy(true);
    const named = title.trim();
    const query = { take, id, ...(named === '' ? {} : { title: named }) };
    const answer = await api('POST /api/outcomes', { file: new Blob([text]), query });
    setBusy(false);
    setProblem(answer.ok ? '' : failureInWords(answer.error));
    if (!answer.ok) return;
    if (answer.value.taken) onTaken(answer.value.title);
    else setPlan(answer.value);
  };
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    maxSize: MAX_OUTCOMES_BYTES,
    onDrop: ([file], [refused]) => {
      if (refused) return setProblem('The file is larger than 20 MB.');
      if (file)
        void file.text().then((read) => {
          setText(read);
          setPlan(null);
        });
    },
  });
  return (
    <Dialog title={of ? `${of.title}, again` : 'Bring outcomes in'} onClose={onClose} wide>
      {plan ? (
        <Planned plan={plan} />
      ) : (
        <div {...getRootProps()} className={isDragActive ? 'outline-2 outline-dashed outline-brass' : ''}>
          <label htmlFor="outcomes-text" className="font-semibold">
            A package of CASE 1.0 (JSON), or a list
          </label>
          <p className="text-mute mb-2">
            A list has a code, words and the code of the parent on each line, with commas between; words with a comma
            stand in quotes.
          </p>
          <textarea
            id="outcomes-text"
            className="textarea figures w-full h-48"
            placeholder={'S,Keeps seeds\nS.1,Dries what stands drying,S'}
            value={text}
            onChange={(event) => setText(event.target.value)}
            data-autofocus
          />
          <input {...getInputProps()} aria-label="File with outcomes" />
          <button type="button" className="btn btn-quiet mt-1" onClick={open}>
            Take a file…
          </button>
          {!isJson && of === null && (
            <Field label="Title of the list" value={title} onChange={(event) => setTitle(event.target.value)} />
          )}
        </div>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      <div className="mt-4 flex justify-end gap-2">
        <button type="button" className="btn btn-quiet" onClick={plan ? () => setPlan(null) : onClose}>
          {plan ? 'Back' : 'Cancel'}
        </button>
        <button
          type="button"
          className="btn btn-primary"
          disabled={busy || text.trim() === '' || (plan !== null && plan.problems.length > 0)}
          onClick={() => void send(plan !== null)}
        >
          {plan ? 'Bring them in' : 'See what will change'}
        </button>
      </div>
    </Dialog>
  );
}

function Planned({ plan: { title, added, changed, withdrawn, notes, problems } }: { plan: OutcomesPlan }) {
  return (
    <>
      {problems.length > 0 && (
        <Alert tone="problem" className="mb-3" role="alert">
          <p>Nothing is brought in as long as there are faults:</p>
          <Scrolls label="Faults" className="max-h-48">
            {problems.map(({ where, message }) => (
              <p key={`${where} ${message}`}>
                {where !== '' && <span className="figures">{where}: </span>}
                {message}
              </p>
            ))}
          </Scrolls>
        </Alert>
      )}
      <p data-testid="outcomes-plan">
        {title === '' ? '' : `${title}: `}
        {counted(added, 'new outcome', 'new outcomes')}, {changed} changed
        {withdrawn > 0 && `, ${withdrawn} gone: withdrawn where questions have them, else removed`}.
      </p>
      {notes.length > 0 && (
        <Scrolls label="Kept otherwise" className="max-h-48 mt-2">
          <ul className="list-disc ps-6">
            {notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
        </Scrolls>
      )}
    </>
  );
}
