import { applyAll, type Item, type Look, type Zone } from '../../../core';
import { common } from '../parts/common';
import { Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { looksOf, makeLook, wear } from './books';

interface Props {
  store: BenchStore;
  zones: readonly Zone[];
  items: readonly Item[];
  onBook: () => void;
}

const NEW = ' new';

/** What the selected wear: one of the look book's looks, or the page's own drawing. */
export function Wears({ store, zones, items, onBook }: Props) {
  return (
    <section className="mt-4">
      {items.length > 0 && <WearsOne store={store} of="item" wearers={items} onBook={onBook} />}
      {zones.length > 0 && <WearsOne store={store} of="zone" wearers={zones} onBook={onBook} />}
    </section>
  );
}

function WearsOne({
  store,
  of,
  wearers,
  onBook,
}: {
  store: BenchStore;
  of: Look['of'];
  wearers: readonly Item[] | readonly Zone[];
  onBook: () => void;
}) {
  const question = store((s) => s.question);
  const look = common<Item | Zone, string | null>(wearers, (one) => one.look);
  const choose = (to: string) => {
    const { question: now, do: act } = store.getState();
    const [items, zones] = of === 'item' ? [wearers as readonly Item[], []] : [[], wearers as readonly Zone[]];
    if (to !== NEW) return act(wear(now, items, zones, to === '' ? null : to));
    const made = makeLook(now, of);
    act([...made.step, ...wear(applyAll(now, made.step), items, zones, made.name)], 'A new look is worn');
    store.setState({ lookOpen: made.name });
    onBook();
  };
  return (
    <Setting label={of === 'item' ? 'Items wear' : 'Zones wear'}>
      <select
        className="select select-sm w-40"
        aria-label={`Look of the ${of}s`}
        value={look ?? ''}
        onChange={(event) => choose(event.target.value)}
      >
        <option value="">{look === undefined ? 'different looks' : 'the plain look'}</option>
        {looksOf(question, of).map(([name, { name: words }]) => (
          <option key={name} value={name}>
            {words || name}
          </option>
        ))}
        <option value={NEW}>a new look…</option>
      </select>
      {look && (
        <button
          type="button"
          className="btn btn-quiet btn-xs"
          onClick={() => {
            store.setState({ lookOpen: look });
            onBook();
          }}
        >
          Look book
        </button>
      )}
    </Setting>
  );
}
