import { useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { Dialog } from '../../../ui/Dialog';
import type { PlayerStore } from '../store';

interface Props {
  store: PlayerStore;
  busy: boolean;
  onNext: () => void;
  onFinish: () => void;
}

/** The button to the next question or the end: disabled until a check if the author wants that, with a confirmation. */
export function Onward({ store, busy, onNext, onFinish }: Props) {
  const { view, tries, ended, connection, checking } = store(
    useShallow(({ view, tries, ended, connection, checking }) => ({
      view,
      tries,
      ended,
      checking,
      connection: connection === 'sending' ? ('saved' as const) : connection,
    })),
  );
  const unchecked = store(
    (s) =>
      s.told?.try == null &&
      (s.board.zoneOf.size > 0 || s.board.texts.size > 0 || (s.view.question.hides && s.board.letGo.size > 0)),
  );
  const [asked, setAsked] = useState(false);
  const { place } = view;
  const isLast = place.at === place.count - 1;
  const held = view.question.show.nextOnlyAfterCheck && tries === 0;
  const wait =
    held || busy || checking || connection === 'offline' || connection === 'takenOver' || connection === 'signedOut';
  // The learner cannot return to this question.
  const final = isLast || !place.goBack;
  const go = isLast ? onFinish : onNext;
  // With deferred feedback no question ends before the attempt does.
  const undone = place.deferred
    ? isLast
      ? 0
      : 1
    : isLast && place.count > 1
      ? place.count - new Set([...place.ended, ...(ended ? [place.at] : [])]).size
      : ended
        ? 0
        : 1;
  const press = () => (final && (undone > 0 || place.deferred) ? setAsked(true) : go());
  const words = isLast ? 'Finish' : (view.question.buttons.next ?? 'Next question');
  return (
    <>
      <button
        type="button"
        className={`btn ${ended ? 'btn-primary' : 'btn-edge'}`}
        disabled={wait}
        onClick={press}
        title={held ? 'Check your answer first' : undefined}
      >
        {words}
      </button>
      {asked && (
        <Dialog title={isLast ? 'Finish now?' : 'Leave this question?'} onClose={() => setAsked(false)}>
          <p>
            {isLast
              ? undone === 0
                ? 'After this nothing can be moved any more, and all of it is checked.'
                : place.count > 1
                  ? `${undone === 1 ? 'One question is' : `${undone} questions are`} not finished. After this nothing can be moved any more.`
                  : 'This question is not finished. After this nothing can be moved any more.'
              : 'You cannot come back to it.'}
            {unchecked && !place.deferred && ' What you have placed is checked once as it stands.'}
          </p>
          <div className="flex justify-end gap-2 mt-4">
            <button type="button" className="btn btn-quiet" onClick={() => setAsked(false)}>
              Stay here
            </button>
            <button
              type="button"
              className="btn btn-primary"
              data-autofocus
              onClick={() => {
                setAsked(false);
                go();
              }}
            >
              {words}
            </button>
          </div>
        </Dialog>
      )}
    </>
  );
}
