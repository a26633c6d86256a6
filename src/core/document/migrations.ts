type Document = Readonly<Record<string, unknown>>;

/**
 * One small pure function a version: the i-th turns a document of version i + 1 into one of version i + 2. There is one
 * version so far. A document of every version stays in `tests/format/` and has to open.
 */
export const migrations: readonly ((document: Document) => Document)[] = [];

/**
 * Brings a document of an older version up to date; one that says nothing sensible of its version is left as it is, for
 * the schema to refuse.
 */
export function migrate(value: unknown, chain = migrations): unknown {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return value;
  let document = value as Document;
  const { version } = document;
  if (!Number.isInteger(version) || (version as number) < 1) return value;
  for (let from = version as number; from <= chain.length; from++)
    document = { ...(chain[from - 1] as (document: Document) => Document)(document), version: from + 1 };
  return document;
}
