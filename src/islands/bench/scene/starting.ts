import { toast } from 'sonner';
import {
  applyAll,
  candidates,
  copyOf,
  type Frame,
  type ItemId,
  idIn,
  kindIn,
  nameOf,
  type Question,
  type Ref,
  refTo,
  type Step,
  setItem,
  standsAt,
  startIn,
  startOf,
  thingAt,
  winner,
  type ZoneId,
} from '../../../core';
import { modelOf } from '../key/ghosts';
import { type BenchStore, framesOf, type Pull, type Tool } from '../store';

/** Where everything is drawn: with the tool *Start here*, items stand where they start. */
export function framesWith(question: Question, tool: Tool): ReadonlyMap<Ref, Frame> {
  const at = framesOf(question);
  if (tool !== 'start' || !question.start) return at;
  const model = modelOf(question);
  const starting = question.items.flatMap((item, i): [Ref, Frame][] => {
    const ref = refTo('item', item.id);
    const frame = at.get(ref);
    return frame && startOf(question, item.id) !== null
      ? [[ref, { ...frame, ...standsAt(model, model.start, copyOf(i, 0)) }]]
      : [];
  });
  return new Map([...at, ...starting]);
}

/** Items pulled from where they are drawn, in scene units. */
export function pulledFrom(question: Question, refs: readonly Ref[], dx: number, dy: number): Pull {
  const at = framesWith(question, 'start');
  return {
    guides: [],
    draft: new Map(
      refs.flatMap((ref): [Ref, Frame][] => {
        const frame = kindIn(ref) === 'item' ? at.get(ref) : undefined;
        return frame ? [[ref, { ...frame, x: Math.round(frame.x + dx), y: Math.round(frame.y + dy) }]] : [];
      }),
    ),
  };
}

/** An item let go with *Start here* starts in the zone that would take it there; in none, loose where it was let go. */
export function startWhereLetGo(store: BenchStore): void {
  const { draft } = store.pull.getState();
  const { question, do: act } = store.getState();
  let now = question;
  let step: Step = [];
  for (const [ref, { x, y }] of draft) {
    const id = idIn(ref) as ItemId;
    const started = startIn(now, [id], zoneAt(now, id, { x, y }));
    if (!started.ok) {
      toast(`${started.message}: it starts where it did.`);
      continue;
    }
    const loose = startOf(applyAll(now, started.step), id) === null;
    const next = [...started.step, ...(loose ? setItem(now, id, 'home', { x, y }) : [])];
    step = [...step, ...next];
    now = applyAll(now, next);
  }
  store.pull.setState({ draft: new Map(), guides: [] });
  const [first] = draft.keys();
  const thing = first && thingAt(question, first);
  act(step, thing ? `${nameOf(thing)} starts ${startInWords(now, thing.is.id as ItemId)}` : undefined);
}

function zoneAt(question: Question, id: ItemId, at: { x: number; y: number }): ZoneId | null {
  const model = modelOf({ ...question, start: null });
  const item = model.itemAt.get(id);
  if (item === undefined) return null;
  const found = winner(candidates(model, model.start, copyOf(item, 0), at, null));
  return found === null ? null : (question.zones[found]?.id ?? null);
}

export function startInWords(question: Question, id: ItemId): string {
  const zone = question.zones.find((one) => one.id === startOf(question, id));
  return zone ? `in ${zone.label || zone.id}` : 'at its home';
}
