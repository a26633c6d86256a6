import { useQuery } from '@tanstack/react-query';
import { type Earned, type Question, type Strategy, tryingBeatsKnowing } from '../../../core';
import { strategiesOf } from '../../../workers';

const WORDS: Readonly<Record<Strategy, string>> = {
  guesses: 'guesses, and hands in once',
  triesAll: 'knows nothing and tries everything',
  knowsHalf: 'knows half and tries the rest',
  slipsOnce: 'knows it all and slips once',
};
const TIME_MS = 1000;

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** What learners earn who go about it in different ways, with the tries, costs and rules as they are. */
export function Strategies({ question, run }: { question: Question; run: number }) {
  const found = useQuery({
    queryKey: ['strategies', question, run],
    queryFn: ({ signal }) => strategiesOf(question, `rehearsal ${run}`, TIME_MS, signal),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
    retry: false,
  });
  return (
    <section aria-label="What strategies earn" className="shrink-0 bg-sheet border-b border-rule px-4 py-2">
      {found.isPending && <p role="status">Attempts are being played…</p>}
      {found.isError && <p className="text-brick">It could not be worked out.</p>}
      {found.isSuccess &&
        (found.data ? (
          <EarnedTable earned={found.data} />
        ) : (
          <p>
            No figures for this question: it has no model answer, or zones that are hidden or typed into, which nobody
            can try one after another.
          </p>
        ))}
    </section>
  );
}

function EarnedTable({ earned }: { earned: readonly Earned[] }) {
  const beats = tryingBeatsKnowing(earned);
  const error = Math.max(...earned.flatMap(({ markError, fullError }) => [markError, fullError]));
  return (
    <>
      <table className="figures text-sm">
        <thead>
          <tr className="text-mute">
            <th className="text-start font-sans font-normal pe-8">A learner who…</th>
            <th className="text-end font-sans font-normal pe-8">expected mark</th>
            <th className="text-end font-sans font-normal pe-8">tries used</th>
            <th className="text-end font-sans font-normal">full marks</th>
          </tr>
        </thead>
        <tbody>
          {earned.map(({ strategy, mark, tries, full }) => (
            <tr key={strategy}>
              <th scope="row" className="text-start font-sans font-normal pe-8">
                {WORDS[strategy]}
              </th>
              <td className="text-end pe-8">{percent(mark)}</td>
              <td className="text-end pe-8">{tries.toFixed(1)}</td>
              <td className="text-end">{percent(full)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm text-mute">
        Played by the rules as they are now, to ±{(error * 100).toFixed(1)} %.{' '}
        {beats !== null && (
          <strong className="text-ink">
            Trying comes as far as knowing: whoever tries everything earns {percent(beats)}. Let a try cost something,
            or limit the tries.
          </strong>
        )}
      </p>
    </>
  );
}
