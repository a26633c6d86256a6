import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { oneRosterAccount } from '../src/server/database/tables';
import { oneRosterOut } from '../src/server/oneroster/marks';
import {
  listOutcomes,
  outcomesOf,
  outcomesOnMany,
  removeFramework,
  setOutcomes,
} from '../src/server/outcomes/outcomes';
import { takeOutcomes } from '../src/server/outcomes/take';
import { publish } from '../src/server/releases/publish';
import { masteryOfCourse, masteryOfRelease } from '../src/server/results/mastery';
import { finish } from '../src/server/sittings/finish';
import { exportPackage } from '../src/server/vault/packages';
import { copyQuestion, saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { course, inOrder, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let folder: string;
let done: () => void;
let as: As<Teacher>;
let other: As<Teacher>;
let files = 0;

beforeAll(async () => {
  ({ app, done, folder } = await testApp());
  as = await teacher(app, 'odile');
  other = await teacher(app, 'tamsin');
});
afterAll(() => done());

const stored = (text: string): string => {
  const file = join(folder, `outcomes-${++files}`);
  writeFileSync(file, text);
  return file;
};
const ids: Record<string, string> = { doc: randomUUID(), a: randomUUID(), a1: randomUUID(), a2: randomUUID() };
const cfPackage = (items: Record<string, string>, title = 'Seeds') => {
  const node = (key: string) => ({ title: '', identifier: ids[key], uri: '' });
  return JSON.stringify({
    CFDocument: { identifier: ids.doc, title, creator: 'Tarn Hollow', uri: '' },
    CFItems: Object.entries(items).map(([key, fullStatement]) => ({
      ...{ identifier: ids[key], fullStatement, humanCodingScheme: key.toUpperCase(), uri: '' },
    })),
    CFAssociations: Object.keys(items)
      .filter((key) => key.length > 1)
      .map((key, i) => ({
        ...{ associationType: 'isChildOf', originNodeURI: node(key), destinationNodeURI: node('a') },
        sequenceNumber: i,
      })),
  });
};
const ITEMS = { a: 'Keeps seeds', a1: 'Dries them', a2: 'Keeps them moist' };
const taken = async (text: string, more: object = {}) =>
  must(await takeOutcomes(as, stored(text), { take: true, ...more }));
const shown = async () => (await listOutcomes(as)).find(({ identifier }) => identifier === ids.doc);
const idOf = async (code: string) => (await shown())?.outcomes.find((row) => row.code === code)?.id ?? '';
const kept = async (more: object = {}) => {
  const question = seeds({ id: randomUUID(), ...more });
  must(await saveNew(as, question));
  return question.id as string;
};

describe('outcomes', () => {
  it('come in after they are told, and a second time change what changed', async () => {
    const first = must(await takeOutcomes(as, stored(cfPackage(ITEMS)), { take: false }));
    expect(first).toMatchObject({ frameworkId: null, title: 'Seeds', added: 3, changed: 0, taken: false });
    expect(await listOutcomes(as)).toEqual([]);
    expect(await taken(cfPackage(ITEMS))).toMatchObject({ added: 3, taken: true });
    const tree = await shown();
    expect(tree).toMatchObject({ title: 'Seeds', mine: true, by: 'odile' });
    expect(tree?.outcomes.map(({ code, parentId }) => [code, parentId])).toEqual([
      ['A', null],
      ['A1', tree?.outcomes[0]?.id],
      ['A2', tree?.outcomes[0]?.id],
    ]);
    expect(await taken(cfPackage(ITEMS))).toMatchObject({ added: 0, changed: 0, withdrawn: 0, removed: 0 });
    expect(await taken(cfPackage({ ...ITEMS, a1: 'Dries them well' }, 'Seeds, again'))).toMatchObject({ changed: 1 });
    expect(await shown()).toMatchObject({ title: 'Seeds, again' });
  });

  it('that are gone stay as withdrawn where a question has them, and go where none does', async () => {
    const [a1, question] = [await idOf('A1'), await kept()];
    expect(must(await setOutcomes(as, question, [a1]))).toEqual([a1]);
    expect(await taken(cfPackage({ a: 'Keeps seeds' }))).toMatchObject({ withdrawn: 1, removed: 1 });
    expect((await shown())?.outcomes.map(({ code, withdrawn, questions }) => [code, withdrawn, questions])).toEqual([
      ['A', false, 0],
      ['A1', true, 1],
    ]);
    // It comes back as the same one.
    await taken(cfPackage(ITEMS));
    expect(must(await outcomesOf(as, question))).toEqual([await idOf('A1')]);
    expect((await shown())?.outcomes.some(({ withdrawn }) => withdrawn)).toBe(false);
  });

  it('come as a list too, with a title; faults are told and nothing is taken', async () => {
    const id = randomUUID();
    const list = 'code,words,parent\nR,Reads labels,\nR.1,Names a seed,R\n';
    expect(must(await takeOutcomes(as, stored(list), { take: true, id })).problems).toEqual([
      { where: 'title', message: 'A list needs a title.' },
    ]);
    expect(await taken(list, { id, title: 'Reading' })).toMatchObject({ frameworkId: id, added: 2, taken: true });
    expect(await taken(`${list}R.2,Names two,R.1\n`, { id })).toMatchObject({ title: 'Reading', added: 1 });
    expect(await taken('R,One\nR,Two\n', { id })).toMatchObject({ taken: false, problems: [{ where: 'line 2' }] });
    expect(await removeFramework(other, id)).toMatchObject({ code: 'notAllowed' });
    expect(must(await removeFramework(as, id)).map(({ title }) => title)).not.toContain('Reading');
  });

  it('are whose they are to change, and everybody’s to use', async () => {
    expect(await takeOutcomes(other, stored(cfPackage(ITEMS)), { take: true })).toMatchObject({ code: 'notAllowed' });
    expect((await listOutcomes(other))[0]).toMatchObject({ mine: false, by: 'odile' });
    const theirs = randomUUID();
    must(await saveNew(other, seeds({ id: theirs })));
    must(await setOutcomes(other, theirs, [await idOf('A1')]));
    // What a colleague alone sees is not counted for others.
    expect((await shown())?.outcomes.find(({ code }) => code === 'A1')?.questions).toBe(1);
    expect(await setOutcomes(as, theirs, [])).toMatchObject({ code: 'notFound' });
    expect(await outcomesOf(as, theirs)).toMatchObject({ code: 'notFound' });
  });

  it('go out with a question as QTI, by their identifiers', async () => {
    const [question, a1] = [await kept(), await idOf('A1')];
    must(await setOutcomes(as, question, [a1]));
    const file = join(folder, 'out.zip');
    must(await exportPackage(as, { questions: [question] }, file, 'qti'));
    const manifest = strFromU8(unzipSync(readFileSync(file))['imsmanifest.xml'] as Uint8Array);
    expect(manifest).toMatch(/<labelledGUID>\s*<label>A1<\/label>\s*<GUID>([^<]*)<\/GUID>/);
    expect(manifest).toContain(`<GUID>${ids.a1}</GUID>`);
  });

  it('are put on many questions at once, and a copy has those of its original', async () => {
    const [one, two, a2] = [await kept(), await kept(), await idOf('A2')];
    const theirs = randomUUID();
    must(await saveNew(other, seeds({ id: theirs })));
    expect(must(await outcomesOnMany(as, { questions: [one, two, theirs], add: [a2], remove: [] }))).toEqual({
      questions: 2,
    });
    const copy = randomUUID();
    must(await copyQuestion(as, one, copy));
    expect(must(await outcomesOf(as, copy))).toEqual([a2]);
    must(await outcomesOnMany(as, { questions: [one, two], add: [], remove: [a2] }));
    expect(must(await outcomesOf(as, two))).toEqual([]);
    expect(must(await outcomesOf(other, theirs))).toEqual([]);
    expect(await outcomesOnMany(as, { questions: [one], add: [randomUUID()], remove: [] })).toMatchObject({
      problems: [{ path: 'outcomes' }],
    });
  });
});

describe('marks by outcome', () => {
  const solved = async (who: As<Learner>, releaseId: string, rights: readonly boolean[]) => {
    for (const [at, right] of rights.entries()) {
      const sat = await sitter(who, releaseId, at === 0 ? undefined : at);
      for (const [item, zone] of [
        ['barley', right ? 'dry' : 'moist'],
        ['poppy', right ? 'dry' : 'moist'],
        ['acorn', right ? 'moist' : 'dry'],
      ] as const)
        await sat.take(sat.put(item, zone));
      await sat.take(sat.move({ kind: 'check' }));
    }
    must(
      await finish(who, (await sitter(who, releaseId).catch(() => null))?.view.id ?? (await attemptOf(who, releaseId))),
    );
  };
  const attemptOf = async (who: As<Learner>, releaseId: string): Promise<string> =>
    (
      await app.db.query.sitting.findFirst({
        where: (t, { and, eq }) => and(eq(t.releaseId, releaseId), eq(t.learnerId, who.person.id)),
      })
    )?.id ?? '';

  it('tell what each comes to, and who needs it; they go out by OneRoster', async () => {
    const questions = [await kept(), await kept(), await kept()];
    const [a1, a2] = [await idOf('A1'), await idOf('A2')];
    must(await setOutcomes(as, questions[0] as string, [a1]));
    must(await setOutcomes(as, questions[1] as string, [a1, a2]));
    const setId = randomUUID();
    must(await makeSet(as, setId, 'Seeds'));
    must(
      await saveSet(as, setId, {
        from: 1,
        title: 'Seeds',
        goBack: true,
        sections: inOrder(questions),
        sources: [],
      } as never),
    );
    const courseId = await course(as);
    const { id: releaseId } = must(await publish(as, { id: randomUUID(), courseId, setId }));
    const [wren, ash] = [await learner(as, courseId, 'wren'), await learner(as, courseId, 'ash')];
    expect(must(await masteryOfRelease(as, releaseId)).outcomes.map(({ share }) => share)).toEqual([null, null, null]);
    await solved(wren, releaseId, [true, true, true]);
    await solved(ash, releaseId, [false, false, true]);
    const view = must(await masteryOfRelease(as, releaseId));
    expect(view).toMatchObject({ title: 'Seeds', courseId, without: 1 });
    expect(view.outcomes.map(({ code, share, answers, questions: n }) => [code, share?.value, answers, n])).toEqual([
      ['A', 0.5, 4, 2],
      ['A1', 0.5, 4, 2],
      ['A2', 0.5, 2, 1],
    ]);
    expect(view.needs[a1]?.map(({ name, value, answers }) => [name, value, answers])).toEqual([['ash', 0, 2]]);
    expect(view).toMatchObject({
      answered: 2,
      learners: [
        { name: 'ash', shares: { [a1]: { value: 0, answers: 2 }, [a2]: { value: 0, answers: 1 } } },
        { name: 'wren', shares: { [a1]: { value: 1, answers: 2 }, [a2]: { value: 1, answers: 1 } } },
      ],
    });
    // From one answer nothing is said.
    expect(view.needs[a2]).toEqual([]);
    expect(must(await masteryOfCourse(as, courseId)).outcomes).toEqual(view.outcomes);
    expect(await masteryOfRelease(other, releaseId)).toMatchObject({ code: 'notFound' });

    await app.db.insert(oneRosterAccount).values({
      ...{ source: 's', sourcedId: 'u-wren', role: 'learner', personId: wren.person.id },
    });
    const files = unzipSync(must(await oneRosterOut(as, courseId)).bytes);
    const linesOf = (name: string) =>
      strFromU8(files[name] as Uint8Array)
        .trim()
        .split('\r\n');
    const [head, ...lines] = linesOf('lineItemLearningObjectiveIds.csv');
    expect(head).toBe('sourcedId,status,dateLastModified,lineItemSourcedId,source,learningObjectiveId');
    expect(lines.map((line) => line.split(',').slice(3)).toSorted()).toEqual(
      [
        [releaseId, 'case', ids.a1],
        [releaseId, 'case', ids.a2],
      ].toSorted(),
    );
    const [resultHead, ...results] = linesOf('resultLearningObjectiveIds.csv');
    expect(resultHead).toBe(
      'sourcedId,status,dateLastModified,resultSourcedId,score,textScore,source,learningObjectiveId',
    );
    expect(results).toHaveLength(2);
    expect(strFromU8(files['manifest.csv'] as Uint8Array)).toContain('file.resultLearningObjectiveIds,bulk');
  });
});
