import { readFileSync } from 'node:fs';
import SwaggerParser from '@apidevtools/swagger-parser';
import { describe, expect, it } from 'vitest';
import { API_DOCUMENT, API_TYPES, apiDocument, apiTypes } from '../scripts/apiDocument';
import { batch, OPERATIONS, type OperationName, sentMoves } from '../src/contract';
import { bodyOf } from '../src/server/http/endpoint';
import { operation } from './support/apiDocument';
import { ENDPOINTS } from './support/endpoints';

const written = readFileSync(API_DOCUMENT, 'utf8');

describe('the API document', () => {
  it('is what the contract makes of it: `npm run api` writes it anew', { timeout: 120_000 }, () => {
    const made = apiDocument();
    // As values first, for a message that can be read.
    expect(JSON.parse(made)).toEqual(JSON.parse(written));
    expect(made).toBe(written);
  });

  it('has its types beside it, as `npm run api` writes them', async () => {
    expect(readFileSync(API_TYPES, 'utf8')).toBe(await apiTypes());
  });

  it('is a valid OpenAPI 3.1 document', async () => {
    await expect(SwaggerParser.validate(API_DOCUMENT)).resolves.toMatchObject({ openapi: '3.1.0' });
  });

  it('has every endpoint, with who may and a sentence', () => {
    const names = Object.keys(OPERATIONS) as OperationName[];
    for (const name of names)
      expect(operation(name)).toMatchObject({ summary: OPERATIONS[name].does, operationId: expect.any(String) });
    const ids = names.map((name) => operation(name).operationId);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('every operation of the contract is answered by the route of its path, and every route answers its own', () => {
    const routes = [...ENDPOINTS].filter(([name]) => !name.startsWith('ALL '));
    expect(routes.map(([name]) => name).sort()).toEqual(Object.keys(OPERATIONS).sort());
    for (const [name, route] of routes) expect([name, route.operation]).toEqual([name, name]);
  });

  const id = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0001';
  const move = { id, kind: 'put', item: 'a', copy: 0, zone: 'b' };
  const drop = { id, kind: 'drop', item: 'a', copy: 0, x: 1, y: 2, px: 3, py: 4 };
  const entry = { id: 'a' };
  it.each([
    [
      'POST /api/sittings/{id}/moves',
      sentMoves,
      (one: unknown) => ({ question: 0, after: 0, moves: [one] }),
      [
        move,
        { ...move, zone: null },
        { ...move, at: 2 },
        drop,
        { ...drop, at: 0 },
        { id, kind: 'check' },
        { id, kind: 'hint' },
        { id, kind: 'reset' },
        { id, kind: 'put', zone: 'b', text: 'bean' },
      ],
      [
        null,
        'check',
        { kind: 'check' },
        { id: 'x', kind: 'check' },
        { id, kind: 'check', item: 'a' },
        { id, kind: 'peek' },
        { ...move, zone: 3 },
        { ...move, copy: -1 },
        { ...move, more: 1 },
        { ...move, item: 'x'.repeat(65) },
        { ...drop, zone: 'b' },
        { ...drop, x: '1' },
        { id, kind: 'put', zone: 'b', text: 'x'.repeat(401) },
        { id, kind: 'put', zone: null, text: 'x' },
      ],
    ],
    [
      'POST /api/questions/{id}/edits',
      batch,
      (one: unknown) => ({ id, from: 1, edits: [one] }),
      [
        { type: 'setQuestion', field: 'title', to: 'x', from: 'y' },
        { type: 'set', in: 'items', id: 'a', field: 'label', to: 'x', from: 'y' },
        { type: 'add', in: 'zones', index: 0, entry },
        { type: 'remove', in: 'fixtures', index: 3, entry },
        { type: 'move', in: 'items', from: 0, to: 1 },
        { type: 'name', in: 'looks', name: 'a', to: null, from: {} },
      ],
      [
        null,
        {},
        { type: 'setQuestion' },
        { type: 'set', in: 'items', id: 'a', field: 'id' },
        { type: 'set', in: 'pages', id: 'a', field: 'label' },
        { type: 'add', in: 'zones', index: -1, entry },
        { type: 'add', in: 'zones', index: 0, entry: {} },
        { type: 'move', in: 'items', from: 0.5, to: 1 },
        { type: 'name', in: 'items', name: 'a', to: null },
        { type: 'swap' },
      ],
    ],
  ] as const)('says of %s what the endpoint takes', async (name, schema, around, good, bad) => {
    const takes = async (body: unknown) =>
      (await bodyOf(new Request('http://127.0.0.1', { method: 'POST', body: JSON.stringify(body) }), schema)).ok;
    for (const [list, is] of [
      [good, true],
      [bad, false],
    ] as const)
      for (const one of list)
        expect([one, await takes(around(one)), operation(name).takes(around(one)).length === 0]).toEqual([one, is, is]);
  });
});
