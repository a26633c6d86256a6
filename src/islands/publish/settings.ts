import { scheduleProblems } from '../../core';
import { asTyped as timeAsTyped, typedTime } from '../../ui/when';

/** How a release runs, as it is typed; times are of the reader's zone. */
export interface Draft {
  title: string;
  unitId: string | null;
  opensAt: string;
  dueAt: string;
  closesAt: string;
  minutes: string;
  /** Empty: any number. */
  sittings: string;
  counts: 'best' | 'last' | 'first' | 'average';
  practice: boolean;
  categoryId: string | null;
  tells: 'nothing' | 'verdicts' | 'feedback' | 'modelAnswer';
  tellsWhen: 'atOnce' | 'finished' | 'closed';
  /** Null: all of the course. */
  audience: { groups: string[]; learners: string[] } | null;
}

export const PLAIN: Draft = {
  title: '',
  unitId: null,
  opensAt: '',
  dueAt: '',
  closesAt: '',
  minutes: '',
  sittings: '1',
  counts: 'best',
  practice: false,
  categoryId: null,
  tells: 'modelAnswer',
  tellsWhen: 'atOnce',
  audience: null,
};

/** The same as the server has it (src/server/releases/settings.ts). */
export interface Sent extends Omit<Draft, 'title' | 'opensAt' | 'dueAt' | 'closesAt' | 'minutes' | 'sittings'> {
  title?: string;
  opensAt: string | null;
  dueAt: string | null;
  closesAt: string | null;
  minutes: number | null;
  sittings: number | null;
}

const atOnce = (text: string) => (text === '' ? null : typedTime(text).toISOString());
const number = (text: string) => (text === '' ? null : Number(text));

export const sent = ({ title, opensAt, dueAt, closesAt, minutes, sittings, ...rest }: Draft): Sent => ({
  ...rest,
  ...(title.trim() === '' ? {} : { title: title.trim() }),
  opensAt: atOnce(opensAt),
  dueAt: atOnce(dueAt),
  closesAt: atOnce(closesAt),
  minutes: number(minutes),
  sittings: number(sittings),
});

/** A time as a `datetime-local` field has it. */
export const asTyped = (moment: string | null): string => (moment === null ? '' : timeAsTyped(new Date(moment)));

export const drafted = ({ title = '', opensAt, dueAt, closesAt, minutes, sittings, ...rest }: Sent): Draft => ({
  ...rest,
  title,
  opensAt: asTyped(opensAt),
  dueAt: asTyped(dueAt),
  closesAt: asTyped(closesAt),
  minutes: minutes === null ? '' : String(minutes),
  sittings: sittings === null ? '' : String(sittings),
});

export const MOST_MINUTES = 10_080;
export const whole = (text: string, least: number, most: number) => text === '' || (Number.isInteger(Number(text)) && Number(text) >= least && Number(text) <= most);

/** What of it cannot be sent, by field. */
export function wrongIn({ minutes, sittings, opensAt, dueAt, closesAt, audience, tells, tellsWhen }: Draft): Partial<Record<keyof Draft, string>> {
  return {
    ...(whole(minutes, 1, MOST_MINUTES) ? {} : { minutes: `A whole number from 1 to ${MOST_MINUTES}` }),
    ...(whole(sittings, 1, 100) ? {} : { sittings: 'A whole number from 1 to 100' }),
    ...Object.fromEntries(scheduleProblems({ opensAt, dueAt, closesAt, tells, tellsWhen }).map(({ path, message }) => [path, message])),
    ...(audience && audience.groups.length + audience.learners.length === 0 ? { audience: 'Choose a group or a learner, or all' } : {}),
  };
}

export const COUNTS: Readonly<Record<Draft['counts'], string>> = { best: 'the best', last: 'the last', first: 'the first', average: 'the average' };
export const TELLS: Readonly<Record<Draft['tells'], string>> = {
  nothing: 'nothing',
  verdicts: 'what is right and wrong',
  feedback: 'that, and your words for it',
  modelAnswer: 'that, and a model answer where a question has one',
};
export const TELLS_SHORT: Readonly<Record<Draft['tells'], string>> = {
  nothing: 'nothing',
  verdicts: 'right and wrong',
  feedback: 'right, wrong and feedback',
  modelAnswer: 'all, with a model answer',
};
export const WHEN: Readonly<Record<Draft['tellsWhen'], string>> = { atOnce: 'with each check', finished: 'when their sitting is finished', closed: 'when the release has closed' };
