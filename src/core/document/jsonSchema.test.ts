import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv2020 from 'ajv/dist/2020';
import { describe, expect, it } from 'vitest';
import { everything } from '../../../tests/support/everything';
import { seeds } from '../../../tests/support/seeds';
import { random, seedOf } from '../random/random';
import { questionSchema } from './schema';

const file = join(import.meta.dirname, '../../../docs/format/question.schema.json');
const byJson = new Ajv2020({ strict: false, allErrors: false }).compile(
  JSON.parse(readFileSync(file, 'utf8')) as object,
);
const byYup = (document: unknown) => questionSchema.isValidSync(document, { strict: true });

type Json = null | boolean | number | string | Json[] | { [name: string]: Json };
const STRANGE: readonly Json[] = [
  null,
  true,
  0,
  -1,
  0.5,
  1,
  3,
  1e308,
  20_000,
  '',
  'x',
  'rect',
  'share',
  'endless',
  '#a1b2c3',
  'a\u0000b',
  'a\nb',
  'y'.repeat(101),
  [],
  [1, 2],
  {},
  { rule: 'all' },
  { rule: 'share', share: 2 },
  { type: 'slot' },
];

/** Every place in a document, as the object or list it is in and its name there. */
function places(value: Json, found: [Json[] | { [name: string]: Json }, string][] = []) {
  if (value === null || typeof value !== 'object') return found;
  for (const name of Object.keys(value)) {
    found.push([value, name]);
    places((value as { [name: string]: Json })[name] as Json, found);
  }
  return found;
}

/** The document with one to three places changed: dropped, doubled under another name, or given something strange. */
function broken(document: Json, seed: string): Json {
  const next = random(seedOf(seed));
  const copy = structuredClone(document);
  for (let times = 1 + Math.floor(next() * 3); times > 0; times--) {
    const all = places(copy);
    const [inside, name] = all[Math.floor(next() * all.length)] as (typeof all)[number];
    const what = next();
    const target = inside as { [name: string]: Json };
    if (what < 0.2) Array.isArray(inside) ? inside.splice(Number(name), 1) : delete target[name];
    else if (what < 0.3 && !Array.isArray(inside)) target[`${name}2`] = target[name] as Json;
    else target[name] = structuredClone(STRANGE[Math.floor(next() * STRANGE.length)] as Json);
  }
  return copy;
}

describe('docs/format/question.schema.json says the same as the schema', () => {
  const whole = JSON.parse(JSON.stringify(everything())) as Json;
  const small = JSON.parse(JSON.stringify(seeds())) as Json;

  it('of documents that are right', () => {
    for (const document of [whole, small]) {
      expect(byJson(document), JSON.stringify(byJson.errors)).toBe(true);
      expect(byYup(document)).toBe(true);
    }
  });

  it('of 3,000 documents with something changed', () => {
    const differing: string[] = [];
    let refused = 0;
    for (let i = 0; i < 3000; i++) {
      const document = broken(i % 4 === 0 ? small : whole, `broken-${i}`);
      const right = byJson(document);
      if (!right) refused++;
      if (right !== byYup(document))
        differing.push(`broken-${i}: JSON Schema ${right}, ${JSON.stringify(byJson.errors?.[0])}`);
    }
    expect(differing.slice(0, 5)).toEqual([]);
    expect(refused).toBeGreaterThan(1500);
    expect(refused).toBeLessThan(3000);
  });
});
