import { useEffect, useState } from 'react';
import { type ApiResult, api, moment } from '../../ui';
import { Alert } from '../../ui/Alert';
import { Confirm } from '../../ui/Confirm';
import { errorInWords } from '../../ui/errorInWords';

/** The secret address at which a calendar program reads the person's dates. `madeAt`: null, there is none. */
export function CalendarAddress({ madeAt: given }: { madeAt: string | null }) {
  const [madeAt, setMadeAt] = useState(given);
  const [path, setPath] = useState<string | null>(null);
  const [asked, setAsked] = useState(false);
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const [site, setSite] = useState('');
  useEffect(() => setSite(location.origin), []);

  const took = <T,>(answer: ApiResult<T>): answer is ApiResult<T> & { ok: true } => {
    setAsked(false);
    setSaid('');
    setProblem(answer.ok ? '' : errorInWords(answer.error));
    return answer.ok;
  };
  const make = async () => {
    const made = await api('PUT /api/account/calendar');
    if (!took(made)) return;
    setMadeAt(made.value.madeAt);
    setPath(made.value.path);
  };
  const takeBack = async () => {
    if (!took(await api('DELETE /api/account/calendar'))) return;
    setMadeAt(null);
    setPath(null);
    setSaid('It is taken back: nothing is read there any more.');
  };
  const address = `${site}${path ?? ''}`;
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(address);
      setSaid('Copied.');
    } catch {
      setSaid('It could not be copied: select it, and copy it by hand.');
    }
  };
  return (
    <>
      <p className="max-w-prose mb-3">
        Your calendar can show what opens, is due and closes. Give it a secret address: whoever has it can read your
        dates, and nothing else.
      </p>
      {path !== null && (
        <Alert tone="notice" className="mb-3" role="status">
          <p>This is shown once. Give it to your calendar as a subscription.</p>
          <input
            className="input figures w-full my-2"
            readOnly
            aria-label="Address for your calendar"
            value={address}
            onFocus={(event) => event.target.select()}
          />
          <span className="flex flex-wrap gap-2">
            <button type="button" className="btn btn-edge btn-sm" onClick={() => void copy()}>
              Copy it
            </button>
            <a className="btn btn-edge btn-sm" href={address.replace(/^https?:/, 'webcal:')}>
              Open it in a calendar
            </a>
          </span>
        </Alert>
      )}
      {madeAt !== null && path === null && (
        <p className="mb-3">
          There is one, made <span className="figures text-sm">{moment(new Date(madeAt))}</span>.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-edge" onClick={() => (madeAt === null ? void make() : setAsked(true))}>
          {madeAt === null ? 'Make an address' : 'Make another…'}
        </button>
        {madeAt !== null && (
          <button type="button" className="btn btn-quiet" onClick={() => void takeBack()}>
            Take it back
          </button>
        )}
      </div>
      <p role="status" className="text-mute mt-2">
        {said}
      </p>
      {problem && (
        <p role="alert" className="text-brick mt-2">
          {problem}
        </p>
      )}
      {asked && (
        <Confirm
          title="Make another address?"
          action="Make another"
          onConfirm={() => void make()}
          onClose={() => setAsked(false)}
        >
          <p>The address before is taken back: calendars that read it find nothing there any more.</p>
        </Confirm>
      )}
    </>
  );
}
