import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { v5 } from 'uuid';
import type { Context } from '../context';
import { installation } from '../database/accountTables';

/** An address that this installation had, and since when, in milliseconds since 1970. */
interface HomePage {
  readonly url: string;
  readonly since: number;
}

/** What statements are named by: made once, so that the same statement has the same id for ever. */
export interface Identity {
  /** A UUID of this statement, from what it says. */
  readonly idOf: (...parts: readonly (string | number)[]) => string;
  /** Our address now, without a slash at its end. */
  readonly base: string;
  /** The address that we had when an account was made. */
  readonly homeOf: (account: { readonly createdAt: Date }) => string;
}

const NAMESPACE = 'statementNamespace';
const HOME_PAGES = 'homePages';
/** Where no public address is set, and none has been kept. */
const NOWHERE = 'http://localhost';

async function stored<Value>({ db }: Pick<Context, 'db'>, name: string): Promise<Value | null> {
  const row = await db.query.installation.findFirst({ where: eq(installation.name, name) });
  return row ? (row.value as Value) : null;
}

/** Stores a setting unless there is one already; answers the one that is there then. */
async function storedOnce<Value>(context: Pick<Context, 'db'>, name: string, value: Value): Promise<Value> {
  await context.db.insert(installation).values({ name, value }).onConflictDoNothing();
  return (await stored<Value>(context, name)) ?? value;
}

/** Keeps the address under which this installation is reached, if it is another than the last one. */
export async function keepHomePage(context: Pick<Context, 'db' | 'now'>, url: string): Promise<void> {
  const pages = await storedOnce<HomePage[]>(context, HOME_PAGES, [{ url, since: 0 }]);
  if (pages.at(-1)?.url === url) return;
  await context.db
    .update(installation)
    .set({ value: [...pages, { url, since: context.now().getTime() }] })
    .where(eq(installation.name, HOME_PAGES));
}

export async function identityOf(context: Pick<Context, 'db' | 'config'>): Promise<Identity> {
  const namespace = await storedOnce(context, NAMESPACE, randomUUID());
  const pages = (await stored<HomePage[]>(context, HOME_PAGES)) ?? [];
  const { publicUrl } = context.config;
  const base = publicUrl?.origin ?? pages.at(-1)?.url ?? NOWHERE;
  return {
    idOf: (...parts) => v5(JSON.stringify(parts), namespace),
    base,
    homeOf: ({ createdAt }) => pages.findLast(({ since }) => since <= createdAt.getTime())?.url ?? base,
  };
}
