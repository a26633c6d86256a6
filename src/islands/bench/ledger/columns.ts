import {
  applyAll,
  type Frame,
  idIn,
  kindIn,
  type Question,
  type Ref,
  rename,
  type Step,
  setCopies,
  setFrames,
  setItem,
  setZone,
  type Thing,
  thingAt,
} from '../../../core';
import { numberOrChange } from '../../../ui/numbers';
import { framesOf } from '../store';

/** Sets a cell's value: the step, or why it is refused. */
export type Taken = { readonly ok: true; readonly step: Step } | { readonly ok: false; readonly problem: string };

export interface LedgerColumn {
  readonly id: string;
  readonly words: string;
  readonly numeric: boolean;
  readonly width: string;
  /** The cell's value; null: the thing has no such property. */
  readonly read: (thing: Thing, frame: Frame | null) => string | null;
  readonly take: (question: Question, ref: Ref, text: string) => Taken;
}

const FAR = 10_000;
const MAX_COPIES = 10_000;
const ENDLESS = 'endless';
const shown = (value: number) => String(Math.round(value * 100) / 100);
const ok = (step: Step): Taken => ({ ok: true, step });
const no = (problem: string): Taken => ({ ok: false, problem });
const NOTHING_THERE = 'It has nothing of this kind';

function frameColumn(id: keyof Frame, words: string, least: number): LedgerColumn {
  return {
    id,
    words,
    numeric: true,
    width: '4.75rem',
    read: (_, frame) => frame && shown(frame[id]),
    take: (question, ref, text) => {
      const frame = framesOf(question).get(ref);
      if (!frame) return no(NOTHING_THERE);
      const { value, problem } = numberOrChange(text, frame[id], least, FAR);
      return value === null ? no(problem) : ok(setFrames(question, [{ ref, frame: { ...frame, [id]: value } }]));
    },
  };
}

const itemOf = (question: Question, ref: Ref) => {
  const thing = thingAt(question, ref);
  return thing?.kind === 'item' ? thing.is : null;
};

const NAME: LedgerColumn = {
  id: 'name',
  words: 'name',
  numeric: false,
  width: 'minmax(8rem, 1.6fr)',
  read: ({ is }) => is.label,
  take: (question, ref, text) =>
    text.length > 2000 ? no('At most 2,000 characters') : ok(rename(question, kindIn(ref), idIn(ref), text)),
};
const COPIES: LedgerColumn = {
  id: 'copies',
  words: 'copies',
  numeric: true,
  width: '4.75rem',
  read: (thing) => (thing.kind === 'item' ? String(thing.is.copies) : null),
  take: (question, ref, text) => {
    const item = itemOf(question, ref);
    if (!item) return no(NOTHING_THERE);
    if (text.trim().toLowerCase() === ENDLESS) return ok(setCopies(question, [item.id], ENDLESS));
    const { value, problem } = numberOrChange(text, item.copies === ENDLESS ? null : item.copies, 1, MAX_COPIES, true);
    return value === null ? no(`${problem}, or "${ENDLESS}"`) : ok(setCopies(question, [item.id], value));
  },
};
const VALUE: LedgerColumn = {
  id: 'value',
  words: 'value',
  numeric: true,
  width: '4.75rem',
  read: (thing) => (thing.kind === 'item' ? (thing.is.value === null ? '' : shown(thing.is.value)) : null),
  take: (question, ref, text) => {
    const item = itemOf(question, ref);
    if (!item) return no(NOTHING_THERE);
    if (text.trim() === '') return ok(setItem(question, item.id, 'value', null));
    const { value, problem } = numberOrChange(text, item.value, -1e9, 1e9);
    return value === null ? no(`${problem}, or leave it empty`) : ok(setItem(question, item.id, 'value', value));
  },
};
const FAMILY: LedgerColumn = {
  id: 'family',
  words: 'family',
  numeric: false,
  width: 'minmax(5rem, 0.7fr)',
  read: (thing) => (thing.kind === 'fixture' ? null : (thing.is.family ?? '')),
  take: (question, ref, text) => {
    const thing = thingAt(question, ref);
    const family = text.trim().slice(0, 100) || null;
    if (thing?.kind === 'item') return ok(setItem(question, thing.is.id, 'family', family));
    return thing?.kind === 'zone' ? ok(setZone(question, thing.is.id, 'family', family)) : no(NOTHING_THERE);
  },
};
const HOLDS: LedgerColumn = {
  id: 'capacity',
  words: 'capacity',
  numeric: true,
  width: '5rem',
  read: (thing) => (thing.kind === 'zone' ? (thing.is.capacity === null ? '' : String(thing.is.capacity)) : null),
  take: (question, ref, text) => {
    const thing = thingAt(question, ref);
    if (thing?.kind !== 'zone') return no(NOTHING_THERE);
    if (text.trim() === '') return ok(setZone(question, thing.is.id, 'capacity', null));
    const { value, problem } = numberOrChange(text, thing.is.capacity, 1, FAR, true);
    return value === null ? no(`${problem}, or leave it empty`) : ok(setZone(question, thing.is.id, 'capacity', value));
  },
};

/** What the Ledger shows of a thing, in this order. */
export const COLUMNS: readonly LedgerColumn[] = [
  NAME,
  frameColumn('x', 'x', -FAR),
  frameColumn('y', 'y', -FAR),
  frameColumn('w', 'width', 1),
  frameColumn('h', 'height', 1),
  frameColumn('rotation', 'turn', -360),
  COPIES,
  VALUE,
  FAMILY,
  HOLDS,
];

export const readCell = (question: Question, thing: Thing, column: LedgerColumn): string | null =>
  column.read(thing, framesOf(question).get(thing.ref) ?? null);

/** Changes several cells as one step; the first refusal stops all of it. */
export function takeCells(
  question: Question,
  cells: readonly { readonly ref: Ref; readonly column: LedgerColumn; readonly text: string }[],
): Taken {
  let now = question;
  const steps: Step[] = [];
  for (const { ref, column, text } of cells) {
    const thing = thingAt(now, ref);
    // Cells without a value are skipped: a block may cover rows of different kinds.
    if (!thing || readCell(now, thing, column) === null) continue;
    const taken = column.take(now, ref, text);
    if (!taken.ok) return no(`${thing.is.label || thing.is.id}, ${column.words}: ${taken.problem}`);
    steps.push(taken.step);
    now = applyAll(now, taken.step);
  }
  return ok(steps.flat());
}

/** Rows as a spreadsheet takes them: tab-separated, a line each. Tabs and line ends inside a name become spaces. */
export function rowsAsText(question: Question, refs: readonly Ref[]): string {
  const line = (cells: readonly string[]) => cells.map((cell) => cell.replaceAll(/[\t\r\n]+/g, ' ')).join('\t');
  const rows = refs.flatMap((ref) => {
    const thing = thingAt(question, ref);
    return thing ? [line(COLUMNS.map((column) => readCell(question, thing, column) ?? ''))] : [];
  });
  return [line(COLUMNS.map(({ words }) => words)), ...rows].join('\n');
}
