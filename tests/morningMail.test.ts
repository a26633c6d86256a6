import { randomUUID } from 'node:crypto';
import { statSync, utimesSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { and, eq } from 'drizzle-orm';
import PostalMime, { type Email } from 'postal-mime';
import { SMTPServer } from 'smtp-server';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import { readConfig, StartProblem } from '../src/server/config';
import type { As, Teacher } from '../src/server/context';
import { job, morningMail } from '../src/server/database/tables';
import { startJobs } from '../src/server/jobRunner';
import { clearLetters, mailFolder, send, storedLetters } from '../src/server/mail/mail';
import { readLetters } from '../src/server/mail/read';
import { changeSettings, openSettings } from '../src/server/releases/settings';
import { finish } from '../src/server/sittings/finish';
import {
  addMorningMail,
  askForMail,
  confirmMail,
  endMail,
  MORNING_MAIL,
  type MorningMailInput,
  openMorningMail,
  sendMailNow,
  sendMorningMail,
} from '../src/server/today/mail';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

const SITE = 'https://questions.tarnhollow.example';
const HOUR_MS = 3_600_000;
const WANTED = { address: 'odile@people.invalid', days: 'everyDay', hour: 6, zone: 'Europe/Berlin' } as const;

let app: App;
let done: () => void;
let n = 0;

beforeAll(async () => {
  ({ app, done } = await testApp());
});
afterAll(() => done());

/** A teacher of their own, with a clock that can be set. */
async function someone(): Promise<{ as: As<Teacher>; wait: (ms: number) => void }> {
  let at = Date.now();
  const as = await teacher({ ...app, now: () => new Date(at) }, `teacher.${++n}`);
  return {
    as,
    wait: (ms) => {
      at += ms;
    },
  };
}

const jobsOf = (as: As<Teacher>) =>
  as.db.query.job.findMany({
    where: and(eq(job.ownerId, as.person.id), eq(job.kind, MORNING_MAIL)),
    orderBy: job.createdAt,
  });

/** Does the jobs of a teacher as the runner does, and gives the letters stored since. */
async function letters(as: As<Teacher>) {
  const before = new Set((await readLetters(as.config, 1000)).map(({ name }) => name));
  for (const { id, input, state } of await jobsOf(as))
    if (state === 'waiting') {
      must(await sendMorningMail(as, as.person.id, input as MorningMailInput, id));
      await as.db.update(job).set({ state: 'done' }).where(eq(job.id, id));
    }
  return (await readLetters(as.config, 1000)).filter(({ name }) => !before.has(name));
}

async function confirmed(as: As<Teacher>): Promise<void> {
  must(await askForMail(as, WANTED, SITE));
  const [letter] = await letters(as);
  must(await confirmMail(as, /mail\/(\S+)/.exec(letter?.text ?? '')?.[1] ?? ''));
}

describe('Today by e-mail', () => {
  it('is off until asked for, and sends nothing but a link until its address is confirmed', async () => {
    const { as, wait } = await someone();
    expect(await openMorningMail(as)).toEqual({ mail: null, leaves: false });
    expect(await sendMailNow(as, randomUUID())).toMatchObject({ ok: false, code: 'notFound' });
    const asked = must(await askForMail(as, WANTED, SITE));
    expect(asked.mail).toMatchObject({ address: WANTED.address, isConfirmed: false, sentAt: null });
    const [letter, ...others] = await letters(as);
    expect(others).toEqual([]);
    expect(letter).toMatchObject({ to: WANTED.address, subject: 'Today by e-mail: is this your address?' });
    const token = new RegExp(`${SITE}/account/mail/([\\w-]+)`).exec(letter?.text ?? '')?.[1] ?? '';

    wait(30 * HOUR_MS);
    await addMorningMail(as);
    expect(await letters(as)).toEqual([]);
    const { as: other } = await someone();
    expect(await confirmMail(other, token)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await confirmMail(as, `${token}x`)).toMatchObject({ ok: false, code: 'notFound' });
    expect(must(await confirmMail(as, token)).mail).toMatchObject({ isConfirmed: true });

    // Other times keep the address; another address is asked anew.
    expect(must(await askForMail(as, { ...WANTED, hour: 7 }, SITE)).mail?.isConfirmed).toBe(true);
    const elsewhere = must(await askForMail(as, { ...WANTED, address: 'marsh@people.invalid' }, SITE));
    expect(elsewhere.mail?.isConfirmed).toBe(false);
    expect(await confirmMail(as, token)).toMatchObject({ ok: false, code: 'notFound' });
    expect(await endMail(as)).toEqual({ mail: null, leaves: false });
    expect(await letters(as)).toEqual([]);
  });

  it('says what is due and what ended since the last one, once a morning, whoever adds it', async () => {
    const { as, wait } = await someone();
    await confirmed(as);
    const courseId = await course(as);
    const wren = await learner(as, courseId, `wren.${n}`);
    const releaseId = await release(as, courseId, seeds({ title: 'Drying\r\nBcc: everybody@people.invalid' }));
    const { revision: from, settings } = must(await openSettings(as, releaseId));
    const dueAt = new Date(as.now().getTime() + 50 * HOUR_MS);
    must(await changeSettings(as, releaseId, { ...settings, dueAt }, from));
    const sat = await sitter(wren, releaseId);
    must(await finish(wren, sat.view.id));

    expect(await addMorningMail(as)).toBe(0);
    wait(24 * HOUR_MS);
    await Promise.all([addMorningMail(as), addMorningMail(as)]);
    const [letter, ...others] = await letters(as);
    expect(others).toEqual([]);
    expect(letter?.to).toBe(WANTED.address);
    expect(letter?.subject).toBe('Today: 1 due or closing, 1 attempt ended');
    expect(letter?.text).toContain(`Good morning, ${as.person.name}.`);
    expect(letter?.text).toMatch(
      /“Drying Bcc: everybody@people.invalid”, Tarn Hollow induction: due \w{3} \d+ \w{3}, \d\d:\d\d\. 1 of 1 in\./,
    );
    expect(letter?.text).toContain(`${SITE}/releases/${releaseId}/results`);

    // The next has what came after; with nothing at all none is sent, unless it is asked for.
    wait(24 * HOUR_MS);
    await addMorningMail(as);
    expect((await letters(as)).map(({ subject }) => subject)).toEqual(['Today: 1 due or closing']);
    wait(48 * HOUR_MS);
    await addMorningMail(as);
    expect(await letters(as)).toEqual([]);
    const id = randomUUID();
    must(await sendMailNow(as, id));
    must(await sendMailNow(as, id));
    const now = await letters(as);
    expect(now.map(({ subject }) => subject)).toEqual(['Today: nothing new']);
    expect(now[0]?.text).toContain('Nothing is due, and nothing is new.');
  });

  it('sends so many links and no more', async () => {
    const { as } = await someone();
    for (let i = 0; i < 10; i++) must(await askForMail(as, { ...WANTED, address: `a${i}@people.invalid` }, SITE));
    const over = { ...WANTED, address: 'over@people.invalid' };
    expect(await askForMail(as, over, SITE)).toMatchObject({ ok: false, code: 'tooMany' });
    // Of those only the newest address is written to.
    expect((await letters(as)).map(({ to }) => to)).toEqual(['a9@people.invalid']);
  });

  it('is ended with the account, and its letters are for their owner and go in time', async () => {
    const { as } = await someone();
    await confirmed(as);
    const [newest] = await storedLetters(as.config, 1);
    const file = join(mailFolder(as.config), newest?.name ?? '');
    expect(statSync(file).mode & 0o077).toBe(0);
    utimesSync(file, new Date(0), new Date(0));
    await clearLetters(as.config, new Date(1000));
    expect((await storedLetters(as.config, 1000)).map(({ name }) => name)).not.toContain(newest?.name);
  });
});

describe('by SMTP', () => {
  /** A mail server that answers as it is told, and what it took. */
  async function mailServer(refuse: () => boolean) {
    const taken: { from: string; to: string[]; mail: Email }[] = [];
    const server = new SMTPServer({
      authOptional: true,
      disabledCommands: ['STARTTLS'],
      onData: (stream, session, over) => {
        const chunks: Buffer[] = [];
        stream.on('data', (chunk: Buffer) => chunks.push(chunk));
        stream.on('end', () => {
          if (refuse()) return over(new Error('Come again'));
          const { mailFrom, rcptTo } = session.envelope;
          void PostalMime.parse(Buffer.concat(chunks)).then((mail) => {
            taken.push({ from: mailFrom ? mailFrom.address : '', to: rcptTo.map(({ address }) => address), mail });
            over();
          });
        });
      },
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.server.address() as AddressInfo;
    return { taken, port, close: () => new Promise<void>((resolve) => server.close(resolve)) };
  }

  it('hands a letter over, notes what could not be handed over, and sends it at the next try', async () => {
    let down = true;
    const server = await mailServer(() => down);
    const mail = { url: `smtp://127.0.0.1:${server.port}`, from: 'Vault Drop <questions@tarnhollow.example>' };
    const { as: plain } = await someone();
    const as = { ...plain, config: { ...plain.config, mail } };
    must(await askForMail(as, WANTED, SITE));
    expect((await openMorningMail(as)).leaves).toBe(true);
    const [waiting] = await jobsOf(as);
    if (!waiting) throw new Error('no job');
    const run = () => sendMorningMail(as, as.person.id, waiting.input as MorningMailInput, waiting.id);
    await expect(run()).rejects.toThrow('Come again');
    expect((await openMorningMail(as)).mail?.failedAt).toEqual(as.now());
    down = false;
    must(await run());
    expect(server.taken).toMatchObject([{ from: 'questions@tarnhollow.example', to: [WANTED.address] }]);
    const [{ mail: letter } = { mail: null }] = server.taken;
    expect(letter?.messageId).toBe(`<${waiting.id}@127.0.0.1>`);
    expect(letter?.headers.find(({ key }) => key === 'list-unsubscribe')?.value).toContain(`${SITE}/account`);
    expect(letter?.text).toContain(`${SITE}/account/mail/`);
    await server.close();
  });

  it('is done by the runner of jobs', async () => {
    const { app: other, done: end } = await testApp();
    const as = await teacher(other, 'odile');
    must(await askForMail(as, WANTED, SITE));
    const runner = startJobs(other);
    runner.wake();
    await expect.poll(async () => (await jobsOf(as))[0]?.state).toBe('done');
    await runner.stop();
    expect(await readLetters(other.config, 9)).toHaveLength(1);
    // What it was told is not stored beyond its end.
    expect((await jobsOf(as))[0]).toMatchObject({ kind: MORNING_MAIL, input: {} });
    await other.db.delete(morningMail);
    end();
  });

  it('says what of its configuration makes no sense', () => {
    const env = { VAULT_DROP_DATA: app.config.data, VAULT_DROP_ROOT: process.cwd() };
    const wrong = [
      { MAIL_URL: 'mail.example.org', MAIL_FROM: 'a@b.example' },
      { MAIL_URL: 'https://mail.example.org', MAIL_FROM: 'a@b.example' },
      { MAIL_URL: 'smtp://mail.example.org' },
    ];
    for (const mail of wrong) expect(() => readConfig({ ...env, ...mail })).toThrow(StartProblem);
  });

  it('reads no file and fetches nothing, whatever a letter says', async () => {
    const letter = { id: randomUUID(), to: 'odile@people.invalid', subject: 'Seeds', text: 'Dry', endsAt: SITE };
    await send(app, { ...letter, text: { path: '/etc/hostname' } as unknown as string }).then(
      () => expect.unreachable(),
      (error: Error) => expect(error.message).toMatch(/access/i),
    );
  });
});
