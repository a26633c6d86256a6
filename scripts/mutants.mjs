// `npm run mutants -- [--count 40] [--seed 1] [FOLDER…]`: changes one small thing of the code at a time, in a copy, and
// runs the unit tests that reach it. A change that no test notices is printed: there a test is missing.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import ts from 'typescript';

const { values, positionals } = parseArgs({
  options: { count: { type: 'string', default: '40' }, seed: { type: 'string', default: '1' } },
  allowPositionals: true,
});
const FOLDERS = ['src/core/judge', 'src/core/marks', 'src/core/sets', 'src/core/sitting', 'src/server/sittings'];
const TEST_MS = 600_000;
const root = join(import.meta.dirname, '..');
const copy = mkdtempSync(join(tmpdir(), 'vault-drop-mutants-'));

const K = ts.SyntaxKind;
const SWAPS = new Map([
  [K.EqualsEqualsEqualsToken, '!=='],
  [K.ExclamationEqualsEqualsToken, '==='],
  [K.LessThanToken, '<='],
  [K.LessThanEqualsToken, '<'],
  [K.GreaterThanToken, '>='],
  [K.GreaterThanEqualsToken, '>'],
  [K.AmpersandAmpersandToken, '||'],
  [K.BarBarToken, '&&'],
  [K.PlusToken, '-'],
  [K.MinusToken, '+'],
  [K.AsteriskToken, '/'],
]);

/** Every small change of a file: where it is, and what stands there instead. */
function mutantsOf(file) {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const add = (node, instead) => found.push({ file, from: node.getStart(source), to: node.getEnd(), instead, text });
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node) && SWAPS.has(node.operatorToken.kind))
      add(node.operatorToken, SWAPS.get(node.operatorToken.kind));
    if (node.kind === K.TrueKeyword) add(node, 'false');
    if (node.kind === K.FalseKeyword) add(node, 'true');
    if (ts.isPrefixUnaryExpression(node) && node.operator === K.ExclamationToken)
      add(node, node.operand.getText(source));
    if (ts.isIfStatement(node)) add(node.expression, `!(${node.expression.getText(source)})`);
    if (ts.isNumericLiteral(node)) add(node, String(Number(node.text.replaceAll('_', '')) + 1));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** A source of numbers in [0, 1) that is the same for the same seed (mulberry32). */
function numbers(seed) {
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const isSource = (name) => name.endsWith('.ts') && !name.endsWith('.test.ts');
const files = (positionals.length > 0 ? positionals : FOLDERS).flatMap((folder) =>
  readdirSync(join(root, folder), { recursive: true })
    .filter(isSource)
    .map((name) => join(root, folder, name)),
);
const next = numbers(Number(values.seed));
const all = files.flatMap(mutantsOf);
const chosen = all
  .map((mutant) => ({ mutant, order: next() }))
  .sort((a, b) => a.order - b.order)
  .slice(0, Number(values.count))
  .map(({ mutant }) => mutant);

for (const name of ['src', 'tests', 'demo', 'docs', 'scripts', 'package.json', 'tsconfig.json', 'vitest.config.ts'])
  cpSync(join(root, name), join(copy, name), { recursive: true });
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));

/** Do the unit tests that reach a file of the copy pass? */
const pass = (file) =>
  spawnSync('npx', ['vitest', 'related', '--run', '--bail', '1', file], {
    cwd: copy,
    timeout: TEST_MS,
    stdio: 'ignore',
  }).status === 0;
/** Files whose tests pass as they are: of any other a change says nothing. */
const sound = new Map();

let killed = 0;
let tried = 0;
try {
  for (const { file, from, to, instead, text } of chosen) {
    const there = join(copy, relative(root, file));
    if (!sound.has(file)) sound.set(file, pass(there));
    if (!sound.get(file)) throw new Error(`The tests of ${relative(root, file)} fail without any change`);
    writeFileSync(there, text.slice(0, from) + instead + text.slice(to));
    const isKilled = !pass(there);
    writeFileSync(there, text);
    tried++;
    if (isKilled) killed++;
    const line = text.slice(0, from).split('\n').length;
    const place = `${relative(root, file)}:${line}`;
    console.log(`${isKilled ? 'noticed ' : 'SURVIVED'} ${place}  ${text.slice(from, to)} → ${instead}`);
  }
} finally {
  rmSync(copy, { recursive: true, force: true });
}
console.log(`${killed} of ${tried} changes were noticed (of ${all.length} possible ones, seed ${values.seed}).`);
