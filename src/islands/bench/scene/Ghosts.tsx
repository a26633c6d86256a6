import { useMemo } from 'react';
import { type ItemId, idIn, type Ref, thingAt } from '../../../core';
import { pxTurned } from '../../../scene';
import { type Ghost, ghostsOf, modelGhosts, startGhosts } from '../key/ghosts';
import type { BenchStore } from '../store';

/** Where the one selected item would come to rest in each zone it belongs to, and the model answer when it is shown. */
export function Ghosts({ store, scale }: { store: BenchStore; scale: number }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const station = store((s) => s.station);
  const tool = store((s) => s.tool);
  const shown = store((s) => s.modelShown);
  const proved = store((s) => s.proved);
  const ref = selection.size === 1 ? ([...selection][0] as Ref) : null;
  const ghosts = useMemo<readonly Ghost[]>(() => {
    if (shown)
      return proved?.of === question && proved.proof.modelAnswer
        ? modelGhosts(question, proved.proof.modelAnswer.placements)
        : [];
    const thing = ref && station === 'key' ? thingAt(question, ref) : undefined;
    if (thing?.kind === 'item') return ghostsOf(question, thing.is.id);
    return ref && station === 'layOut' && tool === 'select' ? startGhosts(question, idIn(ref) as ItemId) : [];
  }, [question, station, ref, shown, proved, tool]);
  return ghosts.map(({ key, frame, label }) => (
    <div key={key} className="bench-ghost" style={pxTurned(frame, scale)} data-ghost={label} aria-hidden>
      <span className="tag-words">{label}</span>
    </div>
  ));
}
