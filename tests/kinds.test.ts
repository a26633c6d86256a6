import { randomUUID } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { publish } from '../src/server/releases/publish';
import { saveNew } from '../src/server/vault/questions';
import { course, learner, must, release, teacher, testApp } from './support/app';
import { seeds } from './support/seeds';
import { sitter } from './support/sitting';

const slot = (id: string, more: Record<string, unknown> = {}) => ({
  id,
  label: id,
  shape: { type: 'slot' },
  capacity: 1,
  whenFull: 'swap',
  ...more,
});
const text = (...runs: Record<string, unknown>[]) => ({
  id: 'text',
  type: 'text',
  x: 20,
  y: 20,
  w: 800,
  h: 200,
  text: { blocks: [{ type: 'paragraph', runs }] },
});
const one = (zone: string, ...belongs: string[]) => ({ zone, belongs, need: { rule: 'exactly', n: 1 } });

/** A text of two gaps: a word is put into the first, the second is typed. */
const GAPS = {
  kind: 'gaps',
  fixtures: [
    text(
      { text: 'Dry seed keeps at ' },
      { slot: 'first' },
      { text: ' degrees in the ' },
      { slot: 'second' },
      { text: '.' },
    ),
  ],
  items: [
    { id: 'minus', label: '−20', size: { w: 80, h: 40 } },
    { id: 'plus', label: '20', size: { w: 80, h: 40 } },
    { id: 'vault', label: 'vault', size: { w: 80, h: 40 } },
  ],
  zones: [slot('first'), slot('second', { typed: { accept: { vault: ['vault', 'cold room'] }, slips: 1 } })],
  key: [one('first', 'minus'), one('second', 'vault')],
  marks: { max: 2, rule: 'perPlacement' },
  afterMiss: 'sendWrongHome',
};

let done: () => void;
let odile: Awaited<ReturnType<typeof teacher>>;
let wren: Awaited<ReturnType<typeof learner>>;
let courseId: string;
beforeEach(async () => {
  const at = await testApp();
  done = at.done;
  odile = await teacher(at.app, 'odile');
  courseId = await course(odile);
  wren = await learner(odile, courseId, 'wren');
});

afterEach(() => done());

const sitting = async (question: Record<string, unknown>) => {
  const id = await release(odile, courseId, seeds(question));
  return { ...(await sitter(wren, id)), again: () => sitter(wren, id) };
};

describe('gaps', () => {
  it('are filled by name and by typing; what is typed is read by the spellings, kept as typed, and never named', async () => {
    const at = await sitting(GAPS);
    expect(at.view.question.items.map(({ label }) => label)).toEqual(['−20', '20']);
    expect(JSON.stringify(at.view)).not.toContain('cold room');
    const [first, second] = at.view.question.zones;
    expect(second).toMatchObject({ typed: true, shape: { type: 'slot' } });
    await at.take(at.put('20', 'first'));
    await at.take(at.move({ kind: 'put', zone: second?.id ?? '', text: 'Cold rom' }));
    const checked = await at.take(at.move({ kind: 'check' }));
    expect(checked.told?.try).toMatchObject({
      mark: { mark: 0, max: 2 },
      zones: [
        { zone: first?.id, satisfied: false },
        { zone: second?.id, satisfied: true },
      ],
    });
    expect(checked.told?.typed).toEqual([{ zone: second?.id, verdict: 'right', spelling: 'cold room' }]);
    expect(checked.told?.verdicts.map(({ verdict }) => verdict)).toEqual(['wrong']);
    // As a page would find it again.
    const again = await at.again();
    expect(again.view.board.zones).toEqual([
      { zone: first?.id, held: [expect.objectContaining({ item: at.view.question.items[1]?.id })] },
      { zone: second?.id, held: [], text: 'Cold rom' },
    ]);
  });

  it('that were typed wrong are emptied when the learner goes on; white space empties one too', async () => {
    const at = await sitting(GAPS);
    const second = at.view.question.zones[1]?.id ?? '';
    const typed = (words: string) => at.move({ kind: 'put', zone: second, text: words });
    await at.take(typed('cupboard'));
    const checked = await at.take(at.move({ kind: 'check' }));
    expect(checked.told).toMatchObject({
      typed: [{ zone: second, verdict: 'wrong' }],
      goingEmpty: [second],
      goingHome: [],
    });
    await at.take(at.put('−20', 'first'));
    expect((await at.again()).view.board.zones[1]).toEqual({ zone: second, held: [] });
    await at.take(typed('vault'));
    await at.take(typed('  '));
    expect((await at.again()).view.board.zones[1]).toEqual({ zone: second, held: [] });
  });

  it('answered by choosing refuse a text', async () => {
    const at = await sitting(GAPS);
    const answer = await at.send(
      at.view.last,
      at.move({ kind: 'put', zone: at.view.question.zones[0]?.id ?? '', text: 'anything' }),
    );
    expect(answer).toMatchObject({ ok: true, value: { passedOver: 1 } });
  });
});

describe('what stays in its place', () => {
  const PICK = {
    kind: 'pick',
    items: ['Barley', 'Acorn', 'Poppy'].map((label) => ({
      id: label.toLowerCase(),
      label,
      size: { w: 200, h: 48 },
      stays: true,
    })),
    zones: [slot('chosen', { capacity: null })],
    key: [{ zone: 'chosen', belongs: ['barley', 'poppy'], need: { rule: 'all' } }],
  };

  it('is picked by a put, and is refused a drop', async () => {
    const at = await sitting(PICK);
    await at.take(at.put('Barley', 'chosen'));
    await at.take(at.put('Poppy', 'chosen'));
    const dropped = await at.send(2, at.drop('Acorn', 10, 10));
    expect(dropped).toMatchObject({ ok: true, value: { passedOver: 1 } });
    expect((await at.take(at.move({ kind: 'check' }))).told?.try).toMatchObject({ fullMarks: true });
  });
});

describe('hidden zones', () => {
  const MARK = {
    kind: 'mark',
    items: [
      {
        id: 'flag',
        label: 'Flag',
        size: { w: 30, h: 30 },
        copies: 'endless',
        goesHome: false,
        home: { x: 20, y: 480 },
      },
    ],
    zones: [
      {
        id: 'everywhere',
        shape: { type: 'rect', x: 0, y: 0, w: 960, h: 400 },
        floor: true,
        hidden: true,
        reach: { rule: 'centre' },
      },
      {
        id: 'radicle',
        label: 'Radicle',
        shape: { type: 'ellipse', cx: 200, cy: 200, rx: 40, ry: 40 },
        hidden: true,
        reach: { rule: 'centre' },
      },
    ],
    key: [
      { zone: 'radicle', belongs: ['flag'], need: { rule: 'exactly', n: 1 } },
      { zone: 'everywhere', belongs: [], need: { rule: 'all' } },
    ],
    show: { places: [{ label: 'The lower tip', x: 200, y: 200 }] },
  };

  it('are nowhere in what a learner gets before a check, and a hit looks like a miss', async () => {
    const at = await sitting(MARK);
    expect(at.view.question).toMatchObject({ zones: [], hides: true, places: [{ label: 'The lower tip' }] });
    expect(JSON.stringify(at.view)).not.toMatch(/Radicle|everywhere/);
    const hit = await at.take(at.drop('Flag', 185, 185));
    expect(hit.board).toEqual({ zones: [], loose: [{ item: at.view.question.items[0]?.id, copy: 0, x: 185, y: 185 }] });
    const missed = await at.take({ ...at.drop('Flag', 600, 200), copy: 1 } as ReturnType<typeof at.drop>);
    expect(missed.board?.loose).toHaveLength(2);
    const checked = await at.take(at.move({ kind: 'check' }));
    expect(checked.told?.verdicts).toEqual([
      { item: at.view.question.items[0]?.id, copy: 0, verdict: 'right' },
      { item: at.view.question.items[0]?.id, copy: 1, verdict: 'wrong' },
    ]);
    expect(checked.told?.try?.zones).toEqual([]);
  });
});

describe('publishing', () => {
  const tried = async (question: Record<string, unknown>) => {
    const { id } = must(await saveNew(odile, seeds(question)));
    return publish(odile, { id: randomUUID(), courseId, questionId: id, revision: 1 });
  };

  it.each([
    ['a gap that stands in no text', { ...GAPS, fixtures: [] }, 'stands in no text'],
    [
      'what stays, with no zone for it',
      {
        items: [{ id: 'barley', stays: true, size: { w: 80, h: 40 }, family: 'grain' }],
        zones: [{ id: 'dry', family: 'other', shape: { type: 'rect', x: 0, y: 0, w: 90, h: 90 } }],
        key: [{ zone: 'dry', belongs: [], need: { rule: 'all' } }],
      },
      'no zone into which',
    ],
  ])('is refused for %s', async (_, question, words) => {
    const answer = await tried(question);
    expect(answer).toMatchObject({ ok: false, code: 'notReady' });
    expect(JSON.stringify(answer)).toContain(words);
  });
});
