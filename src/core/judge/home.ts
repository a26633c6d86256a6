import { type Board, lift } from './board';
import { type Copy, itemOf, type SceneModel } from './model';

/** The copy goes home, and with it what the zones that ride on it hold, each to its own. */
export function sendHome(model: SceneModel, board: Board, copy: Copy): void {
  lift(board, copy);
  for (const zone of model.items[itemOf(copy)]?.carries ?? [])
    for (const held of [...(board.zones[zone] ?? [])]) sendHome(model, board, held);
}
