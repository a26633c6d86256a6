import { stat } from 'node:fs/promises';
import { and, eq, sql } from 'drizzle-orm';
import type { MediumKind, MediumRow, MediumType, StoredMedium } from '../../contract';
import type { As, Teacher } from '../context';
import { medium } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { withBytes, withFolder } from './incoming';
import { TAKEN, TYPES, typeClaimed } from './kinds';
import { mediaUsed } from './usage';

/** The largest upload, in bytes. */
const MOST: Readonly<Record<MediumKind, number>> = {
  picture: 25_000_000,
  sound: 12_000_000,
  film: 60_000_000,
  font: 2_000_000,
};
const MAX_WORDS: Readonly<Record<MediumKind, string>> = {
  picture: '25 MB',
  sound: '12 MB',
  film: '60 MB',
  font: '2 MB',
};

interface Claim {
  readonly name: string;
  /** The MIME type that the browser sent. */
  readonly claimed: string;
  /** The size of the scene, in scene units: pictures are scaled down to what it needs. */
  readonly room: { readonly width: number; readonly height: number };
}
/** An uploaded file: its path or its bytes. */
export type Upload = Claim & ({ readonly file: string } | { readonly bytes: Uint8Array });

const PREPARE_MS = 15_000;

const refuse = (name: string, message: string) =>
  fail('notTaken', { problems: [{ path: 'file', message: `"${name}": ${message}.` }] });

/**
 * Stores a teacher's file: checked against its claimed type, made safe and light, stored once by its content. Repeating
 * it changes nothing.
 */
export async function storeMedium(as: As<Teacher>, upload: Upload): Promise<Result<StoredMedium>> {
  return 'file' in upload
    ? storeFile(as, upload, upload.file)
    : withBytes(as.config, upload.bytes, (file) => storeFile(as, upload, file));
}

const TOO_HARD: Readonly<Record<'tooLong' | 'tooMuch' | 'busy', string>> = {
  tooLong: 'Making it safe takes too long',
  tooMuch: 'Making it safe needs too much memory',
  busy: 'Too many files are being worked on now: try again in a minute',
};

async function storeFile(as: As<Teacher>, { name, claimed, room }: Claim, file: string): Promise<Result<StoredMedium>> {
  const expected = typeClaimed(claimed, name);
  if (!expected) return refuse(name, TAKEN.slice(0, -1));
  const { kind } = TYPES[expected];
  const { size } = await stat(file);
  if (size === 0) return refuse(name, 'It is empty');
  if (size > MOST[kind]) return refuse(name, `It is too big: a ${kind} may have ${MAX_WORDS[kind]}`);
  return withFolder(as.config, async (folder) => {
    const worked = await as.work.run('prepareMedium', { file, expected, room, folder }, PREPARE_MS);
    if (!worked.ok) return refuse(name, TOO_HARD[worked.reason]);
    if (!worked.value.ok) return refuse(name, worked.value.message);
    const { file: made, ...medium } = worked.value.value;
    return store(as, name, { ...medium, kind }, made);
  });
}

async function store(
  as: As<Teacher>,
  name: string,
  storedMedium: StoredMedium,
  file: string,
): Promise<Result<StoredMedium>> {
  const there = await as.db.query.medium.findFirst({
    columns: { hash: true },
    where: and(eq(medium.hash, storedMedium.hash), eq(medium.ownerId, as.person.id)),
  });
  if (!there && (await mediaUsed(as, as.person.id)) + storedMedium.weight > as.config.mediaQuota)
    return refuse(
      name,
      `Your media would be more than the ${Math.round(as.config.mediaQuota / 1024 / 1024)} MB you may have. Delete unused files on the page of your account`,
    );
  await as.files.putFile(storedMedium.hash, file);
  await as.db
    .insert(medium)
    .values({ ...storedMedium, ownerId: as.person.id, name: name.slice(0, 200), createdAt: as.now() })
    .onConflictDoNothing();
  return ok(storedMedium);
}

/** One of the teacher's media, by its hash. */
export async function readMedium(
  as: As<Teacher>,
  hash: string,
): Promise<Result<{ bytes: Uint8Array; type: MediumType }>> {
  const row = await as.db.query.medium.findFirst({
    where: and(eq(medium.hash, hash), eq(medium.ownerId, as.person.id)),
  });
  const bytes = row && (await as.files.get(hash));
  return row && bytes ? ok({ bytes, type: row.type }) : fail('notFound');
}

/** The teacher's media, newest first, for use in other questions. */
export async function listMedia({ db, person }: As<Teacher>): Promise<MediumRow[]> {
  return db
    .select({
      hash: medium.hash,
      kind: medium.kind,
      type: medium.type,
      weight: medium.weight,
      width: medium.width,
      height: medium.height,
      name: medium.name,
    })
    .from(medium)
    .where(eq(medium.ownerId, person.id))
    .orderBy(sql`${medium.createdAt} desc`)
    .limit(500);
}
