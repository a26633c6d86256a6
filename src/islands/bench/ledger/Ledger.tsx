import { useMemo } from 'react';
import { type Box, setBox } from '../../core';
import { rename } from './LayOut';
import { numberFrom } from './numbers';
import { type BenchStore, type Boxed, boxes } from './store';
import { Typed } from './Typed';

const COLUMNS: readonly [keyof Box, string, number][] = [
  ['x', 'x', -10_000],
  ['y', 'y', -10_000],
  ['w', 'width', 1],
  ['h', 'height', 1],
];
const MOST = 10_000;

/** Every number on the scene, typed. Its selection and the scene's are one. */
export function Ledger({ store }: { store: BenchStore }) {
  const { question, selection, draft } = store();
  const rows = useMemo(() => boxes(question), [question]);
  return (
    <section aria-label="Ledger" className="border-t-2 border-ink bg-sheet h-[208px] flex flex-col">
      <div className="flex items-baseline gap-3 px-4 py-1.5 border-b border-rule">
        <h2 className="text-base">Ledger</h2>
        <p className="text-sm text-mute">every number on the scene, in scene units</p>
      </div>
      <div className="overflow-auto grow">
        {rows.length === 0 ? (
          <p className="px-4 py-3 text-mute">Nothing on the scene yet. Add a zone and some items at Lay out.</p>
        ) : (
          <table className="w-full border-collapse">
            <caption className="sr-only">Zones and items with their places and sizes</caption>
            <thead className="sticky top-0 bg-sheet z-1">
              <tr className="figures text-xs text-mute">
                <th scope="col" className="text-left font-normal px-2.5 py-1 border-b border-r border-rule">
                  name
                </th>
                <th scope="col" className="text-left font-normal px-2.5 py-1 border-b border-r border-rule">
                  what
                </th>
                {COLUMNS.map(([field, words]) => (
                  <th key={field} scope="col" className="text-right font-normal px-2.5 py-1 border-b border-r border-rule">
                    {words}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <LedgerRow key={row.id} row={row} store={store} box={draft.get(row.id) ?? row.box} selected={selection.has(row.id)} />
              ))}
            </tbody>
          </table>
        )}
      </div>
    </section>
  );
}

function LedgerRow({ row, box, selected, store }: { row: Boxed; box: Box; selected: boolean; store: BenchStore }) {
  const name = row.label || row.id;
  const select = () => !store.getState().selection.has(row.id) && store.getState().select([row.id]);
  return (
    // Typing in a row selects it: the row itself is no control, its cells are.
    <tr className={`border-b border-rule ${selected ? 'bg-brass-wash' : ''}`} onFocus={select} aria-selected={selected}>
      <td className="border-r border-rule p-0">
        <Typed label={`Name of ${name}`} className="ledger-cell" value={row.label} onTyped={(label) => rename(store, row.id, label)} />
      </td>
      <td className="border-r border-rule px-2.5 figures text-xs text-mute whitespace-nowrap">{row.what === 'zone' ? 'zone · rect' : 'item · text'}</td>
      {COLUMNS.map(([field, words, least]) => (
        <td key={field} className="border-r border-rule p-0">
          <Typed
            label={`${words} of ${name}`}
            className="ledger-cell text-right"
            value={String(Math.round(box[field] * 100) / 100)}
            problem={(text) => numberFrom(text, least, MOST).problem}
            onTyped={(text) => store.getState().do(setBox(store.getState().question, row.id, { ...row.box, [field]: numberFrom(text, least, MOST).value ?? row.box[field] }))}
          />
        </td>
      ))}
    </tr>
  );
}
