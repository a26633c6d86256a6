// `npm run account -- --teacher NAME`: makes a teacher's account, or gives an existing one a new password. The password
// is typed, or made up and printed.
import { randomBytes } from 'node:crypto';
import { createInterface } from 'node:readline';
import { parseArgs } from 'node:util';
import { desc, eq } from 'drizzle-orm';
import { passwordProblem } from '../src/server/accounts/password';
import { makePerson, setPassword } from '../src/server/accounts/people';
import { noteSecurity } from '../src/server/accounts/securityLog';
import { securityEvent, user } from '../src/server/database/accountTables';
import { opened, stop } from './command';

const USAGE = `Usage: npm run account -- --teacher NAME [--name "FULL NAME"] [--admin | --no-admin]
       npm run account -- --security-log [LINES]

Makes a teacher's account with the user name NAME, or gives that account a new password, which also opens one that was shut for wrong passwords.
The password is read from standard input (one line); an empty line, or none, makes one up and prints it.
--admin      gives an existing account the right to change what holds for the whole installation; its password stays. A new account gets both.
--no-admin   takes that right back.
--security-log prints what bears on security, the newest first, a JSON line each.`;

process.env.LOG_LEVEL ??= 'warn';

function options() {
  try {
    return parseArgs({
      options: {
        teacher: { type: 'string' },
        name: { type: 'string' },
        admin: { type: 'boolean' },
        'no-admin': { type: 'boolean' },
        'security-log': { type: 'boolean' },
        help: { type: 'boolean' },
      },
      allowPositionals: true,
    });
  } catch (error) {
    return stop(`${(error as Error).message}\n\n${USAGE}`, 2);
  }
}

async function firstLine(prompt: string): Promise<string> {
  if (process.stdin.isTTY) process.stderr.write(prompt);
  for await (const line of createInterface({ input: process.stdin, terminal: false })) return line;
  return '';
}

const { values, positionals } = options();
const { teacher, name, help, admin } = values;
const takesAdmin = values['no-admin'] === true;
if (help) {
  console.log(USAGE);
  process.exit(0);
}
if (values['security-log']) {
  const app = await opened();
  const rows = await app.db
    .select()
    .from(securityEvent)
    .orderBy(desc(securityEvent.n))
    .limit(Number(positionals[0] ?? 200) || 200);
  for (const { at, ...row } of rows) console.log(JSON.stringify({ at: at.toISOString(), ...row }));
  process.exit(0);
}
if (admin && takesAdmin) stop(USAGE, 2);
if (!teacher || !/^[A-Za-z0-9_.]{2,60}$/.test(teacher))
  stop(`A user name is 2 to 60 letters, digits, dots or underscores.\n\n${USAGE}`, 2);

const app = await opened();
const existing = await app.db.query.user.findFirst({ where: eq(user.username, teacher.toLowerCase()) });
if (existing && existing.role !== 'teacher')
  stop(`${teacher} is a learner's account; its teacher resets its password.`, 1);
if (!existing && takesAdmin) stop(`There is no account ${teacher}.`, 1);
if (existing && (admin || takesAdmin)) {
  await setAdmin(existing.id, admin === true);
  console.log(
    admin
      ? `${teacher} may change what holds for the whole installation now.`
      : `${teacher} is no administrator any more.`,
  );
  process.exit(0);
}

const typed = (await firstLine(`Password for ${teacher} (empty: one is made up): `)).trim();
const problem = typed === '' ? null : passwordProblem(typed, teacher);
if (problem) stop(problem, 1);
const password = typed || randomBytes(9).toString('base64url');
if (existing) await setPassword(app, existing.id, password, null);
else {
  const made = await makePerson(app, {
    name: name ?? teacher,
    username: teacher,
    password,
    role: 'teacher',
    madeBy: null,
  });
  if (!made.ok) stop(made.problems?.[0]?.message ?? 'The account could not be made.', 1);
  if (admin) await setAdmin(made.value.id, true);
}
console.log(
  `${existing ? 'New password for' : 'Made'} ${admin ? 'administrator' : 'teacher'} ${teacher}${typed ? '' : `; password: ${password}`}`,
);
process.exit(0);

async function setAdmin(id: string, isAdmin: boolean): Promise<void> {
  await app.db.update(user).set({ isAdmin }).where(eq(user.id, id));
  await noteSecurity(app, { what: isAdmin ? 'adminGiven' : 'adminTaken', userId: id });
}
