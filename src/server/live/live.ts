import type { LiveView } from '../../contract';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { type Failure, fail, ok, type Result } from '../errors';
import { isSignedIn } from '../sittings/standing';
import { type LiveEvent, watchOf } from './watch';

/** Streams that one teacher may have open, in all windows. */
const MAX_STREAMS = 6;
/** So that whoever stands between does not take a quiet stream for a dead one; then rights are looked at again. */
const HEARTBEAT_MS = 15_000;
/** Messages that wait for a reader. */
const MAX_WAITING = 200;
/** How soon a browser comes back. */
const RETRY_MS = 2000;

const open = new Map<string, number>();

/** Ends each open stream when the process is told to end: browsers come back to the next one. */
const closing = new Set<() => void>();
let isListening = false;
function closeWithProcess(close: () => void): () => void {
  if (!isListening)
    for (const signal of ['SIGTERM', 'SIGINT'])
      process.on(signal, () => {
        for (const one of closing) one();
      });
  isListening = true;
  closing.add(close);
  return () => closing.delete(close);
}

export async function liveOf(as: As<Teacher>, releaseId: string): Promise<Result<LiveView>> {
  return (await releaseOf(as, releaseId)) ? ok(await watchOf(as, releaseId).view()) : fail('notFound');
}

const encoder = new TextEncoder();
const HERE = encoder.encode(': still here\n\n');
const RETRY = encoder.encode(`retry: ${RETRY_MS}\n\n`);
const ANEW = encoder.encode('event: anew\ndata: {}\n\n');
/** Each event is written once for all who watch. */
const written = new WeakMap<LiveEvent, Uint8Array>();
function asBytes(event: LiveEvent): Uint8Array {
  const known = written.get(event);
  if (known) return known;
  const bytes = encoder.encode(`id: ${event.id}\ndata: ${JSON.stringify(event.change)}\n\n`);
  written.set(event, bytes);
  return bytes;
}

/**
 * The changes of a release as server-sent events (HTML, 9.2). `last`: the last event the browser has; one that is not
 * known any more is answered by everything.
 */
export async function liveEvents(
  as: As<Teacher>,
  releaseId: string,
  { last, session, gone }: { readonly last: string | null; readonly session: string; readonly gone: AbortSignal },
): Promise<Response | Failure> {
  const { id: personId } = as.person;
  if (!(await releaseOf(as, releaseId))) return fail('notFound');
  if ((open.get(personId) ?? 0) >= MAX_STREAMS) return fail('tooMany');
  open.set(personId, (open.get(personId) ?? 0) + 1);
  const watch = watchOf(as, releaseId);
  const ending: (() => void)[] = [];
  const end = () => {
    for (const one of ending.splice(0)) one();
  };
  ending.push(() => {
    const left = (open.get(personId) ?? 1) - 1;
    if (left > 0) open.set(personId, left);
    else open.delete(personId);
  });
  try {
    await watch.ready;
  } catch (error) {
    end();
    throw error;
  }
  const body = new ReadableStream<Uint8Array>({
    start: (controller) => {
      const close = () => {
        if (ending.length === 0) return;
        end();
        controller.close();
      };
      const send = (bytes: Uint8Array) => {
        if (ending.length === 0) return;
        // Who reads nothing comes back to what it has missed, instead of filling the memory.
        if ((controller.desiredSize ?? 0) < -MAX_WAITING) return close();
        controller.enqueue(bytes);
      };
      const beat = async () => {
        const may = (await releaseOf(as, releaseId)) && (await isSignedIn(as, session, personId));
        if (may) send(HERE);
        else close();
      };
      const heartbeat = setInterval(() => void beat().catch(close), HEARTBEAT_MS);
      ending.push(() => clearInterval(heartbeat));
      const missed = last === null ? null : watch.since(last);
      send(RETRY);
      if (last !== null && !missed) send(ANEW);
      else if (missed && missed.id !== last) send(asBytes(missed));
      ending.push(watch.subscribe((event) => send(asBytes(event))));
      gone.addEventListener('abort', close);
      ending.push(closeWithProcess(close));
    },
    cancel: end,
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      // A proxy that gathers an answer before it passes it on would hold everything back.
      'x-accel-buffering': 'no',
    },
  });
}
