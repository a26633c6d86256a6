import type { Rich } from '../document/rich';
import type { Fixture, KeyEntry, Question } from '../document/schema';
import { middleOf } from '../geometry/space';
import { type Where, whereOn } from '../geometry/whereOn';
import type { Board } from '../judge/board';
import { type Copy, idOf, itemOf, numberOf, type QuestionModel } from '../judge/model';
import { countingTry, hintsLeft, type Standing, type Try } from '../judge/replay';
import { standsAt } from '../judge/rest';
import { spellingOf } from '../judge/typed';
import type { Verdict } from '../judge/verdict';
import { answeringNow, isTold, restsOnKey } from '../judge/when';
import { type AccountLine, account } from '../marks/account';
import { boardOf } from '../marks/typical';
import type { ModelPlacement } from '../proof/solve/solve';
import {
  type FixtureNames,
  fixtureFor,
  type LearnerEdition,
  type LearnerMedium,
  type LearnerQuestion,
  type Names,
  said,
} from './learnerEdition';
import type { NamedCopy } from './named';
import type { TurnedAway } from './sent';

/** Where things stand, in a learner's terms: enough to draw the page again after a reload. */
export interface BoardView {
  /** By zone, in the zone's order. `x`, `y`: where it was let go, for zones that keep it there. */
  zones: { zone: string; held: (NamedCopy & { x?: number; y?: number; settled: number })[]; text?: string }[];
  /** In no zone, or in one that is hidden. */
  loose: (NamedCopy & { x: number; y: number })[];
}

/** Words of the author's, with the drawn names of a picture and a sound. */
export interface Said {
  text: Rich | null;
  picture: string | null;
  sound: string | null;
}

export interface Marked {
  mark: number;
  max: number;
}

export interface TryView {
  /** From 1. */
  number: number;
  fullMarks: boolean;
  /** Null where the author does not show it. */
  mark: Marked | null;
  /** What the author says of such an answer. */
  words: Said | null;
  zones: { zone: string; satisfied: boolean }[];
}

/** What a learner is told of the board as it stands. `try` null: a landing was judged that ended none. */
export interface Told {
  verdicts: (NamedCopy & { verdict: Verdict })[];
  /** How what was typed into a zone was judged; `spelling`: how it is spelled, where it counted with a slip. */
  typed: { zone: string; verdict: Verdict; spelling?: string }[];
  /**
   * What is said of a zone as a whole, or of what was typed into it (`of` null), and of a copy in it. `zone` null: it
   * is hidden.
   */
  says: { zone: string | null; of: NamedCopy | null; said: Said }[];
  goingHome: NamedCopy[];
  /** Zones whose text goes when the learner goes on. */
  goingEmpty: string[];
  try: TryView | null;
}

/** A fixture that answers now, by a verdict or because it stays as it answered. */
export interface FixtureAnswer {
  fixture: string;
  until: 'next' | 'reset';
  /** The fixture itself where it is not there without a verdict, and before which of the others it is drawn. */
  comes: { fixture: Fixture; before: number } | null;
  /** What it shows instead. */
  shows: Said | null;
}

/** Where a question has come to, apart from its board. */
export interface Progress {
  answered: FixtureAnswer[];
  told: Told | null;
  tries: number;
  /** The mark that counts so far; null before the first try, and where the author does not show it. */
  best: Marked | null;
  ended: boolean;
  hints: Said[];
  hintsLeft: number;
  /** As soon as the author lets it be seen; else null. */
  modelAnswer: BoardView | null;
  /** The media of what is said, which are not those of the question itself. */
  media: Record<string, LearnerMedium>;
}

export interface QuestionView extends Progress {
  question: LearnerQuestion;
  board: BoardView;
}

/** What moves that were sent came to. `board`: where only whoever has the key can say how it stands now. */
export interface MovesView extends Progress {
  board: BoardView | null;
  turnedAway: (NamedCopy & { zone: string | null; why: TurnedAway['why'] })[];
  passedOver: number;
}

/** A question being sat, with what its views are made of. */
export interface Sat {
  readonly model: QuestionModel;
  readonly edition: LearnerEdition;
  /** One full-mark arrangement; null: none is known, or it is not to be shown. */
  readonly modelAnswer: readonly ModelPlacement[] | null;
}

/** A question as it stands, in the terms of one sitting. */
export function questionView(sat: Sat, standing: Standing): QuestionView {
  return {
    question: sat.edition.question,
    board: boardView(sat.model, standing.board, sat.edition.names),
    ...progressView(sat, standing),
  };
}

export function movesView(
  sat: Sat,
  standing: Standing,
  took: { readonly turnedAway: readonly TurnedAway[]; readonly passedOver: number },
): MovesView {
  const { model, edition } = sat;
  const name = namer(model, edition.names.item);
  return {
    ...progressView(sat, standing),
    // By the question alone, never by what its key says, lest the length of an answer tell.
    board:
      model.question.judging === 'onLand' ||
      model.zones.some(({ keyedOnly }) => keyedOnly) ||
      edition.question.hides ||
      took.passedOver > 0
        ? boardView(model, standing.board, edition.names)
        : null,
    turnedAway: took.turnedAway.map(({ copy, zone, why }) => ({
      ...name(copy),
      zone: shownZone(model, edition.names, zone),
      why,
    })),
    passedOver: took.passedOver,
  };
}

function progressView(sat: Sat, standing: Standing): Progress {
  const { model, edition } = sat;
  const { question } = model;
  const counting = countingTry(model, standing.tries);
  const media: Record<string, LearnerMedium> = {};
  const saying = (say: KeySay | null): Said | null => {
    if (!say) return null;
    const named = (id: string | null): string | null => {
      const drawn = id === null ? undefined : edition.names.medium.get(id);
      const medium = id === null ? undefined : question.media[id];
      if (drawn === undefined || !medium) return null;
      if (!Object.hasOwn(edition.question.media, drawn)) media[drawn] = said(medium);
      return drawn;
    };
    return { text: say.text, picture: named(say.picture), sound: named(say.sound) };
  };
  return {
    answered: answersView(sat, standing, saying),
    told: standing.judged && toldView(sat, standing, standing.judged, saying),
    tries: standing.tries.count,
    best: counting && question.show.mark ? { mark: counting.judged.mark, max: counting.judged.max } : null,
    ended: standing.ended,
    hints: question.hints.slice(0, standing.hints).flatMap((hint) => saying(hint) ?? []),
    hintsLeft: hintsLeft(model, standing),
    modelAnswer: seesModelAnswer(question, standing) && sat.modelAnswer ? arrangementView(sat, sat.modelAnswer) : null,
    media,
  };
}

/** Whether the author lets a learner see a model answer by now. */
export const seesModelAnswer = (
  { show: { modelAnswer } }: Pick<Question, 'show'>,
  { tries, ended }: Pick<Standing, 'tries' | 'ended'>,
): boolean => (modelAnswer === 'always' ? tries.count > 0 : modelAnswer === 'atTheEnd' && ended);

/** The fixtures that answer to the verdict, and those that stay as they have answered. */
function answersView({ model, edition: { names } }: Sat, standing: Standing, saying: Saying): FixtureAnswer[] {
  const { question } = model;
  const { board, judged, answered } = standing;
  const now = judged ? answeringNow(model, board, judged).told : [];
  return question.fixtures.flatMap((fixture, i): FixtureAnswer[] => {
    const { when } = fixture;
    // A lower feedback level has taken the events that rest on the key from the model.
    const told = when?.events.some((event) => restsOnKey(question, event)) === true;
    if (!when || !(answered.seen.includes(i) || (told && (now.includes(i) || answered.told.includes(i))))) return [];
    const media = <Id extends string | null | undefined>(id: Id): Id =>
      (id ? (saying({ text: null, picture: id as KeySay['picture'], sound: null })?.picture ?? id) : id) as Id;
    const naming: FixtureNames = { ...names, media, says: (say) => saying(say) as typeof say };
    const before = question.fixtures.slice(0, i).filter((other) => !isTold(question, other)).length;
    return [
      {
        fixture: names.fixture.get(fixture.id) as string,
        until: answered.seen.includes(i) || answered.told.includes(i) ? 'reset' : 'next',
        comes: isTold(question, fixture) ? { fixture: fixtureFor(question, naming, fixture), before } : null,
        shows: saying(when.content),
      },
    ];
  });
}

type KeySay = NonNullable<NonNullable<KeyEntry['says']>['zone']>;
type Saying = (say: KeySay | null) => Said | null;

const namer =
  (model: QuestionModel, names: ReadonlyMap<string, string>): ((copy: Copy) => NamedCopy) =>
  (copy) => ({ item: names.get(model.items[itemOf(copy)]?.id ?? '') as string, copy: numberOf(copy) });

const zoneName = (model: QuestionModel, names: Names, zone: number): string =>
  names.zone.get(model.zones[zone]?.id ?? '') as string;

/** The zone's drawn name; null: learners do not know of it. */
const shownZone = (model: QuestionModel, names: Names, zone: number): string | null =>
  model.question.zones[zone]?.hidden ? null : zoneName(model, names, zone);

/** An arrangement such as the model answer, or a part of it, in a learner's terms. */
export const arrangementView = (
  { model, edition }: Pick<Sat, 'model' | 'edition'>,
  placements: readonly ModelPlacement[],
): BoardView => boardView(model, boardOf(model, placements), edition.names);

function boardView(model: QuestionModel, board: Board, names: Names): BoardView {
  const name = namer(model, names.item);
  const seen = (zone: number) => !model.zones[zone]?.hidden && !(model.hides && model.zones[zone]?.floor);
  const loose = [...board.letGo].filter(([copy]) => !board.zoneOf.has(copy));
  // What lies in a hidden zone looks as if it lay outside every zone, where it was let go; and so does what lies on the
  // floor beneath hidden zones, or it would tell them apart.
  const found = board.zones.flatMap((held, i) =>
    seen(i) ? [] : held.map((copy) => [copy, board.letGo.get(copy) ?? standsAt(model, board, copy)] as const),
  );
  // Numbered among those that are seen to have settled, and listed as the items are: neither tells of a hidden zone.
  const order = new Map(
    [...board.settledAt].filter(([copy]) => seen(board.zoneOf.get(copy) ?? -1)).map(([copy], i) => [copy, i]),
  );
  return {
    zones: board.zones.flatMap((held, i) => {
      const zone = shownZone(model, names, i);
      if (zone === null) return [];
      if (!seen(i)) return [{ zone, held: [] }];
      const text = board.texts.get(i);
      if (model.zones[i]?.isTyped) return [{ zone, held: [], ...(text === undefined ? {} : { text }) }];
      return [
        {
          zone,
          held: held.map((copy) => ({ ...name(copy), ...board.letGo.get(copy), settled: order.get(copy) ?? 0 })),
        },
      ];
    }),
    loose: [...loose, ...found].sort(([a], [b]) => a - b).map(([copy, at]) => ({ ...name(copy), ...at })),
  };
}

/**
 * The first thing that follows from the key: it goes out only when a check was asked for, or where each landing is
 * judged.
 */
function toldView(
  { model, edition: { names } }: Sat,
  standing: Standing,
  { judged, verdicts }: Try,
  saying: Saying,
): Told {
  const name = namer(model, names.item);
  const typedIn = (copy: Copy): number | null => {
    const zone = standing.board.zoneOf.get(copy);
    return zone !== undefined && model.zones[zone]?.isTyped ? zone : null;
  };
  const ending = standing.tries.last?.judged === judged;
  const { feedback, show, key } = model.question;
  const overall = judged.fullMarks ? feedback.right : judged.fraction > 0 ? feedback.partly : feedback.wrong;
  return {
    verdicts: [...verdicts].flatMap(([copy, verdict]) => (typedIn(copy) === null ? [{ ...name(copy), verdict }] : [])),
    typed: [...verdicts].flatMap(([copy, verdict]) => {
      const zone = typedIn(copy);
      if (zone === null) return [];
      const spelling = verdict === 'right' ? spelledRight(model, standing.board, zone, copy) : null;
      return [{ zone: zoneName(model, names, zone), verdict, ...(spelling === null ? {} : { spelling }) }];
    }),
    says: key.flatMap(({ zone: id, says }) => {
      const at = model.zoneAt.get(id) as number;
      const zone = shownZone(model, names, at);
      const whole = ending ? saying(says?.zone ?? null) : null;
      return [
        ...(whole ? [{ zone, of: null, said: whole }] : []),
        // Of several copies of one item it is said once, beside the first.
        ...(standing.board.zones[at] ?? []).flatMap((copy, i, held) => {
          const one =
            held.findIndex((other) => itemOf(other) === itemOf(copy)) === i
              ? saying(saysOf(says, idOf(model, copy)))
              : null;
          return one ? [{ zone, of: model.zones[at]?.isTyped ? null : name(copy), said: one }] : [];
        }),
      ];
    }),
    goingHome: standing.goingHome.filter((copy) => typedIn(copy) === null).map(name),
    goingEmpty: standing.goingHome.flatMap((copy) => {
      const zone = typedIn(copy);
      return zone === null ? [] : [zoneName(model, names, zone)];
    }),
    try: ending
      ? {
          number: standing.tries.last?.number ?? standing.tries.count,
          fullMarks: judged.fullMarks,
          mark: show.mark ? { mark: judged.mark, max: judged.max } : null,
          words: saying(overall),
          zones: judged.tallies.flatMap(({ entry, satisfied }) => {
            const zone = shownZone(model, names, entry.zone);
            return zone === null ? [] : [{ zone, satisfied }];
          }),
        }
      : null,
  };
}

/** How what was typed into a zone and read as a copy's item is spelled; null: as it was typed. */
function spelledRight({ question, items }: QuestionModel, board: Board, zone: number, copy: Copy): string | null {
  const typed = question.zones[zone]?.typed;
  const item = items[itemOf(copy)]?.id ?? '';
  if (!typed || !Object.hasOwn(typed.accept, item)) return null;
  return spellingOf(typed, typed.accept[item] ?? [], board.texts.get(zone) ?? '');
}

const saysOf = (says: KeyEntry['says'], item: string): KeySay | null =>
  says && Object.hasOwn(says.items, item) ? (says.items[item] ?? null) : null;

/** What a zone is named by: its label, its place among the zones, from 1, and where it stands. */
export interface ZoneWords {
  readonly label: string;
  readonly n: number;
  /** Null: it is a slot, rides, or is hidden. */
  readonly where: Where | null;
}

function zoneWords({ question: { zones, scene }, zones: models }: QuestionModel, zone: number): ZoneWords {
  const { label = '', hidden = false, ridesOn = null } = zones[zone] ?? {};
  const outline = hidden || ridesOn !== null ? null : (models[zone]?.outline ?? null);
  return { label, n: zone + 1, where: outline && whereOn(middleOf(outline.box), scene) };
}

/**
 * How the mark that counts came about, in a learner's terms: null where the author does not show marks, or nothing was
 * tried.
 */
export interface Reckoning extends Marked {
  /** The try that counts, from 1. */
  number: number;
  lines: (Omit<AccountLine, 'zone'> & { zone: ZoneWords | null })[];
}

export function reckoning(model: QuestionModel, { tries }: Pick<Standing, 'tries'>): Reckoning | null {
  const counting = countingTry(model, tries);
  if (!counting || !model.question.show.mark) return null;
  const { judged, number } = counting;
  return {
    mark: judged.mark,
    max: judged.max,
    number,
    lines: account(model, judged, number).map((line) => ({
      ...line,
      zone: line.zone === null ? null : zoneWords(model, line.zone),
    })),
  };
}
