import { QueryClient, useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { ApiFailure, ask } from '../../ui';

/** A question in the Vault, as its list shows it. */
export interface Row {
  id: string;
  title: string;
  kind: string;
  changedAt: string;
  startingPoint: boolean;
  findings: { error: number; warning: number; note: number };
  shelfId: string | null;
  tags: string[];
  access: 'own' | 'see' | 'use' | 'edit';
  owner: string;
}
export interface Page {
  rows: Row[];
  total: number;
  from: number;
}
export interface Shelf {
  id: string;
  title: string;
  parentId: string | null;
  access: Row['access'];
  owner: string;
  questions: number;
  shares: { username: string; name: string; right: 'see' | 'use' | 'edit' }[];
}

/** What is looked for; empty: everything. */
export interface Sought {
  readonly shelf: string;
  readonly words: string;
  readonly kind: string;
  readonly findings: string;
  readonly use: string;
  readonly tag: string;
  readonly sort: string;
}
export const EVERYTHING: Sought = { shelf: '', words: '', kind: '', findings: '', use: '', tag: '', sort: '' };

export const PAGE = 50;

/** The part of an address that says what is looked for. */
export function searchOf(sought: Sought): URLSearchParams {
  return new URLSearchParams(Object.entries(sought).filter(([, value]) => value !== ''));
}
export const soughtFrom = (search: URLSearchParams): Sought => {
  const entries = Object.keys(EVERYTHING).map((name) => [name, search.get(name) ?? '']);
  return Object.fromEntries(entries) as Sought;
};

export const vaultClient = () => new QueryClient({ defaultOptions: { queries: { staleTime: 20_000, retry: 1 } } });

/** The pages that are in sight, and how many questions there are of them all. `first`: the page the server drew. */
export function usePages(sought: Sought, numbers: readonly number[], first: { sought: Sought; page: Page }) {
  const drawn = searchOf(first.sought).toString() === searchOf(sought).toString();
  const pages = useQueries({
    queries: numbers.map((number) => ({
      queryKey: ['vault', searchOf(sought).toString(), number],
      queryFn: () => {
        const search = searchOf(sought);
        search.set('from', String(number * PAGE));
        return ask<Page>('GET', `/api/questions?${search}`);
      },
      ...(drawn && number === 0 ? { initialData: first.page } : {}),
    })),
  });
  const loaded = pages.flatMap(({ data }) => (data ? [data] : []));
  return { pages: loaded, total: loaded[0]?.total ?? null, failed: pages.find(({ error }) => error)?.error ?? null };
}

export const useShelves = (initialData: Shelf[]) => useQuery({ queryKey: ['shelves'], queryFn: () => ask<Shelf[]>('GET', '/api/shelves'), initialData });
export const useTags = () => useQuery({ queryKey: ['tags'], queryFn: () => ask<{ tag: string; questions: number }[]>('GET', '/api/tags') });

const sayFailure = (error: Error) => {
  if (error instanceof ApiFailure) toast.error(error.error.message, { description: error.error.problems?.[0]?.message ?? error.error.wayOn });
  else toast.error('Something went wrong', { description: 'Nothing was changed. Try again.' });
};

/**
 * A write to the Vault: what it changed is asked for again, and what went wrong is said.
 * `stored`: as soon as the server has it, before anything on the page is new; `shown`: once the page has what changed.
 */
export function useWrite<In, Out = unknown>(write: (input: In) => Promise<Out>, stored?: (out: Out, input: In) => void, shown?: (out: Out, input: In) => void) {
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

export interface ManyChange {
  readonly ids: readonly string[];
  readonly shelfId?: string | null;
  readonly deleted?: boolean;
  readonly addTags?: readonly string[];
  readonly removeTags?: readonly string[];
}
export const changeMany = (change: ManyChange) => ask<{ changed: string[]; stood: { shelfId: string | null; ids: string[] }[] }>('PATCH', '/api/questions', change);
