// `npm run platform -- add …`: the learning platforms that may launch us (LTI 1.3), and our own key.
import { parseArgs } from 'node:util';
import { newPlatform, problemsOf } from '../src/contract';
import { noteSecurity } from '../src/server/accounts/securityLog';
import type { Config } from '../src/server/config';
import { turnKey } from '../src/server/lti/keys';
import { addPlatform, listPlatforms, removePlatform, toolAddresses } from '../src/server/lti/platforms';
import { opened, stop } from './command';

const USAGE = `Usage: npm run platform -- add --name NAME --issuer URL --client-id ID --deployment-id ID [--deployment-id ID …]
                              --auth-url URL --token-url URL --jwks-url URL
       npm run platform -- list
       npm run platform -- remove ID
       npm run platform -- turn-key

add       lets a platform launch us, or gives one that is known (by issuer and client id) these addresses and deployments; prints
          what the platform has to be told, as JSON.
list      prints a JSON line for each platform.
remove    forgets a platform: nobody is launched by it, and no mark is sent to it. Courses and people stay.
turn-key  makes a new key of ours, which signs from now on, and prints its name; the one before is offered for 48 hours.

The addresses that are printed begin with PUBLIC_URL; without it with http://127.0.0.1:PORT.`;

process.env.LOG_LEVEL ??= 'warn';

function given() {
  const one = { type: 'string' } as const;
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        ...{ name: one, issuer: one, 'client-id': one, 'auth-url': one, 'token-url': one, 'jwks-url': one },
        'deployment-id': { type: 'string', multiple: true },
        help: { type: 'boolean' },
      },
    });
  } catch (error) {
    return stop(`${(error as Error).message}\n\n${USAGE}`, 2);
  }
}

const baseOf = ({ publicUrl }: Config): string => publicUrl?.origin ?? `http://127.0.0.1:${process.env.PORT ?? '4321'}`;

async function add(): Promise<void> {
  const platform = {
    ...{ name: values.name, issuer: values.issuer, clientId: values['client-id'] },
    ...{ authUrl: values['auth-url'], tokenUrl: values['token-url'], jwksUrl: values['jwks-url'] },
    deployments: values['deployment-id'] ?? [],
  };
  const option = (path: string) =>
    `--${path
      .replace(/\[.*/, '')
      .replace('deployments', 'deployment-id')
      .replace(/[A-Z]/g, (sign) => `-${sign.toLowerCase()}`)}`;
  const say = (problems: readonly { path: string; message: string }[]): never =>
    stop(problems.map(({ path, message }) => `${option(path)}: ${message}`).join('\n'), 1);
  let read: ReturnType<typeof newPlatform.validateSync>;
  try {
    read = newPlatform.validateSync(platform, { strict: true, abortEarly: false });
  } catch (error) {
    return say(problemsOf(error));
  }
  const app = await opened();
  const added = await addPlatform(app, read);
  if (!added.ok) return say(added.problems ?? []);
  await noteSecurity(app, { what: 'platformAdded', detail: read.issuer });
  console.log(JSON.stringify({ id: added.value.id, ...toolAddresses(baseOf(app.config)) }));
}

const { values, positionals } = given();
const [command, id, ...more] = positionals;
if (values.help) {
  console.log(USAGE);
  process.exit(0);
}
if (command === 'add' && id === undefined) await add();
else if (command === 'list' && id === undefined)
  for (const platform of await listPlatforms(await opened())) console.log(JSON.stringify(platform));
else if (command === 'remove' && id !== undefined && more.length === 0) {
  const app = await opened();
  if (!(await removePlatform(app, id)).ok) stop(`There is no platform ${id}.`, 1);
  await noteSecurity(app, { what: 'platformRemoved', detail: id });
} else if (command === 'turn-key' && id === undefined) {
  const app = await opened();
  const kid = await turnKey(app.config, new Date());
  await noteSecurity(app, { what: 'keyTurned', detail: kid });
  console.log(kid);
} else stop(USAGE, 2);
process.exit(0);
