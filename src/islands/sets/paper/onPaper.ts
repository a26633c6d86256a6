import {
  type KeyEntry,
  learnerEdition,
  type Question,
  questionModel,
  random,
  seedOf,
  servesTypedOnly,
  slotsIn,
} from '../../../core';
import { oneOf, phrase } from '../../../words';

/** A question as it stands on paper: what learners would see of it at the start, its loose things shuffled. */
export function onPaper(question: Question, seed: string): Question {
  const { names, question: seen } = learnerEdition(question, random(seedOf(seed)));
  const homes = new Map(seen.items.map(({ id, home }) => [names.itemId.get(id), home]));
  const called = zoneNames(question);
  return {
    ...question,
    items: question.items.flatMap((item) => {
      const home = homes.get(item.id);
      return home && !isChosenOnly(question, item) ? [{ ...item, home }] : [];
    }),
    zones: question.zones.flatMap((zone) =>
      zone.hidden ? [] : [{ ...zone, label: called.get(zone.id) ?? zone.label }],
    ),
  };
}

/** Everything that could take it is a menu in a text, which names what there is to choose from. */
function isChosenOnly({ zones }: Question, { family }: Question['items'][number]): boolean {
  const takes = zones.filter((zone) => !zone.hidden && !zone.typed && (zone.family === null || zone.family === family));
  return takes.length > 0 && takes.every(({ menu, shape }) => menu && shape.type === 'slot');
}

/**
 * What zones are called on paper: by their labels, gaps by a number in the order of their texts, what has no label by
 * its place.
 */
export function zoneNames({ fixtures, zones }: Question): Map<string, string> {
  const gaps = fixtures.flatMap((fixture) => (fixture.type === 'text' ? slotsIn(fixture.text) : []));
  const numbers = new Map(gaps.map((id, i) => [id as string, `(${i + 1})`]));
  return new Map(zones.map((zone, i) => [zone.id, numbers.get(zone.id) ?? (zone.label || `No. ${i + 1}`)]));
}

export interface AnswerLine {
  readonly zone: string;
  readonly answer: string;
}

/** The key in words: a line for each zone that has an answer, and one for what belongs nowhere. */
export function answersOf(question: Question): AnswerLine[] {
  const model = questionModel(question);
  const names = zoneNames(question);
  const lines = question.key.map(
    (entry): AnswerLine => ({ zone: names.get(entry.zone) ?? '', answer: inWords(question, entry) }),
  );
  const full = [...model.entries, ...model.either].flatMap(({ belongs }) => [...belongs]);
  const inAny = question.either.map(
    ({ belongs, zones, need }): AnswerLine => ({
      zone: oneOf(zones.map((id) => names.get(id) ?? '')),
      answer: amount(need, belongs.length, belongs.map((id) => labelOf(question, id)).join(', ')),
    }),
  );
  const typed = servesTypedOnly(question);
  const nowhere = question.items
    .filter((item, i) => !full.includes(i) && !typed.has(item.id))
    .map((item) => item.label || item.id);
  return [
    ...[...lines, ...inAny].filter(({ answer }) => answer !== ''),
    ...(nowhere.length > 0 ? [{ zone: phrase('paper.nowhere'), answer: nowhere.join(', ') }] : []),
  ];
}

function inWords(question: Question, entry: KeyEntry): string {
  const zone = question.zones.find(({ id }) => id === entry.zone);
  const labels = (entry.belongs ?? question.items.filter(({ value }) => value !== null).map(({ id }) => id)).map((id) =>
    labelOf(question, id),
  );
  const accepted = Object.values(zone?.typed?.accept ?? {}).flat();
  const what = accepted.length > 0 ? accepted.join(' / ') : labels.join(entry.sequence ? ' → ' : ', ');
  const { need, sum } = entry;
  const many = need || !sum ? amount(need, labels.length, what) : phrase('paper.someOf', { items: what });
  if (!sum) return many;
  const within = sum.tolerance > 0 ? ` (± ${sum.tolerance})` : '';
  const total = phrase('paper.addingUp', { target: sum.target }) + within;
  return what === '' ? total : `${many}, ${total}`;
}

/** The items of which so many are needed; where it is all of them, they alone. */
function amount(need: KeyEntry['need'], of: number, items: string): string {
  switch (need?.rule) {
    case 'exactly':
      if (need.n === of) return items;
      return need.n === 0 ? phrase('paper.noneOf', { items }) : phrase('paper.nOf', { n: need.n, items });
    case 'atLeast':
      return phrase('paper.atLeast', { n: need.n, items });
    case 'between':
      return phrase('paper.between', { least: need.min, most: need.max, items });
    case 'all':
    case undefined:
      return items;
  }
}

const labelOf = (question: Question, id: string): string => question.items.find((item) => item.id === id)?.label || id;
