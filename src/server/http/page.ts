const MOST_FROM = 1_000_000;

/** From which row a page is asked for, by `from` of an address; the first where that says nothing sensible. */
export function fromIn(search: URLSearchParams): number {
  const from = Number(search.get('from') ?? '0');
  return Number.isInteger(from) && from >= 0 && from <= MOST_FROM ? from : 0;
}
