import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import type * as contract from '../../contract';
import type { ManyChange, ShelfRow, VaultPage, VaultRow, Wire } from '../../contract';
import { VAULT_PAGE } from '../../contract/limits';
import { ApiFailure, ask } from '../../ui';

/** A question in the Vault, as its list shows it. */
export type Row = Wire<VaultRow>;
export type Page = Wire<VaultPage>;
export type Shelf = ShelfRow;

/** A search; empty: everything. The contract has the allowed words. */
export type Sought = {
  readonly [Field in Exclude<keyof contract.Sought, 'from'>]-?: NonNullable<contract.Sought[Field]> | '';
};
export const EVERYTHING: Sought = { shelf: '', words: '', kind: '', findings: '', use: '', tag: '', sort: '' };

/** The fields of a search that are not empty. */
const namedIn = (sought: Sought): contract.Sought =>
  Object.fromEntries(Object.entries(sought).filter(([, value]) => value !== ''));

/** A search as query string parameters. */
export function searchOf(sought: Sought): URLSearchParams {
  return new URLSearchParams(Object.entries(namedIn(sought)).map(([name, value]) => [name, String(value)]));
}
export const soughtFrom = (search: URLSearchParams): Sought => {
  const entries = Object.keys(EVERYTHING).map((name) => [name, search.get(name) ?? '']);
  return Object.fromEntries(entries) as Sought;
};

/** The visible pages, and the total number of questions. `first`: the page from the server. */
export function usePages(sought: Sought, numbers: readonly number[], first: { sought: Sought; page: Page }) {
  const drawn = searchOf(first.sought).toString() === searchOf(sought).toString();
  const pages = useQueries({
    queries: numbers.map((number) => ({
      queryKey: ['vault', searchOf(sought).toString(), number],
      queryFn: () => ask('GET /api/questions', { query: { ...namedIn(sought), from: number * VAULT_PAGE } }),
      ...(drawn && number === 0 ? { initialData: first.page } : {}),
    })),
  });
  const loaded = pages.flatMap(({ data }) => (data ? [data] : []));
  return { pages: loaded, total: loaded[0]?.total ?? null, failed: pages.find(({ error }) => error)?.error ?? null };
}

export const useShelves = (initialData: Shelf[]) =>
  useQuery({ queryKey: ['shelves'], queryFn: () => ask('GET /api/shelves'), initialData });
export const useTags = () => useQuery({ queryKey: ['tags'], queryFn: () => ask('GET /api/tags') });

const sayFailure = (error: Error) => {
  if (error instanceof ApiFailure)
    toast.error(error.error.message, { description: error.error.problems?.[0]?.message ?? error.error.nextStep });
  else toast.error('Something went wrong', { description: 'Nothing was changed. Try again.' });
};

/**
 * A write to the Vault: invalidates what it changed and reports errors. `stored`: called when the server has it, before
 * the page is refreshed; `shown`: called when the page shows the change.
 */
export function useWrite<In, Out = unknown>(
  write: (input: In) => Promise<Out>,
  stored?: (out: Out, input: In) => void,
  shown?: (out: Out, input: In) => void,
) {
  const client = useQueryClient();
  return useMutation<Out, Error, In>({
    mutationFn: write,
    onSuccess: async (out, input) => {
      stored?.(out, input);
      await Promise.all(['vault', 'shelves', 'tags'].map((key) => client.invalidateQueries({ queryKey: [key] })));
      shown?.(out, input);
    },
    onError: sayFailure,
  });
}

export const changeMany = (change: ManyChange) => ask('PATCH /api/questions', { body: change });
