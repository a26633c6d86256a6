import { tz } from '@date-fns/tz';
import { format, formatDistance } from 'date-fns';
import type { TodayView } from '../../contract';

/** Where the letter is read: the teacher's name and zone, and the address of the application. */
interface Reader {
  readonly name: string;
  readonly zone: string;
  readonly site: string;
}

const plural = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
const attempts = (n: number) => plural(n, 'attempt', 'attempts');

/** True if there is a reason to write. Drafts alone are none. */
export const hasNews = ({ due, ended, tried, stuck }: TodayView): boolean =>
  due.length + ended.length + tried.length + stuck.length > 0;

/** What comes first of Today, in a line. */
function subjectOf({ due, ended }: TodayView): string {
  const finished = ended.reduce((sum, row) => sum + row.ended, 0);
  const parts = [
    ...(due.length > 0 ? [`${due.length} due or closing`] : []),
    ...(finished > 0 ? [`${attempts(finished)} ended`] : []),
  ];
  return `Today: ${parts.join(', ') || 'nothing new'}`;
}

/** Today as a letter, with the address of each thing below it. */
export function letterOf(today: TodayView, { name, zone, site }: Reader): { subject: string; text: string } {
  const moment = (at: Date) => format(at, 'EEE d MMM, HH:mm', { in: tz(zone) });
  const titled = (title: string) => `“${title.replace(/\s+/g, ' ').trim() || 'Untitled question'}”`;
  const entry = (words: string, path: string) => `- ${words}\n  ${site}${path}`;
  const section = (title: string, entries: readonly string[]) =>
    entries.length === 0 ? [] : [`${title}\n\n${entries.join('\n\n')}`];

  const due = today.due.map((row) => {
    const missing = row.learners - row.finished;
    return entry(
      `${titled(row.title)}, ${row.course}: ${row.closes ? 'closes' : 'due'} ${moment(row.at)}. ${row.finished} of ${row.learners} in${missing > 0 ? `, ${missing} missing` : ''}.`,
      `/releases/${row.releaseId}/live`,
    );
  });
  const news = [
    ...today.ended.map((row) =>
      entry(
        `${attempts(row.ended)} at ${titled(row.title)} ended, ${row.fullMarks} with full marks.`,
        `/releases/${row.releaseId}/results`,
      ),
    ),
    ...today.tried.map((row) =>
      entry(
        `${row.name} tried everything in ${titled(row.question)}.`,
        `/releases/${row.releaseId}/sittings/${row.sittingId}`,
      ),
    ),
    ...today.stuck.map((row) =>
      entry(
        `${row.name} moved last ${formatDistance(row.since, today.at, { addSuffix: true })}, in question ${row.place} of ${titled(row.title)}.`,
        `/releases/${row.releaseId}/live`,
      ),
    ),
  ];
  const drafts = today.drafts.map((row) =>
    entry(`${titled(row.title)}: ${plural(row.errors, 'error', 'errors')}`, `/bench/${row.id}`),
  );
  const text = [
    `Good morning, ${name}.`,
    ...section('Due within seven days', due),
    ...section(`Since ${moment(today.since)}`, news),
    ...(due.length + news.length === 0 ? ['Nothing is due, and nothing is new.'] : []),
    ...section('Where you were', drafts),
    `Times are those of ${zone}. Other mornings, or no letters: ${site}/account`,
  ].join('\n\n\n');
  return { subject: subjectOf(today), text: `${text}\n` };
}

/** The letter that asks whether an address is the teacher's. */
export const confirmation = (
  { name, site }: Omit<Reader, 'zone'>,
  token: string,
): { subject: string; text: string } => ({
  subject: 'Today by e-mail: is this your address?',
  text: [
    `${name} asked Vault Drop to send Today to this address.`,
    `If that is you, open this while you are signed in, and say so:\n${site}/account/mail/${token}`,
    'If it is not, do nothing: no more is sent here.',
    '',
  ].join('\n\n'),
});
