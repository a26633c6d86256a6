import { randomUUID } from 'node:crypto';
import { symmetricDecrypt, symmetricEncrypt } from 'better-auth/crypto';
import { and, count, desc, eq, ne, sql } from 'drizzle-orm';
import type { InferType } from 'yup';
import type { RecordStoreView, recordStoreGiven } from '../../contract';
import { isAdmin } from '../accounts/installation';
import { noteSecurity } from '../accounts/securityLog';
import type { As, Context, Teacher } from '../context';
import { outbox, recordStore } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { isOutsideAddress } from '../outside/addresses';

/** The record store with its secret. */
export type Store = typeof recordStore.$inferSelect;

/** Null: none is named. */
export async function storeOf({ db, config }: Pick<Context, 'db' | 'config'>): Promise<Store | null> {
  const row = await db.query.recordStore.findFirst();
  return row ? { ...row, secret: await symmetricDecrypt({ key: config.secret, data: row.secret }) } : null;
}

async function viewOf({ db }: Pick<Context, 'db'>): Promise<RecordStoreView> {
  const [row] = await db.select().from(recordStore);
  const states = await db
    .select({ state: outbox.state, n: count() })
    .from(outbox)
    .where(eq(outbox.kind, 'statement'))
    .groupBy(outbox.state);
  const [latest] = await db
    .select({ reason: outbox.reason })
    .from(outbox)
    .where(and(eq(outbox.kind, 'statement'), ne(outbox.reason, '')))
    .orderBy(desc(outbox.at))
    .limit(1);
  const of = (state: string) => states.find((some) => some.state === state)?.n ?? 0;
  return {
    store: row ? { address: row.address, key: row.key, names: row.names, since: row.since } : null,
    ...{ waiting: of('waiting'), failed: of('failed'), arrived: of('arrived') },
    reason: latest?.reason ?? '',
  };
}

export const openRecordStore = async (as: As<Teacher>): Promise<Result<RecordStoreView>> =>
  (await isAdmin(as)) ? ok(await viewOf(as)) : fail('notAllowed');

/** Names the record store. Another address is another store: what waited for the one before goes. */
export async function nameRecordStore(
  as: As<Teacher>,
  { address, key, secret, names }: InferType<typeof recordStoreGiven>,
): Promise<Result<RecordStoreView>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  if (!isOutsideAddress(address))
    return fail('invalid', {
      problems: [{ path: 'address', message: 'It has to be https, or http to this machine.' }],
    });
  const known = await as.db.query.recordStore.findFirst();
  const isSame = known?.address === address;
  if (secret === '' && !isSame) return fail('invalid', { problems: [{ path: 'secret', message: 'is missing' }] });
  const data = secret === '' ? (known?.secret ?? '') : await symmetricEncrypt({ key: as.config.secret, data: secret });
  await as.db.transaction(async (tx) => {
    if (known && isSame)
      await tx.update(recordStore).set({ key, names, secret: data }).where(eq(recordStore.id, known.id));
    else {
      await tx.delete(recordStore);
      await tx.insert(recordStore).values({ id: randomUUID(), address, key, names, secret: data, since: as.now() });
    }
  });
  await noteSecurity(as, { what: 'recordStoreNamed', by: as.person.id, address: as.address, detail: address });
  return ok(await viewOf(as));
}

export async function removeRecordStore(as: As<Teacher>): Promise<Result<RecordStoreView>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  const gone = await as.db.delete(recordStore).returning({ address: recordStore.address });
  const [store] = gone;
  if (store)
    await noteSecurity(as, {
      ...{ what: 'recordStoreRemoved', by: as.person.id, address: as.address },
      detail: store.address,
    });
  return ok(await viewOf(as));
}

/** Tries again what waits or has failed; `all`: sends all statements that there are. */
export async function sendToStoreAgain(as: As<Teacher>, all: boolean): Promise<Result<RecordStoreView>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  if (!(await as.db.query.recordStore.findFirst())) return fail('notFound');
  await as.db.transaction(async (tx) => {
    if (all) {
      await tx.update(recordStore).set({ since: new Date(0) });
      // By the trigger that everything goes through.
      await tx.run(sql`insert into mark_changed select distinct release_id, learner_id from
        (select release_id, learner_id from sitting union select release_id, learner_id from mark_override)`);
    }
    // What was refused for good may have been mended there.
    await tx
      .update(outbox)
      .set({
        ...{ state: 'waiting', tries: 0, dueAt: new Date(0), leasedUntil: null, reason: '' },
        version: sql`${outbox.version} + 1`,
        body: sql`case when ${outbox.body} is null then null else json_set(${outbox.body}, '$.refused', json('[]')) end`,
      })
      .where(and(eq(outbox.kind, 'statement'), ne(outbox.state, 'arrived')));
  });
  return ok(await viewOf(as));
}
