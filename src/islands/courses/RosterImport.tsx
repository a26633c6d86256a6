import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import type { RosterPlan, RosterTaken, Wire } from '../../contract';
import { api, Dialog, Scrolls } from '../../ui';
import { Alert } from '../../ui/Alert';
import { failureInWords } from '../../ui/failureInWords';
import { FirstPasswords } from './FirstPasswords';

type Plan = Wire<RosterPlan>;
type Taken = RosterTaken;

const WILL = {
  make: 'a new account',
  join: 'is enrolled',
  invite: 'is invited, and says yes or no',
  stay: 'is enrolled already',
} as const;
const MAX_BYTES = 2_000_000;
const people = (n: number) => `${n} ${n === 1 ? 'learner' : 'learners'}`;

/** Imports learners after a preview line by line: from a list, pasted or from a file, or from the course's platform. */
export function RosterImport({
  courseId,
  course,
  platform,
  onClose,
  onTaken,
}: {
  courseId: string;
  /** Its title. */
  course: string;
  /** The name of the platform whose roster it is; null: a list. */
  platform: string | null;
  onClose: () => void;
  onTaken: () => void;
}) {
  const [text, setText] = useState('');
  const [plan, setPlan] = useState<Plan | null>(null);
  const [taken, setTaken] = useState<Taken | null>(null);
  const [removeOthers, setRemoveOthers] = useState(false);
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const send = async (take: boolean) => {
    setBusy(true);
    const how = { take, removeOthers: take && removeOthers };
    const answer =
      platform === null
        ? await api('POST /api/courses/{id}/roster', { id: courseId, body: { text, ...how } })
        : await api('POST /api/courses/{id}/lti-roster', { id: courseId, body: how });
    setBusy(false);
    setProblem(answer.ok ? '' : failureInWords(answer.error));
    if (!answer.ok) return;
    if ('lines' in answer.value) setPlan(answer.value);
    else {
      setTaken(answer.value);
      onTaken();
    }
  };
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    maxSize: MAX_BYTES,
    onDrop: ([file], [refused]) => {
      if (refused) return setProblem('The file is larger than 2 MB.');
      if (file) void file.text().then(setText);
    },
  });

  if (taken) return <TakenReport taken={taken} course={course} onClose={onClose} />;
  const changes = plan
    ? plan.lines.filter(({ will, groups }) => will !== 'stay' || groups.length > 0).length +
      (removeOthers ? plan.others.length : 0)
    : 0;
  return (
    <Dialog title={platform === null ? 'Learners from a list' : `Learners from ${platform}`} onClose={onClose} wide>
      {!plan && platform !== null ? (
        <p className="max-w-prose">
          {platform} is asked who learns in the course there. What would change is shown before anything does. Accounts
          that are made have no password: their owners come by a link in {platform}.
        </p>
      ) : !plan ? (
        <div {...getRootProps()} className={isDragActive ? 'outline-2 outline-dashed outline-brass' : ''}>
          <label htmlFor="roster-text" className="font-semibold">
            Name, user name, first password, groups: a line for each learner
          </label>
          <p className="text-mute mb-2">
            From a spreadsheet or a CSV file, with or without a line of headings. Without a password one is made.
            Several groups have | between them. A user name that exists is enrolled as it is.
          </p>
          <textarea
            id="roster-text"
            className="textarea figures w-full h-56"
            placeholder={'Wren Tallow, wren, , Rack A\nAsh Corran, ash'}
            value={text}
            onChange={(event) => setText(event.target.value)}
            data-autofocus
          />
          <input {...getInputProps()} aria-label="CSV file" />
          <button type="button" className="btn btn-quiet mt-1" onClick={open}>
            Take a CSV file…
          </button>
        </div>
      ) : (
        <>
          <p className="mb-2" data-testid="roster-plan">
            {people(plan.lines.filter(({ will }) => will === 'make').length)} with a new account,{' '}
            {plan.lines.filter(({ will }) => will === 'join').length} who have one,{' '}
            {plan.lines.some(({ will }) => will === 'invite') &&
              `${plan.lines.filter(({ will }) => will === 'invite').length} who are invited, because you share no course with them, `}
            {plan.lines.filter(({ will }) => will === 'stay').length} there already
            {plan.newGroups.length > 0 && `; new groups: ${plan.newGroups.join(', ')}`}.
          </p>
          {plan.problems.length > 0 && (
            <Alert tone="problem" className="mb-3" role="alert">
              <p>
                {plan.problems.length === 1 ? 'A line' : `${plan.problems.length} lines`} cannot be taken and{' '}
                {plan.problems.length === 1 ? 'is' : 'are'} left out:
              </p>
              <Scrolls label="Lines that are left out" className="max-h-32">
                {plan.problems.map(({ line, message }) => (
                  <p key={line}>
                    <span className="figures">line {line}</span>: {message}
                  </p>
                ))}
              </Scrolls>
            </Alert>
          )}
          <Scrolls label="Line by line" className="max-h-64">
            <table className="ledger-table w-full">
              <caption className="sr-only">What will change</caption>
              <thead>
                <tr>
                  <th scope="col">line</th>
                  <th scope="col">learner</th>
                  {platform === null && (
                    <>
                      <th scope="col">user name</th>
                      <th scope="col">groups</th>
                    </>
                  )}
                  <th scope="col">will change</th>
                </tr>
              </thead>
              <tbody>
                {plan.lines.map(({ line, name, username, groups, will, knownAs }) => (
                  <tr key={line}>
                    <td className="figures text-sm">{line}</td>
                    <td>
                      {name}
                      {knownAs && <span className="text-mute"> (this name stays)</span>}
                    </td>
                    {platform === null && (
                      <>
                        <td className="figures text-sm">{username}</td>
                        <td>{groups.join(', ')}</td>
                      </>
                    )}
                    <td className={will === 'stay' ? 'text-mute' : ''}>{WILL[will]}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Scrolls>
          {plan.others.length > 0 && (
            <label className="flex items-start gap-2 mt-3">
              <input
                type="checkbox"
                className="checkbox checkbox-sm mt-0.5"
                checked={removeOthers}
                onChange={(event) => setRemoveOthers(event.target.checked)}
              />
              <span>
                Remove those who are not in the list: {people(plan.others.length)} (
                {plan.others
                  .slice(0, 5)
                  .map(({ name }) => name)
                  .join(', ')}
                {plan.others.length > 5 && ' …'})
              </span>
            </label>
          )}
        </>
      )}
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      <div className="flex justify-end gap-2 mt-4">
        <button type="button" className="btn btn-quiet" onClick={plan ? () => setPlan(null) : onClose}>
          {plan ? (platform === null ? 'Back to the list' : 'Back') : 'Cancel'}
        </button>
        {plan ? (
          <button
            type="button"
            className="btn btn-primary"
            disabled={busy || changes === 0}
            onClick={() => void send(true)}
          >
            {changes === 0 ? 'Nothing would change' : 'Take it'}
          </button>
        ) : (
          <button
            type="button"
            className="btn btn-primary"
            disabled={busy || (platform === null && text.trim() === '')}
            onClick={() => void send(false)}
          >
            See what will change
          </button>
        )}
      </div>
    </Dialog>
  );
}

function TakenReport({
  taken: { made, joined, invited, removed },
  course,
  onClose,
}: {
  taken: Taken;
  course: string;
  onClose: () => void;
}) {
  return (
    <Dialog title="The roster is changed" onClose={onClose} wide>
      <p>
        {people(made.length)} with a new account, {joined} who had one, {invited > 0 && `${invited} who are asked, `}
        {removed} removed.
      </p>
      <FirstPasswords made={made} course={course} />
      <div className="flex justify-end mt-4">
        <button type="button" className="btn btn-primary" onClick={onClose}>
          Done
        </button>
      </div>
    </Dialog>
  );
}
