import type { ClassStore } from './classState';
import { Panel } from './Panel';
import { type BoardClock, clockInWords } from './useBoardClock';

const COUNTDOWNS = [30, 60, 120, 300] as const;
const STEP = 30;
const LONGEST = 3600;

/** The clock: up or down, with a sound at its end, and the best time of the day. */
export function ClockPanel({
  store,
  clock,
  best,
  onClose,
}: {
  store: ClassStore;
  clock: BoardClock;
  best: number | null;
  onClose: () => void;
}) {
  const { from, bell } = store();
  const { setFrom, setBell } = store.getState();
  const choose = (seconds: number | null) => {
    setFrom(seconds);
    clock.setBack();
  };
  return (
    <Panel title="Clock" onClose={onClose}>
      <p className="board-time figures">{clockInWords(clock.seconds)}</p>
      <div className="board-row">
        <button
          type="button"
          className="board-button board-button-main"
          onClick={clock.isRunning ? clock.stop : clock.start}
        >
          {clock.isRunning ? 'Stop' : 'Start'}
        </button>
        <button type="button" className="board-button" onClick={clock.setBack}>
          Set back
        </button>
      </div>
      <fieldset className="board-choices">
        <legend>Count</legend>
        <label>
          <input type="radio" className="radio" name="count" checked={from === null} onChange={() => choose(null)} />
          up
        </label>
        {COUNTDOWNS.map((seconds) => (
          <label key={seconds}>
            <input
              type="radio"
              className="radio"
              name="count"
              checked={from === seconds}
              onChange={() => choose(seconds)}
            />
            down from {clockInWords(seconds)}
          </label>
        ))}
      </fieldset>
      {from !== null && (
        <div className="board-row">
          <button
            type="button"
            className="board-button board-button-small"
            aria-label="Half a minute less"
            disabled={from <= STEP}
            onClick={() => choose(from - STEP)}
          >
            −{STEP} s
          </button>
          <button
            type="button"
            className="board-button board-button-small"
            aria-label="Half a minute more"
            disabled={from >= LONGEST}
            onClick={() => choose(from + STEP)}
          >
            +{STEP} s
          </button>
          <label className="board-check">
            <input
              type="checkbox"
              className="toggle"
              checked={bell}
              onChange={(event) => setBell(event.target.checked)}
            />
            A sound at the end
          </label>
        </div>
      )}
      <p>
        {best === null
          ? 'The shortest time in which all of it came right today will stand here.'
          : `Best today: ${clockInWords(best)}.`}
      </p>
    </Panel>
  );
}
