// `npm run account -- --teacher NAME`: makes a teacher's account, or gives an existing one a new password. The password is typed, or made up and printed.
import { randomBytes } from 'node:crypto';
import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { eq } from 'drizzle-orm';
import { SHORTEST_PASSWORD } from '../src/server/accounts/password';
import { makePerson, setPassword } from '../src/server/accounts/people';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { user } from '../src/server/database/accountTables';

const USAGE = `Usage: npm run account -- --teacher NAME [--name "FULL NAME"]

Makes a teacher's account with the user name NAME, or gives that account a new password.
The password is read from standard input (one line); an empty line, or none, makes one up and prints it.`;

function stop(words: string, code: number): never {
  console.error(words);
  process.exit(code);
}

function options() {
  try {
    return parseArgs({ options: { teacher: { type: 'string' }, name: { type: 'string' }, help: { type: 'boolean' } } }).values;
  } catch (error) {
    return stop(`${(error as Error).message}\n\n${USAGE}`, 2);
  }
}

async function firstLine(prompt: string): Promise<string> {
  if (process.stdin.isTTY) process.stderr.write(prompt);
  for await (const line of createInterface({ input: process.stdin, terminal: false })) return line;
  return '';
}

const { teacher, name, help } = options();
if (help) {
  console.log(USAGE);
  process.exit(0);
}
if (!teacher || !/^[A-Za-z0-9_.]{2,60}$/.test(teacher)) stop(`A user name is 2 to 60 letters, digits, dots or underscores.\n\n${USAGE}`, 2);

const typed = (await firstLine(`Password for ${teacher} (empty: one is made up): `)).trim();
if (typed !== '' && typed.length < SHORTEST_PASSWORD) stop(`A password has at least ${SHORTEST_PASSWORD} characters.`, 1);
const password = typed || randomBytes(9).toString('base64url');
const app = await makeApp(readConfig(process.env));
const existing = await app.db.query.user.findFirst({ where: eq(user.username, teacher.toLowerCase()) });
if (existing && existing.role !== 'teacher') stop(`${teacher} is a learner's account; its teacher resets its password.`, 1);
if (existing) await setPassword(app, existing.id, password);
else {
  const made = await makePerson(app, { name: name ?? teacher, username: teacher, password, role: 'teacher', madeBy: null });
  if (!made.ok) stop(made.problems?.[0]?.message ?? 'The account could not be made.', 1);
}
console.log(`${existing ? 'New password for' : 'Made'} teacher ${teacher}${typed ? '' : `; password: ${password}`}`);
process.exit(0);
