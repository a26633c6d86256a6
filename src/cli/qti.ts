import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { modelAnswerOf, type Question, questionModel } from '../core';
import { type Item, itemOut } from '../formats/qti/item';
import { packageIn } from '../formats/qti/packageIn';
import { type PackedItem, packageOut } from '../formats/qti/packageOut';
import type { ExitCode } from './commands';
import { Usage } from './input';
import { say } from './output';
import { readQuestion } from './question';

/** How long a model answer is looked for, in milliseconds. */
const SOLVE_MS = 3000;

type Media = ReadonlyMap<string, { readonly name: string; readonly bytes: Uint8Array }>;

/** The files of a folder, by the SHA-256 of their bytes: so a question names its media. */
async function mediaIn(folder: string | undefined): Promise<Media> {
  if (folder === undefined) return new Map();
  const names = await readdir(folder).catch((error: NodeJS.ErrnoException) => {
    throw new Usage(
      `${folder} cannot be read: ${error.code === 'ENOENT' ? 'there is no such folder' : error.message}.`,
    );
  });
  const found = new Map<string, { name: string; bytes: Uint8Array }>();
  for (const name of names.sort()) {
    const bytes = await readFile(join(folder, name)).catch(() => null);
    if (bytes) found.set(createHash('sha256').update(bytes).digest('hex'), { name, bytes });
  }
  return found;
}

/** Writes a question as an item, with those of its media that are at hand. */
function leaving(question: Question, media: Media): { item: Item; files: ReadonlyMap<string, Uint8Array> } {
  const pictures = new Map(
    Object.entries(question.media).flatMap(([id, { hash }]) => {
      const file = media.get(hash);
      const ending = file?.name.includes('.') ? file.name.slice(file.name.lastIndexOf('.')) : '';
      return file ? [[id, { href: `media/${hash}${ending.toLowerCase()}`, bytes: file.bytes }] as const] : [];
    }),
  );
  const model = questionModel(question);
  const modelAnswer = modelAnswerOf(model, SOLVE_MS, { now: () => performance.now() });
  const item = itemOut(question, { media: pictures, modelAnswer });
  // Our own document, which goes along, may show more than the item does.
  return { item, files: new Map([...pictures.values()].map(({ href, bytes }) => [href, bytes])) };
}

/** Writes questions as a package of QTI 3.0, and a JSON line a question: what it became, or why it could not. */
export async function exportQti(
  paths: readonly string[],
  out: string,
  mediaFolder: string | undefined,
): Promise<ExitCode> {
  const media = await mediaIn(mediaFolder);
  const items: PackedItem[] = [];
  let code: ExitCode = 0;
  const tell = (line: object) => void process.stdout.write(`${JSON.stringify(line)}\n`);
  const refuse = (question: string, reasons: readonly object[]) => {
    code = 1;
    tell({ question, carried: false, reasons });
  };
  for (const path of paths) {
    const parsed = await readQuestion(path);
    if (!parsed.ok) {
      refuse(path, parsed.problems);
      continue;
    }
    const { question } = parsed;
    const { item, files } = leaving(question, media);
    if (!item.carried) {
      refuse(question.id, item.reasons);
      continue;
    }
    if (items.some((other) => other.item.identifier === item.identifier)) {
      refuse(question.id, [{ path: 'id', message: 'Another question of this package has the same id.' }]);
      continue;
    }
    items.push({ question, item, files });
    const { identifier, interaction, notes } = item;
    tell({ question: question.id, item: identifier, carried: true, interaction, notes });
  }
  await written(out, (write) => packageOut(items, [], write));
  return code;
}

/** Writes a file; its bytes are given at once. */
async function written(path: string, give: (write: (bytes: Uint8Array) => void) => void): Promise<void> {
  const file = createWriteStream(path);
  const done = new Promise<void>((resolve, reject) => {
    file.on('finish', resolve);
    file.on('error', (error) => reject(new Usage(`${path} cannot be written: ${error.message}.`)));
  });
  give((bytes) => void file.write(bytes));
  file.end();
  await done;
}

/**
 * Reads a package of QTI into a folder: a question a file, its media beside them, and a JSON line an item: what it
 * became, or why it became nothing.
 */
export async function importQti(path: string, out: string): Promise<ExitCode> {
  const bytes = await readFile(path).catch((error: NodeJS.ErrnoException) => {
    throw new Usage(`${path} cannot be read: ${error.code === 'ENOENT' ? 'there is no such file' : error.message}.`);
  });
  const arrived = packageIn(blocksOf(bytes), (part) => createHash('sha256').update(part).digest('hex'));
  if (!arrived.ok) {
    say(arrived.message);
    return 1;
  }
  await mkdir(join(out, 'media'), { recursive: true });
  for (const [hash, { ending, bytes: medium }] of arrived.media)
    await writeFile(join(out, 'media', `${hash}.${ending}`), medium);
  let code: ExitCode = 0;
  const tell = (line: object) => void process.stdout.write(`${JSON.stringify(line)}\n`);
  for (const item of arrived.items) {
    if ('reason' in item) {
      code = 1;
      const { identifier, interaction, reason } = item;
      tell({ item: identifier, question: null, interaction, approximations: [], reason });
      continue;
    }
    for (const { name, question, interaction, approximations } of item.questions) {
      const file = `${name}.json`;
      await writeFile(join(out, file), `${JSON.stringify(question, null, 1)}\n`);
      tell({ item: item.identifier, question: file, interaction, approximations });
    }
  }
  return code;
}

const BLOCK = 1024 * 1024;
function* blocksOf(bytes: Uint8Array): Generator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += BLOCK) yield bytes.subarray(at, at + BLOCK);
}
