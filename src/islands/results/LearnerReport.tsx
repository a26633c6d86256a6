import { format } from 'date-fns';
import type { LearnerReport as Report, ReportDrawing, ReportQuestion, ReportRelease } from '../../contract';
import { judgedAt, questionModel, restoredBoard } from '../../core';
import { BoardSketch, MediaFrom } from '../../scene';
import { shownMark } from '../../ui';
import { benchMedia } from '../shared/ownMedia';
import '../shared/paper/paper.css';
import './report.css';

const day = (at: Date) => format(at, 'd MMM yyyy');
const VERDICTS = { right: 'right', wrong: 'wrong', none: '' } as const;
const STATES: Readonly<Record<ReportRelease['state'], string>> = {
  done: 'finished',
  running: 'not finished',
  missing: 'missing: it counts as zero',
  none: 'not finished',
  notFor: '',
  excused: 'excused: it does not count',
};
const percent = (share: number) => `${Math.round(share * 1000) / 10} %`;

/** One learner's results of a course on paper, in black and white: what was put where, and what was said of it. */
export function LearnerReport({ report, at }: { report: Report; at: Date }) {
  const { course, learner, overall, letter, categories, releases } = report;
  const weights = categories.reduce((sum, { weight }) => sum + weight, 0);
  return (
    <article className="paper report">
      <header>
        <h1>{learner.name}</h1>
        <p className="flex gap-4">
          <span className="grow">{course.title}</span>
          <span>{day(at)}</span>
        </p>
      </header>
      {overall !== null && (
        <p className="report-overall">
          Overall <strong>{percent(overall)}</strong>
          {letter !== null && (
            <>
              {' '}
              <strong>{letter}</strong>
            </>
          )}
          {categories.length > 0 && (
            <>
              {': '}
              {categories
                .map(
                  ({ title, weight, points, outOf }) =>
                    `${title} ${shownMark(points)} / ${shownMark(outOf)}, weight ${percent(weights > 0 ? weight / weights : 0)}`,
                )
                .join('; ')}
            </>
          )}
        </p>
      )}
      {releases.length === 0 && <p className="mt-4">Nothing has been answered yet.</p>}
      {releases.map((release, r) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two may have one title
        <Release key={r} release={release} />
      ))}
    </article>
  );
}

function Release({ release }: { release: ReportRelease }) {
  const { title, practice, mark, outOf, byHand, state, late, finishedAt, sittings, questions } = release;
  return (
    <section>
      <h2 className="paper-section flex gap-4">
        <span className="grow">{title}</span>
        <span className="paper-points">
          {mark !== null ? `${shownMark(mark)} / ${outOf}` : state === 'missing' ? `0 / ${outOf}` : 'no mark'}
        </span>
      </h2>
      <p>
        {[
          practice && 'practice',
          state === 'excused' && STATES.excused,
          finishedAt ? `finished ${day(finishedAt)}` : state !== 'excused' && STATES[state],
          late && 'late',
          sittings > 1 && `${sittings} attempts, the one that counts is shown`,
          byHand !== null && `set by hand: ${byHand}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {questions.map((question, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the sitting
        <Question key={i} question={question} number={i + 1} />
      ))}
    </section>
  );
}

function Question({ question, number }: { question: ReportQuestion; number: number }) {
  const { title, struck, earned, points, tries, drawn, lines, said } = question;
  return (
    <div className="paper-question">
      <h3>
        <span>{number}.</span> <span className="grow">{title}</span>
        <span className="paper-points">
          {tries > 1 && `${tries} tries · `}
          {struck ? 'struck' : `${shownMark(earned)} / ${points}`}
        </span>
      </h3>
      {struck && <p>This question was struck: it counts for nobody.</p>}
      {tries === 0 && <p>Not answered.</p>}
      {drawn && <Drawing drawn={drawn} />}
      {lines.length > 0 && (
        <table>
          <tbody>
            {lines.map((line, j) => (
              // Copies of one item may lie in one zone.
              // biome-ignore lint/suspicious/noArrayIndexKey: see above
              <tr key={j}>
                <th scope="row">{line.item}</th>
                <td>{line.zone}</td>
                <td>{VERDICTS[line.verdict]}</td>
                {lines.some((other) => other.said !== '') && <td>{line.said}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {said && <p className="mt-1">{said}</p>}
    </div>
  );
}

/** Of one drawing, or of each of two beside one another, in CSS pixels. */
const WIDTH = { alone: 480, beside: 310 };

/** The answer that earned the mark, with its verdicts, beside the model answer where the author shows one. */
function Drawing({ drawn: { document, homes, answer, model: right } }: { drawn: ReportDrawing }) {
  const model = questionModel(document, homes);
  const board = restoredBoard(answer);
  const scale = (right ? WIDTH.beside : WIDTH.alone) / document.scene.width;
  return (
    <MediaFrom source={benchMedia(document.media)}>
      <div className="report-drawings">
        <figure>
          <BoardSketch model={model} board={board} scale={scale} verdicts={judgedAt(model, board, 1).verdicts} />
          <figcaption>The answer that earned the mark</figcaption>
        </figure>
        {right && (
          <figure>
            <BoardSketch model={model} board={restoredBoard(right)} scale={scale} />
            <figcaption>A model answer</figcaption>
          </figure>
        )}
      </div>
    </MediaFrom>
  );
}
