import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { everything } from '../../../tests/support/everything';
import { seeds } from '../../../tests/support/seeds';
import type { ItemId, ZoneId } from '../document/ids';
import { newItem, newZone } from '../document/make';
import { parseQuestion } from '../document/parse';
import type { Question } from '../document/schema';
import { clip, duplicate, paste, setGroup, setNoted } from './clones';
import { difference } from './difference';
import { apply, applyAll, EditMismatch, editOf, invertAll, type Step } from './edit';
import { frames, setFrames } from './frames';
import { restNowhere, setCells, setNeed } from './keying';
import { add, remove, reorder, setItem, setLook, setQuestion } from './steps';
import { type Ref, things } from './things';

const full = (): Question => {
  const parsed = parseQuestion(everything());
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return parsed.question;
};

const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];
const somethings = (question: Question, which: number): Set<Ref> => {
  const all = things(question);
  return new Set([pick(all, which), pick(all, which * 7 + 3)].flatMap((thing) => (thing ? [thing.ref] : [])));
};

/** Steps an author could take on the question as it is, picked by two numbers. */
const STEPS: readonly ((question: Question, which: number) => Step)[] = [
  (question, which) => setQuestion(question, 'title', `Title ${which}`),
  (question, which) => {
    const item = pick(question.items, which);
    return item ? setItem(question, item.id, 'label', `Label ${which}`) : [];
  },
  (question, which) => {
    const [item, zone] = [pick(question.items, which), pick(question.zones, which)];
    return item && zone && zone.shape.type === 'rect' && !question.key.find((entry) => entry.zone === zone.id)?.sequence
      ? setCells(question, [{ zone: zone.id, item: item.id }], which % 2 === 0)
      : [];
  },
  (question, which) =>
    add(question, 'items', [newItem({ id: `new-${question.items.length}-${which}` as ItemId, label: 'New' })]),
  (question, which) =>
    add(question, 'zones', [
      newZone({
        id: `new-${question.zones.length}-${which}` as ZoneId,
        label: 'New',
        shape: { type: 'rect', x: 1, y: 2, w: 30, h: 40 },
      }),
    ]),
  (question, which) =>
    setFrames(
      question,
      frames(question)
        .slice(which % 5, (which % 5) + 2)
        .map(({ ref, frame }) => ({ ref, frame: { ...frame, x: which, w: 50 + which } })),
    ),
  (question, which) => remove(question, somethings(question, which)),
  (question, which) =>
    reorder(
      question,
      somethings(question, which),
      (['front', 'back', 'forward', 'backward'] as const)[which % 4] ?? 'front',
    ),
  (question, which) => duplicate(question, somethings(question, which), 1 + (which % 3), { x: 10, y: 4 }).step,
  (question, which) => paste(question, clip(question, somethings(question, which)), { x: which, y: 0 }).step,
  (question, which) => setGroup(question, somethings(question, which), which % 3 > 0),
  (question, which) => setNoted(question, which % 2 ? 'locked' : 'veiled', somethings(question, which), which % 3 > 0),
  (question, which) =>
    setLook(
      question,
      'plain',
      which % 2 ? null : { of: 'item', name: `Look ${which}`, putAway: false, states: {} as never },
    ),
];
/** A look that is worn cannot be taken away; the test that follows takes only what leaves a valid question. */
const leavesValid = (question: Question, step: Step) => parseQuestion(applyAll(question, step)).ok;

const walk = fc.array(fc.tuple(fc.nat(STEPS.length - 1), fc.nat(40)), { maxLength: 25 });

describe('edits', () => {
  it('taken back give the question as it was, and leave a valid one at every step', () => {
    fc.assert(
      fc.property(fc.boolean(), walk, (plain, picks) => {
        const past: [Question, Step][] = [];
        let question = plain ? seeds() : full();
        for (const [what, which] of picks) {
          const step = (STEPS[what] as (typeof STEPS)[number])(question, which);
          if (what === 12 && !leavesValid(question, step)) continue;
          past.push([question, step]);
          question = applyAll(question, step);
          const parsed = parseQuestion(question);
          expect(parsed.ok ? [] : [what, which, parsed.problems]).toEqual([]);
        }
        for (const [before, step] of past.reverse()) {
          question = applyAll(question, invertAll(step));
          expect(question).toEqual(before);
        }
      }),
      { seed: 11, numRuns: 100 },
    );
  });

  it('the difference of two versions makes the one the other', () => {
    fc.assert(
      fc.property(fc.boolean(), walk, (plain, picks) => {
        const start = plain ? seeds() : full();
        const end = picks.reduce(
          (question, [what, which]) => applyAll(question, (STEPS[what] as (typeof STEPS)[number])(question, which)),
          start,
        );
        expect(applyAll(start, difference(start, end))).toEqual(end);
        expect(applyAll(end, difference(end, start))).toEqual(start);
        expect(difference(end, end)).toEqual([]);
      }),
      { seed: 12, numRuns: 100 },
    );
  });

  it('that do not fit are refused', () => {
    const question = seeds();
    const set = { type: 'set', in: 'items', to: 'x', from: 'y' } as const;
    expect(() => apply(question, editOf({ ...set, id: 'nobody', field: 'label' }))).toThrow(EditMismatch);
    expect(() => apply(question, editOf({ ...set, id: 'barley', field: '__proto__' }))).toThrow(EditMismatch);
    expect(() => apply(question, { type: 'setQuestion', field: 'format' as never, to: 'x', from: 'y' })).toThrow(
      EditMismatch,
    );
    expect(() => apply(question, { type: 'move', in: 'items', from: 0, to: 99 })).toThrow(EditMismatch);
    expect(() => apply(question, { type: 'name', in: 'looks', name: '__proto__', to: null, from: null })).toThrow(
      EditMismatch,
    );
  });

  it('of an item deleted take it out of the key', () => {
    const after = applyAll(seeds(), remove(seeds(), new Set<Ref>(['item:barley', 'zone:moist'])));
    expect(after.key).toEqual([expect.objectContaining({ zone: 'dry', belongs: ['poppy'] })]);
  });
});

describe('frames', () => {
  it('set to what they are change nothing, riding and turned or not', () => {
    const question = full();
    const turned = applyAll(question, setItem(question, 'rack' as ItemId, 'rotation', 30));
    const again = applyAll(turned, setFrames(turned, frames(turned)));
    const [was, is] = [frames(turned), frames(again)];
    expect(is.map(({ ref }) => ref)).toEqual(was.map(({ ref }) => ref));
    for (const [i, { frame }] of is.entries())
      for (const field of ['x', 'y', 'w', 'h', 'rotation'] as const)
        expect(frame[field]).toBeCloseTo((was[i] as (typeof was)[number]).frame[field], 6);
  });

  it('moved by a step move by it on the scene, a riding zone on a turned carrier too', () => {
    const question = applyAll(full(), setItem(full(), 'rack' as ItemId, 'rotation', 90));
    const shelf = frames(question).find(({ ref }) => ref === 'zone:shelf');
    if (!shelf) throw new Error('no shelf');
    const moved = applyAll(
      question,
      setFrames(question, [{ ...shelf, frame: { ...shelf.frame, x: shelf.frame.x + 7, y: shelf.frame.y - 3 } }]),
    );
    const now = frames(moved).find(({ ref }) => ref === 'zone:shelf');
    expect(now?.frame.x).toBeCloseTo(shelf.frame.x + 7, 6);
    expect(now?.frame.y).toBeCloseTo(shelf.frame.y - 3, 6);
    expect(now?.frame.w).toBeCloseTo(shelf.frame.w, 6);
  });
});

describe('copies', () => {
  it('in a row stand a step apart, under fresh names, their numbers counted on', () => {
    const question = applyAll(seeds(), setItem(seeds(), 'barley' as ItemId, 'label', 'Sachet 09'));
    const { step, refs } = duplicate(question, new Set<Ref>(['item:barley']), 2, { x: 0, y: 50 });
    const after = applyAll(question, step);
    expect(after.items.slice(-2).map(({ id, label }) => [id, label])).toEqual([
      ['barley-2', 'Sachet 10'],
      ['barley-3', 'Sachet 11'],
    ]);
    expect(refs).toEqual(['item:barley-2', 'item:barley-3']);
  });

  it('pasted into another question bring their key, looks and media along', () => {
    const question = full();
    const clipping = clip(question, new Set<Ref>(['item:barley', 'zone:dry']));
    const { step } = paste(seeds(), clipping, { x: 0, y: 0 });
    const after = applyAll(seeds(), step);
    expect(parseQuestion(after)).toMatchObject({ ok: true });
    expect(after.key.at(-1)).toMatchObject({ zone: 'dry-2', belongs: ['barley-2'] });
  });
});

describe('the key', () => {
  it('everything else belongs nowhere: neutral zones become traps, others lose what is not kept', () => {
    const question = applyAll(
      seeds(),
      add(seeds(), 'zones', [
        newZone({ id: 'bench' as ZoneId, label: 'Bench', shape: { type: 'rect', x: 1, y: 1, w: 50, h: 50 } }),
      ]),
    );
    const after = applyAll(question, restNowhere(question, new Set(['barley'])));
    expect(after.key.find(({ zone }) => zone === 'bench')).toMatchObject({
      belongs: [],
      need: { rule: 'exactly', n: 0 },
    });
    expect(after.key.find(({ zone }) => zone === 'dry')?.belongs).toEqual(['barley']);
  });

  it('a need keeps who belongs', () => {
    const after = applyAll(seeds(), setNeed(seeds(), 'dry' as ZoneId, { rule: 'atLeast', n: 1 }));
    expect(after.key.find(({ zone }) => zone === 'dry')).toMatchObject({
      belongs: ['barley', 'poppy'],
      need: { rule: 'atLeast', n: 1 },
    });
  });
});
