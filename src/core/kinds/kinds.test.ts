import { describe, expect, it } from 'vitest';
import { newItem, newQuestion, parseQuestion, plainText } from '../document';
import { KINDS } from '../document/kinds';
import type { Question } from '../document/schema';
import { homes, trayBox } from '../judge/homes';
import { questionModel } from '../judge/model';
import { respond } from '../judge/response';
import { fittingOf } from '../measures/fitting';
import { modelAnswerOf, prove } from '../proof/proof';
import { boxForWords, widthForTitle } from '../proof/text/labels';
import { random, seedOf } from '../random/random';
import {
  alongALine,
  asCode,
  canFix,
  changedTo,
  exampleOf,
  FROM_TEXT,
  type FromText,
  LAYOUTS,
  type Layout,
  liftOut,
  picturesOf,
  propose,
  putBack,
  readListing,
  withFixed,
  withPictures,
} from '.';
import { laidOut } from './layouts';

const blank = newQuestion('0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0999', 'Seeds');
const made = (kind: FromText, text: string, layout: Layout | null = null): Question => {
  const proposed = propose(blank, kind, readListing(text), layout);
  if (!proposed.ok) throw new Error(proposed.message);
  return proposed.question;
};

interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}
const apart = (a: Box, b: Box) => a.x + a.w <= b.x || b.x + b.w <= a.x || a.y + a.h <= b.y || b.y + b.h <= a.y;
const inside = (a: Box, b: Box) => a.x >= b.x && a.y >= b.y && a.x + a.w <= b.x + b.w && a.y + a.h <= b.y + b.h;

/** Everything that could be wrong with a layout, in words. */
function faults(question: Question): string[] {
  const model = questionModel(question);
  const scene = { x: 0, y: 0, w: question.scene.width, h: question.scene.height };
  const tray = question.tray && trayBox(question.tray, question.scene);
  const zones = question.zones.flatMap((zone, i) =>
    zone.shape.type === 'rect' ? [{ zone, i, box: zone.shape as Box }] : [],
  );
  const at = homes(question);
  const lying = question.items.map((item, i) => ({
    item,
    box: { ...(at[i] as { x: number; y: number }), ...item.size },
  }));
  const texts = question.fixtures.map(({ x, y, w, h }) => ({ x, y, w, h }));
  const started = new Set<string>(question.start?.placements.map(({ item }) => item) ?? []);
  return [
    ...zones.flatMap(({ zone, i, box }) => [
      ...(inside(box, scene) ? [] : [`${zone.label} leaves the scene`]),
      ...(fittingOf(model, i)?.fits === false ? [`${zone.label} overflows`] : []),
      ...(widthForTitle(question, zone.label, null) <= box.w + 1 ? [] : [`the title ${zone.label} is cut`]),
      ...(tray && !apart(box, tray) ? [`${zone.label} lies under the tray`] : []),
      ...zones
        .filter((other) => other.i > i && !apart(box, other.box))
        .map((other) => `${zone.label} lies over ${other.zone.label}`),
      ...texts.filter((text) => !apart(box, text)).map(() => `${zone.label} lies over a text`),
    ]),
    ...lying.flatMap(({ item, box }, i) => [
      ...(boxForWords(question, item) ? [`the words of ${item.label} do not fit`] : []),
      ...(started.has(item.id) || inside(box, item.stays || !tray ? scene : tray)
        ? []
        : [`${item.label} leaves ${item.stays ? 'the scene' : 'the tray'}`]),
      ...(started.has(item.id)
        ? []
        : lying
            .slice(i + 1)
            .flatMap((other) =>
              started.has(other.item.id) || apart(box, other.box)
                ? []
                : [`${item.label} lies over ${other.item.label}`],
            )),
    ]),
  ];
}

const WORDS = [
  'barley',
  'acorn',
  'poppy',
  'oat',
  'seed of the river reed',
  'Kiefernzapfen',
  'dry',
  'silica gel',
  'a',
  'must be kept moist until it germinates',
  'hygrometer',
  'Ångström',
  'семя',
  '湿度計',
];

describe('a list that is pasted', () => {
  it('is read as lines, headings, columns or pairs', () => {
    expect(readListing('Barley\nAcorn').groups).toBeNull();
    expect(readListing('Dry:\n- Barley\n- Poppy\nMoist:\n1. Acorn').groups).toEqual([
      { heading: 'Dry', entries: ['Barley', 'Poppy'] },
      { heading: 'Moist', entries: ['Acorn'] },
    ]);
    expect(readListing('Dry\nBarley\nPoppy\n\nMoist\nAcorn').groups?.map(({ entries }) => entries.length)).toEqual([
      2, 1,
    ]);
    expect(readListing('Dry\tMoist\nBarley\tAcorn\nPoppy\t').groups).toEqual([
      { heading: 'Dry', entries: ['Barley', 'Poppy'] },
      { heading: 'Moist', entries: ['Acorn'] },
    ]);
    expect(readListing('Barley,Dry\nAcorn,Moist\nPoppy,Dry').groups).toEqual([
      { heading: 'Dry', entries: ['Barley', 'Poppy'] },
      { heading: 'Moist', entries: ['Acorn'] },
    ]);
    expect(readListing('"Barley, hulled",Dry\nAcorn,Moist').rows[0]).toEqual(['Barley, hulled', 'Dry']);
  });

  it('that says too little is refused with what it lacks', () => {
    const said = (kind: FromText, text: string) => {
      const proposed = propose(blank, kind, readListing(text));
      return proposed.ok ? '' : proposed.message;
    };
    expect(said('order', 'Only one')).toContain('two or more');
    expect(said('order', 'Dry\nDry')).toContain('stands there twice');
    expect(said('sort', 'Dry:\nBarley\nMoist:\nBarley')).toContain('Say where it belongs');
    expect(said('pick', 'Barley\tno\nOat\tno')).toContain('marked as right');
    expect(said('gaps', 'It is so.')).toContain('long enough');
    expect(said('label', '   ')).toContain('Paste');
  });
});

describe('a proposal', () => {
  const SOURCES: Record<FromText, string> = {
    sort: 'Stands drying:\nBarley\nPoppy\nMust stay moist:\nAcorn\nNeither:\nGravel',
    order: 'Weigh\nDry\nSeal\nFreeze',
    gaps: 'Seed is dried to fifteen percent\nIt is kept at minus twenty degrees',
    pick: 'Barley\tyes\nAcorn\tno\nPoppy\tyes',
    label: 'Root\tRadicle\nLeaf\tCotyledon',
  };
  it.each(FROM_TEXT)('for %s is a document that is valid, fits, and can be answered', (kind) => {
    const question = made(kind, SOURCES[kind]);
    expect(parseQuestion(JSON.parse(JSON.stringify(question)))).toMatchObject({ ok: true });
    expect(faults(question)).toEqual([]);
    const model = questionModel(question);
    const answer = modelAnswerOf(model, 2000, { now: () => performance.now() });
    expect(respond(model, { placements: answer })).toMatchObject({ ok: true, judged: { fullMarks: true } });
    // Nothing done is nothing earned in full.
    expect(respond(model, { drops: [] })).toMatchObject({ ok: true, judged: { fullMarks: false } });
  });

  it('of 1,000 random lists has no overflow and no overlap, in any layout', () => {
    const next = random(seedOf('lists'));
    const upTo = (n: number) => Math.floor(next() * n);
    const wrong: string[] = [];
    for (let i = 0; i < 1000; i++) {
      const kind = FROM_TEXT[upTo(FROM_TEXT.length)] as FromText;
      const layout = LAYOUTS[upTo(LAYOUTS.length)] as Layout;
      const word = (n: number) => `${WORDS[upTo(WORDS.length)]} ${n}`;
      const lines = Array.from({ length: 2 + upTo(18) }, (_, n) => word(n));
      const groups = 1 + upTo(7);
      const text =
        kind === 'sort'
          ? Array.from({ length: groups }, (_, g) =>
              [`${word(g)} group:`, ...Array.from({ length: 1 + upTo(9) }, (_, n) => word(g * 10 + n))].join('\n'),
            ).join('\n')
          : kind === 'gaps'
            ? lines.map((line) => `In the ${line} there is something`).join('\n')
            : kind === 'order'
              ? lines.join('\n')
              : lines
                  .map((line, n) => `${line}\t${kind === 'pick' ? (n % 2 === 0 ? 'yes' : 'no') : `name ${word(n)}`}`)
                  .join('\n');
      const found = faults(made(kind, text, layout));
      if (found.length > 0) wrong.push(`${i} ${kind} ${layout}: ${found[0]}`);
    }
    expect(wrong).toEqual([]);
  });

  it('can be laid out anew without its key changing', () => {
    const question = made('sort', SOURCES.sort);
    for (const layout of LAYOUTS) {
      const other = laidOut(question, layout);
      expect(other.key).toEqual(question.key);
      expect(other.items.map(({ id, label }) => [id, label])).toEqual(
        question.items.map(({ id, label }) => [id, label]),
      );
      expect(faults(other)).toEqual([]);
    }
  });

  it('for Order never begins rightly', () => {
    for (let n = 0; n < 200; n++) {
      const { start, key } = made('order', Array.from({ length: 2 + (n % 5) }, (_, i) => `Step ${n} ${i}`).join('\n'));
      // None of them is where it belongs.
      expect(start?.placements.filter(({ item }, i) => item === key[0]?.belongs?.[i])).toEqual([]);
      expect(start?.placements).toHaveLength(key[0]?.belongs?.length ?? -1);
    }
  });
});

describe('an example', () => {
  it.each(KINDS)('of %s is finished: valid, nothing in its way, and answerable', (kind) => {
    const question = exampleOf(kind, blank.id);
    expect(parseQuestion(JSON.parse(JSON.stringify(question)))).toMatchObject({ ok: true });
    expect(question.kind).toBe(kind);
    const model = questionModel(question);
    const proof = prove(model, 2000, { now: () => performance.now() });
    expect(proof.findings.filter(({ severity }) => severity !== 'note').map(({ code }) => code)).toEqual([]);
    expect(proof.solvable).toBe(true);
  });
});

describe('another kind', () => {
  const from = exampleOf('sort', blank.id);

  it('keeps the words, and says what it cannot keep', () => {
    const change = changedTo(from, 'pick');
    expect(change?.question.items.map(({ label }) => label).sort()).toEqual(
      from.items.map(({ label }) => label).sort(),
    );
    expect(change?.question.prompt).toEqual(from.prompt);
    expect(change?.lost).toEqual(['zones: “Stands drying”, “Must stay moist”']);
    // What belonged somewhere is right.
    expect(change?.question.key[0]?.belongs).toHaveLength(5);
  });

  it('that only lays out otherwise keeps everything', () => {
    for (const kind of ['free', 'mark', 'count', 'build'] as const)
      expect(changedTo(from, kind)).toEqual({ question: { ...from, kind }, lost: [] });
  });

  it('of which nothing can be made is none', () => {
    expect(changedTo({ ...from, key: [], items: from.items.slice(0, 1) }, 'order')).toBeNull();
  });
});

describe('a gap', () => {
  const text = (question: Question) =>
    question.fixtures.flatMap((fixture) => (fixture.type === 'text' ? [plainText(fixture.text)] : [])).join('\n');
  const whole = { ...blank, fixtures: made('gaps', 'Seed is weighed before drying. Seed is sealed.').fixtures };
  const plain: Question = {
    ...blank,
    fixtures: whole.fixtures.map((fixture) =>
      fixture.type === 'text'
        ? {
            ...fixture,
            text: {
              blocks: [
                {
                  type: 'paragraph' as const,
                  dir: undefined,
                  runs: [{ text: 'Seed is weighed. Seed is sealed.' } as never],
                },
              ],
            },
          }
        : fixture,
    ),
  };

  it('is lifted out of a text with its words as an item, and put back as it was', () => {
    const lifted = liftOut(plain, 'text', { block: 0, from: 8, to: 16 });
    expect(text(lifted)).toBe('Seed is ___ Seed is sealed.');
    expect(lifted.items).toMatchObject([{ label: 'weighed.', copies: 1 }]);
    expect(lifted.key).toMatchObject([{ belongs: [lifted.items[0]?.id], need: { rule: 'exactly', n: 1 } }]);
    const back = putBack(lifted, lifted.zones[0]?.id as never);
    expect(text(back)).toBe('Seed is weighed. Seed is sealed.');
    expect([back.items, back.zones, back.key]).toEqual([[], [], []]);
  });

  it('of words that were lifted before shares their item, which then has two copies', () => {
    const one = liftOut(plain, 'text', { block: 0, from: 0, to: 4 });
    const two = liftOut(one, 'text', { block: 0, from: 14, to: 18 });
    expect(text(two)).toBe('___ is weighed. ___ is sealed.');
    expect(two.items).toMatchObject([{ label: 'Seed', copies: 2 }]);
    const back = putBack(two, two.zones[1]?.id as never);
    expect(text(back)).toBe('___ is weighed. Seed is sealed.');
    expect(back.items).toMatchObject([{ label: 'Seed', copies: 1 }]);
  });

  it('of a word that belongs nowhere yet, as after another text, takes that one', () => {
    const left = { ...plain, items: [newItem({ id: 'kept' as never, label: 'sealed', family: 'deeds' })] };
    const lifted = liftOut(left, 'text', { block: 0, from: 25, to: 31 });
    expect(text(lifted)).toBe('Seed is weighed. Seed is ___.');
    expect(lifted.items).toMatchObject([{ id: 'kept', copies: 1 }]);
    expect(lifted.zones).toMatchObject([{ family: 'deeds' }]);
    expect(lifted.key).toMatchObject([{ belongs: ['kept'] }]);
  });

  it('leaves the white space around its words where it was, and takes no gap into another', () => {
    const lifted = liftOut(plain, 'text', { block: 0, from: 4, to: 8 });
    expect(text(lifted)).toBe('Seed ___ weighed. Seed is sealed.');
    expect(liftOut(lifted, 'text', { block: 0, from: 0, to: 9 })).toBe(lifted);
    expect(liftOut(lifted, 'text', { block: 0, from: 4, to: 5 })).toBe(lifted);
  });
});

describe('An entry of an order that is fixed in its place', () => {
  const steps = made('order', 'Weigh\nDry\nSeal\nFreeze');
  const belongs = (question: Question) =>
    question.key[0]?.belongs?.map((id) => question.items.find((item) => item.id === id)?.label);

  it.each(['downThePage', 'alongALine'] as const)(
    'is a fixture before or after the zone, %s, and can be moved again',
    (way) => {
      const laid = way === 'downThePage' ? steps : alongALine(steps);
      const fixed = withFixed(withFixed(laid, 'first', true), 'last', true);
      expect(parseQuestion(fixed)).toMatchObject({ ok: true });
      expect(belongs(fixed)).toEqual(['Dry', 'Seal']);
      expect(fixed.items.map(({ label }) => label).sort()).toEqual(['Dry', 'Seal']);
      const named = fixed.fixtures.filter(({ type }) => type === 'text').map(({ label }) => label);
      expect(named).toEqual(['Weigh', 'Freeze']);
      const frames = fixed.fixtures.filter(({ type }) => type === 'shape');
      const zone = fixed.zones[0]?.shape as Extract<Question['zones'][number]['shape'], { type: 'rect' }>;
      const [first, last] = frames as readonly Box[] as [Box, Box];
      const [side, end] = way === 'downThePage' ? (['y', 'h'] as const) : (['x', 'w'] as const);
      expect(first[side] + first[end]).toBeLessThanOrEqual(zone[side]);
      expect(last[side]).toBeGreaterThanOrEqual(zone[side] + zone[end]);
      // Nothing is right from the start, and a third cannot be fixed: two have to be left.
      expect(respond(questionModel(fixed), { drops: [] })).toMatchObject({ ok: true, judged: { mark: 0 } });
      expect(canFix(fixed, 'first')).toBe(false);
      const loose = withFixed(withFixed(fixed, 'first', false), 'last', false);
      expect(belongs(loose)).toEqual(['Weigh', 'Dry', 'Seal', 'Freeze']);
      expect(loose.fixtures).toEqual([]);
    },
  );
});

describe('Pictures with the words of a stock list', () => {
  const pictures = ['Barley', 'Acorn'].map((word, i) => ({
    word,
    hash: `${i}`.repeat(64),
    description: `Picture of ${word}`,
    weight: 900,
  }));

  it.each(['sort', 'order', 'pick', 'label'] as const)(
    'are worn by the items of a %s question, all of one size, and nothing overlaps',
    (kind) => {
      const lines = ['Dry\tBarley', 'Moist\tAcorn', 'Frozen\tOat'].map((line) =>
        kind === 'label' ? line : line.replace(/^.*\t/, ''),
      );
      const question = withPictures(made(kind, lines.join('\n')), pictures);
      expect(parseQuestion(question)).toMatchObject({ ok: true });
      const worn = question.items.filter(({ content }) => content?.picture);
      expect(worn.map(({ label }) => label).sort()).toEqual(['Acorn', 'Barley']);
      expect(new Set(question.items.map(({ size }) => `${size.w} ${size.h}`)).size).toBe(1);
      expect(
        prove(questionModel(question), 1000, { now: () => 0 }).findings.filter(({ code }) =>
          ['overflow', 'unclearWinner', 'labelDoesNotFit'].includes(code),
        ),
      ).toEqual([]);
      expect(
        picturesOf(question)
          .map(({ word, hash }) => [word, hash])
          .sort(),
      ).toEqual(pictures.map(({ word, hash }) => [word, hash]).sort());
    },
  );
});

describe('An order of lines of code', () => {
  const code = made('order', 'for lot in lots:\n    dry(lot)\n    if test(lot):\n        freeze(lot)');
  const shown = (question: Question) =>
    question.key[0]?.belongs?.map((id) =>
      plainText(question.items.find((item) => item.id === id)?.content?.text ?? null),
    );

  it('keeps what is set in, and is wide enough for it', () => {
    expect(shown(code)).toEqual(['for lot in lots:', '    dry(lot)', '    if test(lot):', '        freeze(lot)']);
    expect(code.items.map(({ label }) => label).sort()).toEqual([
      'dry(lot)',
      'for lot in lots:',
      'freeze(lot)',
      'if test(lot):',
    ]);
    expect(parseQuestion(code)).toMatchObject({ ok: true });
    // 19 characters of 0.632 of 15 units.
    for (const { size } of code.items) expect(size.w).toBeGreaterThan(19 * 0.632 * 15);
  });

  it('can be words again, and code once more; what is fixed stays code', () => {
    expect(asCode(code, false).items.every(({ content }) => content === null)).toBe(true);
    expect(shown(asCode(asCode(code, false), true))).toEqual([
      'for lot in lots:',
      'dry(lot)',
      'if test(lot):',
      'freeze(lot)',
    ]);
    const fixed = withFixed(code, 'first', true);
    expect(shown(fixed)).toEqual(['    dry(lot)', '    if test(lot):', '        freeze(lot)']);
    expect(shown(withFixed(fixed, 'first', false))).toEqual(shown(code));
  });
});
