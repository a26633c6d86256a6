import type { Question, Reach, Zone } from '../../document/schema';
import { applyAll, type Step } from '../../edit/edit';
import { frames, setFrames } from '../../edit/frames';
import { setNeed } from '../../edit/keying';
import { reorder, setItem, setLook, setMedium, setQuestion, setZone } from '../../edit/steps';
import { type Ref, refTo } from '../../edit/things';
import { meet } from '../../geometry/space';
import { type QuestionModel, questionModel } from '../../judge/model';
import { coloursIn, ownStyle } from '../../looks/style';
import { makeZoneHold } from '../../measures/fitting';
import { contrast, MIN_CONTRAST } from '../contrast';
import { type Finding, type FindingCode, findings } from '../findings';
import { boxForWords, widthForTitle } from '../text/labels';

/** A way to mend a finding: what the button says, and the one step it takes. */
export interface Mend {
  readonly words: string;
  readonly step: Step;
}

interface At {
  readonly question: Question;
  readonly model: QuestionModel;
  readonly where: readonly string[];
}
type MendRule = (at: At) => Mend | null;

const zoneIn = ({ question, where }: At): Zone | undefined => question.zones.find(({ id }) => where.includes(id));
const itemIn = ({ question, where }: At) => question.items.find(({ id }) => where.includes(id));
const mend = (words: string, step: Step): Mend | null => (step.length > 0 ? { words, step } : null);

/** Each rule's own mend; a finding that only the author can mend has none. */
const rules: { readonly [Code in FindingCode]?: MendRule } = {
  needMoreThanExist: (at) => {
    const zone = zoneIn(at);
    const entry = at.question.key.find((entry) => entry.zone === zone?.id);
    if (!zone || !entry) return null;
    const exist = (entry.belongs ?? []).reduce(
      (sum, id) => sum + Number(at.question.items.find((item) => item.id === id)?.copies ?? 0),
      0,
    );
    return exist > 0 ? mend(`Need all ${exist}`, setNeed(at.question, zone.id, { rule: 'all' })) : null;
  },
  needMoreThanRoom: (at) => {
    const zone = zoneIn(at);
    const entry = zone && at.model.entryOf[at.question.zones.indexOf(zone)];
    return zone && entry ? mend(`Let it hold ${entry.lo}`, setZone(at.question, zone.id, 'capacity', entry.lo)) : null;
  },
  familyMismatch: (at) => {
    const [zone, item] = [zoneIn(at), itemIn(at)];
    return zone && item
      ? mend(`Put it into the family "${zone.family}"`, setItem(at.question, item.id, 'family', zone.family))
      : null;
  },
  keyedButTurnedAway: (at) => uncovered(at, at.where[1], at.where.slice(1)),
  neverWins: (at) => uncovered(at, at.where[0], at.where),
  reachImpossible: (at) => {
    const zone = zoneIn(at);
    return zone ? reachable(at, zone) : null;
  },
  cannotBePickedUp: (at) => {
    const item = itemIn(at);
    if (!item) return null;
    if (at.question.tray && item.home !== null)
      return mend('Put it into the tray', setItem(at.question, item.id, 'home', null));
    return mend('Bring it out into the open', intoTheOpen(at.question, refTo('item', item.id)));
  },
  overflow: (at) => {
    const zone = zoneIn(at);
    if (!zone) return null;
    const step = makeZoneHold(at.question, at.model, zone.id);
    const after = findings(questionModel(applyAll(at.question, step)));
    // Where it would come to lie over another zone, only the author can say what gives way.
    const before = findings(at.model).filter(({ code }) => code === 'unclearWinner').length;
    return after.filter(({ code }) => code === 'unclearWinner').length > before
      ? null
      : mend('Make the zone hold them', step);
  },
  emptyEarns: ({ question, model }) => {
    const idle = new Set(
      model.entries.filter(({ lo, weight }) => lo === 0 && weight > 0).map(({ zone }) => model.zones[zone]?.id),
    );
    return mend(
      'Give those zones no weight',
      setQuestion(
        question,
        'key',
        question.key.map((entry) => (idle.has(entry.zone) ? { ...entry, weight: 0 } : entry)),
      ),
    );
  },
  allInEarns: ({ question }) =>
    mend(
      'Let each wrong one cost as much as a right one earns',
      setQuestion(question, 'marks', { ...question.marks, extraCosts: 1, misplacedCosts: 1 }),
    ),
  wrongIsFree: ({ question }) => {
    const { marks } = question;
    const extraCosts = marks.extraCosts === 0 ? 1 : marks.extraCosts;
    return mend(
      'Let one too many cost as much as a right one earns',
      setQuestion(question, 'marks', { ...marks, rule: 'perPlacement', extraCosts }),
    );
  },
  nothingWelcome: (at) => {
    const zone = zoneIn(at);
    return zone ? mend('Let it take anything', setZone(at.question, zone.id, 'welcome', 'anyone')) : null;
  },
  sameName: ({ question, where }) => {
    const [zone, item] = [
      question.zones.find(({ id }) => id === where[1]),
      question.items.find(({ id }) => id === where[1]),
    ];
    if (zone) return mend(`Name it “${zone.label} 2”`, setZone(question, zone.id, 'label', `${zone.label} 2`));
    return item?.label
      ? mend(`Name it “${item.label} 2”`, setItem(question, item.id, 'label', `${item.label} 2`))
      : null;
  },
  worthNothing: ({ question }) =>
    mend('Let it be worth 1', setQuestion(question, 'marks', { ...question.marks, max: 1 })),
  listGivesAway: ({ question }) => {
    const shuffled = question.tray ? setQuestion(question, 'tray', { ...question.tray, order: 'shuffled' }) : [];
    // Numbers give it away in any order.
    const after = findings(questionModel(applyAll(question, shuffled)));
    return after.some(({ code }) => code === 'listGivesAway') ? null : mend('Shuffle the start order', shuffled);
  },
  orderGivesAway: ({ question }) =>
    question.tray
      ? mend('Shuffle the start order', setQuestion(question, 'tray', { ...question.tray, order: 'shuffled' }))
      : null,
  tryingWins: ({ question }) =>
    question.tries === null
      ? mend('Allow three tries', setQuestion(question, 'tries', 3))
      : mend('Let each try cost a tenth', setQuestion(question, 'marks', { ...question.marks, tryCosts: 0.1 })),
  labelDoesNotFit: roomForWords,
  contrastLow: ({ question, where }) => {
    const id = where.find((candidate) => Object.hasOwn(question.looks, candidate));
    const look = id === undefined ? undefined : question.looks[id];
    if (id === undefined || !look) return null;
    const names = new Set(['rest', ...Object.keys(look.states)]);
    const states = Object.fromEntries(
      [...names].flatMap((state) => {
        const style = ownStyle(look, state);
        const { fill, text } = coloursIn(look, state);
        const readable =
          contrast(fill, text) >= MIN_CONTRAST
            ? style
            : { ...style, text: contrast(fill, 'ink') >= contrast(fill, 'sheet') ? 'ink' : 'sheet' };
        return Object.keys(readable).length > 0 ? [[state, readable]] : [];
      }),
    );
    return mend(
      'Take ink or paper, whichever is read better',
      setLook(question, id, { ...look, states } as typeof look),
    );
  },
  noDescription: ({ question, where }) => {
    const id = where.find((candidate) => Object.hasOwn(question.media, candidate));
    const medium = id === undefined ? undefined : question.media[id];
    return id !== undefined && medium
      ? mend('Mark it as decorative', setMedium(question, id, { ...medium, decorative: true }))
      : null;
  },
  gapWidthsDiffer: ({ question, where }) =>
    mend(
      'Make them equally wide',
      question.zones.filter(({ id }) => where.includes(id)).flatMap(({ id }) => setZone(question, id, 'chars', null)),
    ),
  unclearWinner: apart,
  targetSmall: larger,
};

/** The covered zone in front, unless it covers the other as wholly then: then they are moved apart. */
function uncovered(at: At, id: string | undefined, both: readonly string[]): Mend | null {
  if (id === undefined) return null;
  const step = reorder(at.question, new Set([refTo('zone', id)]), 'front');
  const covered = findings(questionModel(applyAll(at.question, step))).some(
    ({ code, where }) =>
      (code === 'neverWins' || code === 'keyedButTurnedAway') && both.some((candidate) => where.includes(candidate)),
  );
  return covered ? apart({ ...at, where: both }) : mend('Put it in front', step);
}

/** Less of the item is asked for, where that is enough; else the zone grows to the items that belong in it. */
function reachable({ question, model }: At, zone: Zone): Mend | null {
  if (zone.reach.rule === 'share' || zone.reach.rule === 'inside') {
    const reach: Reach = { rule: 'centre' };
    const onIt = ontoScene(question, refTo('zone', zone.id));
    return mend('Ask only for the centre of the item', [...onIt, ...setZone(question, zone.id, 'reach', reach)]);
  }
  return mend('Bring the zone onto the scene', [
    ...ontoScene(question, refTo('zone', zone.id)),
    ...makeZoneHold(question, model, zone.id),
  ]);
}

const LATTICE = 8;

/** The place nearest to where it is that is wholly on the scene and that no other item lies on. */
function intoTheOpen(question: Question, ref: Ref): Step {
  const all = frames(question).filter((frame) => frame.ref.startsWith('item:'));
  const mine = all.find((candidate) => candidate.ref === ref)?.frame;
  if (!mine) return [];
  const others = all.flatMap((one) => (one.ref === ref ? [] : [one.frame]));
  const { width, height } = question.scene;
  let best: { x: number; y: number; far: number } | null = null;
  for (let x = 0; x + mine.w <= width; x += LATTICE)
    for (let y = 0; y + mine.h <= height; y += LATTICE) {
      const far = Math.hypot(x - mine.x, y - mine.y);
      if ((!best || far < best.far) && !others.some((other) => meet({ ...mine, x, y }, other))) best = { x, y, far };
    }
  return best ? setFrames(question, [{ ref, frame: { ...mine, x: best.x, y: best.y } }]) : [];
}

function ontoScene(question: Question, ref: Ref): Step {
  const found = frames(question).find((frame) => frame.ref === ref);
  if (!found) return [];
  const { frame } = found;
  const { width, height } = question.scene;
  const x = Math.max(0, Math.min(frame.x, width - frame.w));
  const y = Math.max(0, Math.min(frame.y, height - frame.h));
  return setFrames(question, [{ ref, frame: { ...frame, x, y } }]);
}

/** Boxes made large enough for the words they show: an item's tag, a zone's title. */
function roomForWords({ question, where }: At): Mend | null {
  const items = question.items
    .filter(({ id }) => where.includes(id))
    .flatMap((item) => {
      const size = boxForWords(question, item);
      return size ? setItem(question, item.id, 'size', size) : [];
    });
  const at = new Map(frames(question).map(({ ref, frame }) => [ref, frame]));
  const zones = question.zones
    .filter(({ id }) => where.includes(id))
    .flatMap(({ id, label, look }) => {
      const ref = refTo('zone', id);
      const frame = at.get(ref);
      const w = Math.ceil(widthForTitle(question, label, look));
      return frame && w > frame.w
        ? setFrames(question, [
            { ref, frame: { ...frame, x: Math.max(0, Math.min(frame.x, question.scene.width - w)), w } },
          ])
        : [];
    });
  return mend('Make room for its words', [...items, ...zones]);
}

/** The two zones moved apart by the shorter way, as far as the scene lets them. */
function apart({ question, where }: At): Mend | null {
  const at = new Map(frames(question).map(({ ref, frame }) => [ref, frame]));
  const [a, b] = where.filter((id) => question.zones.some((zone) => zone.id === id)).map((id) => refTo('zone', id));
  const [one, other] = [a && at.get(a), b && at.get(b)];
  if (!b || !one || !other) return null;
  const { width, height } = question.scene;
  const places = [
    { x: one.x + one.w, y: other.y },
    { x: one.x - other.w, y: other.y },
    { x: other.x, y: one.y + one.h },
    { x: other.x, y: one.y - other.h },
  ].filter(({ x, y }) => x >= 0 && y >= 0 && x + other.w <= width && y + other.h <= height);
  const nearest = places.sort(
    (p, q) => Math.hypot(p.x - other.x, p.y - other.y) - Math.hypot(q.x - other.x, q.y - other.y),
  )[0];
  return nearest ? mend('Move them apart', setFrames(question, [{ ref: b, frame: { ...other, ...nearest } }])) : null;
}

/**
 * The least side a thing needs so that it is 24 px where the scene is shown 320 px wide, where the page does not scale
 * below that.
 */
function larger({ question, where }: At): Mend | null {
  const small = Math.ceil((24 * question.scene.width) / 320);
  const refs = new Set(where.flatMap((id) => [refTo('item', id), refTo('zone', id)]));
  const chosen = frames(question).filter(({ ref }) => refs.has(ref));
  return mend(
    'Make it large enough for a finger',
    setFrames(
      question,
      chosen.map(({ ref, frame }) => {
        const [w, h] = [Math.max(frame.w, small), Math.max(frame.h, small)];
        return {
          ref,
          frame: {
            ...frame,
            x: Math.max(0, Math.min(frame.x, question.scene.width - w)),
            y: Math.max(0, Math.min(frame.y, question.scene.height - h)),
            w,
            h,
          },
        };
      }),
    ),
  );
}

/** The mend that a finding offers, as one step that can be undone; null where only the author can say what is meant. */
export function mendOf(question: Question, finding: Finding): Mend | null {
  const rule = rules[finding.code as FindingCode];
  return rule ? rule({ question, model: questionModel(question), where: finding.where }) : null;
}
