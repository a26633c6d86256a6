import type { ReactNode } from 'react';
import { becameValues, phrase, shownNumber } from '../../../words';
import type { Summary } from '../types';
import { reckoningInWords } from '../words';

interface Props {
  title: string;
  summary: Pick<Summary, 'questions' | 'total' | 'corrected' | 'review'>;
  /** Where to go from here. */
  children: ReactNode;
}

/** The summary: the mark of each question and how it came about, as far as the author shows it. */
export function SummaryPage({ title, summary: { questions, total, corrected, review }, children }: Props) {
  const one = questions.length === 1;
  return (
    <>
      <h1 className="text-[1.65rem] leading-tight" tabIndex={-1} id="summary">
        {one ? title : phrase('player.theEnd', { title })}
      </h1>
      <p className="text-lg mt-1">
        {phrase('player.youFinished')}{' '}
        {total && (
          <strong className="figures">
            {phrase('player.marks', { mark: shownNumber(total.mark), max: shownNumber(total.max) })}
          </strong>
        )}
      </p>
      {corrected && (
        <div className="mt-1">
          <p>{phrase('player.corrected', becameValues(corrected))}</p>
          {corrected.reasons.map((reason) => (
            <p key={reason} dir="auto">
              {reason}
            </p>
          ))}
        </div>
      )}
      <ol className="mt-5 grid gap-4">
        {questions.map(({ title: name, struck, seen, tries, fullMarks, points, earned, reckoning }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the set
          <li key={i} className="bg-sheet border border-rule px-5 py-4">
            <div className="flex flex-wrap items-baseline gap-x-4">
              <h2 className="text-lg grow" dir="auto">
                {one ? phrase('player.yourMark') : `${i + 1}. ${name}`}
              </h2>
              {earned !== null && !struck && (
                <p className="figures font-semibold">
                  {phrase('player.of', { mark: shownNumber(earned), max: shownNumber(points) })}
                </p>
              )}
            </div>
            {review && seen && (
              <p>
                <a className="link-brass" href={`?question=${i + 1}`}>
                  {phrase('player.lookAtAnswer')}
                </a>
              </p>
            )}
            {struck && <p>{phrase('player.struck')}</p>}
            {tries === 0 ? (
              <p className="text-mute">{phrase('player.notAnswered')}</p>
            ) : (
              <p className="text-mute">
                {fullMarks ? `${phrase('player.allRight')} ` : ''}
                {phrase('player.tries', { n: tries })}
                {reckoning && reckoning.number !== tries
                  ? `; ${phrase('player.whichCounts', { n: reckoning.number })}`
                  : ''}
              </p>
            )}
            {reckoning && reckoning.lines.length > 0 && (
              <table className="mt-2 w-full max-w-xl">
                <caption className="sr-only">{phrase('player.howMarked')}</caption>
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
      {children}
    </>
  );
}
