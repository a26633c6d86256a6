import type { ReactNode } from 'react';
import { RichText } from '../../scene/RichText';
import type { PlayerState, PlayerStore } from './store';
import { tryInWords } from './words';

const LINES: Record<PlayerState['line'], string> = {
  kept: '',
  sending: '',
  down: 'The line is down. Go on: your moves are kept in this browser and go out when it is back.',
  signedOut: 'You are signed out. Your moves are kept in this browser: sign in again and come back to this page.',
  failed: 'The server could not take your moves. They are kept in this browser and will be sent again.',
};

/** Check, put everything back, where one stands; and the overall word under the scene. */
export function Actions({ store, onward }: { store: PlayerStore; onward: ReactNode }) {
  const { board, view, lastTry, tries, best, ended, line, checking, notice, check, move, goOn } = store();
  const limit = view.question.tries;
  const endless = view.question.items.some((item) => item.copies === 'endless');
  const all = view.question.items.reduce((sum, { copies }) => sum + (copies === 'endless' ? 0 : copies), 0);
  const placed = board.zoneOf.size;
  const goes = (lastTry?.goingHome.length ?? 0) > 0;
  const now = tries + (ended || goes ? 0 : 1);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 mt-4">
        {!ended && !goes && (
          <button type="button" className="btn btn-primary btn-lg" onClick={check} disabled={checking}>
            {checking ? 'Checking…' : (view.question.buttons.check ?? 'Check')}
          </button>
        )}
        {goes && (
          <button type="button" className="btn btn-primary btn-lg" onClick={goOn}>
            Go on
          </button>
        )}
        {!ended && (
          <button type="button" className="btn btn-edge" onClick={() => move({ kind: 'reset' })} disabled={checking || (placed === 0 && board.letGo.size === 0)}>
            {view.question.buttons.reset ?? 'Put everything back'}
          </button>
        )}
        <p className="figures text-mute">
          {limit === null ? `try ${now}` : `try ${now} of ${limit}`} · {endless ? `${placed} placed` : `${placed} of ${all} placed`}
        </p>
        <span className="grow" />
        {ended && onward}
      </div>
      <div role="status" className="mt-3 min-h-14">
        {lastTry && (
          <p className={`border-l-4 px-4 py-3 text-lg ${lastTry.fullMarks ? 'bg-verdigris-wash border-verdigris' : 'bg-brass-wash border-brass'}`}>
            {tryInWords(lastTry, ended)}{' '}
            <span className="figures whitespace-nowrap">
              Mark {lastTry.mark} of {lastTry.max}
            </span>
            {best && best.mark !== lastTry.mark && <span className="figures whitespace-nowrap"> · best so far {best.mark}</span>}
          </p>
        )}
        {lastTry?.words && (
          <div className="border-l-4 border-rule px-4 py-2 text-lg">
            <RichText rich={lastTry.words} />
          </div>
        )}
        {!lastTry && ended && best && (
          <p className="border-l-4 px-4 py-3 text-lg bg-brass-wash border-brass figures">
            Finished. Mark {best.mark} of {best.max}
          </p>
        )}
        {notice && <p className="border-l-4 px-4 py-3 bg-brass-wash border-brass mt-2">{notice}</p>}
        {LINES[line] && (
          <p className="border-l-4 px-4 py-3 bg-brick-wash border-brick mt-2">
            {LINES[line]}{' '}
            {line === 'signedOut' && (
              <a className="link-brass" href={`/sign-in?to=${encodeURIComponent(location.pathname)}`}>
                Sign in
              </a>
            )}
          </p>
        )}
      </div>
    </>
  );
}
