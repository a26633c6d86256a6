import { type Question, type QuestionModel, slotsIn } from '../../core';
import { readersOf } from './interactions/textEntry';
import type { Interaction, Said } from './outgoing';

/** The most copies that go out of an item of which there is no end. */
const MAX_COPIES = 50;

/**
 * How many copies of each item go out: of an endless one as many as the zones can use, and one more, so that one too
 * many can be put somewhere.
 */
export function copiesOut({ question, entries, either }: QuestionModel): readonly number[] {
  return question.items.map(({ copies }, item) => {
    if (copies !== 'endless') return copies;
    const used = [...entries, ...either].reduce(
      (all, { belongs, lo, hi }) => all + (belongs.has(item) ? (Number.isFinite(hi) ? hi : lo) : 0),
      0,
    );
    return Math.min(MAX_COPIES, used + 1);
  });
}

/** Which interaction a question becomes. */
export type Way =
  | Extract<Interaction, 'choice' | 'order' | 'gapMatch' | 'graphicGapMatch' | 'match'>
  | 'gapByGap'
  | 'points';

export function wayOf(question: Question): Way {
  const { zones, items, key } = question;
  const isSlot = ({ shape }: Question['zones'][number]) => shape.type === 'slot';
  if (key.some(({ sequence }) => sequence)) return 'order';
  if (zones.some(({ hidden }) => hidden)) return 'points';
  const [only] = zones;
  if (zones.length === 1 && only && isSlot(only) && items.length > 0 && items.every(({ stays }) => stays))
    return 'choice';
  const inTexts = new Set<string>(
    question.fixtures.flatMap((fixture) => (fixture.type === 'text' ? slotsIn(fixture.text) : [])),
  );
  const isGap = (zone: Question['zones'][number]) => isSlot(zone) && inTexts.has(zone.id) && zone.capacity === 1;
  if (zones.length > 0 && zones.every(isGap))
    return zones.some(({ typed, menu }) => typed || menu) ? 'gapByGap' : 'gapMatch';
  return zones.some(isSlot) ? 'match' : 'graphicGapMatch';
}

/** Why a question cannot go out with the same marks; empty: it can. */
export function reasonsAgainst(model: QuestionModel, way: Way): readonly Said[] {
  const { question } = model;
  const reasons: Said[] = [];
  const refuse = (path: string, message: string) => void reasons.push({ path, message });
  if (model.entries.length + model.either.length === 0)
    refuse('key', 'Nothing is keyed, so there is nothing to score.');
  if (question.pools.length > 0)
    refuse('pools', 'Items are drawn for each attempt; an item of QTI has the same for all.');
  question.zones.forEach((zone, i) => {
    const at = `zones[${i}]`;
    const isKeyed = model.entryOf[i] != null;
    if (zone.ridesOn !== null && isKeyed)
      refuse(`${at}.ridesOn`, 'The zone rides on an item; places in QTI do not move.');
    if (zone.lid && !zone.lid.startsOpen && question.start?.placements.some((placement) => placement.zone === zone.id))
      refuse(`${at}.lid`, 'A lid hides what lies in the zone at the start.');
    if (zone.typed && zone.typed.slips > 0)
      refuse(`${at}.typed.slips`, 'Slips of typing are forgiven; QTI compares spellings as they are.');
    if (zone.typed && way !== 'gapByGap')
      refuse(`${at}.typed`, 'A typed answer that is no gap of a text, for one thing each, is not carried.');
    if (way === 'points' && zone.shape.type === 'slot')
      refuse(`${at}.shape`, 'A place without a shape stands beside hidden ones.');
    if (way === 'points' && !zone.hidden) refuse(`${at}.hidden`, 'Places that are seen stand beside hidden ones.');
  });
  if (way === 'order' && question.zones.length > 1)
    refuse('zones', 'A sequence stands beside other zones; QTI orders one list.');
  if (way === 'points' && question.items.length > 1)
    refuse('items', 'There are several kinds of marker; QTI has one on a picture.');
  question.key.forEach((entry, i) => {
    const endless = entry.sum
      ? question.items.findIndex(({ copies, value }) => copies === 'endless' && (value ?? 0) !== 0)
      : -1;
    if (endless >= 0) refuse(`key[${i}].sum`, 'Values are added up of an item of which there is no end.');
  });
  question.items.forEach(({ id }, i) => {
    const zones = readersOf(question, id);
    const copies = model.items[i]?.copies ?? 1;
    if (zones.length > copies && !isAllTheSame(model, zones))
      refuse(`items[${i}].copies`, 'Which of several gaps its word counts in depends on which was typed first.');
    if (way === 'gapByGap' && zones.length === 0 && copies > MAX_COPIES && question.items[i]?.copies !== 'endless')
      refuse(`items[${i}].copies`, `There are more than ${MAX_COPIES} copies.`);
  });
  return reasons;
}

/** Do gaps that an item may be typed into ask for the same, so that it does not matter in which of them it counts? */
function isAllTheSame({ entryOf }: QuestionModel, zones: readonly number[]): boolean {
  const asks = zones.map((zone) => {
    const entry = entryOf[zone];
    return entry
      ? JSON.stringify([[...entry.belongs].sort(), [...entry.apart].sort(), entry.lo, entry.hi, entry.weight])
      : '';
  });
  return asks.every((asked) => asked !== '' && asked === asks[0]);
}

/** What of a question stays behind without changing its marks. */
export function notesOn({ question }: QuestionModel, way: Way): readonly Said[] {
  const notes: Said[] = [];
  const note = (isSo: boolean, path: string, message: string) => void (isSo && notes.push({ path, message }));
  const { marks, items, zones } = question;
  note(question.tries !== null, 'tries', 'The number of tries is the other program’s to set.');
  note(marks.tryCosts > 0, 'marks.tryCosts', 'The mark is that of the first try: what later ones cost is not carried.');
  note(question.judging === 'onLand', 'judging', 'It is judged when it is sent, not as an item lands.');
  note(question.afterMiss !== 'leave', 'afterMiss', 'Wrong items are not sent home.');
  note(
    Object.keys(question.looks).length > 0 || question.dress !== null,
    'looks',
    'Looks, motions and sounds of states are not carried.',
  );
  note(question.hints.length > 0, 'hints', 'Hints are not carried.');
  note(
    question.fixtures.some(({ when }) => when !== null),
    'fixtures',
    'Fixtures that come and go stand there all the time.',
  );
  note(
    zones.some(({ welcome }) => welcome === 'keyed'),
    'zones',
    'Zones turn nothing away.',
  );
  note(
    zones.some(({ whenFull }) => whenFull === 'swap'),
    'zones',
    'What a full zone does is the other program’s to say.',
  );
  note(
    zones.some(({ lid }) => lid !== null),
    'zones',
    'Lids are not carried.',
  );
  note(
    items.some(({ copies }) => copies === 'endless'),
    'items',
    `Of an item of which there is no end, as many copies go out as can be used and one more, at most ${MAX_COPIES}.`,
  );
  note(
    items.some(({ content }) => content?.sound != null),
    'items',
    'Sounds of items are not carried.',
  );
  note(
    way === 'points' && zones.some(({ reach }) => reach.rule !== 'centre' && reach.rule !== 'pointer'),
    'zones',
    'A marker is judged by its middle.',
  );
  note(
    way === 'graphicGapMatch' &&
      zones.some(({ shape, rotation }) => shape.type === 'ellipse' && shape.rx !== shape.ry && rotation % 180 !== 0),
    'zones',
    'A turned oval goes out as a polygon.',
  );
  return notes;
}
