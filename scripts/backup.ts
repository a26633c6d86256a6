// `npm run backup`: copies what the application keeps into a folder, while it runs. `npm run restore -- FOLDER` puts
// one back, while it does not.
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { BackupProblem, backUp } from '../src/server/backup/backup';
import { finishRestore, restore, takeBackRestore } from '../src/server/backup/restore';
import { readConfig, readConfigForRestore, StartProblem } from '../src/server/config';
import { stop } from './command';

const USAGE = `Usage: npm run backup [-- FOLDER]
       npm run restore -- FOLDER | --finish | --take-back

backup   copies database and media into FOLDER, which must not be there yet (backups/TIME, unless another is named). The application may run.
restore  puts the backup in FOLDER in the place of what is kept now, which is set aside in the data folder. The application must not run.
         A restore that was interrupted is finished (--finish) or taken back (--take-back); until then the application does not start.`;

const [command, ...rest] = process.argv.slice(2);
const { positionals, values } = (() => {
  try {
    return parseArgs({
      args: rest,
      allowPositionals: true,
      options: { help: { type: 'boolean' }, finish: { type: 'boolean' }, 'take-back': { type: 'boolean' } },
    });
  } catch (error) {
    return stop(`${(error as Error).message}\n\n${USAGE}`, 2);
  }
})();
if (values.help) {
  console.log(USAGE);
  process.exit(0);
}
/** The configuration, or its problem as a sentence. */
function configured<T>(read: (env: NodeJS.ProcessEnv) => T): T {
  try {
    return read(process.env);
  } catch (error) {
    if (error instanceof StartProblem) return stop(error.message, 1);
    throw error;
  }
}
const now = new Date();
try {
  if (command === 'backup' && positionals.length <= 1) {
    const to = resolve(positionals[0] ?? join('backups', now.toISOString().replace(/[:.]/g, '-')));
    const config = configured(readConfig);
    const { database, media } = await backUp(config, to, config.version, now);
    console.log(`Backed up into ${to}: a database of ${Math.ceil(database.bytes / 1024)} KB, ${media.length} media.`);
  } else if (command === 'restore' && positionals.length === 0 && values.finish) {
    await finishRestore(configured(readConfigForRestore));
    console.log('The restore is finished.');
  } else if (command === 'restore' && positionals.length === 0 && values['take-back']) {
    await takeBackRestore(configured(readConfigForRestore));
    console.log('The restore is taken back: everything is as it was before.');
  } else if (command === 'restore' && positionals.length === 1) {
    const { manifest, setAside } = await restore(resolve(positionals[0] ?? ''), configured(readConfigForRestore), now);
    console.log(`Restored the backup of ${manifest.madeAt}.${setAside ? ` What was there is in ${setAside}.` : ''}`);
  } else stop(USAGE, 2);
} catch (error) {
  if (error instanceof BackupProblem) stop(error.message, 1);
  throw error;
}
process.exit(0);
