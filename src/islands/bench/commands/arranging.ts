import {
  type Axis,
  add,
  align,
  type Box,
  duplicate,
  type Edge,
  type Framed,
  type Listed,
  type ListField,
  nameOf,
  nearTurn,
  type Ref,
  refTo,
  remove,
  reorder,
  rowStep,
  setFrames,
  setGroup,
  setNoted,
  shiftWithin,
  sized,
  space,
  type ThingKind,
  thingAt,
  things,
} from '../../../core';
import { nextZone, zoneOnItem } from '../layOut/makings';
import { pulled } from '../scene/pulling';
import { type BenchStore, framesOf } from '../store';

const KIND_IN = { items: 'item', zones: 'zone', fixtures: 'fixture' } as const satisfies Record<ListField, ThingKind>;

/** What an author does with what is selected: each one operation, one undo. */
const rounded = ({ x, y, w, h }: Box) => ({
  x: Math.round(x),
  y: Math.round(y),
  w: Math.max(1, Math.round(w)),
  h: Math.max(1, Math.round(h)),
});

function chosenFrames(store: BenchStore): Framed[] {
  const { question, selection } = store.getState();
  const at = framesOf(question);
  return pulled(question, selection).flatMap((ref): Framed[] => {
    const frame = at.get(ref);
    return frame ? [{ ref, frame }] : [];
  });
}

function give(store: BenchStore, chosen: readonly Framed[], boxes: readonly Box[], said: string): void {
  const { question, do: act } = store.getState();
  act(
    setFrames(
      question,
      chosen.map(({ ref, frame }, i) => ({ ref, frame: { ...rounded(boxes[i] as Box), rotation: frame.rotation } })),
    ),
    said,
  );
}

export const selectedNames = (store: BenchStore): string => {
  const { question, selection } = store.getState();
  const names = [...selection].flatMap((ref) => {
    const thing = thingAt(question, ref);
    return thing ? [nameOf(thing)] : [];
  });
  return names.length <= 2 ? names.join(' and ') : `${names.length} things`;
};

export function nudge(store: BenchStore, dx: number, dy: number): void {
  const chosen = chosenFrames(store);
  if (chosen.length === 0) return;
  const { scene } = store.getState().question;
  const by = shiftWithin(
    chosen.map(({ frame }) => frame),
    { x: dx, y: dy },
    { x: 0, y: 0, w: scene.width, h: scene.height },
  );
  const { question, do: act } = store.getState();
  const moved = chosen.map(({ ref, frame }) => ({ ref, frame: { ...frame, x: frame.x + by.x, y: frame.y + by.y } }));
  act(
    setFrames(question, moved),
    `${selectedNames(store)} at ${Math.round(moved[0]?.frame.x ?? 0)}, ${Math.round(moved[0]?.frame.y ?? 0)}`,
  );
}

export function grow(store: BenchStore, dw: number, dh: number): void {
  const chosen = chosenFrames(store);
  give(
    store,
    chosen,
    chosen.map(({ frame }) => ({ ...frame, w: Math.max(8, frame.w + dw), h: Math.max(8, frame.h + dh) })),
    `${selectedNames(store)} resized`,
  );
}

export function turnSelected(store: BenchStore, by: number): void {
  const { question, do: act } = store.getState();
  act(
    setFrames(
      question,
      chosenFrames(store).map(({ ref, frame }) => ({
        ref,
        frame: { ...frame, rotation: nearTurn(frame.rotation + by) },
      })),
    ),
    `${selectedNames(store)} turned`,
  );
}

export function alignSelected(store: BenchStore, edge: Edge): void {
  const chosen = chosenFrames(store);
  const { scene } = store.getState().question;
  const boxes = chosen.map(({ frame }) => frame);
  give(
    store,
    chosen,
    boxes.length === 1 ? align(boxes, edge, { x: 0, y: 0, w: scene.width, h: scene.height }) : align(boxes, edge),
    `Aligned: ${edge}`,
  );
}

export function spaceSelected(store: BenchStore, axis: Axis, gap?: number): void {
  const chosen = chosenFrames(store);
  give(
    store,
    chosen,
    space(
      chosen.map(({ frame }) => frame),
      axis,
      gap,
    ),
    'Spaced out',
  );
}

/** Gives everything selected the size of the first. */
export function sizeSelected(store: BenchStore, what: 'width' | 'height' | 'both'): void {
  const chosen = chosenFrames(store);
  const first = chosen[0];
  if (!first) return;
  give(
    store,
    chosen,
    sized(
      chosen.map(({ frame }) => frame),
      first.frame,
      what,
    ),
    `The size of ${selectedNames(store)} is one`,
  );
}

/** Gives everything selected the size of another thing. */
export function matchSize(store: BenchStore, other: Ref): void {
  const chosen = chosenFrames(store);
  const like = framesOf(store.getState().question).get(other);
  if (like)
    give(
      store,
      chosen,
      sized(
        chosen.map(({ frame }) => frame),
        like,
        'both',
      ),
      'Sizes matched',
    );
}

const DUPLICATE_BY = { x: 12, y: 12 };

export function duplicateSelected(store: BenchStore, times = 1, by = DUPLICATE_BY): void {
  const { question, selection, do: act, select } = store.getState();
  if (selection.size === 0) return;
  const made = duplicate(question, selection, times, by);
  act(made.step, `${made.refs.length} made`);
  select(made.refs);
}

export function duplicateInRow(store: BenchStore, times: number, axis: Axis, gap: number): void {
  const boxes = chosenFrames(store).map(({ frame }) => frame);
  if (boxes.length > 0) duplicateSelected(store, times, rowStep(boxes, axis, gap));
}

export function removeSelected(store: BenchStore): void {
  const { question, selection, do: act, select } = store.getState();
  if (selection.size === 0) return;
  act(remove(question, selection), `${selectedNames(store)} deleted`);
  select([]);
}

export function groupSelected(store: BenchStore, together: boolean): void {
  const { question, selection, do: act } = store.getState();
  act(setGroup(question, selection, together), together ? 'Grouped' : 'No longer a group');
}

/** Locks or hides everything selected, or undoes that if all are already. */
export function noteSelected(store: BenchStore, note: 'locked' | 'veiled'): void {
  const { question, selection, do: act } = store.getState();
  if (selection.size === 0) return;
  const on = ![...selection].every((ref) => question.bench[note].includes(ref));
  act(
    setNoted(question, note, selection, on),
    `${selectedNames(store)} ${on ? (note === 'locked' ? 'locked' : 'out of sight') : note === 'locked' ? 'no longer locked' : 'in sight'}`,
  );
}

export function orderSelected(store: BenchStore, to: 'front' | 'back' | 'forward' | 'backward'): void {
  const { question, selection, do: act } = store.getState();
  act(reorder(question, selection, to), `Moved ${to === 'front' || to === 'back' ? `to the ${to}` : to}`);
}

export function selectAll(store: BenchStore): void {
  const { question, select } = store.getState();
  const away = new Set<string>([...question.bench.locked, ...question.bench.veiled]);
  select(things(question).flatMap(({ ref }) => (away.has(ref) ? [] : [ref])));
}

/** The next thing in draw order, or the one before. */
export function selectNext(store: BenchStore, by: 1 | -1): void {
  const { question, selection, select, say } = store.getState();
  const all = things(question);
  if (all.length === 0) return;
  const last = [...selection].at(-1);
  const at = all.findIndex(({ ref }) => ref === last);
  const next = all[(at < 0 ? (by > 0 ? 0 : all.length - 1) : at + by + all.length) % all.length];
  if (!next) return;
  select([next.ref]);
  say(`${nameOf(next)} selected`);
}

/** A zone of each selected item's own outline, riding on it. */
export function outlineSelected(store: BenchStore): void {
  const { question, selection, do: act, select } = store.getState();
  let now = question;
  const made = question.items
    .filter(({ id, copies }) => selection.has(refTo('item', id)) && copies === 1)
    .map((item) => {
      const zone = zoneOnItem(now, item);
      now = { ...now, zones: [...now.zones, zone] };
      return zone;
    });
  act(add(question, 'zones', made), `${made.length} made`);
  select(made.map(({ id }) => refTo('zone', id)));
}

/** Puts new things on the scene, as one step, and selects them. */
export function addThings<List extends ListField>(
  store: BenchStore,
  list: List,
  entries: readonly Listed[List][],
  said: string,
): void {
  const { question, do: act, select } = store.getState();
  act(add(question, list, entries), said);
  select(entries.map(({ id }) => refTo(KIND_IN[list], id)));
}

export function addNextZone(store: BenchStore): void {
  const zone = nextZone(store.getState().question);
  addThings(store, 'zones', [zone], `${zone.label} made`);
}
