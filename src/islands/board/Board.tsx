import { useCallback, useEffect, useRef, useState } from 'react';
import type { ClassBoard, JsonText } from '../../contract';
import { sourcesBeside } from '../../core';
import { Alert } from '../../ui/Alert';
import { Queries } from '../../ui/Queries';
import { fromJson } from '../../ui/wire';
import { recallSounds } from '../player/sounds';
import { ownSource } from '../shared/ownMedia';
import { useModelAnswers } from '../shared/useModelAnswers';
import { BoardHeading, BoardStage } from './BoardStage';
import type { BoardQuestion } from './boardQuestion';
import { CheckButton, Controls, type PanelName } from './Controls';
import { chime } from './chime';
import { type ClassStore, classStore } from './classState';
import { KeepDialog } from './KeepDialog';
import { Panels } from './Panels';
import { Sign, teamName } from './signs';
import { type BoardClock, clockInWords, useBoardClock } from './useBoardClock';
import { useKeptMedia } from './useKeptMedia';
import { useOpened } from './useOpened';
import { namesUp, speak } from './whoIsUp';
import './board.css';

/**
 * Questions for a whole class at one screen. Everything is judged on the page and nothing is counted; the line may be
 * down until the window is closed. `name`: under which this browser keeps the class's turns.
 */
export function Board({ json, name }: { json: JsonText<ClassBoard>; name: string }) {
  return (
    <Queries options={{ retry: 1, refetchOnWindowFocus: false }}>
      <OpenBoard json={json} name={name} />
    </Queries>
  );
}

function OpenBoard({ json, name }: { json: JsonText<ClassBoard>; name: string }) {
  const [{ title, questions, sources }] = useState(() => fromJson(json));
  const [store] = useState<ClassStore>(() => classStore(`vault-drop.board.${name}`));
  const { edge, from, bell } = store();
  const [panel, setPanel] = useState<PanelName | null>(null);
  const [hidden, setHidden] = useState(false);
  const [racing, setRacing] = useState(false);
  const [keeping, setKeeping] = useState(false);
  const [notice, setNotice] = useState('');
  const answers = useModelAnswers(questions);
  const clock = useBoardClock(from, () => {
    if (bell) chime();
    setNotice('The time is up.');
  });
  const kept = useKeptMedia(questions, sources);
  const opened = useOpened({
    ...{ questions, store, seed: name, clock, racing, kept },
    onNotice: setNotice,
  });
  const [at, go] = usePlace(questions.length, () => {
    setNotice('');
    clock.setBack();
    opened.startAnew();
  });
  useEffect(recallSounds, []);
  const halves = racing ? [0, 1] : [0];
  const shown = halves.flatMap((half) => opened.open(at, half) ?? []);
  const [first] = shown;
  if (!first) return <Empty title={title} />;

  const call = () => {
    const before = store.getState().turns?.round ?? 0;
    store.getState().call();
    const now = store.getState().turns?.round ?? 0;
    setNotice(now > before ? `Everybody has come up once. Round ${now} begins.` : '');
    speak(namesUp(store));
  };
  const putBack = () => {
    for (const question of shown) question.putBack();
    opened.startAnew();
    setNotice('');
  };
  const beside = sourcesBeside(sources, at).map((source) => {
    const { file, picture, captions } = ownSource(sources[source.n]);
    return { ...source, at: { file: kept(file) ?? file, picture: kept(picture) ?? picture, captions } };
  });
  const modelAnswer = answers.get(questions[at]?.id ?? '');
  return (
    <div className="board" data-edge={edge} data-hidden={hidden || undefined}>
      <main id="content" className="board-main">
        <ClockShown clock={clock} />
        {!racing && <Tallies store={store} />}
        {notice && (
          <Alert tone="notice" className="board-notice" role="status">
            {notice}
          </Alert>
        )}
        {racing && <BoardHeading question={first} />}
        <div className="board-halves">
          {shown.map((question, half) => (
            <div key={half === 0 ? `left of ${at}` : `right of ${at}`} className="board-half">
              <BoardStage question={question} isHeaded={!racing} />
              {racing && <Side store={store} half={half} question={question} />}
            </div>
          ))}
        </div>
      </main>
      {hidden ? (
        <button type="button" className="board-button board-back" onClick={() => setHidden(false)}>
          Controls
        </button>
      ) : (
        <>
          <Controls
            store={store}
            questions={shown}
            at={at}
            count={questions.length}
            panel={panel}
            hasSources={beside.length > 0}
            model={modelAnswer === undefined ? 'looking' : modelAnswer === null ? 'none' : 'found'}
            onPanel={setPanel}
            onGo={go}
            onPutBack={putBack}
            onStep={() => modelAnswer && first.step(modelAnswer)}
            onCall={call}
          />
          <Panels
            {...{ panel, store, title, questions, beside, at, clock, racing }}
            shown={first}
            onPanel={setPanel}
            onGo={go}
            onRace={setRacing}
            onHide={() => {
              setPanel(null);
              setHidden(true);
            }}
            onKeep={() => {
              setPanel(null);
              setKeeping(true);
            }}
          />
        </>
      )}
      {keeping && <KeepDialog title={title} played={opened.all()} onClose={() => setKeeping(false)} />}
    </div>
  );
}

/** Which question is shown; the keys of a clicker go on and back. */
function usePlace(count: number, onGo: () => void): [number, (to: number) => void] {
  const [at, setAt] = useState(0);
  const gone = useRef(onGo);
  gone.current = onGo;
  const go = useCallback(
    (to: number) => {
      if (to < 0 || to >= count) return;
      setAt(to);
      gone.current();
    },
    [count],
  );
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const by = { PageDown: 1, PageUp: -1 }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      go(at + by);
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [at, go]);
  return [at, go];
}

const Empty = ({ title }: { title: string }) => (
  <main id="content" className="board-empty">
    <h1>{title}</h1>
    <p>There is no question in it yet.</p>
    <a className="link-brass" href="/vault">
      To the Vault
    </a>
  </main>
);

const ClockShown = ({ clock: { isRunning, seconds } }: { clock: BoardClock }) =>
  (isRunning || seconds > 0) && (
    <p className="board-clock figures" role="timer">
      {clockInWords(seconds)}
    </p>
  );

/** The teams with their tallies; a press says whose turn it is. */
function Tallies({ store }: { store: ClassStore }) {
  const { teams, teamUp } = store();
  if (teams.length === 0) return null;
  return (
    <ul className="board-tallies" aria-label="Teams">
      {teams.map(({ sign, tally }, i) => (
        <li key={sign}>
          <button type="button" aria-pressed={teamUp === i} onClick={() => store.getState().passTo(i)}>
            <Sign sign={sign} />
            <span className="sr-only">{teamName(sign)}: </span>
            <span className="figures">{tally}</span>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Beneath one half of a race: whose it is, and its own check. */
function Side({ store, half, question }: { store: ClassStore; half: number; question: BoardQuestion }) {
  const tally = store((s) => s.teams[half]?.tally ?? 0);
  return (
    <div className="board-side">
      <Sign sign={half} />
      <span>{teamName(half)}</span>
      <span className="figures">{tally}</span>
      <CheckButton question={question} />
    </div>
  );
}
