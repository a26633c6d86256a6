import { useQuery } from '@tanstack/react-query';
import { ChevronRight } from 'lucide-react';
import { type ReactNode, useDeferredValue, useId, useState } from 'react';
import { defersFeedback } from '../../contract/defaults';
import { MAX_MINUTES } from '../../contract/limits';
import { COUNTS, FEEDBACK_TIMES } from '../../contract/vocabulary';
import { FEEDBACK_LEVELS } from '../../core';
import { ask, elsewhere, typedTime } from '../../ui';
import { Choose } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import type { Parts } from '../courses/course';
import {
  COUNTS_IN_WORDS,
  type Draft,
  FEEDBACK_LEVEL_IN_WORDS,
  FEEDBACK_LEVEL_SHORT,
  FEEDBACK_TIME_IN_WORDS,
  wrongIn,
} from './settings';

const TIMES = [
  ['opensAt', 'Opens', 'Empty: at once.'],
  ['dueAt', 'Due', 'Later is late.'],
  ['closesAt', 'Closes', 'Nothing is taken after it.'],
] as const;

interface Props {
  courseId: string;
  draft: Draft;
  onChange: (draft: Draft) => void;
  /** True once it is published: then it cannot change whether feedback is deferred. */
  published?: boolean;
  /** True if every section starts unfolded. */
  unfolded?: boolean;
}

/** The settings of a release: for whom, when, how it counts, and the feedback. */
export function ReleaseFields({ courseId, draft, onChange, published = false, unfolded = false }: Props) {
  const parts = useQuery({
    queryKey: ['parts', courseId],
    queryFn: () => ask('GET /api/courses/{id}/parts', { id: courseId }),
  });
  const set = (to: Partial<Draft>) => onChange({ ...draft, ...to });
  const wrong = wrongIn(draft);
  const { units = [], categories = [], groups = [], zone = null } = parts.data ?? {};
  /** The hint, preceded by the typed time in the course's zone if that differs. */
  const hint = (words: string, typed: string) => {
    const there = typed === '' ? null : elsewhere(typedTime(typed), zone);
    return there === null ? words : `${there}. ${words}`;
  };
  const deferred = defersFeedback(draft);
  return (
    <div className="border-t border-rule mt-3">
      <Fold
        title="Where and for whom"
        now={`${units.find(({ id }) => id === draft.unitId)?.title ?? 'no unit'}, ${draft.audience ? 'some' : 'all'}`}
        open={unfolded}
      >
        <Choose
          label="Unit"
          value={draft.unitId ?? ''}
          onChange={(unitId) => set({ unitId: unitId || null })}
          options={[['', 'in no unit'], ...units.map(({ id, title }) => [id, title] as const)]}
        />
        <Audience
          courseId={courseId}
          groups={groups}
          audience={draft.audience}
          problem={wrong.audience}
          onChange={(audience) => set({ audience })}
        />
      </Fold>
      <Fold title="When" now={whenInWords(draft)} open={unfolded}>
        <div className="grid sm:grid-cols-2 gap-4">
          {TIMES.map(([name, label, about]) => (
            <Field
              key={name}
              label={label}
              type="datetime-local"
              hint={hint(about, draft[name])}
              value={draft[name]}
              problem={wrong[name]}
              onChange={(event) => set({ [name]: event.target.value })}
            />
          ))}
          <Field
            label="Time for it, in minutes"
            type="number"
            min={1}
            max={MAX_MINUTES}
            hint="From when a learner begins. Empty: no limit."
            value={draft.minutes}
            problem={wrong.minutes}
            onChange={(event) => set({ minutes: event.target.value })}
          />
        </div>
      </Fold>
      <Fold
        title="How it counts"
        now={
          draft.practice
            ? 'practice'
            : `${categories.find(({ id }) => id === draft.categoryId)?.title ?? 'in no category'}, ${draft.sittings === '' ? 'any number of sittings' : draft.sittings === '1' ? 'one sitting' : `${draft.sittings} sittings`}`
        }
        open={unfolded}
      >
        <div className="grid sm:grid-cols-3 gap-4">
          <Choose
            label="It is"
            value={draft.practice ? 'practice' : 'counting'}
            onChange={(is) => set({ practice: is === 'practice' })}
            options={[
              ['counting', 'counting'],
              ['practice', 'practice, not in the gradebook'],
            ]}
          />
          {!draft.practice && (
            <Choose
              label="Weight category"
              value={draft.categoryId ?? ''}
              onChange={(categoryId) => set({ categoryId: categoryId || null })}
              options={[['', 'none'], ...categories.map(({ id, title }) => [id, title] as const)]}
            />
          )}
          <Field
            label="Sittings a learner may have"
            type="number"
            min={1}
            max={100}
            hint="Empty: any number."
            value={draft.sittings}
            problem={wrong.sittings}
            onChange={(event) => set({ sittings: event.target.value })}
          />
          {draft.sittings !== '1' && (
            <Choose
              label="Of several counts"
              value={draft.counts}
              onChange={(counts) => set({ counts })}
              options={COUNTS.map((counts) => [counts, COUNTS_IN_WORDS[counts]])}
            />
          )}
          <Field
            label="Pass mark, in per cent"
            type="number"
            min={1}
            max={100}
            hint="Empty: nobody passes or fails."
            value={draft.passMark}
            problem={wrong.passMark}
            onChange={(event) => set({ passMark: event.target.value })}
          />
        </div>
      </Fold>
      <Fold
        title="Feedback"
        now={
          draft.feedbackLevel === 'nothing'
            ? 'nothing'
            : `${FEEDBACK_LEVEL_SHORT[draft.feedbackLevel]}, ${FEEDBACK_TIME_IN_WORDS[draft.feedbackTime]}`
        }
        open={unfolded}
      >
        <div className="grid sm:grid-cols-2 gap-4">
          <Choose
            label="Feedback level"
            value={draft.feedbackLevel}
            onChange={(feedbackLevel) => set({ feedbackLevel })}
            options={FEEDBACK_LEVELS.filter(
              (feedbackLevel) =>
                !published || (feedbackLevel === 'nothing') === (draft.feedbackLevel === 'nothing') || deferred,
            ).map((feedbackLevel) => [feedbackLevel, FEEDBACK_LEVEL_IN_WORDS[feedbackLevel]])}
          />
          {draft.feedbackLevel !== 'nothing' && (
            <Choose
              label="They see it"
              value={draft.feedbackTime}
              onChange={(feedbackTime) => set({ feedbackTime })}
              options={FEEDBACK_TIMES.filter((when) => !published || (when === 'atOnce') !== deferred).map((when) => [
                when,
                FEEDBACK_TIME_IN_WORDS[when],
              ])}
            />
          )}
        </div>
        <p className="text-mute mt-2">
          {deferred
            ? 'Deferred feedback: each question is checked once, when the sitting ends. Tries, hints and judging as it lands do not apply.'
            : 'If a question gives less feedback, that applies.'}
          {published && ' Whether they get feedback at once was fixed when it was published.'}
        </p>
      </Fold>
    </div>
  );
}

function whenInWords({ opensAt, dueAt, closesAt, minutes }: Draft): string {
  const at = (text: string) => text.replace('T', ' ');
  const all = [
    opensAt && `opens ${at(opensAt)}`,
    dueAt && `due ${at(dueAt)}`,
    closesAt && `closes ${at(closesAt)}`,
    minutes && `${minutes} min`,
  ].filter(Boolean);
  return all.length > 0 ? all.join(', ') : 'from now on, no end';
}

function Fold({ title, now, open, children }: { title: string; now: string; open: boolean; children: ReactNode }) {
  return (
    <details className="group border-b border-rule" open={open}>
      <summary className="flex flex-wrap items-center gap-x-3 py-2.5 cursor-pointer">
        <ChevronRight size={16} className="group-open:rotate-90" aria-hidden />
        <span className="font-semibold">{title}</span> <span className="text-mute">{now}</span>
      </summary>
      <div className="pb-4">{children}</div>
    </details>
  );
}

interface AudienceProps {
  courseId: string;
  groups: Parts['groups'];
  audience: Draft['audience'];
  problem: string | undefined;
  onChange: (audience: Draft['audience']) => void;
}

/** All of the course, or some groups and learners. */
function Audience({ courseId, groups, audience, problem, onChange }: AudienceProps) {
  const name = useId();
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const found = useQuery({
    queryKey: ['roster', courseId, words],
    queryFn: () => ask('GET /api/courses/{id}/learners', { id: courseId, query: { words } }),
    enabled: audience !== null,
  });
  const toggled = (list: readonly string[], id: string, is: boolean) =>
    is ? [...list, id] : list.filter((candidate) => candidate !== id);
  return (
    <fieldset className="mt-3">
      <legend className="font-semibold">For</legend>
      <label className="flex items-center gap-2 py-1">
        <input
          type="radio"
          name={name}
          className="radio radio-sm"
          checked={audience === null}
          onChange={() => onChange(null)}
        />{' '}
        all of the course
      </label>
      <label className="flex items-center gap-2 py-1">
        <input
          type="radio"
          name={name}
          className="radio radio-sm"
          checked={audience !== null}
          onChange={() => onChange({ groups: [], learners: [] })}
        />{' '}
        some of it
      </label>
      {audience && (
        <div className="grid sm:grid-cols-2 gap-4 pl-7">
          <div>
            <p className="text-mute">Groups</p>
            {groups.length === 0 && <p>There is no group in the course.</p>}
            {groups.map(({ id, title, learners }) => (
              <label key={id} className="flex items-center gap-2 py-1">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={audience.groups.includes(id)}
                  onChange={(event) =>
                    onChange({ ...audience, groups: toggled(audience.groups, id, event.target.checked) })
                  }
                />
                {title} <span className="figures text-sm text-mute">{learners}</span>
              </label>
            ))}
          </div>
          <div>
            <Field
              label="Learners"
              type="search"
              placeholder="Find by name"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
            <div className="max-h-40 overflow-auto">
              {found.data?.rows.map(({ id, name: of }) => (
                <label key={id} className="flex items-center gap-2 py-1">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-sm"
                    checked={audience.learners.includes(id)}
                    onChange={(event) =>
                      onChange({ ...audience, learners: toggled(audience.learners, id, event.target.checked) })
                    }
                  />
                  {of}
                </label>
              ))}
            </div>
            <p className="figures text-sm text-mute">{audience.learners.length} chosen</p>
          </div>
        </div>
      )}
      {problem && (
        <p role="alert" className="text-sm text-brick">
          {problem}
        </p>
      )}
    </fieldset>
  );
}
