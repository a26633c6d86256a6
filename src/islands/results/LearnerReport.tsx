import type { LearnerReport as Report, ReportDrawing, ReportQuestion, ReportRelease } from '../../contract';
import { judgedAt, questionModel, restoredBoard } from '../../core';
import { BoardSketch, MediaFrom, type MediaSource } from '../../scene';
import { zone } from '../../ui';
import { type Phrase, phrase, shownDay, shownNumber, shownShare } from '../../words';
import { nameOf } from '../shared/outcomes/tree';
import '../shared/paper/paper.css';
import './report.css';

const day = (at: Date) => shownDay(at, zone());
const STATES: Readonly<Record<ReportRelease['state'], Phrase | null>> = {
  done: null,
  running: 'report.running',
  missing: 'report.missing',
  none: 'report.running',
  notFor: null,
  excused: 'report.excused',
};
const marked = (mark: number, max: number) => phrase('player.of', { mark: shownNumber(mark), max: shownNumber(max) });

/** One learner's results of a course on paper, in black and white: what was put where, and what was said of it. */
export function LearnerReport({ report, at }: { report: Report; at: Date }) {
  const { course, learner, overall, letter, releases } = report;
  return (
    <article className="paper report">
      <header>
        <h1>
          <bdi>{learner.name}</bdi>
        </h1>
        <p className="flex gap-4">
          <bdi className="grow">{course.title}</bdi>
          <span>{day(at)}</span>
        </p>
      </header>
      {overall !== null && (
        <p className="report-overall">
          {phrase('report.overall')} <strong>{shownShare(overall)}</strong>{' '}
          {letter !== null && <strong>{letter}</strong>}
        </p>
      )}
      <Categories categories={report.categories} />
      <Outcomes outcomes={report.outcomes} />
      {releases.length === 0 && <p className="mt-4">{phrase('report.nothing')}</p>}
      {releases.map((release, r) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two may have one title
        <Release key={r} release={release} />
      ))}
    </article>
  );
}

/** How the overall mark came about. */
function Categories({ categories }: Pick<Report, 'categories'>) {
  const weights = categories.reduce((sum, { weight }) => sum + weight, 0);
  return categories.map(({ title, weight, points, outOf }) => (
    <p key={title}>
      {phrase('report.category', {
        title,
        mark: shownNumber(points),
        max: shownNumber(outOf),
        share: shownShare(weights > 0 ? weight / weights : 0),
      })}
    </p>
  ));
}

/** What the learner shows, by outcome. */
function Outcomes({ outcomes }: Pick<Report, 'outcomes'>) {
  if (outcomes.length === 0) return null;
  return (
    <section>
      <h2 className="paper-section">{phrase('report.outcomes')}</h2>
      <table className="report-outcomes">
        <tbody>
          {outcomes.map(({ code, words, depth, value, low, high, answers }, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: two may have one code and words
            <tr key={i}>
              <th scope="row" style={{ paddingInlineStart: `${0.5 + depth * 1.25}em` }}>
                <bdi>{nameOf({ code, words })}</bdi>
              </th>
              <td>
                {phrase('report.outcome', {
                  share: shownShare(value),
                  low: shownShare(low),
                  high: shownShare(high),
                  answers: shownNumber(answers),
                })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Release({ release }: { release: ReportRelease }) {
  const { title, practice, told, mark, outOf, byHand, state, late, finishedAt, sittings, questions } = release;
  const said = state !== 'excused' && finishedAt ? null : STATES[state];
  return (
    <section>
      <h2 className="paper-section flex gap-4">
        <bdi className="grow">{title}</bdi>
        <span className="paper-points">
          {!told
            ? phrase('report.notTold')
            : mark !== null
              ? marked(mark, outOf)
              : state === 'missing'
                ? marked(0, outOf)
                : phrase('report.noMark')}
        </span>
      </h2>
      <p>
        {[
          practice && phrase('page.practice'),
          said && phrase(said),
          finishedAt && state !== 'excused' && phrase('report.finished', { day: day(finishedAt) }),
          late && phrase('report.late'),
          sittings > 1 && phrase('report.attempts', { n: sittings }),
          byHand !== null && phrase('report.byHand', { reason: byHand }),
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
        <span>{number}.</span> <bdi className="grow">{title || phrase('paper.untitled')}</bdi>
        <span className="paper-points">
          {[
            tries > 1 && phrase('player.tries', { n: tries }),
            struck ? phrase('report.struck') : earned !== null && marked(earned, points),
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </h3>
      {struck && <p>{phrase('player.struck')}</p>}
      {tries === 0 && <p>{phrase('report.notAnswered')}</p>}
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
                <td>{line.verdict === 'none' ? '' : phrase(`player.${line.verdict}`)}</td>
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
function Drawing({ drawn: { document, homes, answer, model: right, media, hides } }: { drawn: ReportDrawing }) {
  const model = questionModel(document, homes);
  const board = restoredBoard(answer);
  const scale = (right ? WIDTH.beside : WIDTH.alone) / document.scene.width;
  return (
    <MediaFrom source={drawnMedia(document, media)}>
      <div className="report-drawings">
        <figure>
          <BoardSketch
            model={model}
            board={board}
            scale={scale}
            verdicts={judgedAt(model, board, 1).verdicts}
            hides={hides}
          />
          <figcaption>{phrase('report.answer')}</figcaption>
        </figure>
        {right && (
          <figure>
            <BoardSketch model={model} board={restoredBoard(right)} scale={scale} hides={hides} />
            <figcaption className="first-letter:uppercase">{phrase('player.modelAnswer')}</figcaption>
          </figure>
        )}
      </div>
    </MediaFrom>
  );
}

/** The media of what is drawn, at the addresses that came with it. */
const drawnMedia =
  ({ media }: ReportDrawing['document'], addresses: ReportDrawing['media']): MediaSource =>
  (id) => {
    const [medium, url] = [media[id], addresses[id]];
    if (!medium || url === undefined) return null;
    const { kind, description, decorative } = medium;
    return { url, kind, description: decorative ? '' : (description ?? '') };
  };
