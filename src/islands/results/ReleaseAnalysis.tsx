import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { ask, duration } from '../../ui';
import { discriminationInWords, facilityInWords, percent, reliabilityInWords } from './analysis';
import { Drops } from './Drops';
import { Pairs } from './Pairs';

const Histogram = lazy(() => import('./Histogram'));
const client = new QueryClient();

export function ReleaseAnalysis({ id }: { id: string }) {
  return (
    <QueryClientProvider client={client}>
      <Figures id={id} />
    </QueryClientProvider>
  );
}

/** The analysis of a release: as a whole, by question, and trial and error. */
function Figures({ id }: { id: string }) {
  const found = useQuery({ queryKey: ['analysis', id], queryFn: () => ask('GET /api/releases/{id}/analysis', { id }) });
  const [open, setOpen] = useState<number | null>(null);
  if (found.isError) return <p className="text-brick">{found.error.message}</p>;
  if (!found.data) return <p role="status">Working it out…</p>;
  const { learners, outOf, mean, distribution, alpha, questions, sweepers } = found.data;
  if (learners === 0) return <p>Nobody has answered it yet.</p>;
  const shown = open === null ? null : questions[open];
  return (
    <>
      <p className="text-mute mb-3">
        Of each learner’s first sitting: later ones are answered by people who have seen it.
      </p>
      <div className="grid gap-8 lg:grid-cols-[3fr_2fr] mb-8">
        <figure>
          <Suspense fallback={<p role="status">Drawing…</p>}>
            <Histogram tenths={distribution} />
          </Suspense>
          <figcaption className="text-mute">
            {learners === 1 ? 'One learner' : `${learners} learners`} by marks, of {outOf}.{' '}
            {mean !== null && `On average ${percent(mean)}.`}
          </figcaption>
        </figure>
        <div>
          <p>
            <span className="text-mute block">reliability (Cronbach’s α)</span>
            <span className="figures text-2xl">{alpha === null ? '–' : alpha.toFixed(2)}</span>
          </p>
          <p>{reliabilityInWords(alpha, questions.filter(({ struck }) => !struck).length, learners)}</p>
        </div>
      </div>
      <div className="overflow-x-auto mb-8">
        <table className="ledger-table w-full">
          <caption className="sr-only">Question by question</caption>
          <thead>
            <tr>
              <th scope="col">question</th>
              {['answered', 'facility', 'discrimination', 'tries', 'turned away', 'time'].map((word) => (
                <th key={word} scope="col" style={{ textAlign: 'right' }}>
                  {word}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {questions.map((question, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a question is its place in the edition
              <tr key={i}>
                <td>
                  <button
                    type="button"
                    className={`link-brass font-semibold cursor-pointer text-left ${question.struck ? 'line-through' : ''}`}
                    aria-expanded={open === i}
                    onClick={() => setOpen(open === i ? null : i)}
                  >
                    {question.title || 'Untitled question'}
                  </button>
                  <p className="text-sm text-mute">
                    {[facilityInWords(question.facility), discriminationInWords(question.discrimination)]
                      .filter(Boolean)
                      .join(' ')}
                  </p>
                </td>
                <td className="figures text-right whitespace-nowrap">
                  {question.answered} / {question.asked}
                </td>
                <td className="figures text-right whitespace-nowrap">
                  {question.facility === null ? '–' : percent(question.facility)}
                </td>
                <td className="figures text-right whitespace-nowrap">
                  {question.discrimination === null ? '–' : question.discrimination.toFixed(2)}
                </td>
                <td className="figures text-right whitespace-nowrap">
                  {question.tries === null ? '–' : question.tries.toFixed(1)}
                </td>
                <td className="figures text-right whitespace-nowrap">{question.turnedAway}</td>
                <td className="figures text-right whitespace-nowrap">
                  {question.seconds === null ? '–' : duration(Math.round(question.seconds))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown && (
        <section aria-label={shown.title} className="mb-8">
          <h3 className="text-lg mb-2">{shown.title}</h3>
          <div className="grid gap-8 lg:grid-cols-2">
            <Pairs question={shown} />
            <Drops question={shown} />
          </div>
        </section>
      )}
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
                <span className="font-semibold">{name}</span> in “{of.title}”:{' '}
                {swept.map(({ item, zones }) => (
                  <span key={item} className="block pl-4">
                    {of.document.items[item]?.label}:{' '}
                    {zones.map((zone) => of.document.zones[zone]?.label || `zone ${zone + 1}`).join(' → ')}
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
