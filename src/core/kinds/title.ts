import { plainText } from '../document/plain';
import type { Question } from '../document/schema';
import { BLANK_TITLE } from '../document/version';
import { isTrap } from '../edit/keying';
import { isSpot } from './mark';

const MAX_TITLE = 80;

/** A title from what the question asks, else from what is there; the title of a blank question while nothing is. */
export function proposedTitle(question: Question): string {
  const asked = plainText(question.prompt).trim();
  const title = asked === '' ? fromScene(question) : (asked.match(/^[^.?!\n]*[.?!]?/)?.[0] ?? asked);
  return title.trim() === '' ? BLANK_TITLE : shortened(title.trim());
}

/** Cut at a word. */
function shortened(title: string): string {
  if (title.length <= MAX_TITLE) return title;
  const cut = title.slice(0, MAX_TITLE);
  return `${cut.slice(0, Math.max(cut.lastIndexOf(' '), 40))}…`;
}

function fromScene(question: Question): string {
  const { kind, items, zones, key, fixtures } = question;
  const names = items.flatMap(({ label }) => label || []);
  const places = zones.flatMap((zone) => (zone.label !== '' && !isTrapZone(question, zone.id) ? [zone.label] : []));
  switch (kind) {
    case 'sort':
    case 'count':
      return places.length > 1 ? `${listed(places)}?` : listed(places);
    case 'order': {
      const sequence = key.find((entry) => entry.sequence)?.belongs ?? [];
      const ends = [sequence[0], sequence.at(-1)].map((id) => items.find((item) => item.id === id)?.label ?? '');
      return ends.every((end) => end !== '') ? `From “${ends[0]}” to “${ends[1]}”` : '';
    }
    case 'gaps': {
      const text = fixtures.find((fixture) => fixture.type === 'text');
      return text?.type === 'text'
        ? text.text.blocks
            .flatMap((block) => (block.type === 'paragraph' ? block.runs : block.entries.flat()))
            .map((run) => run.text ?? '…')
            .join('')
        : '';
    }
    case 'mark': {
      const spots = zones.filter(isSpot).length;
      return spots > 0 ? `Find the ${spots === 1 ? 'spot' : `${spots} spots`}` : '';
    }
    default:
      return listed(names.slice(0, 4), 'and');
  }
}

function isTrapZone({ key }: Question, id: string): boolean {
  const entry = key.find(({ zone }) => zone === id);
  return entry !== undefined && isTrap(entry);
}

const listed = (words: readonly string[], word: 'or' | 'and' = 'or'): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${word} ${words.at(-1)}`;
