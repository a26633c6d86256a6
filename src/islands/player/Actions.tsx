import { type ReactNode, type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { Alert } from '../../ui/Alert';
import { Confirm } from '../../ui/Confirm';
import { type Phrase, phrase, shownNumber } from '../../words';
import { actionsFor, hasPlaced } from './actionsFor';
import { shownConnection } from './reducer';
import { Saying } from './Saying';
import type { PlayerState, PlayerStore } from './store';
import { tryAgainInWords, tryInWords, wrongOnesInWords, zoneName } from './words';

const CONNECTION_IN_WORDS: Record<PlayerState['connection'], Phrase | null> = {
  saved: null,
  sending: null,
  offline: 'player.offline',
  signedOut: 'player.signedOut',
  failed: 'player.failed',
  takenOver: 'player.takenOver',
};

/** Check, put everything back, a hint, the model answer, and the learner's progress. */
export function Actions({
  store,
  onward,
  say,
}: {
  store: PlayerStore;
  onward: ReactNode;
  say: (words: string) => void;
}) {
  const { board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, connection, checking } = store(
    useShallow(({ board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, connection, checking }) => ({
      ...{ board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, checking },
      connection: shownConnection(connection),
    })),
  );
  const { check, hint, move, goOn, showModel } = store.getState();
  const can = actionsFor({ board, view, told, tries, ended, hintsLeft, modelAnswer, showsModel, connection, checking });
  const { buttons } = view.question;
  const [asking, setAsking] = useState(false);
  const row = useFocusThatStays();
  const press = () => {
    if (can.tryAgain) {
      say(tryAgainInWords(store.getState()));
      goOn();
    } else if (can.check === 'ready') {
      const { board: now } = store.getState();
      if (hasPlaced(store.getState()) || now.letGo.size > 0) check();
      else setAsking(true);
    }
  };
  const reset = () => {
    if (can.reset !== 'ready') return;
    move({ kind: 'reset' });
    say(phrase('player.wasReset'));
  };
  return (
    <div ref={row} className="frame-row">
      <span className="frame-primary">
        {(can.check || can.tryAgain) && (
          // One button: whoever has checked finds the focus on what comes next.
          <button
            type="button"
            className={`btn btn-primary btn-lg ${can.check === 'waits' ? 'btn-disabled' : ''}`}
            aria-disabled={can.check === 'waits' || undefined}
            onClick={press}
          >
            {can.tryAgain
              ? phrase('player.tryAgain')
              : checking
                ? phrase('player.checking')
                : (buttons.check ?? phrase('player.check'))}
          </button>
        )}
      </span>
      {onward}
      {can.reset && (
        <button
          type="button"
          className={`btn btn-edge ${can.reset === 'waits' ? 'btn-disabled' : ''}`}
          aria-disabled={can.reset === 'waits' || undefined}
          aria-label={buttons.reset ?? phrase('player.reset')}
          onClick={reset}
        >
          <span className="max-sm:hidden">{buttons.reset ?? phrase('player.reset')}</span>
          <span className="sm:hidden" aria-hidden>
            ↺
          </span>
        </button>
      )}
      {can.hint && (
        <button type="button" className="btn btn-edge" onClick={hint}>
          {buttons.hint ?? phrase('player.hint')}
        </button>
      )}
      {modelAnswer && (
        <button type="button" className="btn btn-edge" aria-pressed={showsModel} onClick={() => showModel(!showsModel)}>
          {phrase(showsModel ? 'player.showMine' : 'player.showModel')}
        </button>
      )}
      <div className="frame-outcome">
        <Outcome store={store} />
        <p className="figures text-mute text-sm">{can.words}</p>
      </div>
      {asking && (
        <Confirm
          title={phrase('player.nothingPlaced')}
          action={phrase('player.checkSo')}
          cancel={phrase('player.backToQuestion')}
          forGood
          onConfirm={() => {
            setAsking(false);
            check();
          }}
          onClose={() => setAsking(false)}
        >
          <p>{phrase('player.checkOfNothing')}</p>
        </Confirm>
      )}
    </div>
  );
}

/** What came of the last check has the focus when the button that had it is gone. */
const OUTCOME = 'outcome';

function useFocusThatStays() {
  const row = useRef<HTMLDivElement>(null);
  const had = useRef(false);
  useEffect(() => {
    if (had.current && document.activeElement === document.body) document.getElementById(OUTCOME)?.focus();
    had.current = row.current?.contains(document.activeElement) === true;
  });
  useEffect(() => {
    const note = () => {
      had.current = row.current?.contains(document.activeElement) === true;
    };
    const watched = row.current;
    watched?.addEventListener('focusin', note);
    return () => watched?.removeEventListener('focusin', note);
  }, []);
  return row;
}

const markInWords = ({ mark, max }: { readonly mark: number; readonly max: number }) =>
  phrase('player.markOf', { mark: shownNumber(mark), max: shownNumber(max) });

/** What came of the last check, beside the actions. */
function Outcome({ store }: { store: PlayerStore }) {
  const { told, best, ended } = store(useShallow(({ told, best, ended }) => ({ told, best, ended })));
  const picks = store((s) => s.view.question.items.length > 0 && s.view.question.items.every(({ stays }) => stays));
  const outcome = told?.try ?? null;
  // As it stood when it was judged: the same is not said again when the wrong ones have gone.
  const wrongOnes = useMemo(() => {
    const state = store.getState();
    return outcome && state.told ? wrongOnesInWords(state, state.told) : '';
  }, [store, outcome]);
  return (
    <div role="status" id={OUTCOME} tabIndex={-1}>
      {outcome && told && (
        <Alert tone={outcome.fullMarks ? 'good' : 'notice'} className="px-3 py-1.5">
          {tryInWords(outcome, told, { ended, picks })}{' '}
          {outcome.mark && <span className="figures whitespace-nowrap">{markInWords(outcome.mark)}</span>}
          {best && outcome.mark && best.mark !== outcome.mark.mark && (
            <span className="figures whitespace-nowrap">
              {' · '}
              {phrase('player.countingSoFar', { mark: shownNumber(best.mark) })}
            </span>
          )}
          {wrongOnes && <p className="text-sm"> {wrongOnes}</p>}
        </Alert>
      )}
      {!outcome && ended && (
        <Alert tone="notice" className="px-3 py-1.5 figures">
          {phrase('player.finished')}
          {best ? ` ${markInWords(best)}` : ''}
        </Alert>
      )}
    </div>
  );
}

/** Is there more in an element than it shows? */
function useOverflows(node: RefObject<HTMLElement | null>): boolean {
  const [overflows, setOverflows] = useState(false);
  // After every render: what is said has changed.
  useEffect(() => {
    const { scrollHeight = 0, clientHeight = 0 } = node.current ?? {};
    setOverflows(scrollHeight > clientHeight + 1);
  });
  return overflows;
}

/** The messages of the page: the overall feedback, the feedback of zones, hints, and the connection. */
export function Words({ store }: { store: PlayerStore }) {
  const { told, hints, connection, notice, model } = store(
    useShallow(({ told, hints, connection, notice, model }) => ({
      ...{ told, hints, notice, model },
      connection: shownConnection(connection),
    })),
  );
  const outcome = told?.try ?? null;
  const cutOff = CONNECTION_IN_WORDS[connection];
  const zones = told?.says.filter(({ of: namedCopy }) => namedCopy === null) ?? [];
  const said = useRef<HTMLDivElement>(null);
  const overflows = useOverflows(said);
  return (
    <div ref={said} role="status" tabIndex={overflows ? 0 : undefined} className="frame-said grid gap-2">
      {outcome?.words && (
        <Alert tone="plain" className="saying px-4 text-lg">
          <Saying said={outcome.words} width={220} />
        </Alert>
      )}
      {zones.map(({ zone, said }, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: what is said of a hidden zone has no other name
        <Alert tone="plain" className="saying px-4" key={i}>
          {zone !== null && <p className="font-semibold">{zoneName(store.getState(), model.zoneAt.get(zone) ?? -1)}</p>}
          <Saying said={said} width={220} />
        </Alert>
      ))}
      {notice && (
        <Alert tone="notice" className="px-4 py-3">
          {notice}
        </Alert>
      )}
      {cutOff && (
        <Alert tone="problem" className="px-4 py-3">
          {phrase(cutOff)}{' '}
          {connection === 'signedOut' && (
            <a className="link-brass" href={`/sign-in?to=${encodeURIComponent(location.pathname)}`}>
              {phrase('player.signIn')}
            </a>
          )}
          {connection === 'takenOver' && (
            <button type="button" className="link-brass cursor-pointer" onClick={() => location.reload()}>
              {phrase('player.continueHere')}
            </button>
          )}
        </Alert>
      )}
      {hints.map((hint, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a hint is its place in their order
        <Alert tone="notice" className="saying px-4" key={i}>
          <p className="font-semibold">
            {hints.length > 1 ? phrase('player.hintN', { n: i + 1 }) : phrase('player.hint')}
          </p>
          <Saying said={hint} width={220} />
        </Alert>
      ))}
    </div>
  );
}
