import { ChevronLeft, ChevronRight, Ellipsis, Undo2 } from 'lucide-react';
import { phrase } from '../../words';
import { actionsFor } from '../player/actionsFor';
import type { BoardQuestion } from './boardQuestion';
import { roundInWords, Stack } from './CallUp';
import type { ClassStore } from './classState';

export type PanelName = 'turns' | 'teams' | 'clock' | 'questions' | 'sources' | 'more';

interface Props {
  store: ClassStore;
  /** Two in a race, else one. */
  questions: readonly BoardQuestion[];
  at: number;
  count: number;
  panel: PanelName | null;
  /** Something stands beside the question. */
  hasSources: boolean;
  /** The model answer is being looked for, or there is none. */
  model: 'looking' | 'none' | 'found';
  onPanel: (panel: PanelName | null) => void;
  onGo: (to: number) => void;
  onPutBack: () => void;
  onStep: () => void;
  onCall: () => void;
}

/** What a class does with the question, along one edge of the screen, in big targets. */
export function Controls(props: Props) {
  const { store, questions, at, count, panel, hasSources, onPanel, onGo, onPutBack, onCall } = props;
  const turns = store((s) => s.turns);
  const first = questions[0] as BoardQuestion;
  const toggle = (name: PanelName) => onPanel(panel === name ? null : name);
  return (
    <nav className="board-controls" aria-label="Board">
      {turns && <Stack turns={turns} />}
      <button
        type="button"
        className="board-button"
        onClick={() => (turns ? onCall() : onPanel('turns'))}
        disabled={turns !== null && turns.absent.length === turns.people.length}
      >
        Call up
      </button>
      {turns && (
        <button
          type="button"
          className="board-button board-button-quiet board-round figures"
          aria-expanded={panel === 'turns'}
          aria-label={`Turns: ${roundInWords(turns)}`}
          onClick={() => toggle('turns')}
        >
          {roundInWords(turns)}
        </button>
      )}
      {questions.length === 1 && <CheckButton question={first} />}
      <button type="button" className="board-button" onClick={onPutBack}>
        {phrase('player.reset')}
      </button>
      <Undo question={first} alone={questions.length === 1} />
      {questions.length === 1 && <Model {...props} question={first} />}
      <Cover questions={questions} />
      {hasSources && (
        <button
          type="button"
          className="board-button"
          aria-expanded={panel === 'sources'}
          onClick={() => toggle('sources')}
        >
          Sources
        </button>
      )}
      <span className="board-pager">
        <button
          type="button"
          className="board-button board-button-square"
          aria-label="Question before"
          disabled={at === 0}
          onClick={() => onGo(at - 1)}
        >
          <ChevronLeft aria-hidden />
        </button>
        <button
          type="button"
          className="board-button board-button-quiet figures"
          aria-expanded={panel === 'questions'}
          aria-label={`Question ${at + 1} of ${count}: all questions`}
          onClick={() => toggle('questions')}
        >
          {at + 1} / {count}
        </button>
        <button
          type="button"
          className="board-button board-button-square"
          aria-label="Next question"
          disabled={at + 1 >= count}
          onClick={() => onGo(at + 1)}
        >
          <ChevronRight aria-hidden />
        </button>
      </span>
      <button
        type="button"
        className="board-button board-button-square"
        aria-label="More"
        aria-expanded={panel === 'more'}
        onClick={() => toggle('more')}
      >
        <Ellipsis aria-hidden />
      </button>
    </nav>
  );
}

/** Check, or try again after a miss. Where everything is judged as it lands there is nothing to check. */
export function CheckButton({ question }: { question: BoardQuestion }) {
  const player = question.state((s) => s.player);
  const covered = question.state((s) => s.covered);
  const facts = player();
  const can = actionsFor(facts);
  if (!can.check && !can.tryAgain && !facts.ended) return null;
  const press = () => {
    if (can.tryAgain) facts.goOn();
    else if (can.check === 'ready') facts.check();
  };
  return (
    <button
      type="button"
      className="board-button board-button-main"
      disabled={facts.ended}
      aria-disabled={can.check === 'waits' || undefined}
      title={covered ? 'Verdicts are covered: uncover them to see what it came to' : undefined}
      onClick={press}
    >
      {can.tryAgain ? phrase('player.tryAgain') : (facts.view.question.buttons.check ?? phrase('player.check'))}
    </button>
  );
}

function Undo({ question, alone }: { question: BoardQuestion; alone: boolean }) {
  const canUndo = question.state((s) => s.canUndo);
  if (!alone) return null;
  return (
    <button
      type="button"
      className="board-button board-button-square"
      aria-label="Undo"
      title="Undo"
      disabled={!canUndo}
      onClick={question.undo}
    >
      <Undo2 aria-hidden />
    </button>
  );
}

function Model({ question, model, onStep }: Props & { question: BoardQuestion }) {
  const steps = question.state((s) => s.steps);
  if (model === 'none') return null;
  const words = steps === null ? 'Model answer' : steps.shown < steps.of ? 'Next item' : 'Our own again';
  return (
    <button
      type="button"
      className={`board-button ${steps ? 'board-button-on' : ''}`}
      disabled={model === 'looking'}
      title={model === 'looking' ? 'It is still being looked for' : undefined}
      onClick={onStep}
    >
      {words}
      {steps && (
        <span className="figures">
          {steps.shown} / {steps.of}
        </span>
      )}
    </button>
  );
}

function Cover({ questions }: { questions: readonly BoardQuestion[] }) {
  const covered = (questions[0] as BoardQuestion).state((s) => s.covered);
  return (
    <button
      type="button"
      className={`board-button ${covered ? 'board-button-on' : ''}`}
      aria-pressed={covered}
      onClick={() => {
        for (const question of questions) question.cover(!covered);
      }}
    >
      {covered ? 'Uncover' : 'Cover'}
    </button>
  );
}
