import type { Pasted } from './usePasted';

const TAKEN_AT = 'vault-drop.pasted';

/** Takes what was pasted along to the Bench, which opens next. */
export function takeAlong(pasted: Pasted): void {
  sessionStorage.setItem(TAKEN_AT, JSON.stringify(pasted));
}

/** What was taken along, once; null: nothing. */
export function takenAlong(): Pasted | null {
  const taken = sessionStorage.getItem(TAKEN_AT);
  sessionStorage.removeItem(TAKEN_AT);
  return taken === null ? null : (JSON.parse(taken) as Pasted);
}
