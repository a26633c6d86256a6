import { type Copy, copyOf } from '../judge/copy';

/**
 * A copy in a learner's terms: the item's drawn name, and which copy of it. (By itself, so that a learner's page has
 * nothing of what makes the views.)
 */
export interface NamedCopy {
  item: string;
  copy: number;
}

/** The copy a learner's name stands for. */
export const copyNamed = (model: { readonly itemAt: ReadonlyMap<string, number> }, { item, copy }: NamedCopy): Copy =>
  copyOf(model.itemAt.get(item) as number, copy);
