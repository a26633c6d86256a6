// `npm run bench [-- NAME]`: builds, then measures; a table and JSON on standard output.
import { build, install, run } from './steps.mjs';

const BENCHES = ['slice'];
const [name = 'slice'] = process.argv.slice(2);
if (!BENCHES.includes(name)) {
  console.error(`There is no bench "${name}"; there is: ${BENCHES.join(', ')}`);
  process.exit(2);
}
install();
build();
run(process.execPath, ['--import', 'tsx', `bench/${name}.ts`]);
