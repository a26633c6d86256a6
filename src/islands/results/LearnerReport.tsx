import { format } from 'date-fns';
import type { ReportRelease } from '../../contract';
import { shownMark } from '../../ui';
import '../sets/paper/paper.css';

const day = (at: Date) => format(at, 'd MMM yyyy');
const VERDICTS = { right: 'right', wrong: 'wrong', none: '' } as const;

/** One learner's results of a course on paper, in black and white: what was put where, and what was said of it. */
export function LearnerReport({
  course,
  learner,
  releases,
}: {
  course: string;
  learner: string;
  releases: readonly ReportRelease[];
}) {
  return (
    <article className="paper">
      <header>
        <h1>{learner}</h1>
        <p>{course}</p>
      </header>
      {releases.length === 0 && <p className="mt-4">Nothing has been answered yet.</p>}
      {releases.map(({ title, practice, mark, outOf, byHand, finishedAt, ended, sittings, questions }, r) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two may have one title
        <section key={r}>
          <h2 className="paper-section flex gap-4">
            <span className="grow">{title}</span>
            <span className="paper-points">{mark === null ? 'not checked yet' : `${shownMark(mark)} / ${outOf}`}</span>
          </h2>
          <p>
            {[
              practice && 'practice',
              finishedAt ? `finished ${day(finishedAt)}` : ended ? 'finished' : 'not finished',
              sittings > 1 && `${sittings} attempts, the one that counts is shown`,
              byHand !== null && `set by hand: ${byHand}`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
          {questions.map((question, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the sitting
            <div key={i} className="paper-question">
              <h3>
                <span>{i + 1}.</span> <span className="grow">{question.title}</span>
                <span className="paper-points">
                  {question.struck ? 'struck' : `${shownMark(question.earned)} / ${question.points}`}
                </span>
              </h3>
              {question.struck && <p>This question was struck: it counts for nobody.</p>}
              {question.tries === 0 && <p>Not answered.</p>}
              {question.lines.length > 0 && (
                <table>
                  <tbody>
                    {question.lines.map((line, j) => (
                      // Copies of one item may lie in one zone.
                      // biome-ignore lint/suspicious/noArrayIndexKey: see above
                      <tr key={j}>
                        <th scope="row">{line.item}</th>
                        <td>{line.zone}</td>
                        <td>{VERDICTS[line.verdict]}</td>
                        {question.lines.some(({ said }) => said !== '') && <td>{line.said}</td>}
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
              {question.said && <p className="mt-1">{question.said}</p>}
            </div>
          ))}
        </section>
      ))}
    </article>
  );
}
