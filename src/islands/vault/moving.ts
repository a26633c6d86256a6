import { toast } from 'sonner';
import { ask } from '../../ui';
import { questionsInWords } from './inWords';
import { changeMany, type Shelf, useWrite } from './useVault';

/** How long the Undo button is shown, in milliseconds. */
export const UNDO_MS = 15_000;

/** The shelves of one's own that a shelf may stand on: neither itself nor one that stands on it. */
export function mayStandOn(shelves: readonly Shelf[], shelf: Shelf): Shelf[] {
  const parentOf = new Map(shelves.map(({ id, parentId }) => [id, parentId]));
  const isOn = (id: string | null): boolean => id !== null && (id === shelf.id || isOn(parentOf.get(id) ?? null));
  return shelves.filter(({ id, access }) => access === 'own' && !isOn(id));
}

/** The names of those a shelf is shared with, itself or because of one it stands on. */
export function sharedWith(shelves: readonly Shelf[], id: string | null): string[] {
  const names = new Set<string>();
  for (let at = shelves.find((shelf) => shelf.id === id); at; at = shelves.find((shelf) => shelf.id === at?.parentId))
    for (const { name } of at.shares) names.add(name);
  return [...names];
}

/** Who can see it from now on, in words; undefined: nobody else. */
export const alsoFor = (names: readonly string[]) =>
  names.length === 0 ? undefined : `Shared, as that shelf is, with ${names.join(', ')}.`;

/** Puts questions onto a shelf (null: off any). Undo puts each back where it stood. */
export function usePutOnto(shelves: readonly Shelf[], stored?: () => void) {
  const back = useWrite(async (stood: readonly { shelfId: string | null; ids: string[] }[]) => {
    for (const { shelfId, ids } of stood) await changeMany({ ids, shelfId });
  });
  return useWrite(
    ({ ids, shelfId }: { ids: readonly string[]; shelfId: string | null }) => changeMany({ ids, shelfId }),
    ({ stood }, { shelfId }) => {
      stored?.();
      const moved = stood.reduce((sum, { ids }) => sum + ids.length, 0);
      if (moved === 0) return;
      const title = shelves.find(({ id }) => id === shelfId)?.title;
      const verb = moved === 1 ? 'stands' : 'stand';
      toast(
        title === undefined
          ? `${questionsInWords(moved)} ${verb} on no shelf`
          : `${questionsInWords(moved)} ${verb} on “${title}”`,
        {
          description: alsoFor(sharedWith(shelves, shelfId)),
          duration: UNDO_MS,
          action: { label: 'Undo', onClick: () => back.mutate(stood) },
        },
      );
    },
  );
}

/** Deletes questions. Undo brings back those that were not deleted before. */
export function useDelete(stored?: () => void) {
  const back = useWrite((ids: readonly string[]) => changeMany({ ids, deleted: false }));
  return useWrite(
    ({ ids }: { ids: readonly string[]; title?: string }) => changeMany({ ids, deleted: true }),
    ({ changed }, { title }) => {
      stored?.();
      toast(
        title === undefined
          ? `${questionsInWords(changed.length)} ${changed.length === 1 ? 'lies' : 'lie'} in the bin`
          : `“${title}” lies in the bin`,
        {
          duration: UNDO_MS,
          action: { label: 'Undo', onClick: () => back.mutate(changed) },
        },
      );
    },
  );
}

/** Puts a shelf onto another (null: at the top). Undo puts it back. */
export function useMoveShelf(shelves: readonly Shelf[], stored?: () => void) {
  const put = (shelf: Shelf, parentId: string | null) =>
    ask('PATCH /api/shelves/{id}', { id: shelf.id, body: { parentId } });
  const back = useWrite((shelf: Shelf) => put(shelf, shelf.parentId));
  return useWrite(
    ({ shelf, parentId }: { shelf: Shelf; parentId: string | null }) => put(shelf, parentId),
    (_, { shelf, parentId }) => {
      stored?.();
      const parent = shelves.find(({ id }) => id === parentId);
      toast(parent ? `“${shelf.title}” stands on “${parent.title}”` : `“${shelf.title}” stands at the top`, {
        description: alsoFor(sharedWith(shelves, parentId)),
        duration: UNDO_MS,
        action: { label: 'Undo', onClick: () => back.mutate(shelf) },
      });
    },
  );
}
