import {
  homes,
  homesFor,
  inTray,
  type KeyEntry,
  learnerEdition,
  type Point,
  paperForm,
  type Question,
  questionModel,
  random,
  type SheetNames,
  seedOf,
  servesTypedOnly,
  sheetNames,
} from '../../../core';
import { oneOf, phrase } from '../../../words';

/** A question as it was drawn for a sheet, with what its things are called there. */
export interface OnPaper extends SheetNames {
  readonly question: Question;
  /** Where its items lie at the start, by index: scene units. */
  readonly homes: readonly Point[];
}

/** A question of a set that was not published: its loose things shuffled by a seed. */
export function onPaper(question: Question, seed: string): OnPaper {
  const lying = homesFor({ question, homes: homes(question) }, learnerEdition(question, random(seedOf(seed))));
  return { question, homes: lying, ...sheetNames(question, lying) };
}

/** The scene as it is drawn on paper: without what learners have to find, and what stands in the list beneath. */
export function drawnOnPaper({ question, homes: lying, letters }: OnPaper): Question {
  const { scene, tray } = question;
  const beneath = inTray(question, lying);
  const items = question.items.flatMap((item, i) =>
    beneath.has(i) || letters[i] === null ? [] : [{ ...item, home: lying[i] ?? item.home }],
  );
  const height = tray?.side === 'bottom' ? scene.height - tray.size : scene.height;
  const width = tray?.side === 'right' ? scene.width - tray.size : scene.width;
  return {
    ...question,
    scene: { ...scene, width, height },
    tray: null,
    items,
    start: null,
    // Their names stand beneath, where there is room to write.
    zones: question.zones.flatMap((zone) => (zone.hidden ? [] : [{ ...zone, label: '', title: null }])),
  };
}

/** The items that stand in the list beneath, by index. */
export function listed({ question, homes: lying, letters }: OnPaper): number[] {
  const form = paperForm(question);
  const beneath = inTray(question, lying);
  const menus = new Set(question.zones.flatMap(({ menu, family }) => (menu && family !== null ? [family] : [])));
  const isOffered = (i: number) => menus.has(question.items[i]?.family ?? '') && form === 'text';
  return question.items
    .map((_, i) => i)
    .filter(
      (i) => letters[i] !== null && !isOffered(i) && (form !== 'drawing' || beneath.has(i) || hasWords(question, i)),
    )
    .toSorted((a, b) => order(letters[a]) - order(letters[b]));
}

/** Letters count as A, B … Z, AA, AB …: the shorter first. */
const order = (letter: string | null | undefined) =>
  [...(letter ?? '')].reduce((sum, sign) => sum * 27 + (sign.charCodeAt(0) - 64), 0);

const hasWords = ({ items }: Question, i: number) => !items[i]?.content || items[i]?.content?.text != null;

/** Of a menu that offers less than all: the letters and words of what it offers. Others stand in the list beneath. */
export function choicesAt({ question, letters }: OnPaper, zone: Question['zones'][number]): string[] {
  if (!zone.menu || zone.family === null) return [];
  return question.items.flatMap(({ family, label }, i) =>
    letters[i] !== null && family === zone.family ? [`${letters[i]} ${label}`] : [],
  );
}

/** The places to write at, by number, with what begins in each. */
export interface Place {
  readonly number: number;
  /** Its name; empty: it has none, or its text says it. */
  readonly title: string;
  readonly typed: boolean;
  /** The letters of what lies there at the start; of what has to be put in order none, since all of it is written. */
  readonly begins: readonly string[];
}

export function placesOf({ question, letters, numbers }: OnPaper): Place[] {
  const start = question.start?.placements ?? [];
  return question.zones
    .flatMap((zone, z): Place[] => {
      const number = numbers[z] ?? null;
      if (number === null) return [];
      const isOrdered = question.key.some((entry) => entry.zone === zone.id && entry.sequence);
      const begins = start.flatMap((placement) =>
        placement.zone === zone.id && !isOrdered
          ? (letters[question.items.findIndex(({ id }) => id === placement.item)] ?? [])
          : [],
      );
      return [{ number, title: zone.shape.type === 'slot' ? '' : zone.label, typed: zone.typed !== null, begins }];
    })
    .toSorted((a, b) => a.number - b.number);
}

/** What a learner is told to do on paper. */
export function toldOn({ question, letters, numbers }: OnPaper): string {
  if (question.zones.some(({ hidden }) => hidden)) return phrase('paper.howMarks');
  if (paperForm(question) === 'ticks') return phrase('paper.tick');
  if (letters.every((letter) => letter === null)) return numbers.length > 0 ? phrase('paper.howWords') : '';
  return phrase(question.kind === 'order' ? 'paper.howOrder' : 'paper.howLetters');
}

export interface AnswerLine {
  readonly place: string;
  readonly answer: string;
}

/** The key in letters and words: a line for each place that has an answer, and one for what belongs nowhere. */
export function answersOf(sheet: OnPaper): AnswerLine[] {
  const { question } = sheet;
  const model = questionModel(question);
  const nameOf = (id: string) => itemName(sheet, id);
  const placeOf = (id: string) => placeName(sheet, id);
  const lines = question.key.map(
    (entry): AnswerLine => ({ place: placeOf(entry.zone), answer: inWords(question, entry, nameOf) }),
  );
  const full = [...model.entries, ...model.either].flatMap(({ belongs }) => [...belongs]);
  const inAny = question.either.map(
    ({ belongs, zones, need }): AnswerLine => ({
      place: oneOf(zones.map(placeOf)),
      answer: amount(need, belongs.length, belongs.map(nameOf).join(', ')),
    }),
  );
  const typed = servesTypedOnly(question);
  const nowhere = question.items.filter((item, i) => !full.includes(i) && !typed.has(item.id));
  return [
    ...[...lines, ...inAny].filter(({ answer }) => answer !== ''),
    ...(nowhere.length > 0
      ? [{ place: phrase('paper.nowhere'), answer: nowhere.map(({ id }) => nameOf(id)).join(', ') }]
      : []),
  ];
}

function itemName({ question, letters }: OnPaper, id: string): string {
  const at = question.items.findIndex((item) => item.id === id);
  const item = question.items[at];
  return [letters[at], item?.label || item?.id].filter(Boolean).join(' ');
}

/** A zone that learners have to find is called by its label: it has no number. */
function placeName({ question, numbers }: OnPaper, id: string): string {
  const at = question.zones.findIndex((zone) => zone.id === id);
  const zone = question.zones[at];
  const title = zone?.shape.type === 'slot' ? '' : zone?.label;
  return [numbers[at], title].filter(Boolean).join(' ') || `No. ${at + 1}`;
}

function inWords(question: Question, entry: KeyEntry, nameOf: (id: string) => string): string {
  const zone = question.zones.find(({ id }) => id === entry.zone);
  const names = (entry.belongs ?? question.items.filter(({ value }) => value !== null).map(({ id }) => id)).map(nameOf);
  const accepted = Object.values(zone?.typed?.accept ?? {}).flat();
  const what = accepted.length > 0 ? accepted.join(' / ') : names.join(entry.sequence ? ' → ' : ', ');
  const { need, sum } = entry;
  const many = need || !sum ? amount(need, names.length, what) : phrase('paper.someOf', { items: what });
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
