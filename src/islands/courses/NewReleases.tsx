import { useState } from 'react';
import { COUNTS, type ReleaseDefaults } from '../../contract';
import { FEEDBACK_LEVELS } from '../../core';
import { api, Field, mapped } from '../../ui';
import { Choose } from '../../ui/Choose';
import { useSaving } from '../../ui/saving';
import {
  begunIn,
  COUNTS_IN_WORDS,
  defaultsIn,
  FEEDBACK_LEVEL_SHORT,
  FEEDBACK_TIME_IN_WORDS,
  wrongIn,
} from '../publish/settings';
import type { Course } from './course';
import { Problem } from './Part';

/** What new releases of the course begin with. Every change is saved at once. */
export function NewReleases({ course }: { course: Course }) {
  const [draft, setDraft] = useState(() => begunIn(course.releaseDefaults));
  const wrong = wrongIn(draft);
  const { save, problem, dialog } = useSaving<{ releaseDefaults: Required<ReleaseDefaults> }>({
    first: {
      revision: course.revision,
      content: { releaseDefaults: defaultsIn(begunIn(course.releaseDefaults)) },
    },
    write: async (content, from) =>
      mapped(
        await api('PATCH /api/courses/{id}', { id: course.id, body: { ...content, from } }),
        ({ releaseDefaults, revision }) => ({
          revision,
          content: { releaseDefaults: defaultsIn(begunIn(releaseDefaults)) },
        }),
      ),
    inWords: ({ mine, theirs }) => ({
      where: 'What new releases begin with',
      mine: String(mine ?? 'as everywhere'),
      theirs: String(theirs ?? 'as everywhere'),
    }),
  });
  const keep = async (next: typeof draft) => {
    setDraft(next);
    if (Object.keys(wrongIn(next)).some((field) => field in defaultsIn(next))) return;
    // The name is saved on the same revision, so the page has to update it.
    if (await save({ releaseDefaults: defaultsIn(next) })) location.reload();
  };
  return (
    <>
      <div className="grid sm:grid-cols-2 gap-4">
        <Choose
          label="They are"
          value={draft.practice ? 'practice' : 'counting'}
          onChange={(is) => void keep({ ...draft, practice: is === 'practice' })}
          options={[
            ['counting', 'counting'],
            ['practice', 'practice, not in the gradebook'],
          ]}
        />
        <Field
          label="Attempts a learner may have"
          type="number"
          min={1}
          hint="Empty: any number."
          value={draft.sittings}
          problem={wrong.sittings}
          onChange={(event) => setDraft({ ...draft, sittings: event.target.value })}
          onBlur={() => draft.sittings !== begunIn(course.releaseDefaults).sittings && void keep(draft)}
        />
        <Choose
          label="Feedback level"
          value={draft.feedbackLevel}
          onChange={(feedbackLevel) => void keep({ ...draft, feedbackLevel })}
          options={FEEDBACK_LEVELS.map((level) => [level, FEEDBACK_LEVEL_SHORT[level]])}
        />
        <Choose
          label="They see it"
          value={draft.feedbackTime}
          onChange={(feedbackTime) => void keep({ ...draft, feedbackTime })}
          options={(['atOnce', 'finished'] as const).map((when) => [when, FEEDBACK_TIME_IN_WORDS[when]])}
        />
        {draft.sittings !== '1' && (
          <Choose
            label="Of several counts"
            value={draft.counts}
            onChange={(counts) => void keep({ ...draft, counts })}
            options={COUNTS.map((counts) => [counts, COUNTS_IN_WORDS[counts]])}
          />
        )}
        <Field
          label="Time for it, in minutes"
          type="number"
          min={1}
          hint="Empty: no limit."
          value={draft.minutes}
          problem={wrong.minutes}
          onChange={(event) => setDraft({ ...draft, minutes: event.target.value })}
          onBlur={() => draft.minutes !== begunIn(course.releaseDefaults).minutes && void keep(draft)}
        />
      </div>
      {problem && <Problem words={problem} />}
      {dialog}
    </>
  );
}
