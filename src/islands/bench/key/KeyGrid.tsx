import type { KeyboardEvent } from 'react';
import { type Item, type Question, setBelongs, type Zone } from '../../core';
import type { BenchStore } from './store';

const isKeyed = (question: Question, zone: Zone, item: Item) => question.key.some((entry) => entry.zone === zone.id && entry.belongs?.includes(item.id));

/** Arrow keys go from cell to cell, as in any grid. */
function walk(event: KeyboardEvent<HTMLTableElement>): void {
  const by = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] }[event.key];
  const cell = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('[data-row]') : null;
  if (!by || !cell) return;
  event.preventDefault();
  const [row, column] = [Number(cell.dataset.row) + (by[0] ?? 0), Number(cell.dataset.column) + (by[1] ?? 0)];
  event.currentTarget.querySelector<HTMLElement>(`[data-row="${row}"][data-column="${column}"]`)?.focus();
}

/** The key: items by zones, one press a cell. */
export function KeyGrid({ store }: { store: BenchStore }) {
  const { question, selection } = store();
  const { items, zones } = question;
  const needed = (zone: Zone) => question.key.find((entry) => entry.zone === zone.id)?.belongs?.length ?? 0;
  const nowhere = items.filter((item) => !zones.some((zone) => isKeyed(question, zone, item)));
  return (
    <>
      <h2 className="text-lg mb-2">
        Key grid <span className="font-sans font-normal text-base text-mute">what belongs where</span>
      </h2>
      {items.length === 0 || zones.length === 0 ? (
        <p className="text-mute">The key needs at least one item and one zone. Add them at Lay out.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full border-collapse" onKeyDown={walk}>
            <caption className="sr-only">Which items belong in which zones</caption>
            <thead>
              <tr className="border-b border-rule">
                <th scope="col">
                  <span className="sr-only">item</span>
                </th>
                {zones.map((zone) => (
                  <th key={zone.id} scope="col" className={`px-1 pb-1 align-bottom font-semibold leading-tight ${selection.has(zone.id) ? 'text-brass' : ''}`}>
                    {zone.label || zone.id}
                  </th>
                ))}
                <th scope="col" className="px-1 pb-1 align-bottom font-normal text-mute leading-tight">
                  nowhere
                </th>
              </tr>
            </thead>
            <tbody>
              {items.map((item, row) => (
                <tr key={item.id} className={`border-b border-rule ${selection.has(item.id) ? 'bg-brass-wash' : ''}`}>
                  <th scope="row" className="text-left font-normal py-0.5">
                    <button type="button" className="cursor-pointer text-left" onClick={() => store.getState().select([item.id])}>
                      {item.label || item.id}
                    </button>
                  </th>
                  {zones.map((zone, column) => {
                    const keyed = isKeyed(question, zone, item);
                    return (
                      <td key={zone.id} className="text-center">
                        {/* biome-ignore lint/a11y/useSemanticElements: a cell of a grid walked with the arrow keys, drawn as in look.md */}
                        <button
                          type="button"
                          role="checkbox"
                          aria-checked={keyed}
                          aria-label={`${item.label || item.id} belongs in ${zone.label || zone.id}`}
                          className="key-cell"
                          data-row={row}
                          data-column={column}
                          onClick={() => store.getState().do(setBelongs(question, zone.id, item.id, !keyed))}
                        >
                          <span />
                        </button>
                      </td>
                    );
                  })}
                  <td className="text-center text-mute">
                    {nowhere.includes(item) && (
                      <>
                        <span aria-hidden>·</span>
                        <span className="sr-only">belongs nowhere</span>
                      </>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr className="border-b border-rule figures text-sm">
                <th scope="row" className="text-left font-normal py-1.5">
                  needs
                </th>
                {zones.map((zone) => (
                  <td key={zone.id} className="text-center">
                    {needed(zone) === 0 ? '–' : `all ${needed(zone)}`}
                  </td>
                ))}
                <td className="text-center">{nowhere.length || '–'}</td>
              </tr>
            </tfoot>
          </table>
        </div>
      )}
    </>
  );
}
