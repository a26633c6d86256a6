import type { Either, KeyEntry, Need, Question } from '../document/schema';
import type { Point } from '../geometry/space';
import type { Board } from './board';
import { belongsIn } from './keyed';
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
  /** Items that an either entry keys to the zone: in this entry they are neither right nor wrong. */
  readonly apart: ReadonlySet<number>;
}

/** An either entry made ready: its items belong in any of its zones. `lo` and `hi` as in {@link EntryModel}. */
export interface EitherModel {
  readonly zones: readonly number[];
  readonly order: readonly number[];
  readonly belongs: ReadonlySet<number>;
  readonly lo: number;
  readonly hi: number;
  readonly weight: number;
}

/** The whole question made ready: placing, and the key by zone index (null: a neutral zone). */
export interface QuestionModel extends SceneModel {
  readonly question: Question;
  /** Those of the key in its order; then, for zones that only either entries name, entries that want nothing there. */
  readonly entries: readonly EntryModel[];
  readonly either: readonly EitherModel[];
  /** By item: its either entry, −1 for none. */
  readonly eitherOf: readonly number[];
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
  const either = question.either.map((entry) => eitherModel(scene, entry));
  const keyed = new Set<string>(question.key.map(({ zone }) => zone));
  const zonesOfEither = new Set<string>(question.either.flatMap(({ zones }) => zones));
  const unkeyed = question.zones.flatMap(({ id }) => (zonesOfEither.has(id) && !keyed.has(id) ? [nothingIn(id)] : []));
  const entries = [...question.key, ...unkeyed].map((entry) => entryModel(question, scene, either, entry));
  const entryOf: (EntryModel | null)[] = scene.zones.map(() => null);
  for (const entry of entries) entryOf[entry.zone] = entry;
  const readers = question.zones.map(({ typed }) => typed && readerOf(typed, scene.itemAt));
  const start = startBoard(scene, question.start?.placements ?? []);
  return {
    ...scene,
    question,
    entries,
    either,
    eitherOf: scene.items.map((_, item) => either.findIndex(({ belongs }) => belongs.has(item))),
    entryOf,
    values: [...question.items.map((item) => item.value ?? 0), 0],
    readers,
    start,
  };
}

/** The entry of a zone in which nothing belongs. */
const nothingIn = (zone: Question['zones'][number]['id']): KeyEntry => ({
  zone,
  belongs: [],
  need: { rule: 'exactly', n: 0 },
  sum: null,
  sequence: false,
  weight: null,
  says: null,
});

/** Is the item keyed to the zone, by the zone's own entry or by an either entry? */
export const isKeyed = ({ entryOf }: QuestionModel, zone: number, item: number): boolean => {
  const entry = entryOf[zone];
  return entry !== null && entry !== undefined && (entry.belongs.has(item) || entry.apart.has(item));
};

function entryModel(
  question: Question,
  scene: SceneModel,
  either: readonly EitherModel[],
  entry: KeyEntry,
): EntryModel {
  const zone = scene.zoneAt.get(entry.zone) as number;
  const order = belongsIn(question, entry).map((id) => scene.itemAt.get(id) as number);
  const need = entry.need ?? (entry.sequence ? { rule: 'all' as const } : null);
  const [lo, hi] = bounds(need, () => copiesOf(scene, order));
  return {
    zone,
    order,
    belongs: new Set(order),
    apart: new Set(either.flatMap((other) => (other.zones.includes(zone) ? other.order : []))),
    lo,
    hi,
    sum: entry.sum,
    needless: entry.need === null,
    sequence: entry.sequence,
    weight: weightOf(entry.weight, hi),
  };
}

function eitherModel(scene: SceneModel, { belongs, zones, need, weight }: Either): EitherModel {
  const order = belongs.map((id) => scene.itemAt.get(id) as number);
  const [lo, hi] = bounds(need, () => copiesOf(scene, order));
  return {
    zones: zones.map((id) => scene.zoneAt.get(id) as number),
    order,
    belongs: new Set(order),
    lo,
    hi,
    weight: weightOf(weight, hi),
  };
}

const copiesOf = ({ items }: SceneModel, order: readonly number[]) =>
  order.reduce((sum, i) => sum + (items[i]?.copies ?? 0), 0);
const weightOf = (given: number | null, hi: number) => given ?? (hi === 0 ? 0 : 1);

function bounds(need: Need | null, total: () => number): readonly [number, number] {
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
