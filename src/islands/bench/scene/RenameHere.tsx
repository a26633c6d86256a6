import { idIn, kindIn, type Ref, rename, thingAt } from '../../../core';
import { type BenchStore, framesOf } from '../store';

/** The name of the one selected thing, typed where it stands. */
export function RenameHere({ store, scale }: { store: BenchStore; scale: number }) {
  const open = store((s) => s.open === 'rename');
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const ref = selection.size === 1 ? ([...selection][0] as Ref) : null;
  const frame = ref && framesOf(question).get(ref);
  const thing = ref && thingAt(question, ref);
  if (!open || !ref || !frame || !thing) return null;
  const close = (label: string | null) => {
    if (store.getState().open !== 'rename') return;
    store.getState().show(null);
    if (label !== null) store.getState().do(rename(question, kindIn(ref), idIn(ref), label));
    document.querySelector<HTMLElement>(`[data-ref="${CSS.escape(ref)}"]`)?.focus();
  };
  return (
    <input
      // biome-ignore lint/a11y/noAutofocus: it was asked for by name
      autoFocus
      aria-label="Name"
      className="input input-sm bench-over bench-rename"
      style={{
        left: frame.x * scale,
        top: (frame.y + (thing.kind === 'zone' ? 0 : frame.h / 2)) * scale - 16,
        width: Math.max(120, frame.w * scale),
      }}
      defaultValue={thing.is.label}
      onFocus={(event) => event.target.select()}
      onBlur={(event) => close(event.target.value)}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') close(event.currentTarget.value);
        if (event.key === 'Escape') close(null);
      }}
    />
  );
}
