import type { CSSProperties } from 'react';
import { around, type Guide, type Ref, standingAt, thingAt, thresholdOf } from '../../../core';
import { pxTurned } from '../../../scene';
import { modelOf } from '../key/ghosts';
import { type BenchStore, framesOf } from '../store';

/**
 * As many lines as are shown at once. They stay in the page: putting them in and taking them out with each move would
 * cost more than the move.
 */
const MAX_GUIDES = 6;
const AWAY = { display: 'block', width: 0, height: 0 };

/** The lines on which what is pulled shares an edge or a middle with something. */
export function Guides({ store, scale }: { store: BenchStore; scale: number }) {
  const guides = store.pull((s) => s.guides);
  return Array.from({ length: MAX_GUIDES }, (_, i) => {
    const guide = guides[i];
    // biome-ignore lint/suspicious/noArrayIndexKey: lines have no names, and are all alike
    return <div key={i} className="bench-guide" style={guide ? lineOf(guide, scale) : AWAY} />;
  });
}

const lineOf = ({ axis, at, from, to }: Guide, scale: number): CSSProperties =>
  axis === 'x'
    ? { left: at * scale, top: from * scale, width: 1, height: (to - from) * scale }
    : { top: at * scale, left: from * scale, height: 1, width: (to - from) * scale };

/** The numbers of what is selected, while it is pulled too. */
export function Readout({ store }: { store: BenchStore }) {
  const draft = store.pull((s) => s.draft);
  const selection = store((s) => s.selection);
  const question = store((s) => s.question);
  const at = framesOf(question);
  const chosen = [...selection].flatMap((ref) => draft.get(ref) ?? at.get(ref) ?? []);
  const first = chosen[0];
  if (!first) return null;
  const box = around(chosen);
  return (
    <span className="figures text-brass whitespace-nowrap px-1" aria-hidden>
      {`${Math.round(box.x)}, ${Math.round(box.y)} · ${Math.round(box.w)} × ${Math.round(box.h)}${chosen.length === 1 && first.rotation !== 0 ? ` · ${first.rotation}°` : ''}`}
    </span>
  );
}

const GHOST = 'reach';

/**
 * At Behaviour: where an item first reaches the selected zone, and of an item that is pulled how much of it is over
 * which zone.
 */
export function ReachPreview({ store, scale }: { store: BenchStore; scale: number }) {
  const station = store((s) => s.station);
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const tried = store((s) => s.shareTried);
  const draft = store.pull((s) => s.draft);
  if (station !== 'behaviour') return null;
  const model = modelOf(question);
  const only = selection.size === 1 ? thingAt(question, [...selection][0] as Ref) : undefined;

  if (only?.kind === 'item') {
    const frame = draft.get(only.ref);
    if (!frame) return null;
    const over = question.zones.flatMap((zone, i) => {
      const outline = model.zones[i]?.outline;
      if (!outline || zone.ridesOn !== null) return [];
      const { overlap, reached } = standingAt(frame, frame, outline, zone.reach);
      return overlap > 0
        ? [`${Math.round(overlap * 100)} % over ${zone.label || zone.id}: ${reached ? 'reached' : 'not reached'}`]
        : [];
    });
    return over.length === 0 ? null : (
      <span className="bench-readout" style={{ left: frame.x * scale, top: frame.y * scale - 24 }}>
        {over.join(' · ')}
      </span>
    );
  }
  const zone = only?.kind === 'zone' ? only.is : undefined;
  const index = zone ? question.zones.indexOf(zone) : -1;
  const outline = model.zones[index]?.outline;
  const sample = model.items[model.entryOf[index]?.order[0] ?? 0];
  if (!zone || !outline || !sample || zone.ridesOn !== null) return null;
  const reach = tried === null ? zone.reach : { rule: 'share' as const, share: tried };
  const at = thresholdOf(sample, outline, reach, { x: 0, y: 0, w: question.scene.width, h: question.scene.height });
  if (!at)
    return (
      <span className="bench-readout" style={{ left: outline.box.x * scale + 8, top: outline.box.y * scale + 14 }}>
        No such item can reach it
      </span>
    );
  return (
    <div
      className="bench-ghost"
      data-ghost={GHOST}
      style={pxTurned({ ...at, w: sample.w, h: sample.h, rotation: sample.rotation }, scale)}
      aria-hidden
    >
      from here on
    </div>
  );
}
