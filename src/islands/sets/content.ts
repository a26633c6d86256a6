import type { SetQuestion, SetSource, SetView } from '../../contract';
import { type Draw, pointsOf, type Section } from '../../core';

export type Entry = Readonly<SetQuestion>;
export type Part = Section<Entry>;
export type SetContent = Pick<SetView, 'id' | 'title' | 'goBack' | 'aids'> & {
  readonly sections: readonly Part[];
  readonly sources: readonly SetSource[];
};

export const entriesIn = (sections: readonly Part[]): Entry[] => sections.flatMap(({ questions }) => questions);

const changed = (sections: readonly Part[], at: number, to: Partial<Part>): Part[] =>
  sections.map((section, i) => (i === at ? { ...section, ...to } : section));

/** A question is put at the end of the last part. */
export function withQuestion(sections: readonly Part[], entry: Entry): Part[] {
  const last = sections.at(-1) ?? { title: '', draw: null, questions: [] };
  return [...sections.slice(0, -1), { ...last, questions: [...last.questions, entry] }];
}

export const withoutQuestion = (sections: readonly Part[], id: string): Part[] =>
  sections
    .map((part) => ({ ...part, questions: part.questions.filter((question) => question.id !== id) }))
    .filter(({ questions, title, draw }) => questions.length > 0 || title !== '' || draw);

/** Moves a question one place on or back; beyond the end of its section it goes into the next one. */
export function shifted(sections: readonly Part[], part: number, at: number, by: 1 | -1): Part[] {
  const from = sections[part];
  const entry = from?.questions[at];
  if (!from || !entry) return [...sections];
  const questions = from.questions.filter((_, i) => i !== at);
  const to = at + by;
  if (to >= 0 && to < from.questions.length)
    return changed(sections, part, { questions: questions.toSpliced(to, 0, entry) });
  const next = sections[part + by];
  if (!next) return [...sections];
  return changed(changed(sections, part, { questions }), part + by, {
    questions: by > 0 ? [entry, ...next.questions] : [...next.questions, entry],
  });
}

/** Parts are asked in another order. */
export const partMoved = (sections: readonly Part[], part: number, to: number): Part[] =>
  sections.toSpliced(part, 1).toSpliced(to, 0, ...sections.slice(part, part + 1));

/**
 * A question is dropped where another one, or the head of a section, stands in the list of all: what is between makes
 * room. Above the first head it is the first question of the first section.
 */
export function questionDropped(
  sections: readonly Part[],
  id: string,
  over: string | { readonly head: number },
): Part[] {
  const lines = sections.flatMap((section, head) => [{ head }, ...section.questions]);
  const isOver = (line: (typeof lines)[number]) =>
    'head' in line ? typeof over === 'object' && over.head === line.head : line.id === over;
  const from = lines.findIndex((line) => 'id' in line && line.id === id);
  const to = lines.findIndex(isOver);
  const dragged = lines[from];
  if (!dragged || to === -1) return [...sections];
  const moved = lines.toSpliced(from, 1).toSpliced(Math.max(to, 1), 0, dragged);
  return sections.map((section, s) => {
    const begin = moved.findIndex((line) => 'head' in line && line.head === s) + 1;
    const length = moved.slice(begin).findIndex((line) => 'head' in line);
    return {
      ...section,
      questions: moved
        .slice(begin, length === -1 ? undefined : begin + length)
        .filter((line): line is Entry => 'id' in line),
    };
  });
}

export const withPart = (sections: readonly Part[], part: number, to: Partial<Part>): Part[] =>
  changed(sections, part, to);

/** Removes a section; its questions go to the one before it (or after, if it is the first). */
export function withoutPart(sections: readonly Part[], part: number): Part[] {
  const { questions = [] } = sections[part] ?? {};
  const rest = sections.filter((_, i) => i !== part);
  const into = Math.max(0, part - 1);
  if (questions.length === 0) return rest;
  const there = rest[into]?.questions ?? [];
  return rest.length === 0
    ? [{ title: '', draw: null, questions }]
    : changed(rest, into, { questions: part === 0 ? [...questions, ...there] : [...there, ...questions] });
}

/** The initial draw of a section: half of its questions, each for the points most of them have. */
export function firstDraw({ questions }: Part): Draw {
  const counts = questions.map((question) => pointsOf({ draw: null }, question));
  const often = (points: number) => counts.filter((count) => count === points).length;
  return {
    count: Math.max(1, Math.ceil(questions.length / 2)),
    points: counts.reduce((most, count) => (often(count) > often(most) ? count : most), counts[0] ?? 1),
  };
}
