import {
  type Copy,
  copyNamed,
  itemOf,
  type LearnerQuestion,
  type Outcome,
  type Reckoning,
  type SceneModel,
  type Verdict,
} from '../../core';
import type { MovesAnswer, Told, TryView } from './types';

/** The messages of the page, on screen or for screen readers. */
interface Source {
  readonly model: SceneModel;
  readonly view: { readonly question: LearnerQuestion };
}

export const itemName = ({ view: { question } }: Source, item: number): string =>
  question.items[item]?.label || pictured(question, item) || `item ${item + 1}`;

const pictured = (question: LearnerQuestion, item: number): string => {
  const { picture = null, sound = null } = question.items[item]?.content ?? {};
  return question.media[picture ?? sound ?? '']?.description ?? '';
};

export function zoneName({ view: { question } }: Source, zone: number): string {
  const { label = '', ridesOn = null } = question.zones[zone] ?? {};
  if (label) return label;
  const carrier = ridesOn === null ? -1 : question.items.findIndex(({ id }) => id === ridesOn);
  return carrier < 0
    ? `zone ${zone + 1}`
    : `zone ${zone + 1}, on ${question.items[carrier]?.label || `item ${carrier + 1}`}`;
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`;

/** What something in hand is, and where it may go. */
export function pickedUpInWords(source: Source, copy: Copy, places: readonly number[]): string {
  const name = itemName(source, itemOf(copy));
  const where =
    places.length === 0
      ? 'No place takes it.'
      : `It may go into ${listed(places.map((zone) => zoneName(source, zone)))}, or back. Choose with the arrow keys.`;
  return `${name} is in hand. ${where}`;
}

/** `over`: the zone that it lay over in part, but not as much as the zone's reach rule asks. */
export function outcomeInWords(
  source: Source,
  copy: Copy,
  outcome: Outcome,
  { shut, over }: { readonly shut: boolean; readonly over: number | null },
): string {
  const name = itemName(source, itemOf(copy));
  switch (outcome.to) {
    case 'zone': {
      const swapped =
        outcome.sentHome === null ? '' : ` ${itemName(source, itemOf(outcome.sentHome))} went back for it.`;
      return `${name} is in ${zoneName(source, outcome.zone)}${shut ? ', under its lid' : ''}.${swapped}`;
    }
    case 'home': {
      const near = over === null ? '' : ` ${missedInWords(source, over)}`;
      return `${name} is back where it came from.${near}`;
    }
    case 'loose':
      return `${name} lies outside every zone.`;
    case 'turnedAway':
      return refusal(source, copy, outcome.zone, outcome.why);
    case 'unknown':
      return `${name} waits to be judged.`;
    case 'refused':
      return outcome.message;
  }
}

/** Why a zone that it lay over in part did not take it. */
function missedInWords(source: Source, zone: number): string {
  const name = zoneName(source, zone);
  switch (source.model.zones[zone]?.reach.rule) {
    case 'centre':
      return `Its middle was beside ${name}.`;
    case 'pointer':
      return `It was let go beside ${name}.`;
    default:
      return `Too little of it lay over ${name}.`;
  }
}

const refusal = (source: Source, copy: Copy, zone: number | null, why: 'notWelcome' | 'full'): string => {
  const name = itemName(source, itemOf(copy));
  if (zone === null) return `${name} was not taken there: it went back.`;
  const into = zoneName(source, zone);
  return why === 'full' ? `${into} is full: ${name} went back.` : `${name} does not belong in ${into}: it went back.`;
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

export const VERDICTS: Record<Verdict, string> = { right: ', right', wrong: ', wrong', none: '' };

export function tryInWords({ fullMarks }: TryView, { verdicts, typed }: Told, ended: boolean): string {
  if (fullMarks) return 'All of it is right.';
  const wrong = [...verdicts, ...typed].filter((v) => v.verdict === 'wrong').length;
  const what =
    wrong === 0
      ? 'Nothing is in a wrong place, but not everything is where it belongs.'
      : `${wrong === 1 ? 'One is' : `${wrong} are`} in a wrong place.`;
  return ended ? `${what} That was the last try.` : what;
}

const plural = (n: number, one: string, many: string) => (n === 1 ? `1 ${one}` : `${n} ${many}`);
const signed = (amount: number) => `${amount < 0 ? '−' : '+'}${Math.abs(Math.round(amount * 100) / 100)}`;

/** The account of a mark in words for learners: what gave something and what cost something. */
export function reckoningInWords({ lines }: Reckoning): { words: string; amount: string }[] {
  return lines.map(({ code, zone, count, amount }) => ({
    words: lineInWords(code, zone ?? '', Math.round(count * 100) / 100),
    amount: signed(amount),
  }));
}

function lineInWords(code: Reckoning['lines'][number]['code'], zone: string, count: number): string {
  switch (code) {
    case 'placements':
      return `${plural(count, 'is', 'are')} right${zone ? ` in ${zone}` : ''}`;
    case 'zone':
      return zone ? `${zone} is all right` : 'What could go in several places is all right';
    case 'allOfIt':
      return 'All of it is right';
    case 'misplaced':
      return `${plural(count, 'is', 'are')} in the wrong place`;
    case 'extra':
      return `${plural(count, 'is', 'are')} too many or belong nowhere`;
    case 'heldToRange':
      return 'The mark cannot go below zero';
    case 'earlierTries':
      return `You needed ${plural(count, 'try', 'tries')} before this one`;
    case 'rounded':
      return 'Rounded';
  }
}
