import { createHash } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import { fileTypeFromBuffer } from 'file-type';
import type { As, Teacher } from '../context';
import { medium } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type MediumKind, type MediumType, TAKEN, TYPES, typeCalled, typeClaimed } from './kinds';
import { type Encoded, encodePicture, sizeOfSvg } from './pictures';
import { looksLikeSvg, safeSvg } from './svg';

/** Bytes of a file as it comes. */
const MOST: Readonly<Record<MediumKind, number>> = { picture: 25_000_000, sound: 12_000_000, film: 60_000_000 };
const MOST_WORDS: Readonly<Record<MediumKind, string>> = { picture: '25 MB', sound: '12 MB', film: '60 MB' };

export interface Upload {
  readonly name: string;
  /** What the browser says it is. */
  readonly claimed: string;
  readonly bytes: Uint8Array;
  /** The scene, in its units: pictures are made no larger than it needs. */
  readonly room: { readonly width: number; readonly height: number };
}

export interface KeptMedium {
  readonly hash: string;
  readonly kind: MediumKind;
  readonly type: MediumType;
  /** Bytes in the learner's page. */
  readonly weight: number;
  /** Of pictures, in pixels; null of others. */
  readonly width: number | null;
  readonly height: number | null;
}

const refuse = (name: string, message: string) => fail('notTaken', { problems: [{ path: 'file', message: `"${name}": ${message}.` }] });

/** Takes a file of the teacher's: held against what it claims to be, made safe and light, kept once by its content. Sending it again is sending it once. */
export async function takeMedium(as: As<Teacher>, { name, claimed, bytes, room }: Upload): Promise<Result<KeptMedium>> {
  const expected = typeClaimed(claimed, name);
  if (!expected) return refuse(name, TAKEN.slice(0, -1));
  const { kind } = TYPES[expected];
  if (bytes.length === 0) return refuse(name, 'It is empty');
  if (bytes.length > MOST[kind]) return refuse(name, `It is too big: a ${kind} may have ${MOST_WORDS[kind]}`);
  const found = looksLikeSvg(bytes) ? 'image/svg+xml' : await detected(bytes);
  if (found !== expected) return refuse(name, `It says it is ${TYPES[expected].words}, but it is ${found ? `${TYPES[found].words}. Save it as what it is` : 'not'}`);

  const encoded = await encode(bytes, expected, room);
  if (typeof encoded === 'string') return refuse(name, encoded);
  const hash = createHash('sha256').update(encoded.bytes).digest('hex');
  await as.files.put(hash, encoded.bytes);
  const kept = { hash, kind, type: encoded.type, weight: encoded.bytes.length, width: encoded.width || null, height: encoded.height || null };
  await as.db
    .insert(medium)
    .values({ ...kept, ownerId: as.person.id, name: name.slice(0, 200), createdAt: as.now() })
    .onConflictDoNothing();
  return ok(kept);
}

async function detected(bytes: Uint8Array): Promise<MediumType | null> {
  const found = await fileTypeFromBuffer(bytes);
  return found ? typeCalled(found.mime) : null;
}

/** The bytes to keep, or the sentence that says why they are not taken. Sounds and films are kept as they are: what is in them is played, never run. */
async function encode(bytes: Uint8Array, type: MediumType, room: Upload['room']): Promise<Encoded | string> {
  if (TYPES[type].kind !== 'picture') return { bytes, type, width: 0, height: 0 };
  if (type !== 'image/svg+xml') return (await encodePicture(bytes, type, room)) ?? 'It cannot be read as a picture, or has too many pixels';
  const safe = await safeSvg(bytes);
  if (!safe.ok) return safe.message;
  const size = await sizeOfSvg(safe.bytes);
  return size ? { bytes: safe.bytes, type, ...size } : 'This drawing cannot be drawn';
}

/** One of the teacher's media, by its content. */
export async function readMedium(as: As<Teacher>, hash: string): Promise<Result<{ bytes: Uint8Array; type: MediumType }>> {
  const row = await as.db.query.medium.findFirst({ where: and(eq(medium.hash, hash), eq(medium.ownerId, as.person.id)) });
  const bytes = row && (await as.files.get(hash));
  return row && bytes ? ok({ bytes, type: row.type }) : fail('notFound');
}

export interface MediumRow extends KeptMedium {
  readonly name: string;
}

/** The teacher's media, the newest first: to be used again without sending them again. */
export async function listMedia({ db, person }: As<Teacher>): Promise<MediumRow[]> {
  return db
    .select({ hash: medium.hash, kind: medium.kind, type: medium.type, weight: medium.weight, width: medium.width, height: medium.height, name: medium.name })
    .from(medium)
    .where(eq(medium.ownerId, person.id))
    .orderBy(sql`${medium.createdAt} desc`)
    .limit(500);
}
