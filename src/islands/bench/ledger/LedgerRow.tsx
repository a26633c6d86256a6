import type { CSSProperties } from 'react';
import { type Frame, nameOf, type Thing } from '../../../core';
import { Typed } from '../../../ui/Typed';
import type { BenchStore } from '../store';
import { COLUMNS } from './columns';

interface Props {
  store: BenchStore;
  thing: Thing;
  frame: Frame | null;
  index: number;
  top: number;
  grid: CSSProperties;
  onPress: (row: number, how: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => void;
}

function whatOf(thing: Thing): string {
  switch (thing.kind) {
    case 'zone':
      return `zone · ${thing.is.shape.type === 'rect' ? 'box' : thing.is.shape.type === 'ellipse' ? 'oval' : thing.is.shape.type === 'polygon' ? 'corners' : 'slot'}`;
    case 'item':
      return `item · ${thing.is.content?.picture ? 'picture' : thing.is.content?.sound && !thing.is.content.text ? 'sound' : 'text'}`;
    case 'fixture':
      return `fixture · ${thing.is.type}`;
  }
}

/**
 * A thing as a row: what it is (press to select), and its numbers. While it is pulled, the figures over the scene
 * follow; these when it is let go.
 */
export function LedgerRow({ store, thing, frame, index, top, grid, onPress }: Props) {
  const selected = store((s) => s.selection.has(thing.ref));
  const veiled = store((s) => s.question.bench.veiled.includes(thing.ref));
  const name = nameOf(thing);
  const select = () => !store.getState().selection.has(thing.ref) && store.getState().select([thing.ref]);
  return (
    // biome-ignore lint/a11y/useSemanticElements: rows are drawn as they come into sight, which a table element cannot
    // biome-ignore lint/a11y/useFocusableInteractive: its cells are
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-selected={selected}
      className={`ledger-row ${selected ? 'bg-brass-wash' : ''} ${veiled ? 'ledger-veiled' : ''}`}
      style={{ ...grid, top }}
    >
      {/* biome-ignore lint/a11y/useSemanticElements: see above */}
      {/* biome-ignore lint/a11y/useFocusableInteractive: the button in it is */}
      <span role="rowheader" className="ledger-slot">
        <button
          type="button"
          data-cell={`${index} -1`}
          className="figures text-xs text-mute px-2.5 w-full h-full text-left whitespace-nowrap cursor-pointer"
          aria-pressed={selected}
          onClick={(event) => onPress(index, event)}
        >
          {whatOf(thing)}
          <span className="sr-only"> {name}</span>
        </button>
      </span>
      {COLUMNS.map((column, i) => {
        const text = column.read(thing, frame);
        return (
          // biome-ignore lint/a11y/useSemanticElements: see above
          // biome-ignore lint/a11y/useFocusableInteractive: the field in it is
          <span key={column.id} role="gridcell" className="ledger-slot" onFocus={select}>
            {text === null ? (
              <span className="text-rule px-2.5" aria-hidden>
                ·
              </span>
            ) : (
              <Typed
                label={`${column.id === 'name' ? 'Name' : column.words} of ${name}`}
                cell={`${index} ${i}`}
                className={`ledger-cell ${column.numeric ? 'text-right' : ''}`}
                value={text}
                placeholder={column.id === 'name' ? thing.is.id : undefined}
                problem={(typed) => {
                  const taken = column.take(store.getState().question, thing.ref, typed);
                  return taken.ok ? null : taken.problem;
                }}
                onTyped={(typed) => {
                  const taken = column.take(store.getState().question, thing.ref, typed);
                  if (taken.ok) store.getState().do(taken.step);
                }}
              />
            )}
          </span>
        );
      })}
    </div>
  );
}
