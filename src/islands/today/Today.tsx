import { useState } from 'react';
import type { TodayView, Wire } from '../../contract';
import { ago, api, moment } from '../../ui';
import { Alert } from '../../ui/Alert';
import { errorInWords } from '../../ui/errorInWords';
import { ProgressBar } from '../../ui/ProgressBar';
import { newQuestionAt } from '../vault/newQuestion';

type View = Wire<TodayView>;

/** What asks for a teacher today. `dues`: when each is due, in the words of the page, which draws them. */
export function Today({ today, dues }: { today: View; dues: readonly string[] }) {
  const { due, stuck, drafts, isNew } = today;
  const [seen, setSeen] = useState(false);
  const [problem, setProblem] = useState('');
  const { ended, tried } = seen ? { ended: [], tried: [] } : today;
  const look = async () => {
    const answer = await api('PUT /api/today');
    setSeen(answer.ok);
    setProblem(answer.ok ? '' : errorInWords(answer.error));
  };
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_22rem] items-start">
      <div className="grid gap-8">
        <section aria-labelledby="due">
          <h2 id="due" className="text-xl mb-1">
            Due within seven days
          </h2>
          {due.length === 0 ? (
            <p className="text-mute">Nothing is due, and nothing closes.</p>
          ) : (
            <ul className="border-t border-rule">
              {due.map((row, i) => (
                <li
                  key={row.releaseId}
                  className="grid grid-cols-[minmax(0,1fr)_auto] sm:grid-cols-[minmax(0,1fr)_10rem_8rem_auto] items-center gap-x-4 gap-y-1 py-2 border-b border-rule"
                >
                  <span>
                    <a className="font-semibold link-brass" href={`/releases/${row.releaseId}/live`} dir="auto">
                      {row.title}
                    </a>
                    <span className="block text-mute text-sm" dir="auto">
                      {row.course}
                    </span>
                  </span>
                  <span>
                    {row.closes && <span className="text-mute">closes </span>}
                    {dues[i]}
                  </span>
                  <ProgressBar {...row} />
                  <span className="figures text-right">
                    {row.finished} of {row.learners} in
                    {row.begun > 0 && <> · {row.begun} begun</>}
                    {row.finished < row.learners && (
                      <span className="block text-brick">{row.learners - row.finished} missing</span>
                    )}
                  </span>
                </li>
              ))}
            </ul>
          )}
        </section>
        <section aria-labelledby="news">
          <div className="flex flex-wrap items-baseline gap-4 mb-1">
            <h2 id="news" className="text-xl">
              Since you last looked
            </h2>
            <span className="figures text-sm text-mute">{moment(new Date(today.since))}</span>
            <span className="grow" />
            {ended.length + tried.length > 0 && (
              <button type="button" className="btn btn-quiet btn-sm" onClick={() => void look()}>
                I have seen it
              </button>
            )}
          </div>
          {problem && (
            <Alert tone="problem" role="alert" className="mb-2">
              {problem}
            </Alert>
          )}
          {ended.length + tried.length + stuck.length === 0 ? (
            <p className="text-mute" role="status">
              Nothing is new.
            </p>
          ) : (
            <ul className="border-t border-rule">
              {ended.map((row) => (
                <News key={row.releaseId} to={`/releases/${row.releaseId}/results`} does="look">
                  <strong>{row.ended}</strong> {row.ended === 1 ? 'attempt' : 'attempts'} at <bdi>{row.title}</bdi>{' '}
                  ended, <strong>{row.fullMarks}</strong> with full marks
                </News>
              ))}
              {tried.map((row) => (
                <News
                  key={row.sittingId}
                  to={`/releases/${row.releaseId}/sittings/${row.sittingId}`}
                  does="retrace"
                  what={row.name}
                >
                  <strong dir="auto">{row.name}</strong> tried everything in “<bdi>{row.question}</bdi>”
                </News>
              ))}
              {stuck.map((row) => (
                <News key={row.sittingId} to={`/releases/${row.releaseId}/live`} does="open live" what={row.name}>
                  <strong dir="auto">{row.name}</strong> moved last {ago(new Date(row.since), new Date(today.at))}, in
                  question {row.place} of <bdi>{row.title}</bdi>
                </News>
              ))}
            </ul>
          )}
        </section>
        {drafts.length > 0 && (
          <section aria-labelledby="were">
            <h2 id="were" className="text-xl mb-1">
              Where you were
            </h2>
            <ul className="border-t border-rule">
              {drafts.map((draft) => (
                <News key={draft.id} to={`/bench/${draft.id}`} does="go on" what={draft.title || 'Untitled question'}>
                  <strong dir="auto">{draft.title || 'Untitled question'}</strong>{' '}
                  <span className="border border-rule px-1.5 text-sm">
                    {draft.errors === 1 ? '1 error' : `${draft.errors} errors`}
                  </span>{' '}
                  <span className="text-mute">{moment(new Date(draft.changedAt))}</span>
                </News>
              ))}
            </ul>
          </section>
        )}
      </div>
      <Begin isNew={isNew} />
    </div>
  );
}

function News({
  to,
  does,
  what = '',
  children,
}: {
  to: string;
  does: string;
  what?: string;
  children: React.ReactNode;
}) {
  return (
    <li className="flex items-center gap-4 py-2 border-b border-rule">
      <span className="grow min-w-0">{children}</span>
      <a className="figures link-brass whitespace-nowrap" href={to} aria-label={what ? `${does}: ${what}` : undefined}>
        {does}
      </a>
    </li>
  );
}

/** Three ways to a first question, each of which ends in a rehearsal. */
function Begin({ isNew }: { isNew: boolean }) {
  const ways = [
    [
      'Paste a list',
      'Lines with a tab between what and where: a question stands at once, ready to rehearse.',
      '/vault',
    ],
    ['Begin with a kind', 'Nine kinds, each with an example to change.', newQuestionAt(null)],
    ['Open a file', 'Questions that somebody has exported come in at the Vault.', '/vault'],
  ] as const;
  return (
    <section aria-labelledby="begin">
      <h2 id="begin" className="text-xl mb-2">
        {isNew ? 'Your first question' : 'Begin'}
      </h2>
      {isNew ? (
        <ul className="grid gap-3">
          {ways.map(([title, words, to]) => (
            <li key={title}>
              <a
                className="block bg-sheet border border-rule border-s-4 border-s-brass px-4 py-3 hover:border-ink"
                href={to}
              >
                <span className="block font-semibold">{title}</span>
                <span className="block text-mute">{words}</span>
              </a>
            </li>
          ))}
        </ul>
      ) : (
        <p className="flex flex-wrap gap-3">
          <a className="btn btn-primary" href={newQuestionAt(null)}>
            New question
          </a>
          <a className="btn btn-edge" href="/vault">
            To the Vault
          </a>
        </p>
      )}
    </section>
  );
}
