import { useEffect, useRef, useState } from 'react';
import { belongsIn, type ItemId, type Question, setEntry, type ZoneId } from '../../../core';
import { plainText } from '../../../core/document';
import { aimIn } from '../aim';
import { ItemsByZones } from '../key/KeyGrid';
import { type Say, SayField } from '../parts/SayField';
import type { BenchStore } from '../store';

interface Cell {
  readonly item: ItemId;
  readonly zone: ZoneId;
}

const sayIn = ({ key }: Question, { item, zone }: Cell): Say | null => {
  const items = key.find((entry) => entry.zone === zone)?.says?.items;
  return items && Object.hasOwn(items, item) ? (items[item] ?? null) : null;
};

function cellOf(
  { items, zones }: Question,
  cell: { readonly item: string; readonly zone: string } | null,
): Cell | null {
  const item = items.find(({ id }) => id === cell?.item);
  const zone = zones.find(({ id }) => id === cell?.zone);
  return item && zone ? { item: item.id, zone: zone.id } : null;
}

/** What is said of one item in one zone, typed in the key grid's cell: every wrong pair can have its sentence. */
export function SaysGrid({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  // A link from the results leads to one cell.
  const [open, setOpen] = useState<Cell | null>(() => cellOf(question, aimIn(location.search).cell));
  const written = useRef<HTMLFieldSetElement>(null);
  useEffect(() => {
    written.current?.scrollIntoView({ block: 'center' });
    written.current?.focus({ preventScroll: true });
  }, []);
  const set = (cell: Cell, say: Say | null) => {
    const now = store.getState().question;
    const says = now.key.find((entry) => entry.zone === cell.zone)?.says ?? { zone: null, items: {} };
    const { [cell.item]: _, ...others } = says.items;
    store
      .getState()
      .do(setEntry(now, cell.zone, { says: { ...says, items: say ? { ...others, [cell.item]: say } : others } }));
  };
  const named = open && {
    item: question.items.find(({ id }) => id === open.item),
    zone: question.zones.find(({ id }) => id === open.zone),
  };
  return (
    <>
      <ItemsByZones
        store={store}
        caption="What is said of each item in each zone"
        cell={({ item, zone, row, column }) => {
          const cell = { item: item.id, zone: zone.id };
          const say = sayIn(question, cell);
          const belongs = belongsIn(question, cell);
          const keyed = question.key.some((entry) => entry.zone === zone.id);
          const isOpen = open?.item === item.id && open.zone === zone.id;
          return (
            <button
              type="button"
              data-row={row}
              data-column={column}
              aria-pressed={isOpen}
              // In a neutral zone nothing is right or wrong, so there is nothing to say.
              disabled={!keyed}
              aria-label={`${item.label || item.id} in ${zone.label || zone.id}, ${belongs ? 'right' : keyed ? 'wrong' : 'neutral'}: ${say ? plainText(say.text) || 'a picture or a sound' : 'nothing is said'}`}
              className={`says-cell ${belongs ? 'says-right' : ''} ${isOpen ? 'says-open' : ''}`}
              onClick={() => setOpen(isOpen ? null : cell)}
            >
              {say ? '“ ”' : keyed ? '+' : ''}
            </button>
          );
        }}
      />
      {open && named?.item && named.zone && (
        <fieldset ref={written} tabIndex={-1} className="mt-2">
          <legend className="text-mute">
            {named.item.label || named.item.id} in {named.zone.label || named.zone.id}
          </legend>
          <SayField
            key={`${open.item} ${open.zone}`}
            store={store}
            label={`What is said of ${named.item.label || named.item.id} in ${named.zone.label || named.zone.id}`}
            value={sayIn(question, open)}
            onChange={(say) => set(open, say)}
          />
        </fieldset>
      )}
    </>
  );
}
