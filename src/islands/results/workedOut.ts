import { useQuery } from '@tanstack/react-query';

/** While a job works the figures out they are fetched again: soon at first, then less and less often. */
const [FIRST_LOOK_MS, LAST_LOOK_MS] = [300, 30_000];

/** What a job works out, fetched again until it is of what has come in by now. */
export const useWorkedOut = <T extends { readonly isCurrent: boolean }>(
  key: readonly string[],
  fetch: () => Promise<T>,
) =>
  useQuery({
    queryKey: key,
    queryFn: fetch,
    refetchInterval: ({ state: { data, dataUpdateCount } }) =>
      data && !data.isCurrent ? Math.min(FIRST_LOOK_MS * 1.5 ** dataUpdateCount, LAST_LOOK_MS) : false,
  });
