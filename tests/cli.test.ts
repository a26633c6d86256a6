import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { seeds } from './support/seeds';

const folder = mkdtempSync(join(tmpdir(), 'vault-drop-cli-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, content: unknown) => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};
const question = file('question.json', seeds({ id: 'drying' }));

function vaultDrop(args: readonly string[], input = ''): Promise<{ code: number | null; out: string; err: string }> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'src/cli/main.ts', ...args]);
    let [out, err] = ['', ''];
    child.stdout.on('data', (chunk: Buffer) => (out += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (err += chunk.toString()));
    child.on('close', (code) => resolve({ code, out, err }));
    child.stdin.on('error', () => undefined);
    child.stdin.end(input);
  });
}
const lines = (out: string) =>
  out
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);

describe('vault-drop check', () => {
  it('says that a question is well, from a file and from standard input', async () => {
    expect(await vaultDrop(['check', question])).toEqual({ code: 0, out: '{"ok":true}\n', err: '' });
    expect(await vaultDrop(['check', '-'], JSON.stringify(seeds()))).toMatchObject({ code: 0, out: '{"ok":true}\n' });
  });

  it.each([
    ['what is not JSON', '{"format":', ''],
    [
      'a share above 1',
      {
        ...seeds(),
        zones: [{ id: 'dry', shape: { type: 'rect', x: 0, y: 0, w: 9, h: 9 }, reach: { rule: 'share', share: 2 } }],
        key: [],
      },
      'zones[0].reach.share',
    ],
    ['a number beyond double', JSON.stringify(seeds()).replace('"width":960', '"width":1e999'), 'scene.width'],
    ['a deep document', '['.repeat(20_000) + ']'.repeat(20_000), ''],
    ['__proto__', JSON.stringify(seeds()).replace('"scene":', '"__proto__":{"x":1},"scene":'), '__proto__'],
    ['a NUL in a title', { ...seeds(), title: 'a\0b' }, 'title'],
    ['a newer version', { ...seeds(), version: 3 }, 'version'],
  ])('refuses %s with its place', async (_, document, path) => {
    const { code, out } = await vaultDrop(['check', file('broken.json', document)]);
    expect(code).toBe(1);
    expect(lines(out)[0]).toMatchObject({
      ok: false,
      problems: [expect.objectContaining({ path, message: expect.stringMatching(/\.$/) })],
    });
  });

  it('refuses 50 MB without keeping it', async () => {
    const { code, out } = await vaultDrop(['check', '-'], `"${'x'.repeat(50e6)}"`);
    expect(code).toBe(1);
    expect(lines(out)[0]).toMatchObject({
      ok: false,
      problems: [{ path: '', message: 'The document is longer than 32 MiB.' }],
    });
  });
});

describe('vault-drop grade', () => {
  it('grades each line in order, passes over blank ones, and goes on after a bad one', async () => {
    const responses = file(
      'responses.jsonl',
      [
        '{"id":"a","placements":[{"item":"barley","zone":"dry"},{"item":"gravel","zone":"moist"}]}',
        '',
        '{"id":7,"placements":[{"item":"barley","zone":"nowhere"}]}',
        'no JSON',
        '{"drops":[{"item":"acorn","x":600,"y":100},{"item":"poppy","zone":"dry"},{"item":"poppy","zone":null}]}',
        '{"id":"both","placements":[],"drops":[]}',
        '{"try":3,"placements":[]}',
      ].join('\n'),
    );
    const { code, out, err } = await vaultDrop(['grade', question, responses]);
    expect({ code, err }).toEqual({ code: 1, err: '' });
    const [first, second, third, fourth, fifth, sixth] = lines(out);
    expect(first).toEqual({
      id: 'a',
      mark: 1,
      max: 3,
      fraction: 1 / 3,
      fullMarks: false,
      right: 1,
      wrong: 1,
      zones: {
        dry: { satisfied: false, right: 1, wrong: 0, items: ['barley'] },
        moist: { satisfied: false, right: 0, wrong: 1, items: ['gravel'] },
      },
      turnedAway: 0,
    });
    expect(second).toEqual({ id: 7, error: 'placements[0].zone: There is no zone "nowhere"', line: 3 });
    expect(third).toMatchObject({ error: expect.stringMatching(/^This is not JSON/), line: 4 });
    expect(fourth).toMatchObject({
      id: null,
      mark: 1,
      zones: { moist: { satisfied: true, items: ['acorn'] }, dry: { items: [] } },
    });
    expect(fifth).toEqual({ id: 'both', error: 'drops: cannot be given together with placements', line: 6 });
    expect(sixth).toMatchObject({ error: 'try: has to be a whole number from 1 to 2', line: 7 });
  });

  it('says nothing on standard output of a question that is invalid or has no key', async () => {
    for (const bad of [{ ...seeds(), marks: {} }, seeds({ key: [] })]) {
      const { code, out, err } = await vaultDrop(['grade', file('bad.json', bad), '-'], '{"placements":[]}\n');
      expect({ code, out }).toEqual({ code: 1, out: '' });
      expect(err).toMatch(/marks\.max: Max is missing|no key/);
    }
  });
});

describe('vault-drop proof', () => {
  it('finds the answer and counts the guesses', async () => {
    const { code, out } = await vaultDrop(['proof', question, '--seconds', '2']);
    expect(code).toBe(0);
    expect(lines(out)[0]).toMatchObject({
      solvable: true,
      modelAnswer: {
        placements: [
          expect.objectContaining({ item: 'barley', zone: 'dry' }),
          expect.objectContaining({ item: 'poppy' }),
          expect.objectContaining({ item: 'acorn', zone: 'moist' }),
        ],
      },
      fullMarkArrangements: '1',
      chanceOfFullMarks: 1 / 81,
      method: 'exact',
      standardError: null,
    });
  });

  it('says of an empty key that there is nothing to solve', async () => {
    const { code, out } = await vaultDrop(['proof', file('unkeyed.json', seeds({ key: [] }))]);
    expect(code).toBe(1);
    expect(lines(out)[0]).toMatchObject({
      solvable: false,
      modelAnswer: null,
      chanceOfFullMarks: null,
      expectedFraction: null,
      fullMarkArrangements: null,
    });
  });
});

it('wrong usage ends with 2 and tells how', async () => {
  for (const args of [
    [],
    ['sort'],
    ['check'],
    ['check', join(folder, 'none.json')],
    ['grade', '-', '-'],
    ['proof', question, '--seconds', 'soon'],
    ['check', question, '--fast'],
  ]) {
    const { code, out, err } = await vaultDrop(args);
    expect({ args, code, out }).toEqual({ args, code: 2, out: '' });
    expect(err).toContain('Usage:');
  }
  expect(await vaultDrop(['--help'])).toMatchObject({ code: 0, out: expect.stringContaining('Usage:') });
}, 60_000);

describe('vault-drop qti', () => {
  it('writes questions as a package, a line each, and reads them from it again', async () => {
    const zip = join(folder, 'package.zip');
    const drawn = file('drawn.json', seeds({ id: 'drawn', pools: [{ items: ['barley', 'poppy'], take: 1 }] }));
    const exported = await vaultDrop(['qti', 'export', question, drawn, '--out', zip]);
    expect(exported.code).toBe(1);
    expect(lines(exported.out)).toMatchObject([
      { question: 'drying', item: 'drying', carried: true, interaction: 'graphicGapMatch' },
      { question: 'drawn', carried: false, reasons: [{ path: 'pools' }] },
    ]);
    const out = join(folder, 'read');
    const imported = await vaultDrop(['qti', 'import', zip, '--out', out]);
    expect(imported.code).toBe(0);
    expect(lines(imported.out)).toEqual([
      { item: 'drying', question: 'drying.json', interaction: 'graphicGapMatch', approximations: [] },
    ]);
    expect(await vaultDrop(['check', join(out, 'drying.json')])).toMatchObject({ code: 0 });
  });

  it.each([
    [['qti', 'export', question], '--out'],
    [['qti', 'export', '--out', 'x.zip'], 'which questions'],
    [['qti', 'import', question, question, '--out', folder], 'one'],
    [['qti', 'turn', '--out', folder], 'no command qti turn'],
    [['check', question, '--media', folder], '--media is for qti'],
  ])('%j is wrong usage', async (args, said) => {
    const end = await vaultDrop(args);
    expect(end.code).toBe(2);
    expect(end.err).toContain(said);
  });

  it('says why a file is no package', async () => {
    expect(await vaultDrop(['qti', 'import', question, '--out', folder])).toMatchObject({ code: 1, out: '' });
  });
});
