import { richFromPlain } from '../document/plain';
import type { Rich } from '../document/rich';

/** Material that stands beside some of a set's questions, which it names by their places. */
interface Source<Kind extends string> {
  readonly title: string;
  readonly text: string;
  readonly medium: { readonly kind: Kind; readonly description: string } | null;
  readonly captions: string;
  readonly address?: string | undefined;
  readonly questions: readonly number[];
}

/** A source as it is shown; its medium and captions are asked for by its number. */
interface Shown<Kind extends string> {
  n: number;
  title: string;
  text: Rich | null;
  medium: { kind: Kind; description: string } | null;
  captioned: boolean;
  address: string | null;
}

/** What stands beside the question at a place. */
export const sourcesBeside = <Kind extends string>(sources: readonly Source<Kind>[], question: number): Shown<Kind>[] =>
  sources.flatMap(({ title, text, medium, captions, address, questions }, n) =>
    questions.includes(question)
      ? [
          {
            ...{ n, title, text: richFromPlain(text), captioned: captions !== '', address: address || null },
            medium: medium && { kind: medium.kind, description: medium.description },
          },
        ]
      : [],
  );
