import { readFileSync, statSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import type { ArrivingQuestion, LookedAtPackage } from '../../contract';
import type { Question } from '../../core';
import { typeClaimed } from '../media/kinds';
import { smallPicture } from '../media/pictures';
import { looksLikeSvg, safeSvg } from '../media/svg';
import { packedQuestion, type ReadPackage, readPackage } from './packageFiles';

/** Characters of all documents that go along for their pictures, and of all pictures. */
const ROOM = { documents: 4_000_000, pictures: 2_000_000 };
/** How long pictures are made small, in milliseconds. */
const PICTURES_MS = 12_000;
/** Bytes of a picture that is made small. */
const MAX_PICTURE = 20_000_000;

type Looked = { readonly ok: true; readonly value: LookedAtPackage } | { readonly ok: false; readonly message: string };

/** Says in a worker thread what is in a package, without taking anything: its parts are read into a folder. */
export async function lookAtPackage(input: { readonly file: string; readonly folder: string }): Promise<Looked> {
  const read = readPackage(input);
  if (!read.ok) return read;
  const { form, shelves, sets, media, problems } = read.value;
  const known = new Set(media.map(({ hash }) => hash));
  let left = ROOM.documents;
  const questions = read.value.questions.map((packed): ArrivingQuestion => {
    const text = readFileSync(packed.file, 'utf8');
    const { name } = packed;
    const parsed = packedQuestion(text);
    if (!parsed.ok)
      return { name, title: name, kind: null, refused: parsed.message, approximations: [], question: null };
    const { question } = parsed;
    const missing = Object.entries(question.media).find(([, { hash }]) => !known.has(hash));
    left -= text.length;
    return {
      name,
      title: question.title,
      kind: question.kind,
      refused: missing ? `It shows “${missing[0]}”, which is not in the package.` : null,
      approximations: [...new Set(packed.approximations)],
      question: left >= 0 ? question : null,
    };
  });
  const pictures = await smallPictures(
    questions.flatMap(({ question }) => question ?? []),
    media,
  );
  return {
    ok: true,
    value: {
      form,
      questions,
      sets: sets.map(({ name, file, approximations }) => ({
        ...headOf(file, name),
        approximations: [...approximations],
      })),
      shelves: shelves.length,
      left: [...problems],
      pictures,
    },
  };
}

/** The title of a set and how many questions it names; it is examined when it is taken. */
function headOf(file: string, name: string): { title: string; questions: number } {
  const content = JSON.parse(readFileSync(file, 'utf8')) as { title?: unknown; sections?: unknown } | null;
  const sections = Array.isArray(content?.sections) ? content.sections : [];
  return {
    title: typeof content?.title === 'string' && content.title !== '' ? content.title.slice(0, 200) : name,
    questions: sections.reduce(
      (sum: number, section: { questions?: unknown } | null) =>
        sum + (Array.isArray(section?.questions) ? section.questions.length : 0),
      0,
    ),
  };
}

/** Pictures of questions, in the order of the questions, as far as time and room go. */
async function smallPictures(
  questions: readonly Question[],
  media: ReadPackage['media'],
): Promise<LookedAtPackage['pictures']> {
  const made: LookedAtPackage['pictures'] = {};
  const byHash = new Map(media.map((medium) => [medium.hash, medium]));
  const wanted = new Set(
    questions.flatMap((question) =>
      Object.values(question.media).flatMap(({ kind, hash }) => (kind === 'picture' ? [hash] : [])),
    ),
  );
  const until = performance.now() + PICTURES_MS;
  let left = ROOM.pictures;
  for (const hash of wanted) {
    const medium = byHash.get(hash);
    const type = medium && typeClaimed('', `x.${medium.ending}`);
    if (!medium || !type?.startsWith('image/') || statSync(medium.file).size > MAX_PICTURE) continue;
    if (performance.now() > until || left <= 0) break;
    const bytes = await readFile(medium.file);
    const safe = looksLikeSvg(bytes) ? await safeSvg(bytes) : null;
    const small = safe && !safe.ok ? null : await smallPicture(safe?.ok ? safe.bytes : bytes);
    if (!small) continue;
    made[hash] = `data:image/webp;base64,${Buffer.from(small).toString('base64')}`;
    left -= made[hash].length;
  }
  return made;
}
