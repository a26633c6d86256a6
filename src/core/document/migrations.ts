import type { Question } from './schema';
import { VERSION } from './version';

type Document = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Document =>
  value !== null && typeof value === 'object' && !Array.isArray(value);
const fieldsIn = (value: unknown): Document[] => (Array.isArray(value) ? value.filter(isFields) : []);

/** The marks of version 1 had one cost for all wrong placements. Null: they are not of version 1. */
export function splitCosts(marks: Document): Document | null {
  if ('extraCosts' in marks || 'misplacedCosts' in marks) return null;
  const { wrongCosts = 0, ...rest } = marks;
  return { ...rest, extraCosts: wrongCosts, misplacedCosts: wrongCosts };
}

/**
 * Items that only typed zones read, by how many of those accept each: version 2 reads an item in no more zones than it
 * has copies. An item that carries a zone or stands in a sequence has one copy, and keeps it.
 */
function typedCopies(document: Document): Map<string, number> {
  const accepting = new Map<string, number>();
  const zones = fieldsIn(document.zones);
  for (const { typed } of zones)
    if (isFields(typed) && isFields(typed.accept))
      for (const id of Object.keys(typed.accept)) accepting.set(id, (accepting.get(id) ?? 0) + 1);
  const typedZones = new Set(zones.flatMap(({ id, typed }) => (isFields(typed) ? [id] : [])));
  const single = new Set<unknown>(zones.map(({ ridesOn }) => ridesOn));
  for (const { zone, belongs, sequence } of fieldsIn(document.key))
    if (Array.isArray(belongs) && (sequence === true || !typedZones.has(zone)))
      for (const id of belongs) single.add(id);
  return new Map([...accepting].filter(([id]) => !single.has(id)));
}

/** Version 1 to 2: two costs in place of one, and as many copies of typed items as zones accept them. */
function toVersion2(document: Document): Document {
  const copies = typedCopies(document);
  const total = new Map<unknown, number>();
  let changed = false;
  const items = Array.isArray(document.items)
    ? document.items.map((item: unknown) => {
        if (!isFields(item)) return item;
        const before = item.copies ?? 1;
        const wanted = copies.get(item.id as string) ?? 0;
        if (typeof before !== 'number') return item;
        total.set(item.id, before);
        if (wanted <= before) return item;
        changed = true;
        return { ...item, copies: wanted };
      })
    : document.items;
  // All of an item's copies are more of them now: what was asked for is said as a number, so that marks stay.
  const key =
    changed && Array.isArray(document.key)
      ? document.key.map((entry: unknown) => {
          if (!isFields(entry) || !isFields(entry.need) || entry.need.rule !== 'all' || !Array.isArray(entry.belongs))
            return entry;
          if (!entry.belongs.some((id) => copies.has(id as string))) return entry;
          const n = entry.belongs.reduce((sum: number, id) => sum + (total.get(id) ?? 0), 0);
          return { ...entry, need: { rule: 'exactly', n } };
        })
      : document.key;
  const marks = isFields(document.marks) ? (splitCosts(document.marks) ?? document.marks) : document.marks;
  return {
    ...document,
    ...(items === undefined ? {} : { items }),
    ...(key === undefined ? {} : { key }),
    ...(marks === undefined ? {} : { marks }),
    either: [],
    pools: [],
  };
}

/**
 * One small pure function a version: the i-th turns a document of version i + 1 into one of version i + 2. A document
 * of every version stays in `tests/format/` and has to open.
 */
export const migrations: readonly ((document: Document) => Document)[] = [toVersion2];

/**
 * Brings a document of an older version up to date; one that says nothing sensible of its version is left as it is, for
 * the schema to refuse.
 */
export function migrate(value: unknown, chain = migrations): unknown {
  if (!isFields(value)) return value;
  let document: Document = value;
  const { version } = document;
  if (!Number.isInteger(version) || (version as number) < 1) return value;
  for (let from = version as number; from <= chain.length; from++)
    document = { ...(chain[from - 1] as (document: Document) => Document)(document), version: from + 1 };
  return document;
}

/** A stored question, which was valid when it was stored, in the present version. */
export const upToDate = (question: Question): Question =>
  question.version === VERSION ? question : (migrate(question) as Question);
