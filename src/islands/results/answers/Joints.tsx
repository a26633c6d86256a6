import type { JointAnswers } from '../../../core';
import { percent, sharesOf } from '../analysis';
import type { Names } from './names';

interface Props {
  joints: readonly JointAnswers[];
  answered: number;
  names: Names;
}

/** What was put together: each joint with how many had both of its sides right at last, the rarest first. */
export function Joints({ joints, answered, names }: Props) {
  const sorted = [...joints].sort((a, b) => a.learners - b.learners);
  return (
    <section aria-label="Joints" className="mb-4">
      <p className="text-mute mb-1">Joints with both sides right at last, the rarest first</p>
      <ul>
        {sorted.map(({ zone, to, learners }) => (
          <li key={JSON.stringify([zone, to])} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="grow">
              {names.zone(zone)} – {'zone' in to ? names.zone(to.zone) : names.item(to.item)}
            </span>
            <span aria-hidden className="w-28 border border-rule">
              <span
                className="block h-2 bg-verdigris"
                style={{ width: answered === 0 ? 0 : percent(learners / answered).replace(' ', '') }}
              />
            </span>
            <span className="figures text-sm w-24 text-end">{sharesOf(learners, answered)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
