import { createHash } from 'node:crypto';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import type { Question } from '../../core';
import { parseQuestion } from '../../core/document';
import { type Package, type PackageProblem, type PackedSet, pack, unpack } from '../../formats/package';
import type { As, Teacher } from '../context';
import { medium, question, questionTag, type SetSource } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { setContent } from '../http/bodies';
import { TYPES } from '../media/kinds';
import { takeMedium } from '../media/media';
import { accessTo } from './access';
import { changeMany, keepNew } from './questions';
import { keepSet, makeSet, openSet } from './sets';
import { makeShelf, shelvesSeen } from './shelves';

/** What is packed: questions, a shelf with all that stands on it, or a set with its questions. */
export type ToPack = { readonly questions: readonly string[] } | { readonly shelf: string } | { readonly set: string };

const MOST_QUESTIONS = 2000;

/** Packs what the teacher may use, with its media, as one zip. */
export async function exportPackage(as: As<Teacher>, what: ToPack): Promise<Result<{ name: string; bytes: Uint8Array }>> {
  const chosen = await chosenBy(as, what);
  if (!chosen.ok) return chosen;
  const { name, ids, shelves, sets } = chosen.value;
  if (ids.length > MOST_QUESTIONS) return fail('invalid', { problems: [{ path: 'questions', message: `At most ${MOST_QUESTIONS} questions are packed at once.` }] });
  const media = new Map<string, { bytes: Uint8Array; ending: string }>();
  const addMedia = async (hashes: readonly string[], ownerId: string) => {
    for (const hash of hashes) {
      if (media.has(hash)) continue;
      const row = await as.db.query.medium.findFirst({ where: and(eq(medium.hash, hash), eq(medium.ownerId, ownerId)) });
      const bytes = row && (await as.files.get(hash));
      if (row && bytes) media.set(hash, { bytes, ending: TYPES[row.type].endings[0] });
    }
  };
  const onThese = new Set(shelves.map(({ id }) => id));
  const questions: Package['questions'][number][] = [];
  for (const id of ids) {
    const found = await accessTo(as, id, 'use');
    if (!found || found.row.deletedAt) continue;
    const tags = await as.db.select({ tag: questionTag.tag }).from(questionTag).where(eq(questionTag.questionId, id));
    questions.push({
      document: found.row.document,
      shelfId: found.row.shelfId !== null && onThese.has(found.row.shelfId) ? found.row.shelfId : null,
      tags: tags.map(({ tag }) => tag),
    });
    await addMedia(
      Object.values(found.row.document.media).map(({ hash }) => hash),
      found.row.ownerId,
    );
  }
  if (questions.length === 0 && shelves.length === 0 && sets.length === 0) return fail('notFound');
  for (const { content } of sets)
    await addMedia(
      (content as { sources: SetSource[] }).sources.flatMap((source) => source.medium?.hash ?? []),
      as.person.id,
    );
  return ok({ name, bytes: pack({ shelves, questions, sets, media }) });
}

interface Chosen {
  readonly name: string;
  readonly ids: readonly string[];
  readonly shelves: Package['shelves'];
  readonly sets: readonly PackedSet[];
}

async function chosenBy(as: As<Teacher>, what: ToPack): Promise<Result<Chosen>> {
  if ('questions' in what) return ok({ name: 'questions', ids: what.questions, shelves: [], sets: [] });
  if ('set' in what) {
    const found = await openSet(as, what.set);
    if (!found.ok) return found;
    const { id, title, goBack, sources } = found.value;
    const sections = found.value.sections.map(({ questions, ...section }) => ({ ...section, questions: questions.map((one) => ({ id: one.id, points: one.points })) }));
    const ids = sections.flatMap(({ questions }) => questions.map((one) => one.id));
    return ok({ name: title, ids, shelves: [], sets: [{ id, content: { title, goBack, sections, sources } }] });
  }
  const seen = await shelvesSeen(as);
  const top = seen.get(what.shelf);
  if (!top) return fail('notFound');
  const all = [top];
  for (let i = 0; i < all.length; i++) all.push(...[...seen.values()].filter(({ parentId }) => parentId === all[i]?.id));
  const rows = await as.db
    .select({ id: question.id })
    .from(question)
    .where(
      and(
        inArray(
          question.shelfId,
          all.map(({ id }) => id),
        ),
        isNull(question.deletedAt),
      ),
    )
    .orderBy(question.title, question.id);
  return ok({
    name: top.title,
    ids: rows.map(({ id }) => id),
    shelves: all.map(({ id, title, parentId }) => ({ id, title, parentId: id === top.id ? null : parentId })),
    sets: [],
  });
}

export interface Imported {
  shelves: number;
  questions: { id: string; title: string }[];
  sets: { id: string; title: string }[];
  media: number;
  /** What did not come in, and why. */
  left: PackageProblem[];
}

const ROOM = { width: 1920, height: 1080 };
const MOST_DEEP = 50;

/**
 * Takes a package in: checked like anything that comes from outside, under new ids, beside what is there. `importId` is the client's: the same package sent again under it
 * makes the same ids, so that it comes in once.
 */
export async function importPackage(as: As<Teacher>, importId: string, bytes: Uint8Array): Promise<Result<Imported>> {
  const read = unpack(bytes);
  if (!read.ok) return fail('notTaken', { problems: [{ path: 'file', message: read.message }] });
  const { shelves, questions, sets, media } = read.value;
  if (questions.length > MOST_QUESTIONS) return fail('notTaken', { problems: [{ path: 'file', message: `At most ${MOST_QUESTIONS} questions are taken at once.` }] });
  const left = [...read.problems];
  const renewed = (kind: string, id: string) => uuidIn(importId, `${as.person.id} ${kind} ${id}`);

  const hashes = new Map<string, string>();
  for (const [hash, { bytes: of, ending }] of media) {
    const kept = await takeMedium(as, { name: `${hash.slice(0, 8)}.${ending}`, claimed: '', bytes: of, room: ROOM });
    if (kept.ok) hashes.set(hash, kept.value.hash);
    else left.push({ file: `media/${hash.slice(0, 8)}….${ending}`, message: kept.problems?.[0]?.message ?? 'It was not taken.' });
  }

  // Each shelf after the one it stands on; what stands on none that is there, or in a circle, stands at the top.
  const made = new Map<string, string>();
  let waiting = [...shelves];
  for (let turn = 0; waiting.length > 0; turn++) {
    const ready = waiting.filter(({ parentId }) => turn >= MOST_DEEP || parentId === null || made.has(parentId) || !shelves.some(({ id }) => id === parentId));
    for (const { id, title, parentId } of ready) {
      const shelf = await makeShelf(as, { id: renewed('shelf', id), title, parentId: parentId === null ? null : (made.get(parentId) ?? null) });
      if (shelf.ok) made.set(id, shelf.value.id);
    }
    waiting = waiting.filter((one) => !ready.includes(one));
  }

  const ids = new Map<string, string>();
  const taken: Imported['questions'] = [];
  for (const [i, { document, shelfId, tags }] of questions.entries()) {
    const file = `questions/${i + 1}.json`;
    const parsed = parseQuestion(document);
    if (!parsed.ok) {
      const [first] = parsed.problems;
      left.push({ file, message: first ? `${first.path}: ${first.message}` : 'It is no question.' });
      continue;
    }
    const missing = Object.entries(parsed.question.media).find(([, { hash }]) => !hashes.has(hash));
    if (missing) {
      left.push({ file, message: `“${parsed.question.title}” shows “${missing[0]}”, which did not come in.` });
      continue;
    }
    const id = renewed('question', parsed.question.id);
    const withMedia = Object.fromEntries(Object.entries(parsed.question.media).map(([name, of]) => [name, { ...of, hash: hashes.get(of.hash) as string }]));
    const kept = await keepNew(as, { ...parsed.question, id: id as Question['id'], media: withMedia }, made.get(shelfId ?? '') ?? null);
    if (!kept.ok) continue;
    if (tags.length > 0) await changeMany(as, { ids: [id], addTags: tags });
    ids.set(parsed.question.id, id);
    taken.push({ id, title: parsed.question.title });
  }

  const takenSets: Imported['sets'] = [];
  for (const [i, { id: was, content }] of sets.entries()) {
    const file = `sets/${i + 1}.json`;
    const set = setIn(content, ids, hashes, renewed);
    if (typeof set === 'string') {
      left.push({ file, message: set });
      continue;
    }
    const id = renewed('set', was);
    const there = await makeSet(as, id, set.title);
    const kept = there.ok ? await keepSet(as, id, set) : there;
    if (kept.ok) takenSets.push({ id, title: set.title });
    else left.push({ file, message: kept.problems?.[0]?.message ?? 'It was not taken.' });
  }
  return ok({ shelves: made.size, questions: taken, sets: takenSets, media: new Set(hashes.values()).size, left });
}

type KeptSet = Parameters<typeof keepSet>[2];

/** A set of a package with the ids and media as they are here; else a sentence that says what is wrong with it. */
function setIn(content: unknown, ids: ReadonlyMap<string, string>, hashes: ReadonlyMap<string, string>, renewed: (kind: string, id: string) => string): KeptSet | string {
  if (typeof content !== 'object' || content === null) return 'It is no set.';
  const given = content as { sections?: unknown; sources?: unknown };
  const list = (value: unknown) => (Array.isArray(value) ? value : []).filter((one): one is Record<string, unknown> => typeof one === 'object' && one !== null);
  const here = (list: unknown) => (Array.isArray(list) ? list : []).flatMap((id) => ids.get(String(id)) ?? []);
  const sections = list(given.sections).map((section) => ({
    ...section,
    questions: list(section.questions).flatMap((entry) => {
      const id = ids.get(String(entry.id));
      return id ? [{ ...entry, id }] : [];
    }),
  }));
  const sources = list(given.sources).map((source: Record<string, unknown> & { medium?: { hash?: unknown } | null }) => ({
    ...source,
    id: renewed('source', String(source.id)),
    questions: here(source.questions),
    medium: source.medium ? { ...source.medium, hash: hashes.get(String(source.medium.hash)) ?? '' } : null,
  }));
  try {
    const set = setContent.validateSync({ ...given, sections, sources }, { strict: true });
    return setContent.cast(set, { stripUnknown: true }) as KeptSet;
  } catch (error) {
    return error instanceof Error ? `${error.message}.` : 'It is no set.';
  }
}

/** A name-based UUID: version 5 (RFC 9562, 5.5), within the namespace of another. */
function uuidIn(namespace: string, name: string): string {
  const bytes = createHash('sha1')
    .update(Buffer.from(namespace.replaceAll('-', ''), 'hex'))
    .update(name)
    .digest()
    .subarray(0, 16);
  bytes[6] = ((bytes[6] as number) & 0x0f) | 0x50;
  bytes[8] = ((bytes[8] as number) & 0x3f) | 0x80;
  const hex = bytes.toString('hex');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
