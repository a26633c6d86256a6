import type { Item, Kind, Question } from '../document/schema';
import { listedIn } from '../edit/keying';
import type { Listing } from './listing';
import { FROM_TEXT, type FromText, propose } from './propose';

/** A question changed to another kind, and what is lost, in words. */
export interface Change {
  readonly question: Question;
  readonly lost: readonly string[];
}

const isFromText = (kind: Kind): kind is FromText => (FROM_TEXT as readonly Kind[]).includes(kind);

/** What a question's key says, as a table: each item under the zone it belongs in. */
function listingOf(question: Question, kind: FromText): Listing {
  const name = (id: string) => question.items.find((item) => item.id === id)?.label ?? id;
  const groups = question.key.map((entry) => ({
    heading: question.zones.find(({ id }) => id === entry.zone)?.label || 'Group',
    entries: listedIn(question, entry).map(name),
  }));
  const placed = new Set(groups.flatMap(({ entries }) => entries));
  const others = question.items.filter(({ label }) => !placed.has(label)).map(({ label }) => label);
  const sequence = question.key.find((entry) => entry.sequence);
  const labels = sequence ? listedIn(question, sequence).map(name) : question.items.map(({ label }) => label);
  const rows =
    kind === 'order'
      ? labels.map((label) => [label])
      : kind === 'pick'
        ? question.items.map(({ label }) => [label, placed.has(label) ? 'right' : 'wrong'])
        : kind === 'gaps'
          ? groups.flatMap(({ heading, entries }) => entries.map((entry) => [`${heading}: ${entry}`, entry]))
          : groups.flatMap(({ heading, entries }) => entries.map((entry) => [heading, entry]));
  return {
    rows,
    groups: [
      ...groups.filter(({ entries }) => entries.length > 0),
      ...(others.length > 0 ? [{ heading: 'None', entries: others }] : []),
    ],
    text: rows.flat().join('\n'),
    headed: null,
    starred: new Set(),
  };
}

/**
 * A question as another kind. Words, pictures and rules of the items are kept by their names, as are prompt, feedback,
 * hints, tries and marks. A kind that is a way of laying out (Mark, Count, Build, Free) keeps everything as it is.
 * Null: nothing of that kind can be made of it.
 */
export function changedTo(question: Question, kind: Kind): Change | null {
  if (kind === question.kind) return { question, lost: [] };
  if (!isFromText(kind) || question.items.length === 0) return { question: { ...question, kind }, lost: [] };
  const proposed = propose(question, kind, listingOf(question, kind));
  if (!proposed.ok) return null;
  const before = new Map(question.items.map((item) => [item.label, item]));
  const items = proposed.question.items.map((item): Item => {
    const was = before.get(item.label);
    return was
      ? {
          ...item,
          content: was.content,
          look: was.look,
          value: was.value,
          size: was.content?.picture ? was.size : item.size,
        }
      : item;
  });
  const next = { ...proposed.question, items, looks: question.looks, media: question.media };
  const kept = new Set(next.zones.map(({ label }) => label));
  const keptItems = new Set(next.items.map(({ label }) => label));
  const names = (all: readonly { label: string; id: string }[]) =>
    all.map(({ label, id }) => `“${label || id}”`).join(', ');
  const zonesGone = question.zones.filter(({ label }) => !kept.has(label));
  const itemsGone = question.items.filter(({ label }) => !keptItems.has(label));
  const said = question.key.filter(({ says }) => says !== null);
  return {
    question: next,
    lost: [
      ...(zonesGone.length > 0 ? [`zones: ${names(zonesGone)}`] : []),
      ...(itemsGone.length > 0 ? [`items: ${names(itemsGone)}`] : []),
      ...(question.fixtures.length > 0
        ? [`what stands on the scene beside items and zones: ${names(question.fixtures)}`]
        : []),
      ...(said.length > 0 ? ['feedback on single zones and items'] : []),
      ...(question.zones.some(({ lid, look }) => lid !== null || look !== null) ? ['lids and looks of zones'] : []),
      ...(question.bench.groups.length + question.bench.locked.length > 0 ? ['groups and locks'] : []),
    ],
  };
}
