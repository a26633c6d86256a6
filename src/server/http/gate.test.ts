import { describe, expect, it } from 'vitest';
import { array, object, string } from 'yup';
import {
  batch,
  MAX_BODY_BYTES,
  OPERATIONS,
  type Operation,
  page,
  sentMoves,
  setContent,
  sought,
  titled,
} from '../../contract';
import { flag } from '../../contract/fields';
import { bodyOf, queryOf } from './endpoint';
import { readQuery, tooLong, unlimitedLists } from './gate';
import { failed } from './respond';

const request = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://127.0.0.1/', { method: 'POST', body, headers });
const codeOf = (result: { ok: boolean; code?: string }) => (result.ok ? 'ok' : result.code);
const id = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0001';

describe('the gate before a body', () => {
  it('refuses what is larger than its endpoint takes, whatever the request says of its length', async () => {
    const body = JSON.stringify({ id, title: 'x'.repeat(MAX_BODY_BYTES) });
    expect(codeOf(await bodyOf(request(body), titled))).toBe('tooLarge');
    const pieces = new ReadableStream({
      pull(controller) {
        controller.enqueue(new TextEncoder().encode('['.repeat(10_000)));
      },
    });
    const endless = new Request('http://127.0.0.1/', { method: 'POST', body: pieces, duplex: 'half' } as RequestInit);
    expect(codeOf(await bodyOf(endless, titled))).toBe('tooLarge');
  });

  it.each([
    ['nested deep', '['.repeat(60_000)],
    ['many values', `[${'{},'.repeat(400_000)}{}]`],
    ['no JSON', '{"a":'],
  ])('refuses a body: %s', async (_, body) => {
    expect(codeOf(await bodyOf(request(body), batch, 2 * 1024 * 1024))).toBe('badRequest');
  });

  it('counts a list before any entry is validated', async () => {
    const moves = Array.from({ length: 100_000 }, () => 0);
    const refused = await bodyOf(request(JSON.stringify({ question: 0, after: 0, moves })), sentMoves, 256 * 1024);
    expect(refused).toMatchObject({
      ok: false,
      code: 'invalid',
      problems: [{ path: 'moves', message: 'At most 500 entries' }],
    });
    const nested = object({ rows: array(array(string()).max(3)).max(10) });
    expect(tooLong(nested, { rows: [[], ['a', 'b', 'c', 'd']] })).toEqual({
      path: 'rows[1]',
      message: 'At most 3 entries',
    });
    expect(tooLong(nested, { rows: 'no list' })).toBeNull();
  });

  it('counts the entries of lists in lists together', async () => {
    const sections = Array.from({ length: 50 }, () => ({
      title: '',
      draw: null,
      questions: Array(200).fill({ id, points: null }),
    }));
    expect(tooLong(setContent, { sections })).toEqual({
      path: 'sections[9].questions',
      message: 'There are too many entries in all',
    });
    expect(tooLong(setContent, { sections: sections.slice(0, 5) })).toBeNull();
  });

  it('refuses two moves of one id, with the place', async () => {
    const move = { id, kind: 'check' };
    expect(
      await bodyOf(request(JSON.stringify({ question: 0, after: 0, moves: [move, move] })), sentMoves),
    ).toMatchObject({
      ok: false,
      code: 'invalid',
      problems: [{ path: 'moves[1].id' }],
    });
  });

  it('limits every list of every schema', () => {
    const schemas = (Object.entries(OPERATIONS) as [string, Operation][]).flatMap(([name, { body }]) =>
      body ? [[name, body] as const] : [],
    );
    expect(schemas.length).toBeGreaterThan(20);
    expect(schemas.flatMap(([name, schema]) => unlimitedLists(schema).map((path) => `${name}: ${path}`))).toEqual([]);
    expect(unlimitedLists(object({ open: array(string()) }))).toEqual(['open']);
  });

  it('answers at most twenty problems', async () => {
    const problems = Array.from({ length: 300 }, (_, i) => ({ path: `items[${i}]`, message: 'is missing' }));
    const { error } = (await failed({ ok: false, code: 'invalid', problems }).json()) as {
      error: { problems: unknown[] };
    };
    expect(error.problems).toHaveLength(20);
  });

  it('takes a flag as it is said, and as set where nothing is', () => {
    const flags = object({ take: flag() });
    const taken = (search: string) => {
      const read = queryOf(new URLSearchParams(search), flags);
      return read.ok && read.value.take;
    };
    expect(['', 'take=false', 'take=0'].map(taken)).toEqual([false, false, false]);
    expect(['take', 'take=', 'take=true', 'take=1'].map(taken)).toEqual([true, true, true, true]);
    expect(queryOf(new URLSearchParams('take=perhaps'), flags)).toMatchObject({ problems: [{ path: 'take' }] });
  });

  it('refuses query parameters with unsafe names, or too many of them', () => {
    expect(codeOf(queryOf(new URLSearchParams('__proto__=x'), sought))).toBe('badRequest');
    expect(codeOf(queryOf(new URLSearchParams('constructor=x'), page))).toBe('badRequest');
    expect(codeOf(readQuery(new URLSearchParams('a=1&'.repeat(100))))).toBe('badRequest');
    expect(queryOf(new URLSearchParams('words=oat&other=1'), page)).toEqual({
      ok: true,
      value: { words: 'oat', from: 0 },
    });
  });
});
