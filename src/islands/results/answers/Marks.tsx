import type { QuestionAnalysis } from '../../../contract';
import type { MarkAnswers, MarkOutcome } from '../../../core';
import { OnSketch } from '../../shared/OnSketch';
import { sharesOf } from '../analysis';
import type { Names } from './names';

/** Told apart by more than colour: filled, in a ring, crossed. */
const SIGNS: Readonly<
  Record<MarkOutcome, { readonly said: string; readonly draw: (x: number, y: number) => React.ReactNode }>
> = {
  hit: { said: 'hits', draw: (x, y) => <circle cx={x} cy={y} r={6} fill="var(--color-verdigris)" /> },
  double: {
    said: 'second marks in one place',
    draw: (x, y) => <circle cx={x} cy={y} r={7} fill="none" stroke="var(--color-brass)" strokeWidth={3} />,
  },
  miss: {
    said: 'misses',
    draw: (x, y) => (
      <path
        d={`M${x - 6} ${y - 6}l12 12m0 -12l-12 12`}
        stroke="var(--color-brick)"
        strokeWidth={3}
        strokeLinecap="round"
      />
    ),
  },
};
const ALL: readonly MarkOutcome[] = ['hit', 'double', 'miss'];

interface Props {
  question: QuestionAnalysis;
  marks: MarkAnswers;
  names: Names;
}

/** Where markers lay at last, on the picture: hits, second marks in one place, and misses. */
export function Marks({ question: { document, answered }, marks: { points, counts, found }, names }: Props) {
  return (
    <div>
      <OnSketch document={document} label={ALL.map((marked) => `${counts[marked]} ${SIGNS[marked].said}`).join(', ')}>
        {points.map(([x, y, marked], i) => (
          // Two markers may lie on one point.
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <g key={i} opacity={0.75}>
            {SIGNS[marked].draw(x, y)}
          </g>
        ))}
      </OnSketch>
      <ul className="flex flex-wrap gap-4 mt-2 mb-3">
        {ALL.map((marked) => (
          <li key={marked} className="flex items-center gap-1.5">
            <svg width={18} height={18} aria-hidden>
              {SIGNS[marked].draw(9, 9)}
            </svg>
            <span className="figures">{counts[marked]}</span> {SIGNS[marked].said}
          </li>
        ))}
      </ul>
      <ul>
        {found.map(({ zone, learners }) => (
          <li key={zone}>
            {names.zone(zone)}: found by {sharesOf(learners, answered)}
          </li>
        ))}
      </ul>
    </div>
  );
}
