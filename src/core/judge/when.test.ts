import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { parseQuestion } from '../document';
import type { Question } from '../document/schema';
import { random, seedOf } from '../random/random';
import { limitFeedback } from '../sets/feedbackLevel';
import { learnerEdition } from '../sitting/learnerEdition';
import { questionView } from '../sitting/view';
import { checkpointOf, standingFrom } from './checkpoint';
import { questionModel } from './model';
import { type Move, replay } from './replay';

type When = Record<string, unknown>;
const words = (text: string) => ({ blocks: [{ type: 'paragraph', runs: [{ text }] }] });
const sign = (id: string, when: When) => ({
  type: 'text',
  id,
  x: 0,
  y: 500,
  w: 100,
  h: 30,
  text: words(`the sign ${id}`),
  when,
});
const answering = (when: When, more: Record<string, unknown> = {}) =>
  seeds({ fixtures: [sign('lamp', when)], ...more });
const on = (event: When, more: When = {}): When => ({ events: [event], does: 'appears', ...more });
const put = (item: string, zone: string | null): Move => ({ kind: 'put', item, zone });
const check: Move = { kind: 'check' };
const reset: Move = { kind: 'reset' };

/** Is the fixture answering after the moves? As a learner's page is told it, and sees it. */
function asSeen(question: Question, ...moves: Move[]) {
  const model = questionModel(question);
  const standing = replay(model, moves);
  const edition = learnerEdition(question, random(seedOf('one')));
  const view = questionView({ model, edition, modelAnswer: null }, standing);
  return { view, sent: JSON.stringify(edition.question), told: view.answered };
}

describe('what rests on the arrangement is sent with the question', () => {
  it('under the names of the sitting, with what is shown', () => {
    const { view } = asSeen(
      answering({
        events: [{ on: 'holds', zone: 'dry', item: 'barley', count: 1 }],
        does: 'shows',
        content: { text: words('It is lit') },
      }),
    );
    const [fixture] = view.question.fixtures;
    const [item] = view.question.items;
    const [zone] = view.question.zones;
    expect(fixture?.when).toMatchObject({ does: 'shows', until: 'next', content: { text: words('It is lit') } });
    expect(fixture?.when?.events).toEqual([{ on: 'holds', zone: zone?.id, item: item?.id, count: 1 }]);
  });

  it('and what stays as it answered is known after a reload, until everything is put back', () => {
    const question = answering(on({ on: 'taking', zone: 'dry' }, { until: 'reset' }));
    expect(asSeen(question, put('barley', 'dry')).told).toHaveLength(1);
    expect(asSeen(question, put('barley', 'dry'), put('barley', null)).told).toMatchObject([{ until: 'reset' }]);
    expect(asSeen(question, put('barley', 'dry'), put('barley', null), reset).told).toEqual([]);
    expect(asSeen(question, put('barley', 'moist')).told).toEqual([]);
  });

  it('also from a checkpoint', () => {
    const model = questionModel(answering(on({ on: 'full', zone: 'dry' }, { until: 'reset' }), dryHolds(1)));
    const standing = replay(model, [put('barley', 'dry'), put('barley', null)]);
    expect(standing.answered.seen).toEqual([0]);
    const restored = standingFrom(model, JSON.parse(JSON.stringify(checkpointOf(standing))));
    expect(replay(model, [put('poppy', 'moist')], restored).answered.seen).toEqual([0]);
  });
});

describe('what rests on a verdict comes with it, never before', () => {
  const cases: [name: string, event: When, moves: Move[], holds: boolean][] = [
    ['all of it right', { on: 'right' }, [put('barley', 'dry'), put('poppy', 'dry'), put('acorn', 'moist')], true],
    ['not all of it right', { on: 'right' }, [put('barley', 'dry')], false],
    ['some of it right', { on: 'partly' }, [put('barley', 'dry')], true],
    ['nothing right', { on: 'wrong' }, [put('acorn', 'dry')], true],
    ['a zone that is right', { on: 'right', zone: 'moist' }, [put('acorn', 'moist')], true],
    ['a zone of which some is right', { on: 'partly', zone: 'dry' }, [put('barley', 'dry')], true],
    ['a zone with nothing right', { on: 'wrong', zone: 'dry' }, [put('acorn', 'dry')], true],
    ['an item that is right', { on: 'right', item: 'acorn' }, [put('acorn', 'moist')], true],
    ['an item that is wrong', { on: 'wrong', item: 'acorn' }, [put('acorn', 'dry')], true],
    ['an item right in another zone', { on: 'right', item: 'acorn', zone: 'dry' }, [put('acorn', 'moist')], false],
  ];
  it.each(cases)('%s', (_, event, moves, holds) => {
    const question = answering(on(event));
    const before = asSeen(question, ...moves);
    expect(before.sent).not.toContain('the sign lamp');
    expect(JSON.stringify(before.view)).not.toContain('the sign lamp');
    const checked = asSeen(question, ...moves, check);
    expect(checked.told.map(({ comes }) => comes?.fixture.type)).toEqual(holds ? ['text'] : []);
    // It lasts until the next move.
    if (holds && checked.view.ended === false)
      expect(asSeen(question, ...moves, check, put('gravel', 'dry')).told).toEqual([]);
  });

  it('what it shows then is not sent before either', () => {
    const question = answering({
      events: [{ on: 'wrong' }],
      does: 'shows',
      content: { text: words('the answer is dry') },
    });
    expect(asSeen(question).sent).not.toContain('the answer is dry');
    expect(asSeen(question, put('acorn', 'dry'), check).told[0]?.shows?.text).toEqual(words('the answer is dry'));
  });

  it('nor where the feedback level says nothing of it', () => {
    const question = answering(on({ on: 'wrong' }));
    const model = questionModel(question);
    const standing = replay(model, [put('acorn', 'dry'), check]);
    const edition = learnerEdition(question, random(seedOf('one')));
    const told = (level: 'verdicts' | 'feedback') =>
      questionView({ model: limitFeedback(model, level), edition, modelAnswer: null }, standing).answered.length;
    expect([told('verdicts'), told('feedback')]).toEqual([0, 1]);
  });

  it('of a hidden zone nothing is said until a check', () => {
    const question = answering(on({ on: 'taking', zone: 'dry' }), {
      zones: [
        { id: 'dry', label: 'dry', shape: { type: 'rect', x: 40, y: 40, w: 400, h: 300 }, hidden: true },
        { id: 'moist', label: 'moist', shape: { type: 'rect', x: 500, y: 40, w: 400, h: 300 } },
      ],
    });
    expect(asSeen(question, put('barley', 'dry')).told).toEqual([]);
    expect(asSeen(question, put('barley', 'dry'), check).told).toHaveLength(1);
  });
});

describe('what is refused, with its place', () => {
  const problems = (when: When) => {
    const parsed = parseQuestion({ ...seeds(), fixtures: [sign('lamp', when)] });
    return parsed.ok ? [] : parsed.problems.map(({ path }) => path);
  };
  it.each<[When, string]>([
    [{ events: [], does: 'appears' }, 'fixtures[0].when.events'],
    [on({ on: 'taking' }), 'fixtures[0].when.events[0].zone'],
    [on({ on: 'taking', zone: 'attic' }), 'fixtures[0].when.events[0].zone'],
    [on({ on: 'putAway' }), 'fixtures[0].when.events[0].item'],
    [on({ on: 'partly', item: 'barley' }), 'fixtures[0].when.events[0].item'],
    [on({ on: 'holds', zone: 'dry' }), 'fixtures[0].when.events[0].count'],
    [on({ on: 'right' }, { does: 'shows' }), 'fixtures[0].when.content'],
  ])('%j', (when, path) => {
    expect(problems(when)).toEqual([path]);
  });
});

const dryHolds = (capacity: number) => ({
  zones: [
    { id: 'dry', label: 'dry', shape: { type: 'rect', x: 40, y: 40, w: 400, h: 300 }, capacity },
    { id: 'moist', label: 'moist', shape: { type: 'rect', x: 500, y: 40, w: 400, h: 300 } },
  ],
});
