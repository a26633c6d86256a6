import type { APIContext } from 'astro';
import { type App, failedAs, guarded } from '../../../server';
import { keptIn, noStatements, RecordStore } from '../../../stand-ins';

// Held on globalThis: the development server reloads this module after each edit.
const shared = globalThis as unknown as { standInStore?: RecordStore };

function storeIn(data: string): RecordStore {
  const { kept, keep } = keptIn(data, 'stand-in-record-store.json', noStatements);
  return new RecordStore(kept, keep);
}

/** The stand-in for a record store, in the demo alone. */
async function standIn(app: App, { request, params }: APIContext): Promise<Response> {
  if (!app.config.demo) return failedAs('notFound');
  shared.standInStore ??= storeIn(app.config.data);
  return shared.standInStore.answer(request, (params.path ?? '').replace(/\/$/, ''), '/stand-in/record-store');
}

export const ALL = guarded(standIn);
