import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ClassBoard, JsonText, WasUp } from '../../contract';
import type { ModelPlacement } from '../../core';
import { Alert } from '../../ui/Alert';
import { fromJson } from '../../ui/wire';
import { prover } from '../../workers';
import { localVoice } from '../player/aids/speech';
import { recallSounds, useSounds } from '../player/sounds';
import { BoardStage } from './BoardStage';
import { type BoardQuestion, boardQuestion } from './boardQuestion';
import { ClockPanel } from './ClockPanel';
import { CheckButton, Controls, type PanelName } from './Controls';
import { chime } from './chime';
import { type ClassStore, classStore } from './classState';
import { KeepDialog } from './KeepDialog';
import { MorePanel } from './MorePanel';
import { QuestionsPanel } from './QuestionsPanel';
import { Sign, teamName } from './signs';
import { TeamsPanel } from './TeamsPanel';
import { TurnsPanel } from './TurnsPanel';
import { type BoardClock, clockInWords, useBoardClock } from './useBoardClock';
import { useKeptMedia } from './useKeptMedia';
import './board.css';

/** How long a model answer is looked for, in milliseconds. */
const PROVE_MS = 4000;
const client = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } });

/**
 * Questions for a whole class at one screen. Everything is judged on the page and nothing is counted; the line may be
 * down until the window is closed. `name`: under which this browser keeps the class's turns.
 */
export function Board({ json, name }: { json: JsonText<ClassBoard>; name: string }) {
  return (
    <QueryClientProvider client={client}>
      <OpenBoard json={json} name={name} />
    </QueryClientProvider>
  );
}

function OpenBoard({ json, name }: { json: JsonText<ClassBoard>; name: string }) {
  const [{ title, questions }] = useState(() => fromJson(json));
  const [store] = useState<ClassStore>(() => classStore(`vault-drop.board.${name}`));
  const { edge, teams, teamUp, from, bell, best } = store();
  const [at, setAt] = useState(0);
  const [panel, setPanel] = useState<PanelName | null>(null);
  const [hidden, setHidden] = useState(false);
  const [racing, setRacing] = useState(false);
  const [keeping, setKeeping] = useState(false);
  const [notice, setNotice] = useState('');
  const kept = useKeptMedia(questions);
  const answers = useModelAnswers(questions);
  const clock = useBoardClock(from, () => {
    if (bell) chime();
    setNotice('The time is up.');
  });
  useEffect(recallSounds, []);

  const document = questions[at];
  const day = new Date().toDateString();
  const bestToday = document && best[document.id]?.day === day ? (best[document.id]?.seconds ?? null) : null;
  const judged = (side: number, id: string) => (newlyRight: number, allRight: boolean) => {
    const { teams: now, teamUp: up, best: bests } = store.getState();
    const team = raced.current ? side : up;
    if (now.length > 0) store.getState().count(team, newlyRight);
    if (!allRight) return;
    const seconds = clockNow.current.gone();
    if (raced.current) setNotice(`${teamName(now[side]?.sign ?? side)} has all of it right first.`);
    if (!clockNow.current.isRunning && seconds === 0) return;
    clockNow.current.stop();
    const before = bests[id];
    if (before?.day !== day || seconds < before.seconds) store.getState().setBest(id, day, seconds);
  };
  const raced = useRef(racing);
  raced.current = racing;
  const clockNow = useRef<BoardClock>(clock);
  clockNow.current = clock;

  // A question stays as the class has left it while others are played.
  const opened = useRef(new Map<string, BoardQuestion>());
  const open = (index: number, side: number): BoardQuestion | null => {
    const whole = questions[index];
    if (!whole) return null;
    const key = `${index} ${side}`;
    const known = opened.current.get(key);
    if (known) return known;
    const made = boardQuestion(whole, {
      seed: `${name} ${index}`,
      kept,
      up: () => whoIsUp(store),
      onJudged: judged(side, whole.id),
    });
    opened.current.set(key, made);
    return made;
  };
  const sides = racing ? [0, 1] : [0];
  const shown = sides.flatMap((side) => open(at, side) ?? []);

  const go = useCallback(
    (to: number) => {
      if (to < 0 || to >= questions.length) return;
      setAt(to);
      setNotice('');
      clockNow.current.setBack();
    },
    [questions.length],
  );
  // The keys of a clicker.
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === 'PageDown') go(at + 1);
      else if (event.key === 'PageUp') go(at - 1);
      else return;
      event.preventDefault();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [at, go]);

  const call = () => {
    const before = store.getState().turns;
    store.getState().call();
    const now = store.getState().turns;
    setNotice(
      before && now && now.round > before.round ? `Everybody has come up once. Round ${now.round} begins.` : '',
    );
    speak(namesUp(store));
  };
  const putBack = () => {
    for (const question of shown) question.putBack();
    setNotice('');
  };

  if (!document || shown.length === 0)
    return (
      <main id="content" className="board-empty">
        <h1>{title}</h1>
        <p>There is no question in it yet.</p>
        <a className="link-brass" href="/vault">
          To the Vault
        </a>
      </main>
    );
  const modelAnswer = answers.get(document.id);
  const hint = shown[0]?.state.getState().player.getState().hintsLeft ? shown[0] : null;
  return (
    <div className="board" data-edge={edge} data-hidden={hidden || undefined}>
      <main id="content" className="board-main" data-racing={racing || undefined}>
        {(clock.isRunning || clock.seconds > 0) && (
          <p className="board-clock figures" role="timer">
            {clockInWords(clock.seconds)}
          </p>
        )}
        {teams.length > 0 && !racing && (
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
        )}
        {notice && (
          <Alert tone="notice" className="board-notice" role="status">
            {notice}
          </Alert>
        )}
        <div className="board-halves">
          {shown.map((question, side) => (
            <div key={side === 0 ? `left of ${at}` : `right of ${at}`} className="board-half">
              <BoardStage question={question} />
              {racing && (
                <div className="board-side">
                  <Sign sign={side} />
                  <span>{teamName(side)}</span>
                  <span className="figures">{teams[side]?.tally ?? 0}</span>
                  <CheckButton question={question} />
                </div>
              )}
            </div>
          ))}
        </div>
      </main>
      {hidden ? (
        <button type="button" className="board-button board-back" onClick={() => setHidden(false)}>
          Controls
        </button>
      ) : (
        <Controls
          store={store}
          questions={shown}
          at={at}
          count={questions.length}
          panel={panel}
          model={modelAnswer === undefined ? 'looking' : modelAnswer === null ? 'none' : 'found'}
          onPanel={setPanel}
          onGo={go}
          onPutBack={putBack}
          onStep={() => modelAnswer && shown[0]?.step(modelAnswer)}
          onCall={call}
        />
      )}
      {!hidden && panel === 'turns' && <TurnsPanel store={store} onClose={() => setPanel(null)} />}
      {!hidden && panel === 'teams' && (
        <TeamsPanel store={store} racing={racing} onRace={setRacing} onClose={() => setPanel(null)} />
      )}
      {!hidden && panel === 'clock' && (
        <ClockPanel store={store} clock={clock} best={bestToday} onClose={() => setPanel(null)} />
      )}
      {!hidden && panel === 'questions' && (
        <QuestionsPanel questions={questions} at={at} onGo={go} onClose={() => setPanel(null)} />
      )}
      {!hidden && panel === 'more' && (
        <MorePanel
          store={store}
          title={title}
          onPanel={setPanel}
          onHide={() => {
            setPanel(null);
            setHidden(true);
          }}
          onHint={hint && (() => hint.state.getState().player.getState().hint())}
          onKeep={() => {
            setPanel(null);
            setKeeping(true);
          }}
        />
      )}
      {keeping && <KeepDialog title={title} played={[...opened.current.values()]} onClose={() => setKeeping(false)} />}
    </div>
  );
}

const whoIsUp = (store: ClassStore): readonly WasUp[] => {
  const { turns, areLearners } = store.getState();
  return areLearners ? (turns?.up.map((learner) => ({ learner })) ?? []) : namesUp(store).map((name) => ({ name }));
};

const namesUp = (store: ClassStore): readonly string[] => {
  const { turns } = store.getState();
  return turns?.up.flatMap((id) => turns.people.find((person) => person.id === id)?.name ?? []) ?? [];
};

/** Says the names that were drawn, by a voice of this machine, if sound is on. */
function speak(names: readonly string[]): void {
  const speech = window.speechSynthesis;
  const voice = speech && localVoice(speech.getVoices(), 'en');
  if (!voice || !useSounds.getState().on || names.length === 0) return;
  const spoken = new SpeechSynthesisUtterance(names.join(', '));
  spoken.voice = voice;
  speech.speak(spoken);
}

/** The model answer of each question, looked for in a worker, one after another; null: there is none. */
function useModelAnswers(
  questions: readonly ReturnType<typeof fromJson<ClassBoard>>['questions'][number][],
): ReadonlyMap<string, readonly ModelPlacement[] | null> {
  const [found, setFound] = useState<ReadonlyMap<string, readonly ModelPlacement[] | null>>(new Map());
  const worker = useMemo(prover, []);
  useEffect(() => {
    let ends = false;
    const look = async () => {
      for (const question of questions) {
        const proof = await worker.prove(question, PROVE_MS).catch(() => null);
        if (ends) return;
        setFound((all) => new Map(all).set(question.id, proof?.modelAnswer?.placements ?? null));
      }
    };
    void look();
    return () => {
      ends = true;
      worker.stop();
    };
  }, [questions, worker]);
  return found;
}
