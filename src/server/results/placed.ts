import { type Board, type Copy, idOf, type QuestionModel, type Verdict } from '../../core';

/** Something that lay in a zone, or was typed into one, and how it was judged. */
export interface Placed {
  readonly item: { readonly id: string; readonly label: string };
  readonly zone: { readonly id: string; readonly label: string };
  /** From 1, in a zone whose order counts; else null. */
  readonly place: number | null;
  /** As it was typed; null: it was put there. */
  readonly typed: string | null;
  readonly verdict: Verdict;
}

/** What an arrangement holds, zone by zone. A zone without a label is named by its number. */
export function placedIn(model: QuestionModel, board: Board, judged: ReadonlyMap<Copy, Verdict>): Placed[] {
  const { question } = model;
  return board.zones.flatMap((held, z) => {
    const zone = question.zones[z];
    const isOrdered = question.key.some((entry) => entry.zone === zone?.id && entry.sequence);
    return held.map((copy, i): Placed => {
      const id = idOf(model, copy);
      return {
        item: { id, label: question.items.find((item) => item.id === id)?.label || id },
        zone: { id: zone?.id ?? '', label: zone?.label || `No. ${z + 1}` },
        place: isOrdered ? i + 1 : null,
        typed: board.texts.get(z) ?? null,
        verdict: judged.get(copy) ?? 'none',
      };
    });
  });
}
