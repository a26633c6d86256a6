// `npm test`: installs what it needs, then types, lint, layer rules, unit and real-browser tests. The first that fails
// ends it.
import { browser, build, install, run, together, tool } from './steps.mjs';

install();
browser();
// Side by side what keeps one core busy. Looking at the pages writes their types, which those of the code need.
await together(
  ['npm', ['run', '--silent', 'lint']],
  ['npm', ['run', '--silent', 'layers']],
  ['npm', ['run', '--silent', 'types:pages']],
);
await together(['npm', ['run', '--silent', 'types:code']], [tool('vitest'), ['run']]);
build();
run(tool('playwright'), ['test']);
