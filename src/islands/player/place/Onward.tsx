import { useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { Confirm } from '../../../ui/Confirm';
import { phrase } from '../../../words';
import { hasPlaced } from '../actionsFor';
import { shownConnection } from '../reducer';
import type { PlayerStore } from '../store';
import { leavingInWords, leavingOf } from './leaving';

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
      connection: shownConnection(connection),
    })),
  );
  const unchecked = store((s) => s.told?.try == null && hasPlaced(s));
  const [asked, setAsked] = useState(false);
  const { place } = view;
  const leaving = leavingOf(place, { tried: tries > 0, ended });
  const { isLast, isFinal } = leaving;
  const held = view.question.show.nextOnlyAfterCheck && tries === 0;
  const wait =
    held || busy || checking || connection === 'offline' || connection === 'takenOver' || connection === 'signedOut';
  const go = isLast ? onFinish : onNext;
  const press = () => (isFinal && (leaving.unchecked + leaving.open > 0 || place.deferred) ? setAsked(true) : go());
  const words = isLast ? phrase('player.finish') : (view.question.buttons.next ?? phrase('player.next'));
  return (
    <>
      <button
        type="button"
        className={`btn ${ended ? 'btn-primary' : 'btn-edge'}`}
        disabled={wait}
        onClick={press}
        title={held ? phrase('player.checkFirst') : undefined}
      >
        {words}
      </button>
      {asked && (
        <Confirm
          title={phrase(isLast ? 'player.finishNow' : 'player.leaveIt')}
          action={words}
          cancel={phrase('player.stay')}
          forGood
          onConfirm={() => {
            setAsked(false);
            go();
          }}
          onClose={() => setAsked(false)}
        >
          <p>
            {leavingInWords(leaving, place.count)}
            {unchecked && !place.deferred && ` ${phrase('player.checkedOnce')}`}
          </p>
        </Confirm>
      )}
    </>
  );
}
