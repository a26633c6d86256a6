import {
  type Board,
  type Copy,
  carriesItself,
  type ItemState,
  isPutAway,
  itemOf,
  type LearnerQuestion,
  nextItemState,
  nextZoneState,
  type Outcome,
  type SceneModel,
  type Verdict,
  type ZoneState,
} from '../../core';

/** The state of every copy that is not at rest, and of every zone. */
export interface States {
  readonly items: ReadonlyMap<Copy, ItemState>;
  readonly zones: readonly ZoneState[];
}

interface Scene {
  readonly model: SceneModel;
  readonly board: Board;
  readonly question: LearnerQuestion;
}

export const stateOf = ({ items }: States, copy: Copy): ItemState => items.get(copy) ?? 'rest';

const isFull = ({ model, board }: Scene, zone: number) =>
  (board.zones[zone]?.length ?? 0) >= (model.zones[zone]?.capacity ?? Infinity);

/** True if the look hides the copy once it is placed. */
const hidesCopy = ({ question }: Scene, copy: Copy): boolean =>
  isPutAway(question, question.items[itemOf(copy)]?.look ?? null);

/**
 * Zones a copy may be put into by name: of its family, and not resting in it themselves. A full one that refuses is
 * among them, and says so.
 */
export function placesFor({ model, board }: Pick<Scene, 'model' | 'board'>, copy: Copy): number[] {
  const family = model.items[itemOf(copy)]?.family ?? null;
  return model.zones.flatMap((zone, i) =>
    (zone.outline || zone.isSlot) &&
    !zone.isTyped &&
    (zone.family === null || zone.family === family) &&
    !carriesItself(model, board, copy, i)
      ? [i]
      : [],
  );
}

/**
 * The next place of an item that is picked in place: its zone, then out of it; with several zones, each in turn. Null:
 * home.
 */
export function nextPick(scene: Pick<Scene, 'model' | 'board'>, copy: Copy, zone: number | null): number | null {
  const places = [null, ...placesFor(scene, copy)];
  return places[(places.indexOf(zone) + 1) % places.length] ?? null;
}

/** Is an item picked in its place, and the only one that can be? */
export function isOneOf(model: SceneModel, board: Board, copy: Copy, { items }: LearnerQuestion): boolean {
  const [zone, ...others] = items[itemOf(copy)]?.stays ? placesFor({ model, board }, copy) : [];
  const into = zone === undefined ? undefined : model.zones[zone];
  return into !== undefined && others.length === 0 && into.capacity === 1 && into.swaps;
}

/** Is every place of an item one that is answered from a menu? It then stands in those alone. */
export function isOnlyChosen(model: SceneModel, { zones }: LearnerQuestion, item: number): boolean {
  const family = model.items[item]?.family ?? null;
  const taking = zones.filter((zone) => !zone.typed && (zone.family === null || zone.family === family));
  return taking.length > 0 && taking.every(({ menu }) => menu);
}

/** Could the zone take the copy as things stand? */
function couldTake(scene: Scene, zone: number, copy: Copy, places: readonly number[]): boolean {
  return (
    places.includes(zone) &&
    (!isFull(scene, zone) || scene.model.zones[zone]?.swaps === true || scene.board.zoneOf.get(copy) === zone)
  );
}

/** The states of a board at rest, with its verdicts. */
export function resting(
  scene: Scene,
  verdicts: ReadonlyMap<Copy, Verdict> = new Map(),
  satisfied: ReadonlyMap<number, boolean> = new Map(),
): States {
  const items = new Map<Copy, ItemState>();
  for (const copy of scene.board.zoneOf.keys()) {
    const putAway = hidesCopy(scene, copy);
    const settled = nextItemState('inHand', { type: 'settled', putAway });
    items.set(copy, nextItemState(settled, { type: 'judged', verdict: verdicts.get(copy) ?? 'none', putAway }));
  }
  // What was found in a hidden zone, or missed all of them, lies loose here and is judged all the same.
  for (const [copy, verdict] of verdicts)
    if (!scene.board.zoneOf.has(copy)) {
      const judged = nextItemState('rest', { type: 'judged', verdict, putAway: hidesCopy(scene, copy) });
      if (judged !== 'rest') items.set(copy, judged);
    }
  return {
    items,
    zones: scene.model.zones.map((_, zone) => {
      const full = isFull(scene, zone);
      return nextZoneState(full ? 'full' : 'rest', { type: 'judged', satisfied: satisfied.get(zone) ?? null, full });
    }),
  };
}

/** The states while these are in hand, each over a zone or over none. */
export function inHands(states: States, scene: Scene, hands: ReadonlyMap<Copy, number | null>): States {
  const items = new Map(states.items);
  for (const [copy, zone] of hands) {
    const held = nextItemState(stateOf(states, copy), { type: 'pickUp' });
    items.set(copy, nextItemState(held, { type: 'over', zone: zone !== null }));
  }
  const places = [...hands.keys()].map((copy) => ({ copy, places: placesFor(scene, copy) }));
  const overs = new Set(hands.values());
  return {
    items,
    zones: states.zones.map((state, zone) =>
      nextZoneState(state, {
        type: 'over',
        here: overs.has(zone),
        could: places.some(({ copy, places }) => couldTake(scene, zone, copy, places)),
        full: isFull(scene, zone),
      }),
    ),
  };
}

/**
 * The states after letting go; `scene` is the board afterwards. Only the outcome is shown for a moment: everything else
 * is at rest.
 */
export function letGo(scene: Scene, copy: Copy, outcome: Outcome): States {
  const after = resting(scene);
  const items = new Map(after.items);
  if (outcome.to === 'turnedAway') items.set(copy, nextItemState('inHand', { type: 'turnedAway' }));
  if (outcome.to === 'unknown') items.set(copy, nextItemState('inHand', { type: 'waiting' }));
  const zones = after.zones.map((state, zone) => {
    const here =
      outcome.to === 'zone' && outcome.zone === zone
        ? 'took'
        : outcome.to === 'turnedAway' && outcome.zone === zone
          ? 'turnedAway'
          : 'elsewhere';
    return nextZoneState(state, { type: 'letGo', here, full: isFull(scene, zone) });
  });
  return { items, zones };
}

/** Ends the states that last only for a moment. */
export function seen(states: States, scene: Scene): States {
  const items = new Map(states.items);
  for (const [copy, state] of items)
    if (state === 'turnedAway') items.set(copy, nextItemState(state, { type: 'wentOn' }));
  return {
    items,
    zones: states.zones.map((state, zone) =>
      state === 'taking' || state === 'refusing'
        ? nextZoneState(state, { type: 'wentOn', full: isFull(scene, zone) })
        : state,
    ),
  };
}
