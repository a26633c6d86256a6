import { describe, expect, it } from 'vitest';
import { newQuestion } from './make';
import { parseQuestion, parseQuestionText } from './parse';
import { plainText, richFromPlain } from './plain';

const least = {
  format: 'vault-drop/question',
  version: 2,
  id: 'q',
  title: '',
  kind: 'sort',
  scene: { width: 960, height: 540 },
  marks: { max: 1, rule: 'perPlacement' },
};
const item = (more = {}) => ({ id: 'barley', size: { w: 100, h: 40 }, ...more });
const zone = (more = {}) => ({ id: 'dry', shape: { type: 'rect', x: 0, y: 0, w: 100, h: 100 }, ...more });

const problems = (value: unknown) => {
  const parsed = parseQuestion(value);
  return parsed.ok ? [] : parsed.problems;
};
const paths = (value: unknown) => problems(value).map(({ path }) => path);

describe('a question document', () => {
  it('says its language by a tag, and that of a title or a label that is in another', () => {
    const said = {
      ...least,
      lang: 'pt-BR',
      titleLang: 'la',
      items: [item({ lang: 'sr-Latn' })],
      zones: [zone({ lang: null })],
    };
    expect(problems(said)).toEqual([]);
    expect(paths({ ...said, lang: 'English, please' })).toEqual(['lang']);
    expect(paths({ ...said, items: [item({ lang: '"><i' })] })).toEqual(['items[0].lang']);
    expect(paths({ ...said, titleLang: 3 })).toEqual(['titleLang']);
  });

  it('is complete with its defaults once it is read', () => {
    const parsed = parseQuestion({
      ...least,
      items: [item()],
      zones: [zone()],
      key: [{ zone: 'dry', belongs: ['barley'], need: { rule: 'all' } }],
    });
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    expect(parsed.question).toMatchObject({
      tries: null,
      judging: 'onCheck',
      afterMiss: 'leave',
      items: [{ label: '', rotation: 0, copies: 1, family: null, value: null, home: null }],
      zones: [
        {
          rotation: 0,
          reach: { rule: 'share', share: 0.5 },
          welcome: 'anyone',
          capacity: null,
          whenFull: 'refuse',
          settle: { rule: 'asDropped' },
          floor: false,
        },
      ],
      key: [{ sum: null, sequence: false, weight: null }],
      marks: {
        extraCosts: 1,
        misplacedCosts: 0,
        tryCosts: 0,
        sequenceRule: 'exactPosition',
        places: 2,
        tryCounts: 'best',
      },
    });
  });

  it('may be a draft without anything on it', () => {
    expect(parseQuestion(least).ok).toBe(true);
    expect(parseQuestion(newQuestion('q', 'New')).ok).toBe(true);
  });

  it('leaves the value it was read from as it was', () => {
    const value = { ...least, items: [item()] };
    const before = structuredClone(value);
    parseQuestion(value);
    expect(value).toEqual(before);
  });

  it.each([
    ['a field that is not known', { ...least, colour: 'red' }, ['colour']],
    ['two fields that are not known', { ...least, items: [item({ a: 1, b: 2 })] }, ['items[0].a', 'items[0].b']],
    ['a number in quotes', { ...least, items: [item({ rotation: '5' })] }, ['items[0].rotation']],
    ['null where null is not the default', { ...least, judging: null }, ['judging']],
    ['a size of 0', { ...least, items: [item({ size: { w: 0, h: 1 } })] }, ['items[0].size.w']],
    [
      'a share above 1',
      { ...least, zones: [zone({ reach: { rule: 'share', share: 1.5 } })] },
      ['zones[0].reach.share'],
    ],
    [
      'a share with another rule',
      { ...least, zones: [zone({ reach: { rule: 'touch', share: 0.5 } })] },
      ['zones[0].reach.share'],
    ],
    ['a shape of no kind', { ...least, zones: [zone({ shape: { type: 'star' } })] }, ['zones[0].shape.type']],
    ['no shape at all', { ...least, zones: [{ id: 'dry' }] }, ['zones[0].shape']],
    ['an id used twice', { ...least, items: [item(), item()] }, ['items[1].id']],
    [
      'a key for a zone that is not there',
      { ...least, key: [{ zone: 'x', belongs: [], need: { rule: 'all' } }] },
      ['key[0].zone'],
    ],
    ['a key without a need', { ...least, zones: [zone()], key: [{ zone: 'dry', belongs: [] }] }, ['key[0].need']],
    [
      'min above max',
      { ...least, zones: [zone()], key: [{ zone: 'dry', belongs: [], need: { rule: 'between', min: 2, max: 1 } }] },
      ['key[0].need'],
    ],
    [
      'all of an endless item',
      {
        ...least,
        items: [item({ copies: 'endless' })],
        zones: [zone()],
        key: [{ zone: 'dry', belongs: ['barley'], need: { rule: 'all' } }],
      },
      ['key[0].need'],
    ],
    [
      'a polygon that crosses itself',
      {
        ...least,
        zones: [
          zone({
            shape: {
              type: 'polygon',
              points: [
                [0, 0],
                [10, 10],
                [10, 0],
                [0, 10],
              ],
            },
          }),
        ],
      },
      ['zones[0].shape.points'],
    ],
    ['a newer version', { ...least, version: 3 }, ['version']],
    [
      'what came with version 2',
      { ...least, version: 1, either: [], marks: { max: 1, rule: 'perZone', extraCosts: 1 } },
      ['either', 'marks.extraCosts'],
    ],
    ['another format', { ...least, format: 'other' }, ['format']],
    ['a list', [], ['']],
  ])('refuses %s, with its place', (_, value, expected) => {
    expect(paths(value)).toEqual(expected);
  });

  it('says what is wrong in a sentence', () => {
    expect(problems({ ...least, zones: [zone({ reach: { rule: 'share', share: 2 } })] })).toEqual([
      { path: 'zones[0].reach.share', message: 'Share has to be at most 1.' },
    ]);
    expect(problems({ ...least, version: 7 })[0]?.message).toContain('newer than the version 2');
  });
});

describe('hostile input', () => {
  it.each([
    ['nested 20,000 deep', '['.repeat(20_000) + ']'.repeat(20_000), /nested/],
    ['longer than 8 million characters', `"${'x'.repeat(9_000_000)}"`, /longer/],
    ['not JSON', '{', /not JSON/],
    ['with a NUL in its title', JSON.stringify({ ...least, title: 'a\0b' }), /NUL/],
    ['with __proto__', '{"format":"vault-drop/question","__proto__":{"kind":"sort"}}', /__proto__/],
    [
      'with 3,000 items',
      JSON.stringify({ ...least, items: Array.from({ length: 3000 }, () => ({})) }),
      /at most 600 entries/,
    ],
    [
      'with 20,000 unknown fields',
      JSON.stringify({ ...least, ...Object.fromEntries(Array.from({ length: 20_000 }, (_, i) => [`f${i}`, 1])) }),
      /more than 10000 entries/,
    ],
    [
      'with half a million values',
      JSON.stringify({ ...least, hints: Array.from({ length: 100 }, () => Array(5000).fill(0)) }),
      /more than 400000 values/,
    ],
    [
      'with an item named as what nothing accepts',
      JSON.stringify({ ...least, items: [item({ id: '?' })] }),
      /reserved/,
    ],
    ['with a number beyond double', JSON.stringify(least).replace('960', '1e999'), /finite/],
  ])('%s is refused with a sentence', (_, text, sentence) => {
    const parsed = parseQuestionText(text);
    expect(parsed.ok ? '' : parsed.problems[0]?.message).toMatch(sentence);
  });
});

describe('rich text', () => {
  it('goes to plain text and back', () => {
    expect(plainText(richFromPlain('Move each seed.\n\nTwo stay.'))).toBe('Move each seed.\n\nTwo stay.');
    expect(richFromPlain(' \n ')).toBeNull();
  });
});
