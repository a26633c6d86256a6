import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { checkSync } from 'recheck';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** Its search is by chance where a pattern looks behind itself: the same chance each time, so that it is never red alone. */
const CHECK = { timeout: 60_000, randomSeed: 1 };

// The checker's own process would be a download away: it runs in this one.
process.env.RECHECK_BACKEND = 'pure';

/** Every regular expression written in the sources, with its place. */
function patterns(): { at: string; source: string; flags: string }[] {
  const files = execFileSync(
    'git',
    ['ls-files', '--cached', '--others', '--exclude-standard', 'src/*.ts', 'src/*.tsx', 'scripts', 'server.mjs'],
    { encoding: 'utf8' },
  );
  return files
    .trim()
    .split('\n')
    .filter((file) => existsSync(file) && /\.(?:tsx?|mjs)$/.test(file) && !file.endsWith('.test.ts'))
    .flatMap((file) => {
      const text = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
      const found: { at: string; source: string; flags: string }[] = [];
      const visit = (node: ts.Node): void => {
        if (ts.isRegularExpressionLiteral(node)) {
          const end = node.text.lastIndexOf('/');
          found.push({ at: `${file} ${node.text}`, source: node.text.slice(1, end), flags: node.text.slice(end + 1) });
        } else if ((ts.isNewExpression(node) || ts.isCallExpression(node)) && node.expression.getText() === 'RegExp')
          found.push({ at: `${file} ${node.getText()}`, source: '(made while running)', flags: 'made' });
        ts.forEachChild(node, visit);
      };
      visit(text);
      return found;
    });
}

describe('regular expressions', () => {
  const all = patterns();
  it('take time that grows with the text alone, never with its square or worse', { timeout: 300_000 }, () => {
    expect(all.length).toBeGreaterThan(80);
    const each = new Map(all.filter(({ flags }) => flags !== 'made').map((one) => [`${one.source}/${one.flags}`, one]));
    const slow = [...each.values()]
      .filter(({ source, flags }) => checkSync(source, flags, CHECK).status !== 'safe')
      .map(({ at }) => at);
    expect(slow).toEqual([]);
  });

  it('are told apart by that test', () => {
    expect(checkSync('^(a|a)*$', '').status).toBe('vulnerable');
    expect(checkSync('\\s+$', '').status).toBe('vulnerable');
  });

  it('are written, never made of what comes in', () => {
    expect(all.filter(({ at, flags }) => flags === 'made' && at.startsWith('src/'))).toEqual([]);
  });
});
