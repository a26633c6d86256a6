import { type Board, lift } from './board';
import { type Copy, itemOf, type SceneModel } from './model';

/** Sends a copy home, and the content of the zones that ride on it, each to its own home. */
export function sendHome(model: SceneModel, board: Board, copy: Copy): void {
  lift(board, copy);
  for (const zone of model.items[itemOf(copy)]?.carries ?? [])
    for (const held of [...(board.zones[zone] ?? [])]) sendHome(model, board, held);
}
