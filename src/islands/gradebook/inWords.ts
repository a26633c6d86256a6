import type { GradeFilter } from '../../contract';
import { shownMark } from '../../ui';
import type { Cell } from './useGrades';

const STATES: Readonly<Record<Cell['state'], string>> = {
  none: 'nothing yet',
  running: 'under way',
  done: 'nothing',
  missing: 'missing',
  notFor: 'not for them',
  excused: 'excused',
};

const SENDING = { waiting: 'not at the platform yet', failed: 'could not be sent to the platform' } as const;

/** What a cell says, to be spoken and in its dialog. */
export function cellInWords({ points, outOf, state, late, byHand, note, sending }: Cell): string {
  const mark = points !== null ? `${shownMark(points)} of ${outOf}` : STATES[state];
  return [
    mark,
    state === 'excused' && points !== null && 'excused',
    late && 'late',
    byHand !== null && 'set by hand',
    note !== '' && 'with a note',
    sending && SENDING[sending.state],
  ]
    .filter(Boolean)
    .join(', ');
}

export const FILTERS_IN_WORDS: Readonly<Record<GradeFilter, string>> = {
  done: 'have a mark',
  running: 'are under way',
  missing: 'are missing',
  none: 'have nothing yet',
  excused: 'are excused',
  notFor: 'are not assigned it',
  late: 'were late',
  byHand: 'have a mark set by hand',
  noted: 'have a note',
};

export const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`;
