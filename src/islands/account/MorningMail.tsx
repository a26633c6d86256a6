import { useState } from 'react';
import { type MailDays, type MorningMailView, morningMail, type Wire } from '../../contract';
import { MAIL_DAYS } from '../../contract/vocabulary';
import { Field, moment } from '../../ui';
import { Alert } from '../../ui/Alert';
import { type ApiResult, api } from '../../ui/api';
import { errorInWords } from '../../ui/errorInWords';
import { useRequestForm } from '../../ui/form';

type View = Wire<MorningMailView>;

const DAYS: Readonly<Record<MailDays, string>> = {
  everyDay: 'every day',
  schoolDays: 'Monday to Friday',
  mondays: 'on Mondays',
};
const HOURS = Array.from({ length: 24 }, (_, hour) => hour);
const BEFORE_SCHOOL = 6;
const oClock = (hour: number): string => `${String(hour).padStart(2, '0')}:00`;

/** A teacher has Today sent by e-mail: off unless asked for. `demo`: nothing leaves, and the letters can be read. */
export function MorningMail({ view: given, demo }: { view: View; demo: boolean }) {
  const [view, setView] = useState(given);
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const [isEditing, setEditing] = useState(false);
  const { mail, leaves } = view;
  const took = <T,>(answer: ApiResult<T>): answer is ApiResult<T> & { ok: true } => {
    setSaid('');
    setProblem(answer.ok ? '' : errorInWords(answer.error));
    return answer.ok;
  };
  const end = async () => {
    const answer = await api('DELETE /api/account/mail');
    if (!took(answer)) return;
    setView(answer.value);
    setSaid('It is off, and your address is forgotten.');
  };
  const sendNow = async () => {
    if (took(await api('POST /api/account/mail/now', { body: { id: crypto.randomUUID() } })))
      setSaid('It is on its way.');
  };
  return (
    <>
      <p className="max-w-prose mb-3">
        A letter in the morning with what is due, what ended since the last one, and who stands still: with the names of
        learners. No letter comes when there is nothing to say.
      </p>
      {!leaves && (
        <p className="max-w-prose mb-3 text-mute">
          {demo ? (
            <>
              The demo sends no e-mail.{' '}
              <a className="link-brass" href="/stand-in/mail">
                Read its letters
              </a>
            </>
          ) : (
            'This installation hands no e-mail over yet: letters are stored as files for whoever runs it.'
          )}
        </p>
      )}
      {mail && !isEditing && (
        <>
          <p className="mb-3 break-words">
            {mail.isConfirmed ? (
              <>
                To <strong>{mail.address}</strong>, {DAYS[mail.days]} at {oClock(mail.hour)} ({mail.zone}).{' '}
                {mail.sentAt && <>The last was sent {moment(new Date(mail.sentAt))}.</>}
              </>
            ) : (
              <>
                A link was sent to <strong>{mail.address}</strong>. Open it to say that the address is yours: nothing
                else is sent there before.
              </>
            )}
          </p>
          {mail.failedAt && (
            <Alert tone="problem" className="mb-3">
              It could not be sent {moment(new Date(mail.failedAt))}. What was to be in it comes with the next one.
            </Alert>
          )}
          <div className="flex flex-wrap gap-2">
            {mail.isConfirmed && (
              <button type="button" className="btn btn-edge" onClick={() => void sendNow()}>
                Send it now
              </button>
            )}
            <button type="button" className="btn btn-edge" onClick={() => setEditing(true)}>
              Change…
            </button>
            <button type="button" className="btn btn-quiet" onClick={() => void end()}>
              Turn it off
            </button>
          </div>
        </>
      )}
      {(!mail || isEditing) && (
        <Asking
          mail={mail}
          onAsked={(now) => {
            setView(now);
            setEditing(false);
            setProblem('');
            setSaid(now.mail?.isConfirmed ? 'Saved.' : 'A link is on its way to the address.');
          }}
          onGiveUp={mail ? () => setEditing(false) : undefined}
        />
      )}
      <p role="status" className="text-mute mt-2">
        {said}
      </p>
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
    </>
  );
}

interface AskingProps {
  mail: View['mail'];
  onAsked: (view: View) => void;
  onGiveUp?: (() => void) | undefined;
}

function Asking({ mail, onAsked, onGiveUp }: AskingProps) {
  const form = useRequestForm(morningMail, {
    address: mail?.address ?? '',
    days: mail?.days ?? 'schoolDays',
    hour: mail?.hour ?? BEFORE_SCHOOL,
    zone: mail?.zone ?? 'UTC',
  });
  const { errors, isSubmitting } = form.formState;
  const ask = form.handleSubmit(async (body) => {
    // Where the teacher is now.
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const answer = await api('PUT /api/account/mail', { body: { ...body, zone: timeZone } });
    if (answer.ok) onAsked(answer.value);
    else form.refused(answer.error);
  });
  return (
    <form className="grid gap-3 max-w-md" onSubmit={ask} noValidate>
      <Field
        label="Your e-mail address"
        type="email"
        autoComplete="email"
        problem={errors.address?.message}
        {...form.register('address')}
      />
      <div className="flex flex-wrap gap-3">
        <label className="grow">
          <span className="block font-semibold mb-1">On</span>
          <select className="select w-full" {...form.register('days')}>
            {MAIL_DAYS.map((days) => (
              <option key={days} value={days}>
                {DAYS[days]}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span className="block font-semibold mb-1">At</span>
          <select className="select" {...form.register('hour', { valueAsNumber: true })}>
            {HOURS.map((hour) => (
              <option key={hour} value={hour}>
                {oClock(hour)}
              </option>
            ))}
          </select>
        </label>
      </div>
      {errors.root && (
        <p role="alert" className="text-brick">
          {errors.root.message}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="submit" className="btn btn-primary" disabled={isSubmitting}>
          {mail ? 'Save' : 'Send me Today'}
        </button>
        {onGiveUp && (
          <button type="button" className="btn btn-quiet" onClick={onGiveUp}>
            Leave it
          </button>
        )}
      </div>
    </form>
  );
}
