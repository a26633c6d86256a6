import { type Edit, LIST_OF, type Question, type Step, type ThingKind } from '../../core';

const FIELDS: Readonly<Record<string, string>> = {
  label: 'name',
  size: 'size',
  home: 'place',
  shape: 'shape and place',
  rotation: 'turn',
  x: 'place',
  y: 'place',
  w: 'size',
  h: 'size',
  whenFull: 'when full',
  typed: 'what is accepted when it is typed',
  goesHome: 'let go outside',
  again: 'moved again',
  ridesOn: 'rides on',
  promptSound: 'spoken prompt',
  lang: 'language',
  titleLang: 'language of the title',
  dress: 'ground and letters',
  afterMiss: 'after a miss',
  show: 'what learners see',
  bench: 'locks and groups',
  start: 'starting arrangement',
};
const fieldWords = (field: string) => FIELDS[field] ?? field;
const KIND_OF = Object.fromEntries(Object.entries(LIST_OF).map(([kind, list]) => [list, kind])) as Record<
  string,
  ThingKind
>;

/** Describes a step in words, a line for each thing, for comparing two versions. */
export function changesInWords(from: Question, to: Question, step: Step): string[] {
  const lines = new Map<string, Set<string>>();
  const say = (what: string, change: string) => lines.set(what, (lines.get(what) ?? new Set()).add(change));
  for (const edit of step) {
    const [what, change] = lineOf(from, to, edit);
    say(what, change);
  }
  return [...lines].map(([what, changes]) => `${what}: ${[...changes].join(', ')}`);
}

function lineOf(from: Question, to: Question, edit: Edit): [what: string, change: string] {
  switch (edit.type) {
    case 'setQuestion':
      return ['The question', fieldWords(edit.field)];
    case 'set': {
      const entry = [...to[edit.in], ...from[edit.in]].find(({ id }) => id === edit.id);
      return [named(KIND_OF[edit.in] ?? 'item', entry), fieldWords(edit.field)];
    }
    case 'add':
      return [named(KIND_OF[edit.in] ?? 'item', edit.entry), 'is new'];
    case 'remove':
      return [named(KIND_OF[edit.in] ?? 'item', edit.entry), 'is gone'];
    case 'move':
      return [edit.in === 'items' ? 'Items' : edit.in === 'zones' ? 'Zones' : 'Fixtures', 'their order'];
    case 'name':
      return [
        edit.in === 'looks' ? 'Looks' : 'Media',
        `${edit.name} ${edit.to === null ? 'is gone' : edit.from === null ? 'is new' : 'changed'}`,
      ];
  }
}

const named = (kind: ThingKind, entry: { readonly label: string; readonly id: string } | undefined) =>
  `${kind[0]?.toUpperCase()}${kind.slice(1)} ${entry?.label || entry?.id || '?'}`;
