import type { CDPSession } from '@playwright/test';

/** What of a Chromium trace is read: durations and times in microseconds. */
interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly ts: number;
  readonly dur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly args?: {
    readonly name?: string;
    readonly data?: { readonly url?: string; readonly message?: string };
    readonly beginData?: { readonly url?: string };
  };
}

/** The trace of what is done meanwhile. */
export async function traced(cdp: CDPSession, work: () => Promise<void>): Promise<TraceEvent[]> {
  const events: TraceEvent[] = [];
  const collect = ({ value }: { value: object[] }) => events.push(...(value as TraceEvent[]));
  cdp.on('Tracing.dataCollected', collect);
  const done = new Promise<void>((resolve) => cdp.once('Tracing.tracingComplete', () => resolve()));
  await cdp.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: {
      includedCategories: [
        'toplevel',
        'devtools.timeline',
        'blink.user_timing',
        'disabled-by-default-devtools.timeline.frame',
      ],
      excludedCategories: ['*'],
    },
  });
  await work();
  await cdp.send('Tracing.end');
  await done;
  cdp.off('Tracing.dataCollected', collect);
  return events;
}

const isTask = ({ name, ph }: TraceEvent) =>
  ph === 'X' && (name === 'RunTask' || name === 'ThreadControllerImpl::RunTask');

/**
 * Milliseconds of work on the page's main thread for each pointer move that reached it: every task between one move's
 * arrival and the next, script, style, layout and paint alike. The page's main thread is the one on which the moves
 * arrive.
 */
export function workPerMove(events: readonly TraceEvent[]): number[] {
  const moves = events
    .filter(
      ({ name, args }) =>
        name === 'EventDispatch' && (args?.data as { type?: string } | undefined)?.type === 'mousemove',
    )
    .sort((a, b) => a.ts - b.ts);
  const first = moves[0];
  if (!first) throw new Error('No pointer move is in the trace');
  const tasks = events
    .filter((event) => event.pid === first.pid && event.tid === first.tid && isTask(event))
    .sort((a, b) => a.ts - b.ts);
  const starts = moves.map(({ ts }) => tasks.findLast((task) => task.ts <= ts)?.ts ?? ts);
  return starts.slice(0, -1).map((from, i) => {
    const to = starts[i + 1] as number;
    return tasks.filter(({ ts }) => ts >= from && ts < to).reduce((sum, { dur = 0 }) => sum + dur / 1000, 0);
  });
}

/**
 * Milliseconds of work on the main thread of the page at an address, from where the trace begins to a mark that the
 * page sets.
 */
export function workUntil(events: readonly TraceEvent[], url: string, mark: string): number {
  const page = events.find(({ name, args }) => name === 'ParseHTML' && args?.beginData?.url?.startsWith(url));
  const marked = events.find(({ name, pid, tid }) => name === mark && pid === page?.pid && tid === page.tid);
  if (!page || !marked) throw new Error(`The trace has no ${page ? mark : url}`);
  return events
    .filter((event) => event.pid === page.pid && event.tid === page.tid && isTask(event) && event.ts < marked.ts)
    .reduce((sum, { dur = 0 }) => sum + dur / 1000, 0);
}
