import { freshId } from '../document/freshId';
import type { Dress, Look, Question } from '../document/schema';
import { renamedMedia } from './clones';
import { difference } from './difference';
import type { Step } from './edit';

/** The look that most of the wearers have on; null: most are plain. */
function mostWorn(wearers: readonly { readonly look: string | null }[]): string | null {
  const counts = new Map<string | null, number>();
  for (const { look } of wearers) counts.set(look, (counts.get(look) ?? 0) + 1);
  return [...counts].reduce((most, one) => (one[1] > most[1] ? one : most), [null, 0] as [string | null, number])[0];
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** The names under which entries come in: one that is there already is used again. */
function entering<Value>(
  into: Readonly<Record<string, Value>>,
  from: readonly (readonly [string, Value])[],
): Map<string, string> {
  const taken = new Set(Object.keys(into));
  return new Map(
    from.map(([name, value]) => {
      const there = Object.keys(into).find((candidate) => same(into[candidate], value));
      const free = there ?? (taken.has(name) ? freshId(name, taken) : name);
      taken.add(free);
      return [name, free];
    }),
  );
}

/** Every medium that a value names in a field of a look, a ground or letters. */
function mediaIn(value: unknown): string[] {
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([field, inner]) =>
    (field === 'picture' || field === 'sound' || field === 'ownFace') && typeof inner === 'string'
      ? [inner]
      : mediaIn(inner),
  );
}

/**
 * Dresses a question like another: its ground and letters, and the looks that most of its items and zones wear, worn by
 * all. Where the other's are plain, looks stay.
 */
export function dressLike(question: Question, other: Question): Step {
  const worn = [mostWorn(other.items), mostWorn(other.zones)].map((name) =>
    name !== null && Object.hasOwn(other.looks, name) ? ([name, other.looks[name] as Look] as const) : null,
  );
  const [itemLook = null, zoneLook = null] = worn;
  const looks = [itemLook, zoneLook].flatMap((entry) => (entry ? [entry] : []));
  const used = new Set(mediaIn([other.dress, ...looks.map(([, look]) => look)]));
  const media = Object.entries(other.media).filter(([id]) => used.has(id));
  const mediumNames = entering(question.media, media);
  const medium = <Id extends string | null | undefined>(id: Id): Id => (id ? ((mediumNames.get(id) ?? id) as Id) : id);
  const entered = looks.map(([name, look]) => [name, renamedMedia(look, medium)] as const);
  const lookNames = entering(question.looks, entered);
  const wear = <Wearer extends { readonly look: string | null }>(
    wearer: Wearer,
    look: readonly [string, Look] | null,
  ) => (look ? { ...wearer, look: lookNames.get(look[0]) ?? wearer.look } : wearer);
  const after: Question = {
    ...question,
    dress: dressWith(other.dress, medium),
    media: { ...question.media, ...Object.fromEntries(media.map(([id, one]) => [medium(id), one])) },
    looks: {
      ...question.looks,
      ...Object.fromEntries(entered.map(([name, look]) => [lookNames.get(name) as string, look])),
    },
    items: question.items.map((item) => wear(item, itemLook)),
    zones: question.zones.map((zone) => (zone.shape.type === 'slot' ? zone : wear(zone, zoneLook))),
  };
  return difference(question, after);
}

const dressWith = (
  dress: Dress | null,
  medium: <Id extends string | null | undefined>(id: Id) => Id,
): Question['dress'] =>
  dress && {
    ground: dress.ground && { ...dress.ground, picture: medium(dress.ground.picture) },
    letters: dress.letters && { ...dress.letters, ownFace: medium(dress.letters.ownFace) },
  };
