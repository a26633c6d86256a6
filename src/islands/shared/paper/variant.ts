import type { SheetView } from '../../../contract';
import { asked, drawnBySeed, inPlaces, type Question, random, seedOf } from '../../../core';
import { richFromPlain } from '../../../core/document';
import { onPaper } from './onPaper';
import type { PaperQuestion, PaperSource } from './Paper';

/** A set with its questions whole. */
interface Whole {
  readonly questions: readonly Question[];
  readonly points: readonly number[];
  readonly sections: readonly {
    readonly title: string;
    readonly draw: { readonly count: number; readonly points: number } | null;
    readonly count: number;
  }[];
  readonly sources: readonly {
    readonly title: string;
    readonly text: string;
    readonly medium: { readonly kind: string; readonly hash: string; readonly description: string } | null;
    readonly questions: readonly number[];
  }[];
}

/** Of a source its text and its picture: sounds and films cannot be put on paper. */
const sourceOnPaper = ({
  title,
  text,
  medium,
  before,
}: Pick<Whole['sources'][number], 'title' | 'text' | 'medium'> & { readonly before: number }): PaperSource => ({
  ...{ title, text: richFromPlain(text), before },
  picture: medium?.kind === 'picture' ? medium : null,
});

/** One drawing of a set: what is asked in it, in its order. The same seed gives the same. */
export function variantOf(
  { questions, points, sections, sources }: Whole,
  seed: string,
): { questions: PaperQuestion[]; sources: PaperSource[] } {
  const parts = inPlaces(sections);
  const places = asked(parts, random(seedOf(seed)));
  const partOf = (place: number | undefined) => parts.find((part) => part.questions.includes(place ?? -1));
  return {
    questions: places.map((place, i) => {
      const part = partOf(place);
      const whole = questions[place] as Question;
      // Questions and answers of one variant are of one draw.
      return {
        ...onPaper(drawnBySeed(whole, `${seed}/${whole.id}`), `${seed}/${whole.id}`),
        points: points[place] ?? 0,
        begins: part && part !== partOf(places[i - 1]) && part.title !== '' ? part.title : null,
      };
    }),
    sources: sources.flatMap(({ title, text, medium, questions: beside }) => {
      const before = places.findIndex((place) => beside.includes(place));
      return before === -1 ? [] : [sourceOnPaper({ title, text, medium, before })];
    }),
  };
}

/** A variant of a release, as the server has drawn it. */
export const ofSheet = ({ questions, sources }: SheetView): { questions: PaperQuestion[]; sources: PaperSource[] } => ({
  questions: questions.map(({ document, struck: _, ...rest }) => ({ ...rest, question: document })),
  sources: sources.map(sourceOnPaper),
});
