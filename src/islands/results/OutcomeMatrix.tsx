import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import type { MasteryView, OutcomeShare, Wire } from '../../contract';
import { NEEDS } from '../../core';
import { Scrolls } from '../../ui';
import { RowSpace } from '../../ui/RowSpace';
import { percent } from './analysis';

/** The height of a row, in CSS pixels. */
const ROW = 40;

/** Learners by outcomes: each learner's share of the marks of each outcome. */
export function OutcomeMatrix({ view: { outcomes, learners, answered, courseId } }: { view: Wire<MasteryView> }) {
  const scroller = useRef<HTMLElement>(null);
  const virtual = useVirtualizer({
    count: learners.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const columns = outcomes.filter(({ share }) => share !== null);
  if (learners.length === 0 || columns.length === 0) return null;
  const shown = virtual.getVirtualItems();
  return (
    <section className="mt-8">
      <h2 className="text-2xl mb-3">Learner by learner</h2>
      <Scrolls ref={scroller} label="Learners by outcomes" className="max-h-[28rem] border border-rule">
        <table className="ledger-table w-full" aria-rowcount={learners.length + 1}>
          <caption className="sr-only">Learners by outcomes</caption>
          <thead className="sticky top-0 z-20 bg-sheet">
            <tr>
              <th scope="col">learner</th>
              {columns.map(({ id, code, words }) => (
                <th key={id} scope="col" className="text-end" title={words} dir="auto">
                  {code || words}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <RowSpace height={shown[0]?.start ?? 0} />
            {shown.map(({ index }) => {
              const learner = learners[index];
              return (
                learner && (
                  <tr key={learner.learnerId} style={{ height: ROW }} aria-rowindex={index + 2}>
                    <th scope="row" className="text-start font-normal whitespace-nowrap">
                      <a className="link-brass" href={`/courses/${courseId}/report/${learner.learnerId}`}>
                        {learner.name}
                      </a>
                    </th>
                    {columns.map(({ id }) => (
                      <ShareCell key={id} share={learner.shares[id]} />
                    ))}
                  </tr>
                )
              );
            })}
            <RowSpace height={virtual.getTotalSize() - (shown.at(-1)?.end ?? 0)} />
          </tbody>
        </table>
      </Scrolls>
      <p className="mt-2 text-sm text-mute">
        Underlined: less than half, from two answers or more. A dash: asked nothing of it.
        {answered > learners.length && ` The first ${learners.length} of ${answered} learners.`}
      </p>
    </section>
  );
}

function ShareCell({ share }: { share: OutcomeShare | undefined }) {
  if (!share) return <td className="text-end text-mute">–</td>;
  const { value, low, high, answers } = share;
  const isNeeded = value < NEEDS.share && answers >= NEEDS.answers;
  return (
    <td className="figures text-end" title={`${percent(low)} to ${percent(high)}, from ${answers} answers`}>
      {isNeeded ? (
        <span className="text-brick font-semibold underline">
          {percent(value)}
          <span className="sr-only"> needs it</span>
        </span>
      ) : (
        percent(value)
      )}
    </td>
  );
}
