import { ChevronDown } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { applyAll, idIn, kindIn, rename, type Step, things } from '../../../core';
import { numberFrom } from '../../../ui/numbers';
import type { BenchStore } from '../store';
import type { LedgerColumn } from './columns';

interface Props {
  store: BenchStore;
  column: LedgerColumn | undefined;
  onFold: () => void;
  onFill: (column: LedgerColumn | undefined) => void;
  onCopy: () => void;
}

/** What can be done with several rows at once. */
export function LedgerTools({ store, column, onFold, onFill, onCopy }: Props) {
  const several = store((s) => s.selection.size > 1);
  const [naming, setNaming] = useState(false);
  return (
    <div className="flex items-center gap-3 px-4 h-9 shrink-0 border-b border-rule">
      <h2 className="text-base">Ledger</h2>
      <p className="text-sm text-mute truncate">
        every number on the scene, in scene units; +12 or *2 change what stands there
      </p>
      <span className="grow" />
      {several && (
        // The press must not take the focus from the cell it is about.
        <button
          type="button"
          className="btn btn-quiet btn-xs"
          disabled={!column}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onFill(column)}
        >
          Fill down{column ? `: ${column.words}` : ''}
        </button>
      )}
      {several && !naming && (
        <button type="button" className="btn btn-quiet btn-xs" onClick={() => setNaming(true)}>
          Rename…
        </button>
      )}
      {several && naming && <RenameMany store={store} onDone={() => setNaming(false)} />}
      <button type="button" className="btn btn-quiet btn-xs" onClick={onCopy}>
        Copy rows
      </button>
      <button type="button" className="bench-tool" aria-expanded aria-label="Fold the Ledger" onClick={onFold}>
        <ChevronDown size={15} aria-hidden />
      </button>
    </div>
  );
}

/** The selected named by a prefix and a count, in the order in which they are listed. */
function RenameMany({ store, onDone }: { store: BenchStore; onDone: () => void }) {
  const [prefix, setPrefix] = useState('');
  const [from, setFrom] = useState('1');
  const start = numberFrom(from, 0, 1e6, true).value;
  const run = (event: FormEvent) => {
    event.preventDefault();
    const { question, selection, do: act } = store.getState();
    if (start === null) return;
    const digits = from.trim().length;
    let now = question;
    const steps: Step[] = [];
    let n = start;
    for (const { ref } of things(question)) {
      if (!selection.has(ref)) continue;
      const step = rename(now, kindIn(ref), idIn(ref), `${prefix}${String(n++).padStart(digits, '0')}`);
      steps.push(step);
      now = applyAll(now, step);
    }
    act(steps.flat(), `${selection.size} renamed`);
    onDone();
  };
  return (
    <form className="flex items-center gap-1" onSubmit={run}>
      <input
        // biome-ignore lint/a11y/noAutofocus: it was asked for by name
        autoFocus
        className="input input-xs w-28"
        aria-label="Common beginning of the names"
        placeholder="Sachet "
        value={prefix}
        onChange={(event) => setPrefix(event.target.value)}
      />
      <input
        className="input input-xs figures w-12"
        aria-label="Counted from"
        value={from}
        onChange={(event) => setFrom(event.target.value)}
      />
      <button type="submit" className="btn btn-primary btn-xs" disabled={start === null}>
        Rename
      </button>
      <button type="button" className="btn btn-quiet btn-xs" onClick={onDone}>
        Cancel
      </button>
    </form>
  );
}
