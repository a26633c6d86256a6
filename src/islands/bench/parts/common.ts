/** What all entries have in common: the value, or undefined where they differ. */
export function common<Entry, Value>(entries: readonly Entry[], of: (entry: Entry) => Value): Value | undefined {
  const [first, ...others] = entries.map(of);
  return others.every((value) => JSON.stringify(value) === JSON.stringify(first)) ? first : undefined;
}
