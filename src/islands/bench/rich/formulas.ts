import { toast } from 'sonner';
import type { StoreApi } from 'zustand';
import { drawFormulas, type Formula, MAX_TEX, texOf } from '../../../core';
import { api } from '../../../ui/api';
import type { BenchState } from '../store';

/** What was drawn already in this window; a promise: is being drawn. */
const drawn = new Map<string, Promise<Formula | null>>();

function formulaOf(tex: string): Promise<Formula | null> {
  const there = drawn.get(tex);
  if (there) return there;
  const made = api('POST /api/formulas', { body: { tex } }).then((answer) => {
    if (answer.ok) return answer.value;
    drawn.delete(tex);
    const { message, problems } = answer.error;
    toast.error('A formula stays as it is typed', { description: problems?.[0]?.message ?? message, duration: 10_000 });
    return null;
  });
  drawn.set(tex, made);
  return made;
}

/**
 * Draws TeX that the author has typed between dollar signs. `before`: what stood there already was left as it is, by
 * undo or because it cannot be drawn.
 */
export async function drawTyped(store: StoreApi<BenchState>, before: ReadonlySet<string>): Promise<void> {
  const typed = [...texOf(store.getState().question)].filter((tex) => !before.has(tex) && tex.length <= MAX_TEX);
  if (typed.length === 0) return;
  const made = await Promise.all(typed.map(async (tex) => [tex, await formulaOf(tex)] as const));
  const formulas = new Map(made.flatMap(([tex, formula]) => (formula ? [[tex, formula] as const] : [])));
  store.getState().do(drawFormulas(store.getState().question, formulas), 'Drawn as a formula');
}
