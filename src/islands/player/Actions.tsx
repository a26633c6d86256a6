import type { ReactNode } from 'react';
import { useShallow } from 'zustand/react/shallow';
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
      // Sending makes no difference here, so it causes no new render.
      connection: connection === 'sending' ? ('saved' as const) : connection,
    })),
  );
  const { check, hint, move, goOn, showModel } = store.getState();
  const { tries: limit, show, buttons, items, zones } = view.question;
  const endless = items.some((item) => item.copies === 'endless');
  const all =
    items.reduce((sum, { copies }) => sum + (copies === 'endless' ? 0 : copies), 0) +
    zones.filter(({ typed }) => typed).length;
  // With hidden zones, a loose copy counts as placed.
  const placed =
    new Set([...board.zoneOf.keys(), ...(view.question.hides ? board.letGo.keys() : [])]).size + board.texts.size;
  const goes = (told?.goingHome.length ?? 0) + (told?.goingEmpty.length ?? 0) > 0;
  const now = tries + (ended || told?.try ? 0 : 1);
  const onLand = view.question.judging === 'onLand';
  const { deferred } = view.place;
  const counts = [
    ...(deferred || view.place.finished ? [] : [limit === null ? `try ${now}` : `try ${now} of ${limit}`]),
    ...(show.count
      ? [
          endless
            ? `${placed} placed`
            : items.some(({ stays }) => !stays)
              ? `${placed} of ${all} placed`
              : items[0]
                ? `${placed} picked`
                : `${placed} of ${all} filled`,
        ]
      : []),
  ];
  return (
    <div className="flex flex-wrap items-center gap-3 mt-4">
      {!ended && !goes && !onLand && !showsModel && !deferred && (
        <button
          type="button"
          className="btn btn-primary btn-lg"
          onClick={check}
          disabled={checking || connection === 'offline' || connection === 'takenOver'}
        >
          {checking ? 'Checking…' : (buttons.check ?? 'Check')}
        </button>
      )}
      {goes && !showsModel && (
        <button type="button" className="btn btn-primary btn-lg" onClick={goOn}>
          Try again
        </button>
      )}
      {!ended && !showsModel && (
        <button
          type="button"
          className="btn btn-edge"
          onClick={() => move({ kind: 'reset' })}
          disabled={checking || (placed === 0 && board.letGo.size === 0)}
        >
          {buttons.reset ?? 'Put everything back'}
        </button>
      )}
      {hintsLeft > 0 && (
        <button type="button" className="btn btn-edge" onClick={hint}>
          {buttons.hint ?? 'Hint'}
        </button>
      )}
      {modelAnswer && (
        <button type="button" className="btn btn-edge" aria-pressed={showsModel} onClick={() => showModel(!showsModel)}>
          {showsModel ? 'Show my answer' : 'Show a model answer'}
        </button>
      )}
      <p className="figures text-mute">{showsModel ? 'a model answer' : counts.join(' · ')}</p>
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
      connection: connection === 'sending' ? ('saved' as const) : connection,
    })),
  );
  const outcome = told?.try ?? null;
  const zones = told?.says.filter(({ of: namedCopy }) => namedCopy === null) ?? [];
  return (
    <div className="mt-3 min-h-14 grid gap-2">
      <div role="status" className="grid gap-2">
        {outcome && told && (
          <p
            className={`border-l-4 px-4 py-3 text-lg ${outcome.fullMarks ? 'bg-verdigris-wash border-verdigris' : 'bg-brass-wash border-brass'}`}
          >
            {tryInWords(outcome, told, ended)}{' '}
            {outcome.mark && (
              <span className="figures whitespace-nowrap">
                Mark {outcome.mark.mark} of {outcome.mark.max}
              </span>
            )}
            {best && outcome.mark && best.mark !== outcome.mark.mark && (
              <span className="figures whitespace-nowrap"> · counting so far {best.mark}</span>
            )}
          </p>
        )}
        {outcome?.words && (
          <div className="saying border-l-4 border-rule px-4 py-2 text-lg">
            <Saying said={outcome.words} width={220} />
          </div>
        )}
        {zones.map(({ zone, said }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: what is said of a hidden zone has no other name
          <div key={i} className="saying border-l-4 border-rule px-4 py-2">
            {zone !== null && (
              <p className="font-semibold">{zoneName(store.getState(), model.zoneAt.get(zone) ?? -1)}</p>
            )}
            <Saying said={said} width={220} />
          </div>
        ))}
        {!outcome && ended && (
          <p className="border-l-4 px-4 py-3 text-lg bg-brass-wash border-brass figures">
            Finished.{best ? ` Mark ${best.mark} of ${best.max}` : ''}
          </p>
        )}
        {notice && <p className="border-l-4 px-4 py-3 bg-brass-wash border-brass">{notice}</p>}
        {CONNECTION_IN_WORDS[connection] && (
          <p className="border-l-4 px-4 py-3 bg-brick-wash border-brick">
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
          </p>
        )}
      </div>
      {hints.map((hint, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a hint is its place in their order
        <div key={i} className="saying border-l-4 border-brass px-4 py-2">
          <p className="font-semibold">{hints.length > 1 ? `Hint ${i + 1}` : 'Hint'}</p>
          <Saying said={hint} width={220} />
        </div>
      ))}
    </div>
  );
}
