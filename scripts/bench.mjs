// `npm run bench [-- NAME]`: builds, then measures; a table and JSON on standard output.
import { build, install, run } from './steps.mjs';

/** By name: does it measure what is built? */
const BENCHES = {
  slice: true,
  moves: true,
  core: false,
  bench: true,
  player: true,
  vault: false,
  course: true,
  live: true,
  search: false,
  hostile: true,
  killed: true,
};
const [name = 'slice'] = process.argv.slice(2);
if (!Object.hasOwn(BENCHES, name)) {
  console.error(`There is no bench "${name}"; there is: ${Object.keys(BENCHES).join(', ')}`);
  process.exit(2);
}
install();
if (BENCHES[name]) build();
run(process.execPath, ['--import', 'tsx', `bench/${name}.ts`, ...process.argv.slice(3)]);
