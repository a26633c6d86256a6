import { lazy, type ReactNode, Suspense, useState } from 'react';
import type { QuestionAnalysis, QuestionFigures } from '../../contract';
import type { Figure } from '../../core';
import { ask, duration, Scrolls } from '../../ui';
import { Queries } from '../../ui/Queries';
import {
  between,
  bounds,
  correlationInWords,
  discriminationInWords,
  facilityInWords,
  fullInWords,
  MIN_SAID,
  percent,
  reliabilityInWords,
  shareInWords,
  timeInWords,
  wasInstead,
  withoutInWords,
} from './analysis';
import { namesIn } from './answers/names';
import { QuestionAnswers } from './answers/QuestionAnswers';
import { FigureCell } from './FigureCell';
import { NeedButton } from './NeedButton';
import { StillComing } from './StillComing';
import { useWorkedOut } from './workedOut';

/** Its room is kept while it is loaded, in CSS pixels: what stands below must not move under a press. */
const HISTOGRAM_HEIGHT = 220;
const Histogram = lazy(() => import('./Histogram'));
/** The figures of a question, and what each is. */
const COLUMNS = [
  ['full marks', 'How many had the full mark, of those who were asked'],
  ['facility', 'The mean share of its marks'],
  ['discrimination', 'The correlation of its marks with those of all other questions'],
  ['α without', 'The reliability of the total if this question were left out'],
  ['tries', 'On average'],
  ['turned away', 'How often a zone turned an item away'],
  ['time', 'The median time; below it, that from one item to the next'],
] as const;

export function ReleaseAnalysis({ id }: { id: string }) {
  return (
    <Queries>
      <Figures id={id} />
    </Queries>
  );
}

/** The analysis of a release: as a whole, by question, and trial and error. */
function Figures({ id }: { id: string }) {
  const found = useWorkedOut(['analysis', id], () => ask('GET /api/releases/{id}/analysis', { id }));
  const [open, setOpen] = useState<number | null>(null);
  if (found.isError) return <p className="text-brick">{found.error.message}</p>;
  if (!found.data?.figures) return <p role="status">Working it out…</p>;
  const { isCurrent, release, before } = found.data;
  const { learners, outOf, mean, distribution, alpha, questions, sweepers } = found.data.figures;
  if (learners === 0) return <p>Nobody has answered it yet.</p>;
  return (
    <>
      <p className="text-mute mb-3">
        Of each learner’s first attempt: later ones are by people who have seen it. Beside a figure stand the bounds
        between which it lies, at 95 %, for a class like this one.
      </p>
      <StillComing isCurrent={isCurrent} />
      <div className="grid gap-8 lg:grid-cols-[3fr_2fr] mb-8">
        <figure>
          <Suspense fallback={<p style={{ height: HISTOGRAM_HEIGHT }}>Drawing…</p>}>
            <Histogram tenths={distribution} height={HISTOGRAM_HEIGHT} />
          </Suspense>
          <figcaption className="text-mute">
            {learners === 1 ? 'One learner' : `${learners} learners`} by marks, of {outOf}.{' '}
            {mean !== null && `On average ${percent(mean)}.`}
          </figcaption>
        </figure>
        <div>
          <p>
            <span className="text-mute block">reliability (Cronbach’s α)</span>
            <span className="figures text-2xl">{alpha === null ? '–' : alpha.value.toFixed(2)}</span>
            {alpha && <span className="figures text-mute ms-2">{bounds(alpha)}</span>}
          </p>
          <p>{reliabilityInWords(alpha, questions.filter(({ struck }) => !struck).length, learners)}</p>
        </div>
      </div>
      {before && (
        <p className="mb-2">
          Since edition {before.edition} it was corrected: where a figure is not what it was, the one before stands
          below it.
        </p>
      )}
      <Scrolls label="Question by question" className="mb-8">
        <table className="ledger-table w-full">
          <caption className="sr-only">Question by question</caption>
          <thead>
            <tr>
              <th scope="col">question</th>
              {COLUMNS.map(([word, said]) => (
                <th key={word} scope="col" title={said} style={{ textAlign: 'right' }}>
                  {word}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {questions.map((question, i) => (
              <QuestionRow
                // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the edition
                key={i}
                question={question}
                before={before?.questions[i] ?? null}
                alpha={alpha}
                keyAt={`/bench/${question.document.id}?${new URLSearchParams({ station: 'key', release: id, question: String(i) })}`}
                isOpen={open === i}
                onOpen={() => setOpen(open === i ? null : i)}
              >
                {open === i && (
                  <>
                    <QuestionAnswers question={question} index={i} releaseId={id} />
                    <p className="mt-4">
                      <a className="link-brass" href={`/releases/${id}/together?question=${i}`}>
                        All attempts at it, played together
                      </a>
                    </p>
                    {!question.struck && question.full < question.asked && (
                      <NeedButton releaseId={id} question={i} title={question.title} courseId={release.courseId} />
                    )}
                  </>
                )}
              </QuestionRow>
            ))}
          </tbody>
        </table>
      </Scrolls>
      <section aria-labelledby="sweepers">
        <h3 id="sweepers" className="text-lg">
          Trial and error
        </h3>
        <p className="text-mute">
          Learners who took at least two items, and half of all they had right in the end, through two or more wrong
          zones before the right one (through all the wrong ones if there are at most three).
        </p>
        {sweepers.length === 0 && <p className="mt-1">Nobody.</p>}
        <ul className="mt-1">
          {sweepers.map(({ sittingId, name, question, swept }) => {
            const of = questions[question];
            if (!of) return null;
            return (
              <li key={`${sittingId} ${question}`} className="border-b border-rule py-2">
                <a className="link-brass font-semibold" href={`/releases/${id}/sittings/${sittingId}`}>
                  <bdi>{name}</bdi>
                </a>{' '}
                in “{of.title}”:{' '}
                {swept.map(({ item, zones }) => (
                  <span key={item} className="block pl-4">
                    {namesIn(of.document).item(item)}: {zones.map(namesIn(of.document).zone).join(' → ')}
                  </span>
                ))}
              </li>
            );
          })}
        </ul>
      </section>
    </>
  );
}

interface RowProps {
  question: QuestionAnalysis;
  /** Its figures before it was corrected; null: it was not. */
  before: QuestionFigures | null;
  alpha: Figure | null;
  /** Where its key can be changed. */
  keyAt: string;
  isOpen: boolean;
  onOpen: () => void;
  children: ReactNode;
}

/** The figures of one question, and below them how it was answered. */
function QuestionRow({ question, before, alpha, keyAt, isOpen, onOpen, children }: RowProps) {
  const { title, struck, asked, answered, facility, fullShare, discrimination, alphaWithout } = question;
  const said = struck
    ? ['Struck: it counts for nobody.']
    : [
        facilityInWords(question),
        discriminationInWords(discrimination, asked),
        withoutInWords(alphaWithout, alpha),
        timeInWords(question.timeAndMark, answered),
      ].filter(Boolean);
  const keyIsDoubtful = !struck && discrimination !== null && asked >= MIN_SAID && discrimination.high < 0;
  return (
    <>
      <tr>
        <th scope="row">
          <button
            type="button"
            className={`link-brass font-semibold cursor-pointer text-start ${struck ? 'line-through' : ''}`}
            aria-expanded={isOpen}
            onClick={onOpen}
          >
            {title || 'Untitled question'}
          </button>
          <p className="text-sm text-mute font-normal">
            {said.join(' ')}
            {keyIsDoubtful && (
              <>
                {' '}
                <a className="link-brass" href={keyAt}>
                  To its key
                </a>
              </>
            )}
          </p>
        </th>
        <FigureCell
          bounds={!struck && fullShare ? between(fullShare) : ''}
          was={
            before
              ? wasInstead(fullInWords(question), fullInWords({ ...before, struck: before.facility === null }))
              : ''
          }
        >
          {fullInWords(question)}
        </FigureCell>
        <FigureCell
          bounds={facility ? between(facility) : ''}
          was={wasInstead(shareInWords(facility), before && shareInWords(before.facility))}
        >
          {shareInWords(facility)}
        </FigureCell>
        <FigureCell
          bounds={discrimination ? bounds(discrimination) : ''}
          was={wasInstead(
            correlationInWords(discrimination?.value),
            before && correlationInWords(before.discrimination?.value),
          )}
        >
          {correlationInWords(discrimination?.value)}
        </FigureCell>
        <FigureCell
          was={wasInstead(correlationInWords(alphaWithout), before && correlationInWords(before.alphaWithout))}
        >
          {correlationInWords(alphaWithout)}
        </FigureCell>
        <FigureCell>{question.tries === null ? '–' : question.tries.toFixed(1)}</FigureCell>
        <FigureCell>{question.turnedAway}</FigureCell>
        <FigureCell bounds={question.pace === null ? '' : `${question.pace.toFixed(1)} s each`}>
          {question.seconds === null ? '–' : duration(Math.round(question.seconds))}
        </FigureCell>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={COLUMNS.length + 1}>
            <section aria-label={title || 'Untitled question'} className="py-4">
              {children}
            </section>
          </td>
        </tr>
      )}
    </>
  );
}
