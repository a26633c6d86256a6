import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  type DragStartEvent,
  MouseSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type ReactNode, useState } from 'react';
import { mayStandOn, useDelete, useMoveShelf, usePutOnto } from './moving';
import type { Row, Shelf } from './useVault';

/** What can be dragged in the Vault: a question (with all chosen ones, if it is one of them), or a shelf. */
type Dragged = { readonly question: Row } | { readonly shelf: Shelf };
/** Where it can be dropped: the teacher's own shelf, no shelf (for a shelf: the top), the bin. */
export type Goal = { readonly shelf: Shelf } | 'none' | 'top' | 'bin';

/** The distance after which a press becomes a drag, in CSS px, so that clicks stay clicks. */
const SLACK = 6;
/** The menus and dialogs do the same and announce it, so a drag by mouse announces nothing. */
const SILENT = {
  onDragStart: () => undefined,
  onDragOver: () => undefined,
  onDragEnd: () => undefined,
  onDragCancel: () => undefined,
};

interface Props {
  shelves: readonly Shelf[];
  chosen: ReadonlySet<string>;
  onMoved: () => void;
  children: ReactNode;
}

/** Lets questions and shelves be dragged onto shelves by mouse. */
export function Dragging({ shelves, chosen, onMoved, children }: Props) {
  const sensors = useSensors(useSensor(MouseSensor, { activationConstraint: { distance: SLACK } }));
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const putOnto = usePutOnto(shelves, onMoved);
  const remove = useDelete(onMoved);
  const moveShelf = useMoveShelf(shelves);
  const together = (question: Row): readonly string[] => (chosen.has(question.id) ? [...chosen] : [question.id]);
  const letGo = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const what = active.data.current as Dragged | undefined;
    const goal = over?.data.current?.goal as Goal | undefined;
    if (!what || !goal || !takes(goal, what, shelves)) return;
    if ('question' in what) {
      const ids = together(what.question);
      if (goal === 'bin') remove.mutate({ ids });
      else putOnto.mutate({ ids, shelfId: typeof goal === 'object' ? goal.shelf.id : null });
    } else moveShelf.mutate({ shelf: what.shelf, parentId: typeof goal === 'object' ? goal.shelf.id : null });
  };
  return (
    <DndContext
      id="vault"
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={{ announcements: SILENT }}
      onDragStart={({ active }: DragStartEvent) => setDragged(active.data.current as Dragged)}
      onDragEnd={letGo}
      onDragCancel={() => setDragged(null)}
    >
      {children}
      <DragOverlay dropAnimation={null}>{dragged && <InHand words={wordsOf(dragged, together)} />}</DragOverlay>
    </DndContext>
  );
}

function wordsOf(dragged: Dragged, together: (question: Row) => readonly string[]): string {
  if ('shelf' in dragged) return dragged.shelf.title;
  const { length } = together(dragged.question);
  return length > 1 ? `${length} questions` : dragged.question.title || 'Untitled question';
}

function InHand({ words }: { words: string }) {
  return (
    <span
      className="inline-block max-w-60 truncate bg-sheet border border-ink px-3 py-1 shadow-md cursor-grabbing"
      dir="auto"
    >
      {words}
    </span>
  );
}

function takes(goal: Goal, what: Dragged, shelves: readonly Shelf[]): boolean {
  if ('question' in what) return goal !== 'top';
  if (goal === 'top') return what.shelf.parentId !== null;
  return (
    typeof goal === 'object' &&
    goal.shelf.id !== what.shelf.parentId &&
    mayStandOn(shelves, what.shelf).some(({ id }) => id === goal.shelf.id)
  );
}

/** Makes a question or a shelf draggable by mouse; null: it is not. */
export function useDragged(id: string, what: Dragged | null) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id, data: what ?? {}, disabled: what === null });
  return { dragRef: setNodeRef, listeners, isDragging };
}

/** Makes a drop target. `isOver`: something that it would accept is over it. */
export function useGoal(id: string, goal: Goal | null, shelves: readonly Shelf[]) {
  const { setNodeRef, isOver, active } = useDroppable({ id: `goal-${id}`, data: { goal }, disabled: goal === null });
  const what = active?.data.current as Dragged | undefined;
  return { goalRef: setNodeRef, isOver: isOver && goal !== null && what !== undefined && takes(goal, what, shelves) };
}
