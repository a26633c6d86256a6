import type { KeyEntry, Question } from '../document/schema';
import type { Point } from '../geometry/space';
import type { Board } from './board';
import { type SceneModel, sceneModel, startBoard } from './sceneModel';
import { type Reader, readerOf } from './typed';

export { COPIES, type Copy, copyOf, itemOf, numberOf, UNREAD } from './copy';
export {
  type ItemModel,
  idOf,
  type Placeable,
  type Placing,
  type SceneModel,
  sceneModel,
  startBoard,
  type Taking,
  type ZoneModel,
} from './sceneModel';

/** One key entry made ready for judging. `lo` and `hi` bound the copies of `belongs` that the zone needs. */
export interface EntryModel {
  readonly zone: number;
  readonly order: readonly number[];
  readonly belongs: ReadonlySet<number>;
  readonly lo: number;
  readonly hi: number;
  readonly sum: KeyEntry['sum'];
  /** The document gives no need: with a sum alone, any number will do. */
  readonly needless: boolean;
  readonly sequence: boolean;
  readonly weight: number;
}

/** The whole question made ready: placing, and the key by zone index (null: a neutral zone). */
export interface QuestionModel extends SceneModel {
  readonly question: Question;
  readonly entries: readonly EntryModel[];
  readonly entryOf: readonly (EntryModel | null)[];
  /** By item index; 0 for none, and for {@link UNREAD}. */
  readonly values: readonly number[];
  /** How typed texts are read, by zone index; null: not a typed zone. */
  readonly readers: readonly (Reader | null)[];
  /** The starting arrangement: never changed, only copied. */
  readonly start: Board;
}

/** Makes a valid question ready. `at` as in {@link sceneModel}. */
export function questionModel(question: Question, at?: readonly Point[]): QuestionModel {
  const scene = sceneModel(question, at);
  const entries = question.key.map((entry) => entryModel(question, scene, entry));
  const entryOf: (EntryModel | null)[] = scene.zones.map(() => null);
  for (const entry of entries) entryOf[entry.zone] = entry;
  const readers = question.zones.map(({ typed }) => typed && readerOf(typed, scene.itemAt));
  const start = startBoard(scene, question.start?.placements ?? []);
  return {
    ...scene,
    question,
    entries,
    entryOf,
    values: [...question.items.map((item) => item.value ?? 0), 0],
    readers,
    start,
  };
}

function entryModel(question: Question, scene: SceneModel, entry: KeyEntry): EntryModel {
  const ids = entry.belongs ?? question.items.filter((item) => item.value !== null).map((item) => item.id);
  const order = ids.map((id) => scene.itemAt.get(id) as number);
  const [lo, hi] = bounds(entry, () => order.reduce((sum, i) => sum + (scene.items[i]?.copies ?? 0), 0));
  return {
    zone: scene.zoneAt.get(entry.zone) as number,
    order,
    belongs: new Set(order),
    lo,
    hi,
    sum: entry.sum,
    needless: entry.need === null,
    sequence: entry.sequence,
    weight: entry.weight ?? (hi === 0 ? 0 : 1),
  };
}

function bounds(entry: KeyEntry, total: () => number): readonly [number, number] {
  const need = entry.need ?? (entry.sequence ? { rule: 'all' as const } : null);
  if (!need) return [0, Infinity];
  switch (need.rule) {
    case 'all': {
      const all = total();
      return [all, all];
    }
    case 'exactly':
      return [need.n, need.n];
    case 'atLeast':
      return [need.n, Infinity];
    case 'between':
      return [need.min, need.max];
  }
}
