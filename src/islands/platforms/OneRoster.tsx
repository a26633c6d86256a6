import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import type { OneRosterChange, OneRosterPlan, OneRosterProblem, OneRosterTaken } from '../../contract';
import { MAX_FILE_BYTES } from '../../contract/limits';
import { api, Field, Scrolls } from '../../ui';
import { Alert } from '../../ui/Alert';
import { counted } from '../../ui/counted';
import { failureInWords } from '../../ui/failureInWords';
import { FirstPasswords } from '../courses/FirstPasswords';

const DOES: Readonly<Record<OneRosterChange['does'], string>> = {
  make: 'new',
  change: 'changes',
  enrol: 'joins',
  takeOff: 'leaves',
};

/** Takes classes, people and enrolments of a school's system, after a preview line by line. */
export function OneRoster() {
  const [file, setFile] = useState<File | null>(null);
  const [source, setSource] = useState('');
  const [plan, setPlan] = useState<OneRosterPlan | null>(null);
  const [taken, setTaken] = useState<OneRosterTaken | null>(null);
  const [skipFaulty, setSkipFaulty] = useState(false);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const [asksSource, setAsksSource] = useState(false);

  const send = async (given: File, take: boolean) => {
    setBusy(true);
    setProblem('');
    const answer = await api('POST /api/oneroster', {
      file: given,
      query: { take, skipFaulty: take && skipFaulty, ...(source.trim() === '' ? {} : { source: source.trim() }) },
    });
    setBusy(false);
    if (!answer.ok) {
      setProblem(failureInWords(answer.error));
      setAsksSource(answer.error.problems?.some(({ path }) => path === 'source') ?? false);
    } else if ('changes' in answer.value) setPlan(answer.value);
    else setTaken(answer.value);
  };
  const begin = (given: File | null) => {
    setFile(given);
    setPlan(null);
    setTaken(null);
    setProblem('');
    setSkipFaulty(false);
    setAsksSource(false);
    if (given) void send(given, false);
  };
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    maxSize: MAX_FILE_BYTES,
    onDrop: ([given], [refused]) => {
      if (refused) return setProblem('The file is larger than 62 MB.');
      if (given) begin(given);
    },
  });

  return (
    <>
      <div
        {...getRootProps()}
        className={`border border-dashed border-mute p-6 text-center ${isDragActive ? 'bg-brass-wash' : ''}`}
      >
        <input {...getInputProps()} aria-label="Package of OneRoster" />
        <p className="mb-2">{file ? file.name : 'Drop a package here: a zip with manifest.csv.'}</p>
        <button type="button" className="btn btn-edge" onClick={open} disabled={busy}>
          {file ? 'Take another…' : 'Take a package…'}
        </button>
      </div>
      <p role="status" className="mt-2">
        {busy ? 'It is being read…' : ''}
      </p>
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      {asksSource && file && (
        <form
          className="mt-3 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void send(file, false);
          }}
        >
          <Field
            label="The system it is of"
            hint="Its code, the same each time: by it the ids are told apart."
            value={source}
            onChange={(event) => setSource(event.target.value)}
          />
          <button type="submit" className="btn btn-primary" disabled={busy || source.trim() === ''}>
            See what will change
          </button>
        </form>
      )}
      {taken ? (
        <Report taken={taken} />
      ) : (
        plan &&
        file && (
          <section className="mt-6">
            <h2 className="text-xl mb-2">What will change</h2>
            <p className="mb-3" data-testid="oneroster-plan">
              {plan.total === 0
                ? `Nothing: everything is as ${plan.source} says.`
                : `${counted(plan.total, 'change', 'changes')}, by what ${plan.source} says.`}
            </p>
            <Problems problems={plan.problems} />
            {plan.changes.length > 0 && <Changes plan={plan} />}
            {plan.problems.length > 0 && (
              <label className="mt-3 flex items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={skipFaulty}
                  onChange={(event) => setSkipFaulty(event.target.checked)}
                />
                Take the rest without the faulty lines
              </label>
            )}
            <button
              type="button"
              className="btn btn-primary mt-4"
              disabled={busy || plan.total === 0 || (plan.problems.length > 0 && !skipFaulty)}
              onClick={() => void send(file, true)}
            >
              Take it
            </button>
          </section>
        )
      )}
    </>
  );
}

function Problems({ problems }: { problems: readonly OneRosterProblem[] }) {
  if (problems.length === 0) return null;
  return (
    <Alert tone="problem" className="mb-3" role="alert">
      <p>{counted(problems.length, 'line is faulty', 'lines are faulty')}:</p>
      <Scrolls label="Faulty lines" className="max-h-48">
        {problems.map(({ file, line, column, message }) => (
          <p key={`${file} ${line} ${column} ${message}`}>
            <span className="figures">
              {file}
              {line === null ? '' : `, line ${line}`}
              {column === null ? '' : `, ${column}`}
            </span>
            : {message}
          </p>
        ))}
      </Scrolls>
    </Alert>
  );
}

function Changes({ plan: { changes, total } }: { plan: OneRosterPlan }) {
  return (
    <>
      <Scrolls label="Line by line" className="max-h-96">
        <table className="ledger-table w-full">
          <caption className="sr-only">What will change</caption>
          <thead>
            <tr>
              <th scope="col">file</th>
              <th scope="col">line</th>
              <th scope="col">what</th>
              <th scope="col">will change</th>
            </tr>
          </thead>
          <tbody>
            {changes.map(({ file, line, sourcedId, does, words }) => (
              <tr key={`${file} ${sourcedId} ${does} ${words}`}>
                <td className="figures text-sm">{file}</td>
                <td className="figures text-sm">{line ?? 'not in it'}</td>
                <td>{DOES[does]}</td>
                <td>{words}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      {total > changes.length && <p className="text-mute mt-1">The first {changes.length} are shown.</p>}
    </>
  );
}

function Report({ taken: { courses, made, enrolled, takenOff, problems } }: { taken: OneRosterTaken }) {
  return (
    <section className="mt-6" role="status">
      <h2 className="text-xl mb-2">It is taken</h2>
      <p className="mb-2">
        {counted(courses.length, 'new course', 'new courses')}, {counted(made.length, 'new account', 'new accounts')},{' '}
        {enrolled} joined, {takenOff} left
        {problems.length > 0 && `; ${counted(problems.length, 'line', 'lines')} left out`}.
      </p>
      <ul className="mb-3">
        {courses.map(({ id, title }) => (
          <li key={id}>
            <a className="link-brass" href={`/courses/${id}`}>
              {title}
            </a>
          </li>
        ))}
      </ul>
      <FirstPasswords made={made} course="" />
      {made.some(({ password }) => password === '') && (
        <p className="mt-2">
          {counted(made.filter(({ password }) => password === '').length, 'account has', 'accounts have')} no password
          yet: give one on the roster.
        </p>
      )}
    </section>
  );
}
