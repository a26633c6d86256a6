import type { Counts, FeedbackTime, ReleaseDefaults, ReleaseSettings, Wire } from '../../contract';
import { DEFAULT_SETTINGS } from '../../contract/defaults';
import { type FieldProblem, problemsIn } from '../../contract/problems';
import { settingsContent } from '../../contract/releases';
import { scheduleProblems } from '../../core';
import { asTyped as timeAsTyped, typedTime } from '../../ui/when';
import { toWire } from '../../ui/wire';

/**
 * The settings of a release as typed: numbers as texts, times in the reader's zone. An empty `sittings`: any number.
 */
export type Draft = Omit<Sent, Typed> & {
  readonly [Field in Typed]: string;
};

type Typed = 'title' | 'opensAt' | 'dueAt' | 'closesAt' | 'minutes' | 'sittings' | 'passMark';

/** The same as the server has it (src/server/releases/settings.ts). */
export type Sent = Wire<ReleaseSettings>;

/** A time as it is typed; null: none. */
export const momentIn = (text: string) => (text === '' ? null : toWire(typedTime(text)));
const number = (text: string) => (text === '' ? null : Number(text));

export const sent = ({ title, opensAt, dueAt, closesAt, minutes, sittings, passMark, ...rest }: Draft): Sent => ({
  ...rest,
  ...(title.trim() === '' ? {} : { title: title.trim() }),
  opensAt: momentIn(opensAt),
  dueAt: momentIn(dueAt),
  closesAt: momentIn(closesAt),
  minutes: number(minutes),
  sittings: number(sittings),
  passMark: number(passMark),
});

/** A time as a `datetime-local` field has it. */
export const asTyped = (moment: string | null): string => (moment === null ? '' : timeAsTyped(new Date(moment)));

export const drafted = ({
  title = '',
  opensAt,
  dueAt,
  closesAt,
  minutes,
  sittings,
  passMark,
  ...rest
}: Sent): Draft => ({
  ...rest,
  title,
  opensAt: asTyped(opensAt),
  dueAt: asTyped(dueAt),
  closesAt: asTyped(closesAt),
  minutes: minutes === null ? '' : String(minutes),
  sittings: sittings === null ? '' : String(sittings),
  passMark: passMark === null ? '' : String(passMark),
});

/** The defaults of a release, as typed. */
export const DEFAULT_DRAFT: Draft = drafted(toWire(DEFAULT_SETTINGS));

/** What the new releases of a course begin with, as typed. */
export const begunIn = (defaults: ReleaseDefaults): Draft => drafted(toWire({ ...DEFAULT_SETTINGS, ...defaults }));

/** The other way round: what a draft sets of them. */
export function defaultsIn(draft: Draft): Required<ReleaseDefaults> {
  const { minutes, sittings, counts, practice, feedbackLevel, feedbackTime } = sent(draft);
  return { minutes, sittings, counts, practice, feedbackLevel, feedbackTime };
}

export const sameDraft = (a: Draft, b: Draft): boolean => JSON.stringify(sent(a)) === JSON.stringify(sent(b));

export const whole = (text: string, least: number, most: number) =>
  text === '' || (Number.isInteger(Number(text)) && Number(text) >= least && Number(text) <= most);

/** The first problem of each field, in the order of the fields. */
function firstOfEach(problems: readonly FieldProblem[]): Readonly<Record<string, string>> {
  const first = new Map<string, string>();
  for (const { path, message } of problems) if (!first.has(path)) first.set(path, message);
  return Object.fromEntries(first);
}

/** The problems of a draft by field: by the contract's schema, and by the core's rules for its times. */
export function wrongIn(draft: Draft): Partial<Record<keyof Draft, string>> {
  const { audience } = draft;
  return {
    ...firstOfEach(problemsIn(settingsContent, sent(draft))),
    ...Object.fromEntries(scheduleProblems(draft).map(({ path, message }) => [path, message])),
    ...(audience && audience.groups.length + audience.learners.length === 0
      ? { audience: 'Choose a group or a learner, or all' }
      : {}),
  };
}

export const COUNTS_IN_WORDS: Readonly<Record<Counts, string>> = {
  best: 'the best',
  last: 'the last',
  first: 'the first',
  average: 'the average',
};
export const FEEDBACK_LEVEL_IN_WORDS: Readonly<Record<Draft['feedbackLevel'], string>> = {
  nothing: 'nothing',
  verdicts: 'what is right and wrong',
  feedback: 'that, and your words for it',
  modelAnswer: 'that, and a model answer where a question has one',
};
export const FEEDBACK_LEVEL_SHORT: Readonly<Record<Draft['feedbackLevel'], string>> = {
  nothing: 'nothing',
  verdicts: 'right and wrong',
  feedback: 'right, wrong and feedback',
  modelAnswer: 'all, with a model answer',
};
export const FEEDBACK_TIME_IN_WORDS: Readonly<Record<FeedbackTime, string>> = {
  atOnce: 'with each check',
  finished: 'when their sitting is finished',
  closed: 'when the release has closed',
};
