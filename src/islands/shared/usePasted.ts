import { useDeferredValue, useMemo, useState } from 'react';
import type { Question } from '../../core';
import {
  type FromText,
  kindFor,
  type Layout,
  type Listing,
  type Proposed,
  propose,
  readListing,
  type WordPicture,
  withPictures,
} from '../../core/kinds';

/** What was pasted, and how it is to be read. */
export interface Pasted {
  readonly text: string;
  /** Null: the kind that it looks like. */
  readonly kind: FromText | null;
  /** Is the first line of a table a heading? Null: as it looks. */
  readonly headed: boolean | null;
  /** Null: what suits the kind. */
  readonly layout: Layout | null;
  readonly pictures: readonly WordPicture[];
}
export const NOTHING_PASTED: Pasted = { text: '', kind: null, headed: null, layout: null, pictures: [] };

export interface PastedQuestion {
  readonly kind: FromText;
  readonly listing: Listing;
  readonly proposed: Proposed;
}

/** The question that is made of what was pasted; null: nothing was. */
export function proposedOf(
  question: Question,
  { text, kind, headed, layout, pictures }: Pasted,
): PastedQuestion | null {
  if (text.trim() === '') return null;
  const listing = readListing(text, headed);
  const suited = kind ?? kindFor(listing);
  const made = propose(question, suited, listing, layout);
  return {
    kind: suited,
    listing,
    proposed: made.ok ? { ok: true, question: withPictures(made.question, pictures, layout) } : made,
  };
}

/** A field for pasting, and what would be made of it, a moment after the last key. */
export function usePasted(question: Question, kind: FromText | null) {
  const [pasted, setPasted] = useState<Pasted>({ ...NOTHING_PASTED, kind });
  const settled = useDeferredValue(pasted);
  const made = useMemo(() => proposedOf(question, settled), [question, settled]);
  return { pasted, made, set: (change: Partial<Pasted>) => setPasted((now) => ({ ...now, ...change })) };
}
