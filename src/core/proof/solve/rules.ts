import type { EitherModel, EntryModel, QuestionModel } from '../../judge/model';
import type { Reachable } from '../reachable';

/**
 * One rule of the author's that an answer has to keep: what an entry needs, what its zone holds, what family it takes,
 * the sum, that an item can be brought there, and how many copies of an item there are. Named, so that rules which
 * contradict one another can be named.
 */
export interface Rule {
  readonly kind: 'need' | 'sum' | 'sequence' | 'capacity' | 'family' | 'reach' | 'copies' | 'either';
  /** The entry's index; of `copies` the item's, of `either` the either entry's. */
  readonly of: number;
}
export const nameOf = ({ kind, of }: Rule): string => `${kind}:${of}`;

/** What there is to solve: the entries' bounds and which items may go where, with some of the rules set aside. */
export interface Puzzle {
  readonly model: QuestionModel;
  /** By item: how many copies, Infinity for endless ones. */
  readonly copies: readonly number[];
  readonly entries: readonly PuzzleEntry[];
  readonly either: readonly PuzzleEither[];
}
export interface PuzzleEntry {
  readonly entry: EntryModel;
  readonly lo: number;
  readonly hi: number;
  readonly sum: EntryModel['sum'];
  /** Items that belong and can get there, in the key's order. */
  readonly items: readonly number[];
  /** How many copies the zone holds. */
  readonly room: number;
  /** Where an item is laid that fills this entry; left out: in the entry's zone. */
  readonly zoneFor?: (item: number) => number;
}
/** Copies that have to lie in any of several zones. */
export interface PuzzleEither {
  readonly entry: EitherModel;
  readonly lo: number;
  readonly hi: number;
  /** By each of its zones: the entry there, and the items that can get there. */
  readonly zones: readonly { readonly zone: number; readonly entry: number; readonly items: readonly number[] }[];
}

export function rulesOf(model: QuestionModel): Rule[] {
  const rules: Rule[] = [];
  for (const [of, entry] of model.entries.entries()) {
    rules.push({ kind: entry.sequence ? 'sequence' : 'need', of });
    if (entry.sum) rules.push({ kind: 'sum', of });
    if (Number.isFinite(model.zones[entry.zone]?.capacity ?? Infinity)) rules.push({ kind: 'capacity', of });
    if (model.zones[entry.zone]?.family !== null) rules.push({ kind: 'family', of });
    rules.push({ kind: 'reach', of });
  }
  for (const of of model.either.keys()) rules.push({ kind: 'either', of });
  model.items.forEach((_, of) => {
    if (model.question.items[of]?.copies !== 'endless') rules.push({ kind: 'copies', of });
  });
  return rules;
}

/** The puzzle under the rules that `holds`; the others are as if the author had not made them. */
export function puzzleOf(
  model: QuestionModel,
  reachable: (item: number, zone: number) => Reachable,
  holds: (rule: Rule) => boolean,
): Puzzle {
  const getsThere = (item: number, of: number) => {
    const zone = model.entries[of]?.zone ?? -1;
    const family = model.zones[zone]?.family ?? null;
    return (
      (family === null || model.items[item]?.family === family || !holds({ kind: 'family', of })) &&
      (!holds({ kind: 'reach', of }) || reachable(item, zone).can === 'wins')
    );
  };
  return {
    model,
    either: model.either.flatMap((entry, of) =>
      holds({ kind: 'either', of })
        ? [
            {
              entry,
              lo: entry.lo,
              hi: entry.hi,
              zones: entry.zones.map((zone) => {
                const e = model.entries.findIndex((other) => other.zone === zone);
                return { zone, entry: e, items: entry.order.filter((item) => getsThere(item, e)) };
              }),
            },
          ]
        : [],
    ),
    copies: model.items.map((item, of) =>
      model.question.items[of]?.copies === 'endless' || !holds({ kind: 'copies', of }) ? Infinity : item.copies,
    ),
    entries: model.entries.map((entry, of) => {
      const zone = model.zones[entry.zone] as QuestionModel['zones'][number];
      const needed = holds({ kind: entry.sequence ? 'sequence' : 'need', of });
      const room = holds({ kind: 'capacity', of }) ? zone.capacity : Infinity;
      return {
        entry,
        lo: needed ? entry.lo : 0,
        hi: Math.min(needed ? entry.hi : Infinity, room),
        sum: holds({ kind: 'sum', of }) ? entry.sum : null,
        items: entry.order.filter((item) => getsThere(item, of)),
        room,
      };
    }),
  };
}
