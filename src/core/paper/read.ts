import { cloneBoard } from '../judge/board';
import { copyOf, isKeyed, itemOf, numberOf, type QuestionModel } from '../judge/model';
import { applyMove, type Move, type Standing, untouched } from '../judge/replay';
import type { SheetNames } from './sheet';

/** What is written on a sheet in answer to one question. */
export interface SheetAnswer {
  /** By the numbers of the zones: letters ("A C"), or the words of a typed zone. */
  readonly places: readonly { readonly number: number; readonly text: string }[];
  /** Where something was marked: its middle, in scene units. */
  readonly marks: readonly { readonly x: number; readonly y: number }[];
}

export interface SheetProblem {
  /** The number of the zone; null: the marks. */
  readonly number: number | null;
  readonly message: string;
}

export type ReadSheet =
  | { readonly ok: true; readonly moves: readonly Move[]; readonly standing: Standing }
  | { readonly ok: false; readonly problems: readonly SheetProblem[] };

interface Asked {
  readonly item: number;
  readonly zone: number;
  readonly number: number;
}

/**
 * The moves that make what is written, and what they come to. What is right is put first, since a question that is
 * judged as things land would end with the first that is wrong; what a zone turns away on the page stays where it was.
 */
export function readSheet(model: QuestionModel, names: SheetNames, { places, marks }: SheetAnswer): ReadSheet {
  const problems: SheetProblem[] = [];
  const asked: Asked[] = [];
  const typed: Move[] = [];
  for (const { number, text } of places) {
    const zone = names.numbers.indexOf(number);
    const found = model.question.zones[zone];
    if (!found) problems.push({ number, message: `There is no number ${number}.` });
    else if (found.typed) {
      if (text.trim() !== '') typed.push({ kind: 'put', zone: found.id, text: text.trim() });
    } else
      for (const letter of lettersIn(text, names.letters)) {
        const item = names.letters.indexOf(letter);
        if (item === -1) problems.push({ number, message: `There is no letter ${letter}.` });
        else asked.push({ item, zone, number });
      }
  }
  problems.push(...tooMany(model, names, asked), ...notTaken(model, names, asked));
  if (marks.length > markers(model).length)
    problems.push({ number: null, message: `There is room for ${markers(model).length} marks.` });
  if (problems.length > 0) return { ok: false, problems };
  return arranged(model, [...movesFor(model, asked), ...typed, ...marked(model, marks)]);
}

/**
 * The letters in a text, in capitals. Single ones need nothing between them; where there are double ones, they stand
 * apart.
 */
export function lettersIn(text: string, letters: readonly (string | null)[]): string[] {
  const written = text.toUpperCase();
  const isDouble = letters.some((letter) => letter !== null && letter.length > 1);
  return isDouble ? written.split(/[^\p{L}\p{N}]+/u).filter(Boolean) : [...written.replace(/[^\p{L}\p{N}]/gu, '')];
}

/** Items that stand in more places than there are copies. */
function tooMany(model: QuestionModel, { letters }: SheetNames, asked: readonly Asked[]): SheetProblem[] {
  return model.question.items.flatMap(({ copies }, item): SheetProblem[] => {
    const own = asked.filter((one) => one.item === item);
    const last = own.at(-1);
    if (copies === 'endless' || own.length <= copies || !last) return [];
    const where = [...new Set(own.map(({ number }) => number))].join(', ');
    const once = copies === 1 ? 'once' : `${copies} times`;
    return [{ number: last.number, message: `${letters[item]} is there ${once}, and stands in ${where}.` }];
  });
}

/** Zones that do not take an item of its family, or not so many. */
function notTaken(model: QuestionModel, { letters }: SheetNames, asked: readonly Asked[]): SheetProblem[] {
  const { items, zones } = model.question;
  const others = asked.flatMap(({ item, zone, number }): SheetProblem[] => {
    const family = zones[zone]?.family ?? null;
    return family === null || family === items[item]?.family
      ? []
      : [{ number, message: `${letters[item]} cannot go into ${number}.` }];
  });
  const full = zones.flatMap(({ capacity }, zone): SheetProblem[] => {
    const own = asked.filter((one) => one.zone === zone);
    const number = own[0]?.number;
    return capacity === null || own.length <= capacity || number === undefined
      ? []
      : [{ number, message: `${number} holds ${capacity === 1 ? 'one' : capacity}.` }];
  });
  return [...others, ...full];
}

/** From the start to what was written: first what has to leave its zone, then what is put, in the order written. */
function movesFor(model: QuestionModel, asked: readonly Asked[]): Move[] {
  const { items, zones } = model.question;
  const used = new Map<number, number>();
  const isOrdered = (zone: number) => model.entryOf[zone]?.sequence ?? false;
  const stays = new Set<number>();
  const wanted = asked.map(({ item, zone }) => {
    const copy = used.get(item) ?? 0;
    used.set(item, copy + 1);
    return { item, copy, zone };
  });
  const leaving = [...model.start.zoneOf].flatMap(([copy, zone]): Move[] => {
    const at = wanted.findIndex((one) => copyOf(one.item, one.copy) === copy);
    if (wanted[at]?.zone === zone && !isOrdered(zone)) stays.add(copy);
    const item = items[itemOf(copy)];
    // What is put in order stays in its place if nothing is written there.
    return at === -1 && item && !isOrdered(zone)
      ? [{ kind: 'put', item: item.id, copy: numberOf(copy), zone: null }]
      : [];
  });
  const isRight = ({ item, zone }: { item: number; zone: number }) => isKeyed(model, zone, item);
  const entering = wanted
    .filter(({ item, copy }) => !stays.has(copyOf(item, copy)))
    .toSorted((a, b) => (model.question.judging === 'onCheck' ? 0 : Number(isRight(b)) - Number(isRight(a))))
    .flatMap(({ item, copy, zone }): Move[] => {
      const [placed, into] = [items[item], zones[zone]];
      if (!placed || !into) return [];
      const put = { kind: 'put', item: placed.id, copy, zone: into.id } as const;
      return [
        isOrdered(zone) ? { ...put, at: wanted.filter((one) => one.zone === zone).findIndex(isCopy(item, copy)) } : put,
      ];
    });
  return [...leaving, ...entering];
}

const isCopy = (item: number, copy: number) => (one: { readonly item: number; readonly copy: number }) =>
  one.item === item && one.copy === copy;

/** The copies with which something can be marked on the scene, where zones are hidden. */
const markers = (model: QuestionModel): { readonly item: number; readonly copy: number }[] =>
  model.hides
    ? model.question.items.flatMap(({ copies }, item) =>
        Array.from({ length: copies === 'endless' ? ENDLESS : copies }, (_, copy) => ({ item, copy })),
      )
    : [];
const ENDLESS = 50;

function marked(model: QuestionModel, marks: SheetAnswer['marks']): Move[] {
  const free = markers(model);
  return marks.flatMap(({ x, y }, i): Move[] => {
    const marker = free[i];
    const item = marker && model.question.items[marker.item];
    if (!marker || !item) return [];
    const at = { x: x - item.size.w / 2, y: y - item.size.h / 2 };
    return [{ kind: 'drop', item: item.id, copy: marker.copy, ...at, px: x, py: y }];
  });
}

/** Makes the moves one after another; those that the page would not have let a learner make are left out. */
function arranged(model: QuestionModel, moves: readonly Move[]): ReadSheet {
  let standing = untouched(model);
  const made: Move[] = [];
  for (const move of moves) {
    const before: Standing = { ...standing, board: cloneBoard(standing.board) };
    const taken = applyMove(model, standing, move);
    if (taken.ok && taken.outcome?.to !== 'turnedAway') {
      standing = taken.standing;
      made.push(move);
    } else standing = before;
  }
  const isOpen = !standing.ended && standing.judged === null && standing.board.zoneOf.size > 0;
  if (!isOpen) return { ok: true, moves: made, standing };
  const checked = applyMove(model, standing, { kind: 'check' });
  return checked.ok
    ? { ok: true, moves: [...made, { kind: 'check' }], standing: checked.standing }
    : { ok: true, moves: made, standing };
}
