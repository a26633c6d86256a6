import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import nodemailer from 'nodemailer';
import type { Config } from '../config';
import type { Context } from '../context';

/** A letter: plain text, which every program reads. */
export interface Letter {
  /** Of the job it is sent by: the same letter sent twice has the same Message-ID. */
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  /** Where letters of its sort are ended (RFC 2369). */
  readonly endsAt: string;
}

/** How long a mail server may take for each step, in milliseconds. */
const STEP_MS = 10_000;
const OURS = { name: 'Vault Drop', address: 'vault-drop@localhost' };

/** The folder of letters where none leaves by SMTP: one file a letter, as RFC 5322 has it. */
export const mailFolder = ({ data }: Pick<Config, 'data'>): string => join(data, 'mail');

const message = ({ id, to, subject, text, endsAt }: Letter, now: Date, host: string) => ({
  to: { name: '', address: to },
  subject,
  text,
  date: now,
  messageId: `<${id}@${host}>`,
  headers: { 'Auto-Submitted': 'auto-generated' },
  list: { unsubscribe: { url: endsAt, comment: 'Ends these letters' } },
  // Nothing is read from files or fetched, whatever a title says.
  disableFileAccess: true,
  disableUrlAccess: true,
});

/** Hands a letter over by SMTP, or stores it as a file. Throws if neither can be done. */
export async function send({ config, now }: Pick<Context, 'config' | 'now'>, letter: Letter): Promise<void> {
  const { mail } = config;
  if (mail === null) return store(config, letter, now());
  const transport = nodemailer.createTransport(
    { url: mail.url, connectionTimeout: STEP_MS, greetingTimeout: STEP_MS, socketTimeout: STEP_MS },
    { from: mail.from },
  );
  try {
    await transport.sendMail(message(letter, now(), new URL(mail.url).hostname));
  } finally {
    transport.close();
  }
}

async function store(config: Config, letter: Letter, at: Date): Promise<void> {
  const composer = nodemailer.createTransport({ streamTransport: true, buffer: true, newline: 'windows' });
  const { message: bytes } = await composer.sendMail({ from: OURS, ...message(letter, at, 'vault-drop.local') });
  const folder = mailFolder(config);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `${at.toISOString().replaceAll(':', '-')}-${letter.id}.eml`);
  // Whoever reads the folder never finds half a letter.
  await writeFile(`${file}.part`, bytes as Buffer, { mode: 0o600 });
  await rename(`${file}.part`, file);
}

/** The letters in the folder as they were sent, the newest first. */
export async function storedLetters(config: Config, most: number): Promise<{ name: string; bytes: Buffer }[]> {
  const names = (await namesIn(config)).reverse().slice(0, most);
  return Promise.all(names.map(async (name) => ({ name, bytes: await readFile(join(mailFolder(config), name)) })));
}

/** Deletes letters stored before a time. */
export async function clearLetters(config: Config, before: Date): Promise<void> {
  for (const name of await namesIn(config)) {
    const file = join(mailFolder(config), name);
    if ((await stat(file)).mtime < before) await rm(file, { force: true });
  }
}

async function namesIn(config: Config): Promise<string[]> {
  const names = await readdir(mailFolder(config)).catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return [];
    throw error;
  });
  return names.filter((name) => name.endsWith('.eml')).sort();
}
