import {
  type Board,
  type Copy,
  copyNamed,
  itemOf,
  type LearnerQuestion,
  middleOf,
  type Outcome,
  type Point,
  placeInOrder,
  type Reckoning,
  type SceneModel,
  type Verdict,
  whereOn,
  type ZoneWords,
} from '../../core';
import { oneOf, phrase, signedNumber } from '../../words';
import type { PlayerState } from './store';
import type { MovesAnswer, Told, TryView } from './types';

/** The messages of the page, on screen or for screen readers. */
interface Source {
  readonly model: SceneModel;
  readonly view: { readonly question: LearnerQuestion };
}

export const itemName = ({ view: { question } }: Source, item: number): string =>
  question.items[item]?.label || pictured(question, item) || phrase('player.item', { n: item + 1 });

const pictured = (question: LearnerQuestion, item: number): string => {
  const { picture = null, sound = null } = question.items[item]?.content ?? {};
  return question.media[picture ?? sound ?? '']?.description ?? '';
};

/** A zone's label; without words of its own it is named by its number and where it stands. */
export function zoneName({ model, view: { question } }: Source, zone: number): string {
  const { label = '', ridesOn = null } = question.zones[zone] ?? {};
  const carrier = ridesOn === null ? -1 : question.items.findIndex(({ id }) => id === ridesOn);
  if (carrier >= 0 && !hasWords(label))
    return phrase('player.zoneOn', {
      n: label || zone + 1,
      item: question.items[carrier]?.label || phrase('player.item', { n: carrier + 1 }),
    });
  const outline = model.zones[zone]?.outline;
  return zoneInWords({ label, n: zone + 1, where: outline ? whereOn(middleOf(outline.box), question.scene) : null });
}

const hasWords = (label: string) => /\p{L}/u.test(label);

function zoneInWords({ label, n, where }: ZoneWords): string {
  if (hasWords(label)) return label;
  const number = label || n;
  return where === null ? phrase('player.zone', { n: number }) : phrase('player.zoneAt', { n: number, where });
}

/** What something in hand is, and where it may go. */
export function pickedUpInWords(source: Source, copy: Copy, places: readonly number[], by: 'keys' | 'press'): string {
  const inHand = phrase('player.inHand', { item: itemName(source, itemOf(copy)) });
  const how = phrase(by === 'keys' ? 'player.howKeys' : 'player.howPress');
  if (source.view.question.hides) return `${inHand} ${how}`;
  if (places.length === 0) return `${inHand} ${phrase('player.noPlaceTakesIt')}`;
  const names = oneOf(places.map((zone) => zoneName(source, zone)));
  return `${inHand} ${phrase('player.mayGoInto', { places: names })} ${how}`;
}

/** Where in the order of its zone a copy stands; empty where it stands in none. */
export function placeInWords({ model, board }: Source & { readonly board: Board }, copy: Copy): string {
  const place = placeInOrder(model, board, copy);
  return place && place.of > 1 ? phrase('player.place', { at: place.at + 1, of: place.of }) : '';
}

/** The named place that an item lies on, where zones are hidden; empty: none. `at`: its top left, in scene units. */
export function namedPlace({ view: { question } }: Source, item: number, at: Point): string {
  const { w = 0, h = 0 } = question.items[item]?.size ?? {};
  const [x, y] = [at.x + w / 2, at.y + h / 2];
  const away = (place: Point) => Math.hypot(place.x - x, place.y - y);
  const nearest = question.places.reduce<(typeof question.places)[number] | null>(
    (best, place) => (best === null || away(place) < away(best) ? place : best),
    null,
  );
  return nearest && away(nearest) <= Math.max(w, h) / 2 ? nearest.label : '';
}

/** `over`: the zone that it lay over in part, but not as much as the zone's reach rule asks. */
export function outcomeInWords(
  source: Source & { readonly board: Board },
  copy: Copy,
  outcome: Outcome,
  { shut, over, at }: { readonly shut: boolean; readonly over: number | null; readonly at: string },
): string {
  const name = itemName(source, itemOf(copy));
  const { stays = false } = source.view.question.items[itemOf(copy)] ?? {};
  if (stays && outcome.to === 'home') return phrase('player.notPicked', { item: name });
  if (stays && outcome.to === 'zone')
    return outcome.sentHome === null
      ? phrase('player.picked', { item: name })
      : phrase('player.pickedInstead', { item: name, other: itemName(source, itemOf(outcome.sentHome)) });
  switch (outcome.to) {
    case 'zone': {
      const swapped =
        outcome.sentHome === null
          ? ''
          : phrase('player.wentBackForIt', { item: itemName(source, itemOf(outcome.sentHome)) });
      const place = placeInWords(source, copy);
      const into = { item: name, zone: zoneName(source, outcome.zone) };
      return sentences(
        place ? phrase('player.isInPlace', { ...into, place }) : phrase('player.isIn', into),
        shut ? phrase('player.underLid') : '',
        swapped,
      );
    }
    case 'home':
      return sentences(phrase('player.isBack', { item: name }), over === null ? '' : missedInWords(source, over));
    case 'loose':
      return at ? phrase('player.liesAt', { item: name, place: at }) : phrase('player.liesOutside', { item: name });
    case 'turnedAway':
      return refusal(source, copy, outcome.zone, outcome.why);
    case 'unknown':
      return at ? phrase('player.putAt', { item: name, place: at }) : phrase('player.put', { item: name });
    case 'refused':
      return phrase('player.cannotGo', { item: name });
  }
}

const sentences = (...said: readonly string[]) => said.filter((words) => words !== '').join(' ');

/** Why a zone that it lay over in part did not take it. */
function missedInWords(source: Source, zone: number): string {
  const name = zoneName(source, zone);
  switch (source.model.zones[zone]?.reach.rule) {
    case 'centre':
      return phrase('player.middleBeside', { zone: name });
    case 'pointer':
      return phrase('player.letGoBeside', { zone: name });
    default:
      return phrase('player.tooLittleOver', { zone: name });
  }
}

const refusal = (source: Source, copy: Copy, zone: number | null, why: 'notWelcome' | 'full'): string => {
  const item = itemName(source, itemOf(copy));
  if (zone === null) return phrase('player.notTaken', { item });
  return phrase(why === 'full' ? 'player.full' : 'player.notWelcome', { item, zone: zoneName(source, zone) });
};

export const turnedAwayInWords = (source: Source, turned: MovesAnswer['turnedAway']): string =>
  turned
    .map((one) =>
      refusal(
        source,
        copyNamed(source.model, one),
        one.zone === null ? null : (source.model.zoneAt.get(one.zone) as number),
        one.why,
      ),
    )
    .join(' ');

export const verdictInWords = (verdict: Verdict): string =>
  verdict === 'none' ? '' : phrase(verdict === 'right' ? 'player.right' : 'player.wrong');

/** A name, and what is to be said of it: one after another, as a screen reader reads a list. */
export const listed = (...parts: readonly string[]): string => parts.filter((part) => part !== '').join(', ');

/** `picks`: its items are picked in their places, not moved. */
export function tryInWords(
  { fullMarks }: TryView,
  { verdicts, typed }: Told,
  { ended, picks }: { readonly ended: boolean; readonly picks: boolean },
): string {
  if (fullMarks) return phrase('player.allRight');
  const n = [...verdicts, ...typed].filter((v) => v.verdict === 'wrong').length;
  const what =
    n === 0
      ? phrase(picks ? 'player.missingPick' : 'player.missing')
      : phrase(picks ? 'player.wrongPicks' : 'player.wrongPlaces', { n });
  return sentences(what, ended ? phrase('player.lastTry') : '');
}

/** More are not named: a list of them is no help. */
const MOST_NAMED = 4;

/** Which ones are in a wrong place, and where, where a learner may know it; and how what counted with a slip is spelled. */
export function wrongOnesInWords(source: Source & { readonly board: Board }, { verdicts, typed }: Told): string {
  const wrong = verdicts
    .filter(({ verdict }) => verdict === 'wrong')
    .map((one) => wrongOne(source, copyNamed(source.model, one)));
  const gaps = typed.map(({ zone, ...rest }) => ({
    ...rest,
    name: zoneName(source, source.model.zoneAt.get(zone) ?? -1),
  }));
  const named = [...wrong, ...gaps.filter(({ verdict }) => verdict === 'wrong').map(({ name }) => name)];
  const spelled = gaps.flatMap(({ name, spelling }) =>
    spelling ? [phrase('player.spelled', { zone: name, spelling })] : [],
  );
  const which =
    named.length === 0 || named.length > MOST_NAMED
      ? []
      : [phrase('player.wrongOnes', { n: named.length, names: named.join('; ') })];
  return [...which, ...spelled].join(' ');
}

function wrongOne(source: Source & { readonly board: Board }, copy: Copy): string {
  const zone = source.board.zoneOf.get(copy);
  const name = itemName(source, itemOf(copy));
  if (source.view.question.items[itemOf(copy)]?.stays) return name;
  if (zone !== undefined) {
    const place = placeInWords(source, copy);
    const into = { item: name, zone: zoneName(source, zone) };
    return place ? phrase('player.wrongInPlace', { ...into, place }) : phrase('player.wrongIn', into);
  }
  const at = source.board.letGo.get(copy);
  const place = at ? namedPlace(source, itemOf(copy), at) : '';
  return place ? phrase('player.wrongAt', { item: name, place }) : name;
}

/** How a zone that is not all right stands after a check; null: it is right, or nothing is said of it. */
export type Shortfall = 'wrong' | 'lacks' | null;
export const shortfallInWords = (shortfall: NonNullable<Shortfall>): string =>
  phrase(shortfall === 'wrong' ? 'player.shortWrong' : 'player.shortLacks');

export function shortfallOf(
  {
    states,
    board,
    verdicts,
    told,
    view: { question },
  }: Pick<PlayerState, 'states' | 'board' | 'verdicts' | 'told' | 'view'>,
  zone: number,
): Shortfall {
  if (states.zones[zone] !== 'wrong') return null;
  const typed = told?.typed.some((one) => one.zone === question.zones[zone]?.id && one.verdict === 'wrong');
  const held = board.zones[zone]?.some((copy) => verdicts.get(copy) === 'wrong');
  return typed || held ? 'wrong' : 'lacks';
}

/** What a new try begins with. */
export function tryAgainInWords({
  view,
  tries,
  told,
}: {
  readonly view: { readonly question: LearnerQuestion };
  readonly tries: number;
  readonly told: Told | null;
}): string {
  const limit = view.question.tries;
  const gone = (told?.goingHome.length ?? 0) + (told?.goingEmpty.length ?? 0);
  const next =
    limit === null ? phrase('player.try', { n: tries + 1 }) : phrase('player.tryOf', { n: tries + 1, of: limit });
  return `${next} ${phrase('player.backAgain', { n: gone })}`;
}

/** The account of a mark in words for learners: what gave something and what cost something. */
export function reckoningInWords({ lines }: Reckoning): { words: string; amount: string }[] {
  return lines.map(({ code, zone, count, amount }) => ({
    words: lineInWords(code, zone && zoneInWords(zone), Math.round(count * 100) / 100),
    amount: signedNumber(amount),
  }));
}

function lineInWords(code: Reckoning['lines'][number]['code'], zone: string | null, n: number): string {
  switch (code) {
    case 'placements':
      return zone === null ? phrase('player.gaveRight', { n }) : phrase('player.gaveRightIn', { n, zone });
    case 'zone':
      return zone === null ? phrase('player.gaveEither') : phrase('player.gaveZone', { zone });
    case 'allOfIt':
      return phrase('player.gaveAll');
    case 'misplaced':
      return phrase('player.costMisplaced', { n });
    case 'extra':
      return phrase('player.costExtra', { n });
    case 'heldToRange':
      return phrase('player.costNothing');
    case 'earlierTries':
      return phrase('player.costTries', { n });
    case 'rounded':
      return phrase('player.rounded');
  }
}
