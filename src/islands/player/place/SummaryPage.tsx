import { useState } from 'react';
import { shownMark } from '../../../ui/figures';
import { beginSitting } from '../transport';
import type { Summary } from '../types';
import { reckoningInWords } from '../words';

interface Props {
  title: string;
  summary: Summary & { releaseId: string; another: boolean; counts: 'best' | 'last' | 'first' | 'average' };
}

const COUNTS = {
  best: 'Your best attempt counts.',
  last: 'Your last attempt counts, once you have done something in it.',
  first: 'Your first attempt counts.',
  average: 'The average of your attempts counts.',
};

/** The summary: the mark of each question and how it came about, as far as the author shows it. */
export function SummaryPage({ title, summary: { questions, total, review, releaseId, another, counts } }: Props) {
  const [problem, setProblem] = useState('');
  const again = async () => {
    const begun = await beginSitting(releaseId);
    if (begun.ok) location.replace(location.pathname);
    else setProblem(`${begun.error.message}. ${begun.error.nextStep}`);
  };
  const one = questions.length === 1;
  return (
    <>
      <h1 className="text-[1.65rem] leading-tight" tabIndex={-1} id="summary">
        {one ? title : `${title}: the end`}
      </h1>
      <p className="text-lg mt-1">
        You have finished.{' '}
        {total && (
          <strong className="figures">
            {shownMark(total.mark)} of {total.max} marks
          </strong>
        )}
      </p>
      <ol className="mt-5 grid gap-4">
        {questions.map(({ title: name, seen, tries, fullMarks, points, earned, reckoning }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the set
          <li key={i} className="bg-sheet border border-rule px-5 py-4">
            <div className="flex flex-wrap items-baseline gap-x-4">
              <h2 className="text-lg grow" dir="auto">
                {one ? 'Your mark' : `${i + 1}. ${name}`}
              </h2>
              {earned !== null && (
                <p className="figures font-semibold">
                  {shownMark(earned)} of {points}
                </p>
              )}
            </div>
            {review && seen && (
              <p>
                <a className="link-brass" href={`?question=${i + 1}`}>
                  Look at your answer
                </a>
              </p>
            )}
            {tries === 0 ? (
              <p className="text-mute">You did not answer it.</p>
            ) : (
              <p className="text-mute">
                {fullMarks ? 'All of it is right. ' : ''}
                {tries === 1
                  ? 'One try'
                  : `${tries} tries${reckoning && reckoning.number !== tries ? `; the ${ordinal(reckoning.number)} counts` : ''}`}
              </p>
            )}
            {reckoning && reckoning.lines.length > 0 && (
              <table className="mt-2 w-full max-w-xl">
                <caption className="sr-only">How the mark came about</caption>
                <tbody>
                  {reckoningInWords(reckoning).map(({ words, amount }) => (
                    <tr key={words} className="border-t border-rule">
                      <th scope="row" className="font-normal text-left py-1">
                        {words}
                      </th>
                      <td className="figures text-right py-1">{amount}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </li>
        ))}
      </ol>
      {problem && (
        <p role="alert" className="text-brick mt-4">
          {problem}
        </p>
      )}
      {another && <p className="mt-6">You may try again. {COUNTS[counts]}</p>}
      <div className="flex flex-wrap gap-3 mt-4">
        <a className="btn btn-primary" href="/sit">
          Back to your assignments
        </a>
        {another && (
          <button type="button" className="btn btn-edge" onClick={() => void again()}>
            Begin another attempt
          </button>
        )}
      </div>
    </>
  );
}

const ordinal = (n: number) => ['first', 'second', 'third', 'fourth', 'fifth'][n - 1] ?? `${n}th`;
