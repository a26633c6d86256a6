import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { migrate, migrations } from './migrations';
import { parseQuestionText } from './parse';
import { VERSION } from './schema';

const chain = [
  ({ mark, ...rest }: Readonly<Record<string, unknown>>) => ({ ...rest, max: mark }),
  (document: Readonly<Record<string, unknown>>) => ({ ...document, places: 2 }),
];

it('an older document goes through every step between', () => {
  expect(migrate({ version: 1, mark: 5 }, chain)).toEqual({ version: 3, max: 5, places: 2 });
  expect(migrate({ version: 2, max: 5 }, chain)).toEqual({ version: 3, max: 5, places: 2 });
  expect(migrate({ version: 3 }, chain)).toEqual({ version: 3 });
});

it('what has no version to start from is left to the schema', () => {
  for (const value of [null, 'text', [], { version: 0 }, { version: 1.5 }, { version: '1' }, {}])
    expect(migrate(value, chain)).toBe(value);
});

it('there is a step to every version, and a document of every version opens', () => {
  expect(migrations.length).toBe(VERSION - 1);
  const folder = join(import.meta.dirname, '../../../tests/format');
  expect(readdirSync(folder).sort()).toEqual(Array.from({ length: VERSION }, (_, i) => `version-${i + 1}.json`));
  for (const file of readdirSync(folder))
    expect(parseQuestionText(readFileSync(join(folder, file), 'utf8'))).toMatchObject({ ok: true });
});
