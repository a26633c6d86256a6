import { randomUUID } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sought, VAULT_PAGE } from '../src/contract';
import { type Edit, type Question, setQuestion } from '../src/core';
import type { As, Teacher } from '../src/server/context';
import { question, questionWords } from '../src/server/database/tables';
import { queryOf } from '../src/server/http/endpoint';
import { readMedium, storeMedium } from '../src/server/media/media';
import { publish } from '../src/server/releases/publish';
import { listTags, listVault, usesOf } from '../src/server/vault/listing';
import { changeMany, copyQuestion, editQuestion, emptyBin, openQuestion, saveNew } from '../src/server/vault/questions';
import { makeSet, openSet, saveSet } from '../src/server/vault/sets';
import { changeShelf, listShelves, makeShelf, removeShelf, shareShelf } from '../src/server/vault/shelves';
import { asMatch, wordsOf } from '../src/server/vault/words';
import { course, inOrder, must, seeds, teacher, testApp } from './support/app';

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

const kept = async (
  as: As<Teacher>,
  title: string,
  more: Partial<Question> = {},
  shelfId: string | null = null,
): Promise<string> => {
  const id = randomUUID();
  must(await saveNew(as, seeds({ id, title, ...more }), shelfId));
  return id;
};
const shelf = async (as: As<Teacher>, title: string, parentId: string | null = null): Promise<string> =>
  must(await makeShelf(as, { id: randomUUID(), title, parentId })).id;
const titles = async (as: As<Teacher>, sought: Parameters<typeof listVault>[1] = {}) =>
  (await listVault(as, sought)).rows.map(({ title }) => title).sort();

describe('what is looked for', () => {
  it('is found in titles and in the words of items and zones, without regard to accents, the last word as it is begun', async () => {
    await kept(odile, 'Which can be dried?');
    await kept(odile, 'Séchage');
    await kept(fern, 'Another’s drying');
    expect(await titles(odile, { words: 'sech' })).toEqual(['Séchage']);
    // An item of the document that both are made of.
    expect(await titles(odile, { words: 'BARL' })).toEqual(['Séchage', 'Which can be dried?']);
    expect(await titles(odile, { words: 'dried barley' })).toEqual(['Which can be dried?']);
    expect(await titles(odile, { words: 'bar dried' })).toEqual([]);
    for (const words of ['"', 'NEAR(', 'title:x', "'; drop table question --", '*', '-'])
      await expect(listVault(odile, { words })).resolves.toBeDefined();
  });

  it('is found by words alone: what its looks are called and coloured is none', async () => {
    const looks = {
      plaster: { name: 'Plaster', of: 'zone', states: { rest: { text: 'brick' } } },
    } as unknown as Question['looks'];
    await kept(odile, 'On plaster', { looks });
    expect(await titles(odile, { words: 'brick' })).toEqual([]);
    expect(await titles(odile, { words: 'plaster' })).toEqual(['On plaster']);
    expect(await titles(odile, { words: 'barley' })).toEqual(['On plaster']);
  });

  it('is found by what the document says now, not what it said', async () => {
    const id = await kept(odile, 'First title');
    must(
      await editQuestion(odile, id, {
        id: randomUUID(),
        from: 1,
        edits: setQuestion(seeds({ title: 'First title' }), 'title', 'Second name') as Edit[],
      }),
    );
    expect(await titles(odile, { words: 'first' })).toEqual([]);
    expect(await titles(odile, { words: 'second' })).toEqual(['Second name']);
    await changeMany(odile, { ids: [id], deleted: true });
    must(await emptyBin(odile));
    expect(await odile.db.select().from(questionWords)).toEqual([]);
    expect(await titles(odile, { words: 'second' })).toEqual([]);
  });

  it('is narrowed by kind, findings, use, tag and shelf, and comes in pages', async () => {
    const here = await shelf(odile, 'Drying');
    const sound = await kept(odile, 'Sound', {}, here);
    const faulty = await kept(odile, 'Faulty', { key: [] });
    await kept(odile, 'Order', { kind: 'order' });
    must(await changeMany(odile, { ids: [sound, faulty], addTags: ['week 3', 'drying'] }));
    must(await changeMany(odile, { ids: [faulty], removeTags: ['week 3'] }));
    expect(await titles(odile, { kind: 'order' })).toEqual(['Order']);
    expect(await titles(odile, { findings: 'error' })).toEqual(['Faulty']);
    expect(await titles(odile, { tag: 'week 3' })).toEqual(['Sound']);
    expect(await titles(odile, { words: 'week' })).toEqual(['Sound']);
    expect(await listTags(odile)).toEqual([
      { tag: 'drying', questions: 2 },
      { tag: 'week 3', questions: 1 },
    ]);
    expect(await titles(odile, { shelf: here })).toEqual(['Sound']);
    const elsewhere = await shelf(odile, 'Elsewhere');
    const { stood } = must(await changeMany(odile, { ids: [sound, faulty], shelfId: elsewhere }));
    expect(stood).toEqual(
      expect.arrayContaining([
        { shelfId: here, ids: [sound] },
        { shelfId: null, ids: [faulty] },
      ]),
    );
    expect(must(await changeMany(odile, { ids: [sound, faulty], shelfId: elsewhere })).stood).toEqual([]);
    for (const { shelfId, ids } of stood) must(await changeMany(odile, { ids, shelfId }));
    expect(await titles(odile, { shelf: here })).toEqual(['Sound']);
    expect(await titles(odile, { shelf: 'none' })).toEqual(['Faulty', 'Order']);
    must(await makeSet(odile, here, 'A set'));
    must(await saveSet(odile, here, { title: 'A set', goBack: true, sections: inOrder([faulty]) }));
    expect(await titles(odile, { use: 'used' })).toEqual(['Faulty']);
    expect(await titles(odile, { use: 'unused' })).toEqual(['Order', 'Sound']);
    for (let i = 0; i < VAULT_PAGE; i++) await kept(odile, `Many ${i}`);
    const [vaultPage, two] = [
      await listVault(odile, { words: 'many', sort: 'title' }),
      await listVault(odile, { sort: 'title', from: VAULT_PAGE }),
    ];
    expect([vaultPage.total, vaultPage.rows.length, two.total, two.rows.length]).toEqual([
      VAULT_PAGE,
      VAULT_PAGE,
      VAULT_PAGE + 3,
      3,
    ]);
  });

  it('is refused where the address asks for what there is not', () => {
    expect(queryOf(new URLSearchParams('kind=puzzle&from=-1&use=never'), sought)).toMatchObject({
      ok: false,
      problems: expect.arrayContaining(['from', 'kind', 'use'].map((path) => expect.objectContaining({ path }))),
    });
    expect(queryOf(new URLSearchParams('words=bean&from=50'), sought)).toMatchObject({
      ok: true,
      value: { words: 'bean', from: 50 },
    });
    expect([asMatch('dry seed'), asMatch(' ?! ')]).toEqual(['"dry" "seed"*', null]);
    expect(wordsOf(seeds({}))).toBe('dry moist barley poppy acorn gravel');
  });
});

describe('shelves', () => {
  it('stand on one another, never on themselves; what stood on one that is taken away stands where it stood', async () => {
    const top = await shelf(odile, 'Top');
    const inner = await shelf(odile, 'Inner', top);
    const deep = await shelf(odile, 'Deep', inner);
    expect(await changeShelf(odile, top, { parentId: deep })).toMatchObject({ ok: false, code: 'invalid' });
    expect(await changeShelf(odile, top, { parentId: top })).toMatchObject({ ok: false });
    const [left, right] = [await shelf(odile, 'Left'), await shelf(odile, 'Right')];
    const ontoEachOther = await Promise.all([
      changeShelf(odile, left, { parentId: right }),
      changeShelf(odile, right, { parentId: left }),
    ]);
    expect(ontoEachOther.filter((result) => result.ok)).toHaveLength(1);
    expect(
      (await listShelves(odile)).filter(({ id, parentId }) => parentId === null && [left, right].includes(id)),
    ).toHaveLength(1);
    for (const id of [left, right]) must(await removeShelf(odile, id));
    expect(await makeShelf(fern, { id: randomUUID(), title: 'On another’s', parentId: top })).toMatchObject({
      ok: false,
      code: 'notFound',
    });
    const id = await kept(odile, 'On the inner one', {}, inner);
    expect(must(await removeShelf(odile, inner))).toEqual({ questions: [id], shelves: [deep] });
    expect((await listShelves(odile)).map(({ title, parentId, questions }) => [title, parentId, questions])).toEqual([
      ['Deep', top, 0],
      ['Top', null, 1],
    ]);
    expect(await removeShelf(fern, top)).toEqual({ ok: true, value: { questions: [], shelves: [] } });
    expect(await listShelves(fern)).toEqual([]);
  });

  it('are shared with what stands on them, for as much as was said: to see, to use, to change', async () => {
    const top = await shelf(odile, 'Shared');
    const inner = await shelf(odile, 'Inner', top);
    const id = await kept(odile, 'For colleagues', {}, inner);
    const other = await kept(odile, 'On no shelf');
    const edit = {
      id: randomUUID(),
      from: 1,
      edits: setQuestion(seeds({ title: 'For colleagues' }), 'title', 'Changed') as Edit[],
    };
    const set = randomUUID();
    must(await makeSet(fern, set, 'Fern’s'));
    const uses = () => saveSet(fern, set, { title: 'Fern’s', goBack: true, sections: inOrder([id]) });

    expect(await openQuestion(fern, id)).toMatchObject({ ok: false, code: 'notFound' });
    must(await shareShelf(odile, top, { username: 'FERN ', right: 'see' }));
    expect(await openQuestion(fern, id)).toMatchObject({ ok: true, value: { access: 'see' } });
    expect(await openQuestion(fern, other)).toMatchObject({ ok: false });
    expect(await titles(fern)).toEqual(['For colleagues']);
    expect([
      (await copyQuestion(fern, id, randomUUID())).ok,
      (await uses()).ok,
      await editQuestion(fern, id, edit),
    ]).toMatchObject([true, false, { code: 'notAllowed' }]);

    must(await shareShelf(odile, top, { username: 'fern', right: 'use' }));
    must(await uses());
    must(await publish(fern, { id: randomUUID(), courseId: await course(fern), setId: set }));
    expect(must(await usesOf(odile, id))).toMatchObject({
      sets: [{ title: 'Fern’s', by: 'fern', mine: false }],
      releases: [{ title: 'Fern’s', by: 'fern' }],
    });
    expect(
      (await listVault(fern, { words: 'colleagues' })).rows.filter(({ access }) => access !== 'own'),
    ).toMatchObject([{ access: 'use', owner: 'odile' }]);
    expect(await editQuestion(fern, id, edit)).toMatchObject({ code: 'notAllowed' });

    must(await shareShelf(odile, inner, { username: 'fern', right: 'edit' }));
    must(await editQuestion(fern, id, edit));
    // A picture they add reaches the owner, and everybody who gets it from them.
    const leaf = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><path d="M0 0h9"/></svg>');
    const { hash } = must(
      await storeMedium(fern, {
        name: 'leaf.svg',
        claimed: 'image/svg+xml',
        bytes: leaf,
        room: { width: 10, height: 10 },
      }),
    );
    const to = {
      hash,
      kind: 'picture',
      description: 'A leaf',
      decorative: false,
      source: '',
      licence: '',
      weight: 9,
      captions: null,
    };
    const adding = {
      id: randomUUID(),
      from: 2,
      edits: [{ type: 'name', in: 'media', name: 'leaf', from: null, to }],
    } as unknown as typeof edit;
    must(await editQuestion(fern, id, adding));
    expect(await readMedium(odile, hash)).toMatchObject({ ok: true });
    expect(
      await editQuestion(fern, id, {
        ...adding,
        id: randomUUID(),
        from: 3,
        edits: [{ type: 'name', in: 'media', name: 'gone', from: null, to: { ...to, hash: 'e'.repeat(64) } }],
      } as unknown as typeof edit),
    ).toMatchObject({
      ok: false,
      code: 'invalid',
      problems: [{ path: 'media' }],
    });
    // Whatever they may do with it, it is its owner's to move, tag and delete.
    expect(must(await changeMany(fern, { ids: [id], deleted: true, addTags: ['mine'] }))).toEqual({
      changed: [],
      stood: [],
    });
    expect(await openQuestion(odile, id)).toMatchObject({
      ok: true,
      value: { question: { title: 'Changed' }, access: 'own' },
    });

    expect(must(await openSet(fern, set))).toMatchObject({ gone: 0, sections: [{ questions: [{ id }] }] });
    for (const shelfId of [top, inner]) must(await shareShelf(odile, shelfId, { username: 'fern', right: null }));
    expect(must(await openSet(fern, set))).toMatchObject({ gone: 1, sections: [{ questions: [] }] });
    expect(await openQuestion(fern, id)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await shareShelf(odile, top, { username: 'nobody', right: 'see' })).toMatchObject({
      ok: false,
      code: 'invalid',
    });
    expect(await shareShelf(fern, top, { username: 'fern', right: 'edit' })).toMatchObject({
      ok: false,
      code: 'notFound',
    });
  });
});

it('the bin gives back what lies in it, until it is emptied; twice is once', async () => {
  const [a, b] = [await kept(odile, 'A'), await kept(odile, 'B')];
  for (let i = 0; i < 2; i++) must(await changeMany(odile, { ids: [a, b], deleted: true }));
  expect([await titles(odile), await titles(odile, { shelf: 'bin' }), await titles(fern, { shelf: 'bin' })]).toEqual([
    [],
    ['A', 'B'],
    [],
  ]);
  must(await changeMany(odile, { ids: [a], deleted: false }));
  expect(must(await emptyBin(fern))).toEqual({ questions: 0 });
  expect(must(await emptyBin(odile))).toEqual({ questions: 1 });
  expect((await odile.db.select({ id: question.id }).from(question)).map(({ id }) => id)).toEqual([a]);
});
