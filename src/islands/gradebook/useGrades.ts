import { type InfiniteData, keepPreviousData, useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import type { GradebookPage, GradeRow, GradesFiltered, HandMark, Wire } from '../../contract';
import { type ApiResult, api, ask } from '../../ui';
import { failureInWords } from '../../ui/failureInWords';

export type Row = Wire<GradeRow>;
export type Page = Wire<GradebookPage>;
export type Cell = Row['cells'][number];
export type Release = Page['releases'][number];
export interface Order {
  readonly sort: string;
  readonly descending: boolean;
}

/** What is shown, page by page as it is scrolled to, and the means of all of it. */
export function useGrades(courseId: string, filter: GradesFiltered, { sort, descending }: Order) {
  const found = useInfiniteQuery({
    queryKey: ['grades', filter, sort, descending],
    queryFn: ({ pageParam }) =>
      ask('GET /api/courses/{id}/gradebook', {
        id: courseId,
        query: { ...filter, sort, ...(descending ? { descending } : {}), from: pageParam },
      }),
    initialPageParam: 0,
    getNextPageParam: ({ from, rows, total }) => (from + rows.length < total ? from + rows.length : undefined),
    placeholderData: keepPreviousData,
    // Until what is on its way to a platform has arrived.
    refetchInterval: ({ state }) => (isOnItsWay(state.data?.pages ?? []) ? SENDING_MS : false),
  });
  const means = useQuery({
    queryKey: ['means', filter],
    queryFn: () => ask('GET /api/courses/{id}/gradebook/means', { id: courseId, query: { ...filter } }),
    placeholderData: keepPreviousData,
  });
  return { found, means: means.data ?? null };
}

const SENDING_MS = 5000;
const isOnItsWay = (pages: readonly Page[]): boolean =>
  pages.some(({ rows }) => rows.some(({ cells }) => cells.some(({ sending }) => sending?.state === 'waiting')));

/** Sends a learner's mark to the platform again. */
export function useSendAgain(): (releaseId: string, learnerId: string) => Promise<void> {
  const queries = useQueryClient();
  return async (id, learnerId) => {
    const sent = await api('POST /api/releases/{id}/scores', { id, body: { learnerId } });
    if (sent.ok) await queries.invalidateQueries({ queryKey: ['grades'] });
    else toast.error(`${sent.error.message}. ${sent.error.nextStep}`);
  };
}

/** A change of one cell: a mark by hand (null: none), or what is said of it. */
export type Change = { readonly mark: HandMark | null } | { readonly excused: boolean; readonly note: string };

interface Step {
  readonly learnerId: string;
  readonly releaseId: string;
  readonly before: Change;
  readonly after: Change;
}

export interface Changes {
  readonly make: (step: Step) => Promise<boolean>;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

/** Changes of cells, each of which can be undone. The row is shown as the server then has it. */
export function useChanges(): Changes {
  const queries = useQueryClient();
  const [{ done, undone }, setSteps] = useState<{ done: readonly Step[]; undone: readonly Step[] }>({
    done: [],
    undone: [],
  });
  const busy = useRef(false);
  const write = async ({ learnerId, releaseId: id }: Step, change: Change): Promise<boolean> => {
    // One after another: two quick presses must not undo the same step twice.
    if (busy.current) return false;
    busy.current = true;
    const answer: ApiResult<Row> =
      'mark' in change
        ? await api('PUT /api/releases/{id}/marks', {
            id,
            body: { learnerId, mark: change.mark && { above: false, ...change.mark } },
          })
        : await api('PUT /api/releases/{id}/remarks', { id, body: { learnerId, ...change } });
    busy.current = false;
    if (!answer.ok) {
      toast.error(failureInWords(answer.error));
      return false;
    }
    queries.setQueriesData<InfiniteData<Page>>({ queryKey: ['grades'] }, (data) => withRow(data, answer.value));
    void queries.invalidateQueries({ queryKey: ['means'] });
    return true;
  };
  const last = done.at(-1);
  const next = undone.at(-1);
  return {
    make: async (step) => {
      if (!(await write(step, step.after))) return false;
      setSteps({ done: [...done, step], undone: [] });
      return true;
    },
    undo: last
      ? async () => {
          if (await write(last, last.before)) setSteps({ done: done.slice(0, -1), undone: [...undone, last] });
        }
      : null,
    redo: next
      ? async () => {
          if (await write(next, next.after)) setSteps({ done: [...done, next], undone: undone.slice(0, -1) });
        }
      : null,
  };
}

const withRow = (data: InfiniteData<Page> | undefined, row: Row): InfiniteData<Page> | undefined =>
  data && {
    ...data,
    pages: data.pages.map((page) => ({
      ...page,
      rows: page.rows.map((shown) => (shown.learnerId === row.learnerId ? row : shown)),
    })),
  };
