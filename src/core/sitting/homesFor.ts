import type { Question } from '../document/schema';
import type { SceneModel } from '../judge/model';
import type { LearnerEdition } from './learnerEdition';

/** Where each item was at the start for a learner, by its index in the document: scene units. */
export function homesFor(
  model: Pick<SceneModel, 'homes'> & { readonly question: Pick<Question, 'items'> },
  { names, question: seen }: Pick<LearnerEdition, 'names' | 'question'>,
): { readonly x: number; readonly y: number }[] {
  const homes = new Map(seen.items.map(({ id, home }) => [names.itemId.get(id), home]));
  return model.question.items.map(({ id }, i) => homes.get(id) ?? model.homes[i] ?? { x: 0, y: 0 });
}
