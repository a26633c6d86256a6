import { around } from '../../../core';
import { type BenchStore, framesOf } from '../store';

/** The lines on which what is pulled shares an edge or a middle with something. */
export function Guides({ store, scale }: { store: BenchStore; scale: number }) {
  const guides = store.pull((s) => s.guides);
  return guides.map(({ axis, at, from, to }) => (
    <div
      key={`${axis}${at}`}
      className="bench-guide"
      style={
        axis === 'x'
          ? { left: at * scale, top: from * scale, width: 1, height: (to - from) * scale }
          : { top: at * scale, left: from * scale, height: 1, width: (to - from) * scale }
      }
    />
  ));
}

/** The numbers of what is selected, at its foot, while it is pulled too. */
export function Readout({ store, scale }: { store: BenchStore; scale: number }) {
  const draft = store.pull((s) => s.draft);
  const selection = store((s) => s.selection);
  const question = store((s) => s.question);
  const at = framesOf(question);
  const chosen = [...selection].flatMap((ref) => draft.get(ref) ?? at.get(ref) ?? []);
  const first = chosen[0];
  if (!first) return null;
  const box = around(chosen);
  const turn = chosen.length === 1 && first.rotation !== 0 ? ` · ${first.rotation}°` : '';
  const below = box.y + box.h + 26 / scale < question.scene.height;
  return (
    <span className="bench-readout figures" style={{ left: box.x * scale, top: below ? (box.y + box.h) * scale + 6 : box.y * scale - 22 }} aria-hidden>
      {Math.round(box.x)}, {Math.round(box.y)} · {Math.round(box.w)} × {Math.round(box.h)}
      {turn}
    </span>
  );
}
