import { homes } from '../judge/homes';
import { random, seedOf, shuffled } from '../random/random';
import type { Rich } from './rich';
import type { Item, Question, Zone } from './schema';

/** An item and a zone as a learner's browser has them: named for the sitting, with nothing of what they are worth. */
export type LearnerItem = Pick<Item, 'label' | 'size' | 'rotation' | 'copies' | 'family' | 'goesHome'> & { id: string; home: { x: number; y: number } };
export type LearnerZone = Pick<Zone, 'label' | 'shape' | 'rotation' | 'family' | 'reach' | 'welcome' | 'capacity' | 'whenFull' | 'settle' | 'floor'> & {
  id: string;
  ridesOn: string | null;
};

/** What of a question is sent to a learner before a check. Every field is named here one by one, so that a new field of the document stays on the server until somebody decides otherwise. */
export interface LearnerQuestion {
  title: string;
  prompt: Rich | null;
  scene: Question['scene'];
  tray: Question['tray'];
  items: LearnerItem[];
  zones: LearnerZone[];
  tries: number | null;
  judging: Question['judging'];
  afterMiss: Question['afterMiss'];
}

/** The names of one sitting, both ways. */
export interface Names {
  readonly item: ReadonlyMap<string, string>;
  readonly zone: ReadonlyMap<string, string>;
  readonly itemId: ReadonlyMap<string, string>;
  readonly zoneId: ReadonlyMap<string, string>;
}

export interface LearnerEdition {
  readonly question: LearnerQuestion;
  readonly names: Names;
}

const LETTERS = 'bcdfghjkmnpqrstvwxz23456789';

/**
 * The learner edition of a question for one sitting. Everything drawn (names, the tray's order) comes from `seed`, which the server keeps, so
 * that a reload gives the same again; nothing of it depends on the key.
 */
export function learnerEdition(question: Question, seed: string): LearnerEdition {
  const next = random(seedOf(seed));
  const taken = new Set<string>();
  const name = () => {
    for (;;) {
      const drawn = Array.from({ length: 6 }, () => LETTERS[Math.floor(next() * LETTERS.length)]).join('');
      if (!taken.has(drawn)) {
        taken.add(drawn);
        return drawn;
      }
    }
  };
  const itemNames = question.items.map(name);
  const zoneNames = question.zones.map(name);
  const order = question.tray?.order === 'shuffled' ? shuffled(question.items.length, next) : undefined;
  const at = homes(question, order);

  return {
    question: {
      title: question.title,
      prompt: question.prompt,
      scene: question.scene,
      tray: question.tray,
      items: question.items.map(({ label, size, rotation, copies, family, goesHome }, i) => ({
        id: itemNames[i] as string,
        label,
        size,
        rotation,
        copies,
        family,
        goesHome,
        home: at[i] as { x: number; y: number },
      })),
      zones: question.zones.flatMap(({ label, shape, rotation, family, reach, welcome, capacity, whenFull, settle, floor, ridesOn, hidden }, i) =>
        hidden
          ? []
          : [
              {
                id: zoneNames[i] as string,
                label,
                shape,
                rotation,
                family,
                reach,
                welcome,
                capacity,
                whenFull,
                settle,
                floor,
                ridesOn: ridesOn === null ? null : (itemNames[question.items.findIndex((item) => item.id === ridesOn)] as string),
              },
            ],
      ),
      tries: question.tries,
      judging: question.judging,
      afterMiss: question.afterMiss,
    },
    names: {
      item: new Map(question.items.map(({ id }, i) => [id, itemNames[i] as string])),
      zone: new Map(question.zones.map(({ id }, i) => [id, zoneNames[i] as string])),
      itemId: new Map(question.items.map(({ id }, i) => [itemNames[i] as string, id])),
      zoneId: new Map(question.zones.map(({ id }, i) => [zoneNames[i] as string, id])),
    },
  };
}
