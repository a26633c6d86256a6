import { type Board, type Copy, countingTry, idOf, judgedAt, type QuestionModel, type Verdict } from '../../core';
import type { At } from '../sittings/standing';

/** Something that lay in a zone, or was typed into one, and how it was judged. */
export interface Placed {
  /** Null: a text that was read as no item. */
  readonly item: { readonly id: string; readonly label: string } | null;
  readonly zone: { readonly id: string; readonly label: string };
  /** From 1, in a zone whose order counts; else null. */
  readonly place: number | null;
  /** As it was typed; null: it was put there. */
  readonly typed: string | null;
  readonly verdict: Verdict;
}

/** The try whose mark is the question's, and what is shown of it; before the first check, what lies there now. */
export function shownTry({ model, standing }: At) {
  const counting = countingTry(model, standing.tries);
  const shown = counting ?? { board: standing.board, ...judgedAt(model, standing.board, 1) };
  return { counting, board: shown.board, placed: placedIn(model, shown.board, shown.verdicts) };
}

/** What an arrangement holds, zone by zone. A zone without a label is named by its number. */
function placedIn(model: QuestionModel, board: Board, judged: ReadonlyMap<Copy, Verdict>): Placed[] {
  const { question } = model;
  return board.zones.flatMap((held, z) => {
    const zone = question.zones[z];
    const isOrdered = question.key.some((entry) => entry.zone === zone?.id && entry.sequence);
    return held.map((copy, i): Placed => {
      const item = question.items.find(({ id }) => id === idOf(model, copy));
      return {
        item: item ? { id: item.id, label: item.label || item.id } : null,
        zone: { id: zone?.id ?? '', label: zone?.label || `No. ${z + 1}` },
        place: isOrdered ? i + 1 : null,
        typed: board.texts.get(z) ?? null,
        verdict: judged.get(copy) ?? 'none',
      };
    });
  });
}
