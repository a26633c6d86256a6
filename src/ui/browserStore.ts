/** Where something is remembered: in this browser, or until its tab is closed. */
type Where = 'browser' | 'tab';
const storage = (where: Where) => (where === 'browser' ? localStorage : sessionStorage);

/** What is remembered under a name, as JSON; null: nothing, storage is forbidden, or another program wrote there. */
export function recall(name: string, where: Where = 'browser'): unknown {
  try {
    return JSON.parse(storage(where).getItem(name) ?? 'null');
  } catch {
    return null;
  }
}

/** Remembers a value; null is forgotten. Where storage is full or forbidden, it lasts as long as the page. */
export function remember(name: string, value: unknown, where: Where = 'browser'): void {
  try {
    if (value === null) storage(where).removeItem(name);
    else storage(where).setItem(name, JSON.stringify(value));
  } catch {
    // As said above.
  }
}
