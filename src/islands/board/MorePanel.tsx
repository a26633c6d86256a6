import { useSounds } from '../player/sounds';
import type { PanelName } from './Controls';
import { type ClassStore, EDGES } from './classState';
import { Panel } from './Panel';

interface Props {
  store: ClassStore;
  title: string;
  onPanel: (panel: PanelName | null) => void;
  onHide: () => void;
  onHint: (() => void) | null;
  onKeep: () => void;
}

const EDGE_WORDS = { bottom: 'at the foot', top: 'at the top', left: 'on the left', right: 'on the right' } as const;

/** What is needed less often. */
export function MorePanel({ store, title, onPanel, onHide, onHint, onKeep }: Props) {
  const edge = store((s) => s.edge);
  const sounds = useSounds();
  const fill = () => {
    if (document.fullscreenElement) void document.exitFullscreen();
    else void document.documentElement.requestFullscreen?.();
  };
  return (
    <Panel title="More" onClose={() => onPanel(null)}>
      <div className="board-list">
        <button type="button" className="board-button board-button-wide" onClick={() => onPanel('turns')}>
          Turns…
        </button>
        <button type="button" className="board-button board-button-wide" onClick={() => onPanel('teams')}>
          Teams…
        </button>
        <button type="button" className="board-button board-button-wide" onClick={() => onPanel('clock')}>
          Clock…
        </button>
        {onHint && (
          <button type="button" className="board-button board-button-wide" onClick={onHint}>
            Hint
          </button>
        )}
        <button
          type="button"
          className="board-button board-button-wide"
          aria-pressed={sounds.on}
          onClick={() => sounds.turn(!sounds.on)}
        >
          {sounds.on ? 'Sound is on' : 'Sound is off'}
        </button>
        <button type="button" className="board-button board-button-wide" onClick={fill}>
          Fill the screen, or leave it
        </button>
        <button type="button" className="board-button board-button-wide" onClick={onHide}>
          Put the controls out of sight
        </button>
        <button type="button" className="board-button board-button-wide" onClick={onKeep}>
          Save as a record of this class…
        </button>
      </div>
      <fieldset className="board-choices">
        <legend>The controls lie</legend>
        {EDGES.map((one) => (
          <label key={one}>
            <input
              type="radio"
              className="radio"
              name="edge"
              checked={edge === one}
              onChange={() => store.getState().setEdge(one)}
            />
            {EDGE_WORDS[one]}
          </label>
        ))}
      </fieldset>
      <p className="text-mute">{title}: nothing that is done here is counted.</p>
      <p>
        <a className="link-brass" href="/vault">
          To the Vault
        </a>
      </p>
    </Panel>
  );
}
