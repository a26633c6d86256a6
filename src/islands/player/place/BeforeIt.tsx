import { useState } from 'react';
import { errorInWords } from '../../../ui/errorInWords';
import { LanguageChoice } from '../../../ui/LanguageChoice';
import { zone } from '../../../ui/zone';
import { phrase, shownTime } from '../../../words';
import type { Before } from '../Player';
import { beginSitting } from '../transport';

const at = (moment: string) => shownTime(new Date(moment), zone());

/** The page before an attempt starts: when the release opens, or how long the learner will have. */
export function BeforeIt({
  before: { id, release, course, questions, minutes, closesAt, opensAt },
}: {
  before: Before;
}) {
  const [problem, setProblem] = useState('');
  const count = phrase('player.questionCount', { n: questions });
  const begin = async () => {
    const begun = await beginSitting(id);
    if (begun.ok) location.reload();
    else setProblem(errorInWords(begun.error));
  };
  return (
    <main id="content" className="mx-auto w-full px-4 py-10" style={{ maxWidth: '46rem' }}>
      <p className="flex justify-end">
        <LanguageChoice />
      </p>
      <p className="text-mute" dir="auto">
        {course}
      </p>
      <h1 className="text-[1.65rem]" dir="auto">
        {release}
      </h1>
      <p className="text-lg mt-2">
        {minutes === null
          ? phrase('player.beforeIt', { questions: count })
          : phrase('player.beforeItTimed', { questions: count, minutes })}
        {closesAt && ` ${phrase('player.closesAt', { time: at(closesAt) })}`}
      </p>
      {opensAt && <p className="text-lg mt-2">{phrase('player.opensAt', { time: at(opensAt) })}</p>}
      {problem && (
        <p role="alert" className="text-brick mt-3">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-3 mt-6">
        {!opensAt && (
          <button type="button" className="btn btn-primary btn-lg" onClick={() => void begin()}>
            {phrase('player.begin')}
          </button>
        )}
        <a className="btn btn-edge btn-lg" href="/sit">
          {phrase('player.backToAssignments')}
        </a>
      </div>
    </main>
  );
}
