import type { ReactNode } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { Alert } from '../../ui/Alert';
import { actionsFor } from './actionsFor';
import { shownConnection } from './reducer';
import { Saying } from './Saying';
import type { PlayerState, PlayerStore } from './store';
import { tryInWords, zoneName } from './words';

const CONNECTION_IN_WORDS: Record<PlayerState['connection'], string> = {
  saved: '',
  sending: '',
  offline:
    'You are offline. Carry on: your moves are saved in this browser and sent when you are back. Checking has to wait until then.',
  signedOut: 'You are signed out. Your moves are saved in this browser: sign in again and come back.',
  failed: 'The server could not save your moves. They are saved in this browser and sent again.',
  takenOver: 'You continued this in another window.',
};

/** Check, put everything back, a hint, the model answer, and the learner's progress. */
export function Actions({ store, onward }: { store: PlayerStore; onward: ReactNode }) {
  const { board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, connection, checking } = store(
    useShallow(({ board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, connection, checking }) => ({
      ...{ board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, checking },
      connection: shownConnection(connection),
    })),
  );
  const { check, hint, move, goOn, showModel } = store.getState();
  const can = actionsFor({ board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, connection, checking });
  const { buttons } = view.question;
  return (
    <div className="flex flex-wrap items-center gap-3 mt-4">
      {can.check && (
        <button type="button" className="btn btn-primary btn-lg" onClick={check} disabled={can.check === 'waits'}>
          {checking ? 'Checking…' : (buttons.check ?? 'Check')}
        </button>
      )}
      {can.tryAgain && (
        <button type="button" className="btn btn-primary btn-lg" onClick={goOn}>
          Try again
        </button>
      )}
      {can.reset && (
        <button
          type="button"
          className="btn btn-edge"
          onClick={() => move({ kind: 'reset' })}
          disabled={can.reset === 'waits'}
        >
          {buttons.reset ?? 'Put everything back'}
        </button>
      )}
      {can.hint && (
        <button type="button" className="btn btn-edge" onClick={hint}>
          {buttons.hint ?? 'Hint'}
        </button>
      )}
      {modelAnswer && (
        <button type="button" className="btn btn-edge" aria-pressed={showsModel} onClick={() => showModel(!showsModel)}>
          {showsModel ? 'Show my answer' : 'Show a model answer'}
        </button>
      )}
      <p className="figures text-mute">{can.words}</p>
      <span className="grow" />
      {onward}
    </div>
  );
}

/** The messages of the page: the overall feedback, the feedback of zones, hints, and the connection. */
export function Words({ store }: { store: PlayerStore }) {
  const { told, best, ended, hints, connection, notice, model } = store(
    useShallow(({ told, best, ended, hints, connection, notice, model }) => ({
      ...{ told, best, ended, hints, notice, model },
      connection: shownConnection(connection),
    })),
  );
  const outcome = told?.try ?? null;
  const zones = told?.says.filter(({ of: namedCopy }) => namedCopy === null) ?? [];
  return (
    <div className="mt-3 min-h-14 grid gap-2">
      <div role="status" className="grid gap-2">
        {outcome && told && (
          <Alert tone={outcome.fullMarks ? 'good' : 'notice'} className="px-4 py-3 text-lg">
            {tryInWords(outcome, told, ended)}{' '}
            {outcome.mark && (
              <span className="figures whitespace-nowrap">
                Mark {outcome.mark.mark} of {outcome.mark.max}
              </span>
            )}
            {best && outcome.mark && best.mark !== outcome.mark.mark && (
              <span className="figures whitespace-nowrap"> · counting so far {best.mark}</span>
            )}
          </Alert>
        )}
        {outcome?.words && (
          <Alert tone="plain" className="saying px-4 text-lg">
            <Saying said={outcome.words} width={220} />
          </Alert>
        )}
        {zones.map(({ zone, said }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: what is said of a hidden zone has no other name
          <Alert tone="plain" className="saying px-4" key={i}>
            {zone !== null && (
              <p className="font-semibold">{zoneName(store.getState(), model.zoneAt.get(zone) ?? -1)}</p>
            )}
            <Saying said={said} width={220} />
          </Alert>
        ))}
        {!outcome && ended && (
          <Alert tone="notice" className="px-4 py-3 text-lg figures">
            Finished.{best ? ` Mark ${best.mark} of ${best.max}` : ''}
          </Alert>
        )}
        {notice && (
          <Alert tone="notice" className="px-4 py-3">
            {notice}
          </Alert>
        )}
        {CONNECTION_IN_WORDS[connection] && (
          <Alert tone="problem" className="px-4 py-3">
            {CONNECTION_IN_WORDS[connection]}{' '}
            {connection === 'signedOut' && (
              <a className="link-brass" href={`/sign-in?to=${encodeURIComponent(location.pathname)}`}>
                Sign in
              </a>
            )}
            {connection === 'takenOver' && (
              <button type="button" className="link-brass cursor-pointer" onClick={() => location.reload()}>
                Continue here
              </button>
            )}
          </Alert>
        )}
      </div>
      {hints.map((hint, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a hint is its place in their order
        <Alert tone="notice" className="saying px-4" key={i}>
          <p className="font-semibold">{hints.length > 1 ? `Hint ${i + 1}` : 'Hint'}</p>
          <Saying said={hint} width={220} />
        </Alert>
      ))}
    </div>
  );
}
