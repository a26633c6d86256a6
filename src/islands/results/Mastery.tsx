import { Users } from 'lucide-react';
import { useRef, useState } from 'react';
import type { LearnerOutcome, MasteryView, OutcomeMarks, Wire } from '../../contract';
import { depthsOf } from '../../core';
import { api } from '../../ui';
import { failureInWords } from '../../ui/failureInWords';
import { percent } from './analysis';
import { OutcomeMatrix } from './OutcomeMatrix';

type View = Wire<MasteryView>;

/** Marks by outcome, as a tree, with who needs what. `releaseId` null: of a whole course. */
export function Mastery({ view, releaseId }: { view: View; releaseId: string | null }) {
  const { outcomes, needs, without, courseId } = view;
  const depths = depthsOf(outcomes);
  if (outcomes.length === 0)
    return (
      <p className="text-lg max-w-prose">
        No question here has an outcome. Put some on them: in the{' '}
        <a className="link-brass" href="/vault">
          Vault
        </a>
        , choose questions and press <em>Outcomes…</em>. They count for what is published already.
      </p>
    );
  return (
    <>
      <div className="overflow-x-auto">
        <table className="ledger-table w-full">
          <caption className="sr-only">Marks by outcome</caption>
          <thead>
            <tr>
              <th scope="col">outcome</th>
              <th scope="col">share of its marks</th>
              <th scope="col" className="text-end">
                answers
              </th>
              <th scope="col" className="text-end">
                questions
              </th>
              <th scope="col">who needs it</th>
            </tr>
          </thead>
          <tbody>
            {outcomes.map((outcome) => (
              <tr key={outcome.id} className="align-top">
                <th
                  scope="row"
                  className="text-start font-normal max-w-md"
                  style={{ paddingInlineStart: `${0.5 + (depths.get(outcome.id) ?? 0) * 1.25}rem` }}
                >
                  <span dir="auto">
                    {outcome.code !== '' && <strong>{outcome.code} </strong>}
                    {outcome.words}
                    {outcome.withdrawn && <span className="text-mute"> (withdrawn)</span>}
                  </span>
                </th>
                <td>
                  <Share share={outcome.share} />
                </td>
                <td className="figures text-end">{outcome.answers}</td>
                <td className="figures text-end">{outcome.questions}</td>
                <td>
                  <Needs outcome={outcome} people={needs[outcome.id] ?? []} courseId={courseId} releaseId={releaseId} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-3 max-w-prose text-mute">
        Of each attempt that counts: what was earned of the points of the questions that have the outcome, or one below
        it. In brackets, where the share lies for all such learners and questions, with 95 in 100 such intervals right.
        Whoever earned less than half, from two answers or more, is said to need it.
        {without > 0 && ` ${without === 1 ? 'One question has' : `${without} questions have`} no outcome.`}
      </p>
      <OutcomeMatrix view={view} />
    </>
  );
}

function Share({ share }: Pick<OutcomeMarks, 'share'>) {
  if (share === null) return <span className="text-mute">no answers yet</span>;
  return (
    <div className="min-w-44">
      <span className="figures font-semibold">{percent(share.value)}</span>{' '}
      <span className="figures text-sm text-mute">
        ({percent(share.low)} to {percent(share.high)})
      </span>
      <div className="relative mt-1 h-2 w-40 bg-rule" aria-hidden>
        <div className="absolute inset-y-0 start-0 bg-verdigris" style={{ width: `${share.value * 100}%` }} />
        <div
          className="absolute -inset-y-0.5 border-x-2 border-ink"
          style={{ insetInlineStart: `${share.low * 100}%`, width: `${(share.high - share.low) * 100}%` }}
        />
      </div>
    </div>
  );
}

function Needs({
  outcome: { id, code, words },
  people,
  courseId,
  releaseId,
}: {
  outcome: OutcomeMarks;
  people: readonly LearnerOutcome[];
  courseId: string;
  releaseId: string | null;
}) {
  // The same group, however often it is pressed.
  const group = useRef(crypto.randomUUID());
  const [said, setSaid] = useState('');
  if (people.length === 0) return <span className="text-mute">nobody</span>;
  const press = async () => {
    const answer = await api('POST /api/courses/{id}/mastery/groups', {
      id: courseId,
      body: { id: group.current, outcome: id, release: releaseId, title: `Needs ${code || words}`.slice(0, 200) },
    });
    setSaid(answer.ok ? `In the group: ${answer.value.learners}.` : failureInWords(answer.error));
  };
  return (
    <details>
      <summary className="cursor-pointer">{people.length === 1 ? 'one learner' : `${people.length} learners`}</summary>
      <ul className="my-2">
        {people.map(({ learnerId, name, value, answers }) => (
          <li key={learnerId}>
            <a className="link-brass" href={`/courses/${courseId}/report/${learnerId}`}>
              {name}
            </a>{' '}
            <span className="figures text-sm text-mute">
              {percent(value)} of {answers} answers
            </span>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-edge btn-sm" onClick={() => void press()}>
        <Users size={16} aria-hidden /> Make a group of them
      </button>
      <p role="status" className="mt-1">
        {said}
      </p>
    </details>
  );
}
