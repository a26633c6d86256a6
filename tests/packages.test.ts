import { randomUUID } from 'node:crypto';
import { deflateRawSync } from 'node:zlib';
import { strToU8, unzipSync, type Zippable, zipSync } from 'fflate';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { pack, unpack } from '../src/formats/package';
import type { As, Teacher } from '../src/server/context';
import { storeMedium } from '../src/server/media/media';
import { listVault } from '../src/server/vault/listing';
import { carriedQuestions } from '../src/server/vault/packages';
import { changeMany, openQuestion, saveNew } from '../src/server/vault/questions';
import { makeSet, openSet, saveSet } from '../src/server/vault/sets';
import { listShelves, makeShelf } from '../src/server/vault/shelves';
import { must, seeds, teacher, testApp } from './support/app';
import { exported, imported, lookedAt } from './support/packages';

let done: () => void;
let odile: As<Teacher>;
let fern: As<Teacher>;
beforeEach(async () => {
  const at = await testApp();
  done = at.done;
  odile = await teacher(at.app, 'odile');
  fern = await teacher(at.app, 'fern');
});
afterEach(() => done());

const SVG = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10" width="10" height="10"><rect width="10" height="10"/></svg>',
);

/** A shelf with one on it, a question on each with a picture and a tag, and a set of both with a source. */
async function vault(as: As<Teacher>) {
  const { hash, weight } = must(
    await storeMedium(as, { name: 'ear.svg', claimed: 'image/svg+xml', bytes: SVG, room: { width: 100, height: 100 } }),
  );
  const top = must(await makeShelf(as, { id: randomUUID(), title: 'Top', parentId: null })).id;
  const inner = must(await makeShelf(as, { id: randomUUID(), title: 'Inner', parentId: top })).id;
  const media = { ear: { hash, kind: 'picture', description: 'An ear', weight } } as never;
  const ids = [randomUUID(), randomUUID()] as [string, string];
  must(await saveNew(as, seeds({ id: ids[0], title: 'First', media }), top));
  must(await saveNew(as, seeds({ id: ids[1], title: 'Second' }), inner));
  must(await changeMany(as, { ids: [ids[0]], addTags: ['week 1'] }));
  const set = randomUUID();
  must(await makeSet(as, set, 'Both'));
  const source = {
    id: randomUUID(),
    title: 'Beside',
    text: '',
    medium: { hash, kind: 'picture' as const, description: '' },
    captions: '',
    questions: [ids[1]],
  };
  must(
    await saveSet(as, set, {
      title: 'Both',
      goBack: false,
      sections: [{ title: 'One', draw: null, questions: ids.map((one) => ({ id: one, points: 2 })) }],
      sources: [source],
    }),
  );
  return { top, inner, ids, set, hash };
}

describe('a package', () => {
  it('of a shelf comes in whole for a colleague: shelves, questions, tags and media, under ids of its own', async () => {
    const was = await vault(odile);
    const { bytes, name } = must(await exported(odile, { shelf: was.top }));
    expect(name).toBe('Top');
    const id = randomUUID();
    const report = must(await imported(fern, id, bytes));
    expect(report).toMatchObject({
      shelves: 2,
      questions: [{ title: 'First' }, { title: 'Second' }],
      sets: [],
      media: 1,
      left: [],
    });
    const shelves = await listShelves(fern);
    expect(shelves.map(({ title, questions, parentId }) => [title, questions, parentId === null])).toEqual([
      ['Inner', 1, false],
      ['Top', 1, true],
    ]);
    const rows = (await listVault(fern, { sort: 'title' })).rows;
    expect(rows).toMatchObject([
      { title: 'First', tags: ['week 1'], access: 'own' },
      { title: 'Second', tags: [] },
    ]);
    for (const row of rows) expect(was.ids).not.toContain(row.id);
    expect(must(await openQuestion(fern, rows[0]?.id ?? '')).question.media).toMatchObject({ ear: { hash: was.hash } });
    // Sent again: once. Under another id: once more, beside what is there.
    must(await imported(fern, id, bytes));
    expect((await listVault(fern, {})).total).toBe(2);
    must(await imported(fern, randomUUID(), bytes));
    expect((await listVault(fern, {})).total).toBe(4);
    expect((await listVault(odile, {})).total).toBe(2);
  });

  it('of a set brings its questions and sources', async () => {
    const was = await vault(odile);
    const report = must(await imported(fern, randomUUID(), must(await exported(odile, { set: was.set })).bytes));
    expect(report).toMatchObject({ questions: { length: 2 }, sets: [{ title: 'Both' }], left: [] });
    expect(must(await openSet(fern, report.sets[0]?.id ?? ''))).toMatchObject({
      goBack: false,
      sections: [
        {
          title: 'One',
          draw: null,
          questions: [
            { title: 'First', points: 2 },
            { title: 'Second', points: 2 },
          ],
        },
      ],
      sources: [{ title: 'Beside', medium: { hash: was.hash }, questions: [report.questions[1]?.id] }],
    });
  });

  it('is looked at before anything is taken: each question with its kind and what its picture shows', async () => {
    const was = await vault(odile);
    const looked = must(await lookedAt(fern, must(await exported(odile, { shelf: was.top })).bytes));
    expect(looked).toMatchObject({
      form: 'own',
      shelves: 2,
      sets: [],
      left: [],
      questions: [
        { title: 'First', kind: 'sort', refused: null, approximations: [], question: { title: 'First' } },
        { title: 'Second', kind: 'sort', refused: null },
      ],
    });
    expect(looked.pictures[was.hash]).toMatch(/^data:image\/webp;base64,/);
    expect(Object.keys(looked.pictures)).toEqual([was.hash]);
    expect((await listVault(fern, {})).total).toBe(0);
    expect(await listShelves(fern)).toEqual([]);
  });

  it('comes in as far as it is ticked, with the shelves and media of that alone', async () => {
    const was = await vault(odile);
    const { bytes } = must(await exported(odile, { shelf: was.top }));
    expect(must(await imported(fern, randomUUID(), bytes, { questions: '1' }))).toMatchObject({
      questions: [{ title: 'Second' }],
      shelves: 2,
      media: 0,
    });
    expect(must(await imported(fern, randomUUID(), bytes, { questions: '0' }))).toMatchObject({
      questions: [{ title: 'First' }],
      shelves: 1,
      media: 1,
    });
    expect(must(await imported(fern, randomUUID(), bytes, { questions: 'none' }))).toMatchObject({
      questions: [],
      shelves: 0,
    });
    const set = must(await exported(odile, { set: was.set })).bytes;
    const partly = must(await imported(fern, randomUUID(), set, { questions: '0-0' }));
    expect(must(await openSet(fern, partly.sets[0]?.id ?? '')).sections).toMatchObject([
      { questions: [{ title: 'First' }] },
    ]);
    expect(must(await imported(fern, randomUUID(), set, { sets: 'none' })).sets).toEqual([]);
  });

  it('of a set comes home through QTI: its sections, what is drawn of them, and the points', async () => {
    const ids = Array.from({ length: 4 }, () => randomUUID());
    for (const [i, id] of ids.entries()) must(await saveNew(odile, seeds({ id, title: `Number ${i}` }), null));
    const set = randomUUID();
    must(await makeSet(odile, set, 'Drawn'));
    const sections = [
      { title: 'Each', draw: null, questions: ids.slice(0, 2).map((id, i) => ({ id, points: i === 0 ? 7 : null })) },
      {
        title: 'One of two',
        draw: { count: 1, points: 5 },
        shuffled: true,
        questions: ids.slice(2).map((id) => ({ id, points: null })),
      },
    ];
    must(await saveSet(odile, set, { title: 'Drawn', goBack: false, sections }));
    const { bytes } = must(await exported(odile, { set }, 'qti'));
    expect(must(await lookedAt(fern, bytes))).toMatchObject({
      form: 'qti',
      questions: ids.map((_, i) => ({ title: `Number ${i}` })),
      sets: [{ title: 'Drawn', questions: 4, approximations: [] }],
    });
    const id = randomUUID();
    const report = must(await imported(fern, id, bytes));
    expect(report).toMatchObject({ left: [], approximated: [], sets: [{ title: 'Drawn' }] });
    expect(must(await imported(fern, id, bytes)).sets).toEqual(report.sets);
    const [first, second, third, fourth] = report.questions.map((question) => question.id);
    expect(must(await openSet(fern, report.sets[0]?.id ?? ''))).toMatchObject({
      title: 'Drawn',
      goBack: false,
      sections: [
        {
          title: 'Each',
          draw: null,
          questions: [
            { id: first, points: 7 },
            { id: second, points: null },
          ],
        },
        {
          title: 'One of two',
          draw: { count: 1, points: 5 },
          shuffled: true,
          questions: [{ id: third }, { id: fourth }],
        },
      ],
    });
  });

  it('holds only what its maker may use', async () => {
    const was = await vault(odile);
    expect(await exported(fern, { shelf: was.top })).toMatchObject({ ok: false, code: 'notFound' });
    expect(await exported(fern, { set: was.set })).toMatchObject({ ok: false, code: 'notFound' });
    expect(await exported(fern, { questions: was.ids })).toMatchObject({ ok: false, code: 'notFound' });
  });
});

describe('what comes in from outside', () => {
  const manifest = (questions: unknown[], more = {}) =>
    strToU8(JSON.stringify({ format: 'vault-drop/package', version: 1, shelves: [], questions, sets: [], ...more }));
  const zip = (files: Zippable) => zipSync(files);

  it('is refused with a sentence where it is no package', async () => {
    for (const [bytes, words] of [
      [strToU8('not a zip'), /no zip/],
      [zip({ 'other.json': strToU8('{}') }), /no package/],
      [zip({ 'package.json': strToU8('{"format":"vault-drop/package","version":2}') }), /newer version/],
    ] as const)
      expect(await imported(fern, randomUUID(), bytes)).toMatchObject({
        ok: false,
        code: 'notTaken',
        problems: [{ message: expect.stringMatching(words) }],
      });
  });

  it('leaves out what is faulty, says why, and takes the rest', async () => {
    const good = strToU8(JSON.stringify(seeds({ title: 'Good' })));
    const bad = strToU8(JSON.stringify({ ...seeds({ title: 'Bad' }), items: 'none' }));
    const hash = 'c'.repeat(64);
    const scripted = strToU8(
      JSON.stringify(
        seeds({ title: 'Scripted', media: { pic: { hash, kind: 'picture', description: 'x' } } as never }),
      ),
    );
    const bytes = zip({
      'package.json': manifest(
        ['questions/1.json', 'questions/2.json', 'questions/3.json', 'questions/4.json'].map((file) => ({
          file,
          tags: [1, ' a '],
          shelfId: 'nowhere',
        })),
      ),
      'questions/1.json': good,
      'questions/2.json': bad,
      'questions/3.json': scripted,
      [`media/${hash}.svg`]: strToU8(
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>',
      ),
      '../../escaped.json': strToU8('{}'),
    });
    const report = must(await imported(fern, randomUUID(), bytes));
    expect(report.questions).toMatchObject([{ title: 'Good' }]);
    expect(report.left.map(({ file }) => file)).toEqual([
      'questions/4.json',
      expect.stringMatching(/^media\//),
      'questions/2.json',
      'questions/3.json',
    ]);
    expect(report.left.map(({ message }) => message).join(' ')).toMatch(
      /missing, or not JSON.*hides script.*items.*did not come in/s,
    );
    expect((await listVault(fern, {})).rows).toMatchObject([{ title: 'Good', tags: ['a'], shelfId: null }]);
  });

  const chunks = (bytes: Uint8Array) => [bytes.subarray(0, 30), bytes.subarray(30)];

  it('is unpacked no further than there may be: what is inflated is counted, whatever the file says of itself', () => {
    const large = zip({ 'package.json': manifest([]), 'questions/1.json': new Uint8Array(6_000_000) });
    expect(unpack(chunks(large), () => {})).toEqual({
      ok: false,
      message: 'There is more in this file than may be taken at once.',
    });
    let kept = 0;
    // A file of one part that says it has ten bytes. Node's own deflate makes it in a tenth of the time.
    const film = zip({ [`media/${'a'.repeat(64)}.webm`]: [new Uint8Array(10), { level: 0 }] });
    const start = 30 + new DataView(film.buffer, film.byteOffset).getUint16(26, true);
    const deflated = deflateRawSync(new Uint8Array(320_000_000), { level: 1 });
    new DataView(film.buffer, film.byteOffset).setUint16(8, 8, true);
    new DataView(film.buffer, film.byteOffset).setUint32(18, deflated.length, true);
    const bomb = Buffer.concat([film.subarray(0, start), deflated, film.subarray(start + 10)]);
    const pieces = Array.from({ length: Math.ceil(bomb.length / 4096) }, (_, i) =>
      bomb.subarray(4096 * i, 4096 * (i + 1)),
    );
    expect(unpack(pieces, (_, bytes) => (kept += bytes.length))).toEqual({
      ok: false,
      message: 'There is more in this file than may be taken at once.',
    });
    expect(kept).toBeGreaterThan(290_000_000);
    expect(kept).toBeLessThan(310_000_000);
  });

  it('is refused where its list of parts names one part many times', () => {
    const one = zip({ 'package.json': manifest([]) });
    const end = one.length - 22;
    const directory = one.subarray(new DataView(one.buffer, one.byteOffset).getUint32(end + 16, true), end);
    const many = new Uint8Array(one.length + 999 * directory.length);
    many.set(one.subarray(0, end));
    for (let i = 0; i < 999; i++) many.set(directory, end + i * directory.length);
    many.set(one.subarray(end), end + 999 * directory.length);
    new DataView(many.buffer).setUint16(many.length - 22 + 8, 1000, true);
    new DataView(many.buffer).setUint16(many.length - 22 + 10, 1000, true);
    expect(unpack(chunks(many), () => {})).toEqual({
      ok: false,
      message: 'This file is broken: its list of parts is not of the parts that are in it.',
    });
  });

  it('has no more shelves and questions than are taken at once', async () => {
    const shelves = Array.from({ length: 3000 }, (_, i) => ({
      id: `s${i}`,
      title: `Shelf ${i}`,
      parentId: i === 0 ? null : `s${i - 1}`,
    }));
    const bytes = zip({ 'package.json': manifest([], { shelves }) });
    expect(await imported(fern, randomUUID(), bytes)).toMatchObject({
      ok: false,
      code: 'notTaken',
      problems: [{ message: 'At most 500 shelves are taken at once.' }],
    });
    // Deep, in a circle, or upon one that is not there.
    const odd = zip({
      'package.json': manifest([], {
        shelves: [
          ...shelves.slice(0, 100),
          { id: 'a', title: 'A', parentId: 'b' },
          { id: 'b', title: 'B', parentId: 'a' },
          { id: 'c', title: 'C', parentId: 'nowhere' },
        ],
      }),
    });
    expect(must(await imported(fern, randomUUID(), odd)).shelves).toBe(103);
  });

  it('that we packed is read back as it was', async () => {
    const hash = 'a'.repeat(64);
    const made = {
      shelves: [{ id: 's', title: 'Top', parentId: null }],
      questions: [{ document: { a: 1 }, shelfId: 's', tags: ['t'] }],
      sets: [{ id: 'x', content: { title: 'S' } }],
    };
    async function* media() {
      yield { hash, bytes: new Uint8Array([1, 2, 3]), ending: 'png' };
    }
    const pieces: Uint8Array[] = [];
    await pack(made, media(), (piece) => pieces.push(piece));
    expect(Object.keys(unzipSync(Buffer.concat(pieces))).sort()).toEqual([
      `media/${hash}.png`,
      'package.json',
      'questions/1.json',
      'sets/1.json',
    ]);
    const kept: Uint8Array[] = [];
    expect(unpack(pieces, (_, bytes) => kept.push(bytes))).toEqual({
      ok: true,
      value: made,
      media: [{ hash, ending: 'png' }],
      problems: [],
    });
    expect([...Buffer.concat(kept)]).toEqual([1, 2, 3]);
  });
});

describe('as QTI', () => {
  it('goes out and comes home with its media, and says what cannot be carried', async () => {
    const { ids, hash } = await vault(odile);
    const drawn = randomUUID();
    const pools = [{ items: ['barley', 'poppy'], take: 1 }];
    must(await saveNew(odile, seeds({ id: drawn, title: 'Drawn', pools } as never), null));
    const what = { questions: [...ids, drawn] };
    expect(must(await carriedQuestions(odile, what))).toMatchObject([
      { id: ids[0], carried: true },
      { id: ids[1], carried: true },
      { id: drawn, carried: false, said: [{ path: 'pools' }] },
    ]);
    const packed = must(await exported(odile, what, 'qti'));
    const came = must(await imported(fern, randomUUID(), packed.bytes));
    expect(came).toMatchObject({ media: 1, left: [], approximated: [] });
    const first = came.questions.find(({ title }) => title === 'First');
    const { question } = must(await openQuestion(fern, first?.id ?? ''));
    expect(question.media).toMatchObject({ ear: { hash } });
    expect(await carriedQuestions(fern, what)).toMatchObject({ ok: false, code: 'notFound' });
  });

  it('a set goes out as a test: sections, draws, and weights that make marks points', async () => {
    const { set, ids } = await vault(odile);
    const packed = must(await exported(odile, { set }, 'qti'));
    const files = unzipSync(packed.bytes);
    const [name] = Object.keys(files).filter((file) => file.startsWith('set-'));
    const xml = new TextDecoder().decode(files[name ?? '']);
    const { question } = must(await openQuestion(odile, ids[0]));
    expect(xml).toContain('navigation-mode="linear"');
    expect(xml.match(/<qti-assessment-item-ref /g)).toHaveLength(2);
    expect(xml).toContain(`<qti-weight identifier="POINTS" value="${2 / question.marks.max}"/>`);
    const manifest = new TextDecoder().decode(files['imsmanifest.xml']);
    expect(manifest).toContain('type="imsqti_test_xmlv3p0"');
  });

  it('of another program comes in with what was approximated and what was left', async () => {
    const item = (identifier: string, body: string) =>
      `<qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="${identifier}" title="Two lots"
        adaptive="false" time-dependent="false"><qti-response-declaration identifier="RESPONSE" cardinality="multiple"
        base-type="pair"><qti-correct-response><qti-value>a b</qti-value></qti-correct-response>
        </qti-response-declaration><qti-item-body>${body}</qti-item-body></qti-assessment-item>`;
    const pair = `<qti-associate-interaction response-identifier="RESPONSE">
      <qti-simple-associable-choice identifier="a" match-max="1">Barley</qti-simple-associable-choice>
      <qti-simple-associable-choice identifier="b" match-max="1">Acorn</qti-simple-associable-choice>
      </qti-associate-interaction>`;
    const resource = (name: string) =>
      `<resource identifier="${name}" type="imsqti_item_xmlv3p0" href="${name}.xml"><file href="${name}.xml"/></resource>`;
    const bytes = zipSync({
      'imsmanifest.xml': strToU8(`<manifest><resources>${resource('one')}${resource('two')}</resources></manifest>`),
      'one.xml': strToU8(item('one', pair)),
      'two.xml': strToU8(item('two', '<qti-upload-interaction response-identifier="RESPONSE"/>')),
    });
    const id = randomUUID();
    const came = must(await imported(odile, id, bytes));
    expect(came).toMatchObject({
      questions: [{ title: 'Two lots' }],
      left: [{ file: 'two', message: expect.stringContaining('upload-interaction') }],
      approximated: [{ title: 'Two lots', message: expect.stringContaining('no sides') }],
    });
    // Sent again it is there once.
    expect(must(await imported(odile, id, bytes)).questions).toEqual(came.questions);
  });
});
