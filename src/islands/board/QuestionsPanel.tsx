import type { Question } from '../../core';
import { Panel } from './Panel';

interface Props {
  questions: readonly Pick<Question, 'id' | 'title'>[];
  at: number;
  onGo: (to: number) => void;
  onClose: () => void;
}

/** All questions that are open on the board. */
export function QuestionsPanel({ questions, at, onGo, onClose }: Props) {
  return (
    <Panel title="Questions" onClose={onClose}>
      <ol className="board-list">
        {questions.map((question, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same question may stand in a unit twice
          <li key={`${question.id} ${i}`}>
            <button
              type="button"
              className={`board-button board-button-wide ${i === at ? 'board-button-on' : ''}`}
              aria-current={i === at ? 'step' : undefined}
              onClick={() => onGo(i)}
            >
              <span className="figures">{i + 1}</span> <span dir="auto">{question.title}</span>
            </button>
          </li>
        ))}
      </ol>
    </Panel>
  );
}
