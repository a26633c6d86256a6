// `npm test`: installs what it needs, then types, lint, layer rules, unit and real-browser tests. The first that fails ends it.
import { browser, build, install, run, tool } from './steps.mjs';

install();
browser();
run('npm', ['run', '--silent', 'types']);
run('npm', ['run', '--silent', 'lint']);
run('npm', ['run', '--silent', 'layers']);
run(tool('vitest'), ['run']);
build();
run(tool('playwright'), ['test']);
