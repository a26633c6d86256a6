import type { Kind, Question } from '../../core';
import { difference } from '../../core';
import { changedTo } from '../../core/kinds';
import { api } from '../../ui/api';
import { takenAlong } from '../shared/takenAlong';
import { proposedOf } from '../shared/usePasted';
import { becomePasted } from './kind/become';
import { goesAlong, type Unborn } from './saving/autoSave';
import { type BenchStore, benchStore } from './store';

/** With what a new question begins. */
export interface Beginning {
  readonly shelfId: string | null;
  readonly kind: Kind | null;
  /** What was pasted in the Vault is taken along. */
  readonly pasted: boolean;
}

/** The Bench with a new question. It is stored, and gets its address, as soon as something is in it. */
export function beginning(blank: Question, { shelfId, kind, pasted }: Beginning): BenchStore {
  const create: Unborn['create'] = async (first) => {
    const body = { id: blank.id, shelfId, ...(first ? { first: { id: first.id, edits: first.edits } } : {}) };
    const made = await api('POST /api/questions', { body, keepalive: first !== undefined && goesAlong(first.edits) });
    if (made.ok) history.replaceState(history.state, '', `/bench/${blank.id}`);
    return made;
  };
  const store = benchStore(blank, 1, new Date(), 'own', create);
  const taken = pasted ? takenAlong() : null;
  const proposed = taken && proposedOf(blank, taken)?.proposed;
  if (proposed?.ok) {
    becomePasted(store, proposed.question);
    store.setState({ station: 'layOut' });
  } else if (kind) {
    const changed = changedTo(blank, kind);
    if (changed) store.getState().do(difference(blank, changed.question));
    // It begins so: there is nothing to undo.
    store.setState({ past: [] });
  }
  return store;
}
