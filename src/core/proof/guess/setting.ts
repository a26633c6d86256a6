import type { EntryModel, QuestionModel } from '../../judge/model';

/**
 * What a guesser has before them. Items are told apart by *type*: two items are of one type when the same zones are
 * open to them by family. `copies` are by item index, endless items standing for as many as `question-document.md`
 * says; `typeOf` is −1 for an item that no zone is open to, which can only lie in the tray.
 */
export interface Setting {
  readonly model: QuestionModel;
  readonly copies: readonly number[];
  readonly typeOf: readonly number[];
  /** By type: how many copies of it there are. */
  readonly counts: readonly number[];
  /** By zone: which types it is open to. */
  readonly open: readonly (readonly boolean[])[];
  /** By zone: how many copies it holds, at most all there are. */
  readonly room: readonly number[];
  /** Does the order in the zone count? */
  readonly ordered: readonly boolean[];
  /** May a copy that has a zone to go to lie in the tray? */
  readonly tray: boolean;
}

export function standInCopies(model: QuestionModel, item: number): number {
  const { copies } = model.question.items[item] as QuestionModel['question']['items'][number];
  if (copies !== 'endless') return copies;
  const value = Math.abs(model.values[item] as number);
  const asked = [
    ...model.entries.filter((entry) => entry.belongs.has(item)).map((entry) => wanted(entry, value)),
    ...model.either.filter((entry) => entry.belongs.has(item)).map(({ lo, hi }) => (Number.isFinite(hi) ? hi : lo)),
  ];
  return Math.max(
    1,
    asked.reduce((sum, n) => sum + n, 0),
  );
}

function wanted({ sum, needless, lo, hi }: EntryModel, value: number): number {
  if (sum && needless) return value === 0 ? 1 : Math.ceil((sum.target + sum.tolerance) / value);
  return Number.isFinite(hi) ? hi : lo;
}

/**
 * The setting of a question; `tray` is decided by the caller where it depends on whether there would be any arrangement
 * without it.
 */
export function settingOf(model: QuestionModel, tray: boolean): Setting {
  const { zones, items } = model;
  const families = [...new Set(zones.flatMap(({ family }) => (family === null ? [] : [family])))];
  const common = zones.some(({ family }) => family === null);
  const typeOfFamily = (family: string | null) => {
    const own = family === null ? -1 : families.indexOf(family);
    if (own >= 0) return own;
    return common ? families.length : -1;
  };
  const typeOf = items.map(({ family }) => typeOfFamily(family));
  const copies = items.map((_, i) => standInCopies(model, i));
  const counts = new Array<number>(families.length + 1).fill(0);
  typeOf.forEach((type, i) => {
    if (type >= 0) counts[type] = (counts[type] as number) + (copies[i] as number);
  });
  const all = counts.reduce((sum, n) => sum + n, 0);
  return {
    model,
    copies,
    typeOf,
    counts,
    open: zones.map(({ family }) => counts.map((_, type) => family === null || families[type] === family)),
    room: zones.map(({ capacity }) => Math.min(capacity, all)),
    ordered: zones.map((_, z) => model.entryOf[z]?.sequence === true),
    tray,
  };
}

/** May copies lie in the tray from the outset: an item is endless, or there are more copies than the zones need? */
export function trayIsFree(model: QuestionModel): boolean {
  if (model.question.items.some(({ copies }) => copies === 'endless')) return true;
  const copies = model.items.reduce((sum, item) => sum + item.copies, 0);
  return copies > [...model.entries, ...model.either].reduce((sum, { lo }) => sum + lo, 0);
}

/** Zones without a key entry: nothing in them is right or wrong. */
export const neutralZones = ({ zones, entryOf }: QuestionModel): number[] =>
  zones.map((_, z) => z).filter((z) => !entryOf[z]);
