import type { Rich } from '../document/rich';
import type { Fixture, Item, Look, Medium, Question, Zone } from '../document/schema';
import { withSlots } from '../edit/slots';
import { homes } from '../judge/homes';
import { isTold, restsOnKey } from '../judge/when';
import { type Random, shuffled } from '../random/random';
import { dressWith, lettersWith, lookWith, mediaShown } from './learnerDress';

/** An item and a zone as a learner's browser has them: named for the sitting, with nothing of what they are worth. */
export type LearnerItem = Pick<
  Item,
  'label' | 'lang' | 'size' | 'rotation' | 'copies' | 'family' | 'goesHome' | 'again' | 'stays' | 'content' | 'look'
> & {
  id: string;
  home: { x: number; y: number };
  /** Only where learners see the sum of what they place; else null. */
  value: number | null;
};
export type LearnerZone = Pick<
  Zone,
  | 'label'
  | 'lang'
  | 'title'
  | 'shape'
  | 'rotation'
  | 'family'
  | 'reach'
  | 'welcome'
  | 'capacity'
  | 'whenFull'
  | 'settle'
  | 'floor'
  | 'menu'
  | 'chars'
  | 'look'
  | 'lid'
> & {
  id: string;
  typed: boolean;
  ridesOn: string | null;
};
/**
 * What is said of a medium to those who do not see or hear it; empty: decorative. Its bytes are asked for by its name.
 */
export interface LearnerMedium {
  readonly kind: Medium['kind'];
  readonly description: string;
  /** There are captions to it, which are asked for. */
  readonly captioned?: true;
  /** Where it is from, and under which licence. */
  readonly credit?: string;
}

/**
 * What of a question is sent to a learner before a check. Every field is named here one by one, so that a new field of
 * the document stays on the server until somebody decides otherwise.
 */
export interface LearnerQuestion {
  title: string;
  /** The language it is written in, and that of its title; null: none is said, or the same. */
  lang: string | null;
  titleLang: string | null;
  prompt: Rich | null;
  promptSound: string | null;
  scene: Question['scene'];
  tray: Question['tray'];
  dress: Question['dress'];
  fixtures: Fixture[];
  looks: Record<string, Look>;
  media: Record<string, LearnerMedium>;
  items: LearnerItem[];
  zones: LearnerZone[];
  /**
   * There are zones beside these, where something has to be found; `places` are what *As a list* and the keys offer
   * then.
   */
  hides: boolean;
  places: Question['show']['places'];
  tries: number | null;
  judging: Question['judging'];
  afterMiss: Question['afterMiss'];
  start: { item: string; copy?: number; zone: string }[];
  show: Pick<Question['show'], 'count' | 'mark' | 'runningTotal' | 'nextOnlyAfterCheck' | 'aids'>;
  buttons: Question['buttons'];
}

/** The names of one sitting, both ways. */
export interface Names {
  readonly item: ReadonlyMap<string, string>;
  readonly zone: ReadonlyMap<string, string>;
  readonly itemId: ReadonlyMap<string, string>;
  readonly zoneId: ReadonlyMap<string, string>;
  readonly medium: ReadonlyMap<string, string>;
  readonly mediumId: ReadonlyMap<string, string>;
  readonly fixture: ReadonlyMap<string, string>;
}

export interface LearnerEdition {
  readonly question: LearnerQuestion;
  readonly names: Names;
}

const LETTERS = 'bcdfghjkmnpqrstvwxz23456789';

function namesFrom(next: () => number): () => string {
  const taken = new Set<string>();
  return () => {
    for (;;) {
      const drawn = Array.from({ length: 6 }, () => LETTERS[Math.floor(next() * LETTERS.length)]).join('');
      if (!taken.has(drawn)) {
        taken.add(drawn);
        return drawn;
      }
    }
  };
}

/**
 * The learner edition of a question for one sitting. Everything drawn (names, the tray's order) comes from `next`,
 * which gives the same again for the same sitting and which a learner cannot foretell; nothing of it depends on the
 * key. Looks nobody wears and media nothing that is sent shows are left out. Items of a shuffled tray are listed as
 * they lie, so that their list does not tell in which order the author has them.
 */
export function learnerEdition(question: Question, next: Random): LearnerEdition {
  const name = namesFrom(next);
  const item = new Map<string, string>(question.items.map(({ id }) => [id, name()]));
  const zone = new Map<string, string>(question.zones.map(({ id }) => [id, name()]));
  const order = question.tray?.order === 'shuffled' ? shuffled(question.items.length, next) : undefined;
  const at = homes(question, order);

  const typedOnly = servesTypedOnly(question);
  const hiddenZones = new Set<string>(question.zones.flatMap(({ id, hidden }) => (hidden ? [id] : [])));
  const fixture = new Map<string, string>(question.fixtures.map(({ id }) => [id, name()]));
  const worn = new Set(
    [...question.items, ...question.zones.filter(({ hidden }) => !hidden)].flatMap(({ look }) => look ?? []),
  );
  const look = new Map<string, string>([...worn].sort().map((id) => [id, name()]));
  const shown = mediaShown(question, worn);
  const late = Object.keys(question.media).filter((id) => !shown.includes(id));
  const medium = new Map<string, string>([...shown, ...late].map((id) => [id, name()]));
  const media = <Id extends string | null | undefined>(id: Id): Id => (id ? (medium.get(id) as Id) : id);
  const wears = (id: string | null) => (id === null ? null : (look.get(id) ?? null));
  const { show } = question;
  const says = (say: Item['content']): Item['content'] =>
    say && { text: say.text, picture: media(say.picture), sound: media(say.sound) };
  const naming: FixtureNames = { fixture, zone, item, says, media };

  return {
    question: {
      title: question.title,
      lang: question.lang,
      titleLang: question.titleLang,
      prompt: question.prompt,
      promptSound: media(question.promptSound),
      scene: question.scene,
      tray: question.tray,
      dress: dressWith(question.dress, media),
      // What appears only with a verdict comes with the verdict.
      fixtures: question.fixtures.flatMap((one) => (isTold(question, one) ? [] : [fixtureFor(question, naming, one)])),
      looks: Object.fromEntries([...look].map(([id, drawn]) => [drawn, lookWith(question.looks[id] as Look, media)])),
      media: Object.fromEntries(shown.map((id) => [medium.get(id) as string, said(question.media[id] as Medium)])),
      items: listed(question, order)
        .filter((i) => !typedOnly.has(question.items[i]?.id ?? ''))
        .map((i) => {
          const {
            id,
            label,
            lang,
            size,
            rotation,
            copies,
            family,
            goesHome,
            again,
            stays,
            value,
            content,
            look: wore,
          } = question.items[i] as Item;
          return {
            id: item.get(id) as string,
            label,
            lang,
            size,
            rotation,
            copies,
            family,
            goesHome,
            again,
            stays,
            content: says(content),
            look: wears(wore),
            home: at[i] as { x: number; y: number },
            value: show.runningTotal ? value : null,
          };
        }),
      zones: question.zones.flatMap(
        ({
          id,
          label,
          lang,
          title,
          shape,
          rotation,
          family,
          reach,
          welcome,
          capacity,
          whenFull,
          settle,
          floor,
          ridesOn,
          hidden,
          typed,
          menu,
          chars,
          look: wore,
          lid,
        }) =>
          hidden
            ? []
            : [
                {
                  id: zone.get(id) as string,
                  label,
                  lang,
                  title,
                  shape,
                  rotation,
                  family,
                  reach,
                  welcome,
                  capacity,
                  whenFull,
                  settle,
                  floor,
                  typed: typed !== null,
                  menu,
                  chars,
                  lid,
                  look: wears(wore),
                  ridesOn: ridesOn === null ? null : (item.get(ridesOn) as string),
                },
              ],
      ),
      hides: question.zones.some(({ hidden }) => hidden),
      places: question.zones.some(({ hidden }) => hidden) ? show.places : [],
      tries: question.tries,
      judging: question.judging,
      afterMiss: question.afterMiss,
      start: (question.start?.placements ?? [])
        .filter(({ item: id, zone: into }) => !typedOnly.has(id) && !hiddenZones.has(into))
        .map(({ item: id, copy, zone: into }) => ({
          item: item.get(id) as string,
          ...(copy === undefined ? {} : { copy }),
          zone: zone.get(into) as string,
        })),
      show: {
        count: show.count,
        mark: show.mark,
        runningTotal: show.runningTotal,
        nextOnlyAfterCheck: show.nextOnlyAfterCheck,
        aids: show.aids,
      },
      buttons: question.buttons,
    },
    names: { item, zone, fixture, itemId: inverse(item), zoneId: inverse(zone), medium, mediumId: inverse(medium) },
  };
}

/** The names that fixtures need. */
export interface FixtureNames {
  readonly fixture: ReadonlyMap<string, string>;
  readonly zone: ReadonlyMap<string, string>;
  readonly item: ReadonlyMap<string, string>;
  readonly says: (say: Item['content']) => Item['content'];
  readonly media: <Id extends string | null | undefined>(id: Id) => Id;
}

/** A fixture as a learner has it: nothing of what rests on the key. */
export function fixtureFor(
  question: Question,
  { fixture, zone, item, says, media }: FixtureNames,
  one: Fixture,
): Fixture {
  const { x, y, w, h, rotation, front } = one;
  const id = fixture.get(one.id) as Fixture['id'];
  // What an author calls a fixture may say what belongs to it.
  const placed = {
    id,
    label: '',
    x,
    y,
    w,
    h,
    rotation,
    front,
    when: whenFor(question, { zone, item, says }, one.when),
  };
  switch (one.type) {
    case 'text':
      return {
        type: one.type,
        ...placed,
        text: withSlots(one.text, (slot) => zone.get(slot) ?? null),
        letters: lettersWith(one.letters, media),
      };
    case 'shape':
      return { type: one.type, ...placed, shape: one.shape, fill: one.fill, edge: one.edge, edgeWidth: one.edgeWidth };
    default:
      return { type: one.type, ...placed, media: media(one.media) } as Fixture;
  }
}

function whenFor(
  question: Question,
  { zone, item, says }: Pick<FixtureNames, 'zone' | 'item' | 'says'>,
  when: Fixture['when'],
): Fixture['when'] {
  if (!when) return null;
  const events = when.events.flatMap(({ on, zone: zoneId, item: itemId, count }) => {
    if (restsOnKey(question, { on, zone: zoneId, item: itemId, count })) return [];
    return [
      {
        on,
        count,
        zone: zoneId && (zone.get(zoneId) as typeof zoneId),
        item: itemId && (item.get(itemId) as typeof itemId),
      },
    ];
  });
  return { does: when.does, until: when.until, events, content: events.length > 0 ? says(when.content) : null };
}

/**
 * Indexes of the items in the order in which they are listed: those of a shuffled tray as they lie, each other where it
 * stands.
 */
function listed({ items }: Question, order: readonly number[] | undefined): number[] {
  const lying = order?.filter((i) => items[i]?.home === null);
  return items.map(({ home }, i) => (lying && home === null ? (lying.shift() as number) : i));
}

/**
 * Items that stand for what is typed, and for nothing else: no zone that takes items has them in its key, or none would
 * take them.
 */
export function servesTypedOnly({
  items,
  zones,
  key,
  either,
}: Pick<Question, 'items' | 'zones' | 'key' | 'either'>): Set<string> {
  const typed = new Set<string>(zones.flatMap((zone) => (zone.typed ? [zone.id] : [])));
  if (typed.size === 0) return new Set();
  const moved = new Set<string>([
    ...key.flatMap((entry) => (typed.has(entry.zone) ? [] : (entry.belongs ?? []))),
    ...either.flatMap((entry) => (entry.zones.every((zone) => typed.has(zone)) ? [] : entry.belongs)),
  ]);
  const accepted = zones.flatMap((zone) => Object.keys(zone.typed?.accept ?? {}));
  const homeless = items.flatMap((item) => {
    const admitting = zones.filter(({ family }) => family === null || family === item.family);
    return admitting.length > 0 && admitting.every(({ id }) => typed.has(id)) ? [item.id as string] : [];
  });
  return new Set([...accepted, ...homeless].filter((id) => !moved.has(id)));
}

const inverse = (map: ReadonlyMap<string, string>) => new Map([...map].map(([a, b]) => [b, a]));
export const said = ({ kind, description, decorative, captions, source, licence }: Medium): LearnerMedium => ({
  kind,
  description: decorative ? '' : (description ?? ''),
  ...(captions ? { captioned: true } : {}),
  ...(source.trim() || licence.trim() ? { credit: [source, licence].filter((words) => words.trim()).join(', ') } : {}),
});
