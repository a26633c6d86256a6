import { useEffect, useState } from 'react';
import type { JsonText, LiveChange, LiveView, Wire } from '../../contract';
import { ask } from '../../ui';
import { addressOf } from '../../ui/api';
import { fromJson } from '../../ui/wire';

type View = Wire<LiveView>;
/** `live`: changes come; `cut`: the line is down, and the browser tries again; `ended`: there will be no more. */
export type Line = 'joining' | 'live' | 'cut' | 'ended';

/** The view with a change in it: a row stays where it is. */
export function withChange(view: View, change: Wire<LiveChange>): View {
  const changed = new Map(change.learners.map((learner) => [learner.learnerId, learner]));
  const known = new Set(view.learners.map(({ learnerId }) => learnerId));
  return {
    ...view,
    learners: [
      ...view.learners.map((learner) => changed.get(learner.learnerId) ?? learner),
      ...change.learners.filter(({ learnerId }) => !known.has(learnerId)),
    ],
    counts: { ...view.counts, ...change.counts },
  };
}

/** A release as it is being answered: what the page was made with, and each change since. */
export function useLive(json: JsonText<LiveView>): { view: View; line: Line; at: number } {
  const [view, setView] = useState<View>(() => fromJson(json));
  const [line, setLine] = useState<Line>('joining');
  /** The server's clock, in milliseconds: as the page was made, and from then on by this machine's. */
  const [at, setAt] = useState(() => Date.parse(view.now));
  const { id } = view.release;
  const [first] = useState(view.last);
  useEffect(() => {
    const stream = new EventSource(addressOf('GET /api/releases/{id}/live/events', { id, query: { after: first } }));
    stream.onopen = () => setLine('live');
    stream.onerror = () => setLine(stream.readyState === EventSource.CLOSED ? 'ended' : 'cut');
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const change = JSON.parse(data) as Wire<LiveChange>;
      setView((before) => withChange(before, change));
    };
    // What this page has is not known to the server any more.
    stream.addEventListener('anew', () => void ask('GET /api/releases/{id}/live', { id }).then(setView));
    return () => stream.close();
  }, [id, first]);
  useEffect(() => {
    const since = performance.now();
    const from = Date.parse(view.now);
    const timer = setInterval(() => setAt(from + performance.now() - since), 1000);
    return () => clearInterval(timer);
  }, [view.now]);
  return { view, line, at };
}
